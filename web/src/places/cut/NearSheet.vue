<script setup lang="ts">
import { type Near, type PieceCut, USUAL, clearancesOf, putOf } from '@jugalis/core'
import { computed, reactive } from 'vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** Welds, bends and walls near the ends of a piece, measured before it is cut. */
const props = defineProps<{ piece: PieceCut }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const KINDS = [
  ['weld', word('cut-a-weld')],
  ['bend', word('cut-a-bend')],
  ['wall', word('cut-the-wall-or-floor')],
] as const
const FURTHEST_MM = 10_000
const key = (end: 0 | 1, to: Near['to']): string => `${end} ${to}`
const ends = computed(() =>
  ([0, 1] as const).flatMap((end) => {
    const own = props.piece.ends[end]
    if (!own.jointId) return []
    const needed = new Map(clearancesOf(job.state, own.jointId).map((c) => [c.to, c.minMm]))
    return [{ end, tag: own.jointTag, fitting: own.fitting?.fitting, needed }]
  }),
)
const given = reactive<Record<string, number | null>>(
  Object.fromEntries((props.piece.item.near ?? []).map((n) => [key(n.end, n.to), n.mm])),
)
function least(needed: ReadonlyMap<string, { value: number | null }>, to: string): string {
  const clearance = needed.get(to)
  return clearance === undefined
    ? ''
    : clearance.value === null
      ? word('cut-not-known-how-much')
      : word('cut-at-least-2', { f: clearance.value })
}
async function save(): Promise<void> {
  const near: Near[] = []
  for (const { end } of ends.value)
    for (const [to] of KINDS) {
      const mm = given[key(end, to)] ?? null
      if (Number.isNaN(mm)) return
      if (mm !== null) near.push({ end, to, mm })
    }
  await job.write(
    [{ kind: 'item-put', data: { lineId: props.piece.line.id, ...putOf({ ...props.piece.item, near }) } }],
    word('cut-what-is-near-is', { tag: props.piece.item.tag }),
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('cut-what-is-near-2', { tag: piece.item.tag })" @close="emit('close')">
    <p class="why">
      {{ word('cut-along-the-pipe-from') }}
    </p>
    <template v-for="e in ends" :key="e.end">
      <h3>{{ word('cut-in', { tag: e.tag, fitting: e.fitting ?? word('cut-its-fitting') }) }}</h3>
      <template v-for="[to, says] in KINDS" :key="to">
        <template v-if="e.needed.has(to)">
          <QuantityField
            :model-value="given[key(e.end, to)] ?? null"
            :label="word('cut-to', { says, least: least(e.needed, to) })"
            as="length"
            :least="0"
            :most="FURTHEST_MM"
            :usual="USUAL.nearBy"
            @update:model-value="(v) => (given[key(e.end, to)] = v)"
          />
        </template>
      </template>
    </template>
    <button class="button main" type="button" @click="save">{{ word('ui-keep-it') }}</button>
  </Sheet>
</template>

<style scoped>
h3 {
  margin: 4px 0 0;
  font: 600 17px var(--text);
}
</style>
