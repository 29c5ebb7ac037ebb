<script setup lang="ts">
import {
  DEBURR_TURNS,
  type Fig,
  HACKSAW_TEETH_PER_INCH,
  allEntries,
  chamferMaxMm,
  cutterFeed,
  fmt,
  outsideDiameterMm,
  parseSize,
  swageDepthMinMm,
  wallMm,
} from '@jugalis/core'
import { computed } from 'vue'
import { figureText, standing } from './figure-text'
import { useJob } from '../../stores/job'
import { named, told, word } from '../../words/word'

/** Cutting, deburring and swaging tube, by material and size: what to do before any joint. */
const TUBES = ['copper', 'stainless', 'carbon-steel']
const job = useJob()
const rows = computed(() => {
  const seen = new Set<string>()
  return allEntries().flatMap((entry) => {
    const key = `${entry.material} ${entry.size}`
    const size = parseSize(entry.size)
    const od = size && outsideDiameterMm(size)
    if (!TUBES.includes(entry.material) || seen.has(key) || !size || !od) return []
    seen.add(key)
    return [{ key, e: entry, od, wall: wallMm(entry.material, size, null), feed: cutterFeed(entry.material) }]
  })
})
const mm = (f: Fig): string => figureText({ fig: f, unit: 'mm' }, job.reader, (m) => told(m))
</script>

<template>
  <section class="tube">
    <p class="why">
      {{
        word('handbook-touch-the-wheel-to', {
          deburrturns: DEBURR_TURNS[0],
          deburrturns2: DEBURR_TURNS[1],
          HACKSAWTEETHPERINCH: HACKSAW_TEETH_PER_INCH,
        })
      }}
    </p>
    <p class="caution">
      {{ word('handbook-caution-cut-edges-are') }}
    </p>
    <div class="scroll" role="region" :aria-label="word('handbook-tube-work-by-size')" tabindex="0">
      <table class="rows" :aria-label="word('handbook-tube-work-by-size')">
        <thead>
          <tr>
            <th>{{ word('handbook-tube') }}</th>
            <th>{{ word('handbook-wheel-cutter-each-feed') }}</th>
            <th>{{ word('handbook-chamfers-together-at-most') }}</th>
            <th>{{ word('handbook-swage-at-least') }}</th>
            <th>{{ word('ui-source') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.key">
            <td class="strong">{{ named(r.e.material) }} {{ r.e.size }}</td>
            <td>
              {{
                word('handbook-turn-every-rotations', {
                  inchFraction: fmt.inchFraction(r.feed.turns.value ?? 0),
                  everyRotations: r.feed.everyRotations.value,
                })
              }}
            </td>
            <td>
              {{
                r.wall.value === null
                  ? word('handbook-half-the-wall-measure')
                  : mm(chamferMaxMm(r.wall.value))
              }}
            </td>
            <td>{{ r.e.material === 'copper' ? mm(swageDepthMinMm(r.od)) : word('handbook-not-swaged') }}</td>
            <td>{{ standing('cp-tube-work', job.state.checked) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.tube {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.caution {
  border-inline-start: 4px solid var(--wet);
  padding-inline-start: 8px;
}
.scroll {
  overflow-x: auto;
}
</style>
