<script setup lang="ts">
import { type HoldForce, type Vector, fmt, lineInSpace, shortTag, unitOf, vectorLength } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import { named, word } from '../../words/word'
import GrowthDrawing from './GrowthDrawing.vue'
import HoldSheet from './HoldSheet.vue'
import { type LegRow, useGrowth } from './use-growth'

/** How lines that have a place move between laid and service, what they bend by, what pushes on what holds them. */
const props = defineProps<{
  /** Warmer than laid, the larger way; null where nobody said. */
  kelvin: number | null
}>()
const job = useJob()
const { growth, lines, rows } = useGrowth(() => props.kelvin)
const chosen = ref('')
const line = computed(() => lines.value.find(({ id }) => id === chosen.value) ?? lines.value[0] ?? null)
const space = computed(() => line.value && lineInSpace(job.state, line.value))
const holding = ref(false)
const picked = ref('')
function hold(itemId = ''): void {
  picked.value = itemId
  holding.value = true
}
const own = computed(() => rows.value.filter(({ leg }) => leg.line.id === line.value?.id))
const why = computed(() => growth.value.without.find((one) => one.line.id === line.value?.id)?.why ?? null)
const holds = computed(() => growth.value.holds.filter((one) => one.line.id === line.value?.id))
const ends = computed(() => growth.value.ends.filter((one) => one.line.id === line.value?.id))
const joints = computed(() => growth.value.joints.filter((one) => one.line.id === line.value?.id))
const tag = (full: string): string => shortTag(line.value?.tag ?? '', full)
const WAYS = [
  ['east', 'west'],
  ['north', 'south'],
  ['up', 'down'],
] as const
/** Its parts along east, north and up that matter beside the whole. */
function along(vector: Vector, say: (figure: number) => string): string {
  const most = vectorLength(vector)
  return WAYS.flatMap((ways, axis) => {
    const part = vector[axis] as number
    return Math.abs(part) < most * 0.05
      ? []
      : [word('space-so-far', { mm: say(Math.abs(part)), way: ways[part > 0 ? 0 : 1] })]
  }).join(', ')
}
const scaled = (vector: Vector): Vector => {
  const by = props.kelvin ?? 0
  return [vector[0] * by, vector[1] * by, vector[2] * by]
}
const length = (mm: number): string => fmt.length(mm, job.reader)
const moved = (vector: Vector): string => along(scaled(vector), length)
const force = ({ forceN }: HoldForce): string =>
  forceN ? along(scaled(forceN), (newtons) => fmt.print(newtons, 'force', job.reader)) : ''
function verdict({ squeezedMm, needs, leg, short }: LegRow): string {
  if (squeezedMm > 0) return word('growth-squeezed', { by: length(squeezedMm) })
  if (needs.value === null) return word('growth-ask', { material: named(leg.pipe.material) })
  if (short) return word('growth-too-short', { by: length(needs.value - leg.lengthMm) })
  return word('growth-long-enough')
}
/** Less than this is no movement, mm. */
const STILL_MM = 0.05
const moves = (vector: Vector): boolean => vectorLength(scaled(vector)) > STILL_MM
</script>

<template>
  <section v-if="line && space" class="growth" :aria-label="word('growth-title')">
    <div class="top">
      <h2>{{ word('growth-title') }}</h2>
      <select v-if="lines.length > 1" v-model="chosen" class="plain" :aria-label="word('set-out-lines')">
        <option v-for="one in lines" :key="one.id" :value="one.id === lines[0]?.id ? '' : one.id">
          {{ one.tag }} {{ one.name }}
        </option>
      </select>
      <button type="button" class="button no-print" @click="hold()">
        {{ word('growth-what-holds', { tag: line.tag }) }}
      </button>
    </div>
    <p v-if="why">{{ job.t(why) }}</p>
    <p v-else-if="kelvin === null" class="why">{{ word('growth-say-temperatures') }}</p>
    <template v-else>
      <GrowthDrawing :space="space" :growth="growth" :kelvin="kelvin" @pick="hold" />
      <p v-if="holds.some((one) => one.as === 'begins')">
        {{ word('growth-nothing-holds', { tag: line.tag, unit: unitOf('length', { units: line.school }) }) }}
      </p>
      <div v-if="own.length" class="scroll" role="region" :aria-label="word('growth-legs')" tabindex="0">
        <table class="rows" :aria-label="word('growth-legs')">
          <thead>
            <tr>
              <th>{{ word('growth-leg') }}</th>
              <th class="num">{{ word('growth-is-long') }}</th>
              <th class="num">{{ word('growth-bends-by') }}</th>
              <th class="num">{{ word('growth-needs') }}</th>
              <th class="num">{{ word('growth-stress') }}</th>
              <th>{{ word('growth-takes-it') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in own" :key="`${row.leg.from} ${row.leg.to} ${row.leg.lengthMm}`">
              <td class="strong">{{ word('growth-from-to', { from: row.from, to: row.to }) }}</td>
              <td class="num">{{ length(row.leg.lengthMm) }}</td>
              <td class="num">{{ length(row.bendsMm) }}</td>
              <td class="num">
                {{ row.needs.value === null ? word('ui-no-figure') : length(row.needs.value) }}
              </td>
              <td class="num">
                {{
                  row.stressMpa === null
                    ? word('ui-no-figure')
                    : fmt.print(row.stressMpa, 'stress', job.reader)
                }}
              </td>
              <td :class="{ refusal: row.short || row.squeezedMm > 0 }">
                {{ verdict(row) }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-else>{{ word('growth-nothing-bends', { tag: line.tag }) }}</p>
      <ul class="told">
        <li v-for="(one, at) in holds.filter((h) => h.as !== 'begins')" :key="`hold-${at}`">
          {{ word('growth-pushes', { tag: tag(one.tag), as: one.as, force: force(one) }) }}
        </li>
        <li v-for="(one, at) in joints" :key="`joint-${at}`">
          {{ word('growth-parts', { tag: tag(one.item.tag), moved: moved(one.apartMm) }) }}
        </li>
        <li v-for="one in ends.filter((e) => moves(e.movedMm))" :key="`end-${one.tag}`">
          {{ word('growth-end-goes', { tag: tag(one.tag), moved: moved(one.movedMm) }) }}
        </li>
      </ul>
    </template>
    <HoldSheet v-if="holding" :line="line" :first="picked" @close="holding = false" />
  </section>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  align-items: center;
}
.top h2 {
  margin: 0;
}
.told {
  margin: 8px 0 0;
  padding-inline-start: 20px;
}
th.num {
  text-align: end;
}
td.num {
  padding-inline-start: 12px;
}
.scroll td {
  white-space: nowrap;
}
.refusal {
  margin: 0;
}
</style>
