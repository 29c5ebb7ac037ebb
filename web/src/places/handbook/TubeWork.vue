<script setup lang="ts">
import {
  DEBURR_TURNS,
  type Fig,
  HACKSAW_TEETH_PER_INCH,
  allEntries,
  chamferMaxMm,
  cutterFeed,
  fmt,
  named,
  outsideDiameterMm,
  parseSize,
  say,
  swageDepthMinMm,
  wallMm,
} from '@jugalis/core'
import { computed } from 'vue'
import { figureText, standing } from './figure-text'
import { useJob } from '../../stores/job'

/** Cutting, deburring and swaging tube, by material and size: what to do before any joint. */
const TUBES = ['copper', 'stainless', 'carbon-steel']
const job = useJob()
const rows = computed(() => {
  const seen = new Set<string>()
  return allEntries().flatMap((e) => {
    const key = `${e.material} ${e.size}`
    const size = parseSize(e.size)
    const od = size && outsideDiameterMm(size)
    if (!TUBES.includes(e.material) || seen.has(key) || !size || !od) return []
    seen.add(key)
    return [{ key, e, od, wall: wallMm(e.material, size, null), feed: cutterFeed(e.material) }]
  })
})
const mm = (f: Fig): string => figureText({ fig: f, unit: 'mm' }, job.reader, (m) => say(m, job.reader))
</script>

<template>
  <section class="tube">
    <p class="why">
      Touch the wheel to the tube, then feed it a little each time round. A blunt wheel or a greedy feed
      leaves a ridge inside. Deburr {{ DEBURR_TURNS[0] }} to {{ DEBURR_TURNS[1] }} turns inside and as many
      outside. With a hacksaw: a guide and at least {{ HACKSAW_TEETH_PER_INCH }} teeth to the inch. Oval tube
      is not forced into a fitting: copper may be re-rounded, hard tube is rejected, as is a scratch that a
      thumbnail feels.
    </p>
    <p class="caution">
      Caution: cut edges are sharp, gloves on. Hard copper is annealed before it is bent, and then carries
      only the pressure of soft tube. A spring of the wrong size lets the tube collapse.
    </p>
    <div class="scroll" role="region" aria-label="Tube work by size" tabindex="0">
      <table class="rows" aria-label="Tube work by size">
        <thead>
          <tr>
            <th>Tube</th>
            <th>Wheel cutter, each feed</th>
            <th>Chamfers together at most</th>
            <th>Swage at least</th>
            <th>Source</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.key">
            <td class="strong">{{ named(r.e.material) }} {{ r.e.size }}</td>
            <td>
              {{ fmt.inchFraction(r.feed.turns.value ?? 0) }} turn every
              {{
                r.feed.everyRotations.value === 1 ? 'rotation' : `${r.feed.everyRotations.value} rotations`
              }}
            </td>
            <td>
              {{ r.wall.value === null ? 'half the wall: measure it' : mm(chamferMaxMm(r.wall.value)) }}
            </td>
            <td>{{ r.e.material === 'copper' ? mm(swageDepthMinMm(r.od)) : 'not swaged' }}</td>
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
  border-left: 4px solid var(--wet);
  padding-left: 8px;
}
.scroll {
  overflow-x: auto;
}
</style>
