<script setup lang="ts">
import {
  type Coordinate,
  type LineInSpace,
  axisSums,
  coordinatesOf,
  cutTo,
  fmt,
  levelText,
  shortTag,
  systemOf,
} from '@jugalis/core'
import Papa from 'papaparse'
import { computed } from 'vue'
import LongRows from '../../frame/LongRows.vue'
import Sheet from '../../frame/Sheet.vue'
import { saveFile } from '../../save-file'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** Where every centre, face and end of a line is, and how far it goes each way: to set it out on site, or to check it. */
const props = defineProps<{ space: LineInSpace }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const reader = computed(() => ({ ...job.reader, units: props.space.line.school }))
const rows = computed(() => coordinatesOf(job.state, props.space))
const figure = (mm: number): string => fmt.lengthFigure(mm, reader.value)
const nameOf = ({ tag, what, at }: Coordinate): string =>
  word('space-coordinate-of', { tag: shortTag(props.space.line.tag, tag), what, at: String(at ?? 0) })
const keyOf = ({ tag, what, at }: Coordinate): string => `${tag} ${what} ${at ?? ''}`
/** Each axis: what goes one way, what the other, and what is left. */
const sums = computed(() => {
  const all = axisSums(props.space)
  return (
    [
      ['east', 'west'],
      ['north', 'south'],
      ['up', 'down'],
    ] as const
  ).map(([on, back]) => ({
    on,
    back,
    onMm: all[on],
    backMm: all[back],
    leftMm: all[on] - all[back],
  }))
})
const ROW_PX = 33
function save(): void {
  const unit = systemOf(reader.value, 'length') === 'inch' ? 'in' : 'mm'
  const fields = [
    'part',
    'place',
    'end',
    `east_${unit}`,
    `north_${unit}`,
    `level_${unit}`,
    `along_${unit}`,
    'known',
  ]
  const data = rows.value.map(({ tag, what, at, atMm, alongMm, known }) => [
    tag,
    what,
    at,
    ...[...atMm, alongMm].map((mm) => cutTo(mm, reader.value)),
    known ? 'yes' : 'no',
  ])
  saveFile(Papa.unparse({ fields, data }), 'text/csv', `${props.space.line.tag}-coordinates.csv`)
}
</script>

<template>
  <Sheet :title="word('space-coordinates-of', { tag: space.line.tag })" @close="emit('close')">
    <p class="why">{{ word('space-coordinates-say') }}</p>
    <div class="scroll" role="region" tabindex="0" :aria-label="word('space-coordinates')">
      <table class="rows" :aria-label="word('space-coordinates')" :aria-rowcount="rows.length + 1">
        <thead>
          <tr>
            <th>{{ word('space-place') }}</th>
            <th class="num">{{ word('space-point-east') }}</th>
            <th class="num">{{ word('space-point-north') }}</th>
            <th class="num">{{ word('space-point-level') }}</th>
            <th class="num">{{ word('space-along-pipe') }}</th>
          </tr>
        </thead>
        <LongRows v-slot="{ row, index }" as="tbody" :rows="rows" :row-px="ROW_PX">
          <tr :key="keyOf(row)" :aria-rowindex="index + 2" :class="{ unknown: !row.known }">
            <td>{{ nameOf(row) }}</td>
            <td class="num">{{ row.known ? figure(row.atMm[0]) : '?' }}</td>
            <td class="num">{{ row.known ? figure(row.atMm[1]) : '?' }}</td>
            <td class="num">{{ row.known ? levelText(row.atMm[2], reader) : '?' }}</td>
            <td class="num">{{ row.known ? figure(row.alongMm) : '?' }}</td>
          </tr>
        </LongRows>
      </table>
    </div>
    <table class="rows sums" :aria-label="word('space-sums')">
      <thead>
        <tr>
          <th>{{ word('space-sums') }}</th>
          <th class="num">{{ word('space-there') }}</th>
          <th class="num">{{ word('space-back') }}</th>
          <th class="num">{{ word('space-left-over') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="sum in sums" :key="sum.on">
          <td>{{ word('space-axis', { on: sum.on }) }}</td>
          <td class="num">{{ figure(sum.onMm) }}</td>
          <td class="num">{{ figure(sum.backMm) }}</td>
          <td class="num">{{ figure(sum.leftMm) }}</td>
        </tr>
      </tbody>
    </table>
    <button class="button" type="button" @click="save">{{ word('space-coordinates-csv') }}</button>
  </Sheet>
</template>

<style scoped>
.scroll {
  max-height: 46vh;
  overflow: auto;
}
.num {
  text-align: end;
  font-variant-numeric: tabular-nums;
}
.unknown {
  color: var(--soft);
}
.sums {
  margin-block: 12px;
}
</style>
