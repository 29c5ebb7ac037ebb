<script setup lang="ts">
import { type Near, type PieceCut, clearancesOf, fmt, parseLength, putOf } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'

/** Welds, bends and walls near the ends of a piece, measured before it is cut. */
const props = defineProps<{ piece: PieceCut }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const KINDS = [
  ['weld', 'a weld'],
  ['bend', 'a bend'],
  ['wall', 'the wall or floor'],
] as const
const FURTHEST_MM = 10_000
const key = (end: 0 | 1, to: Near['to']): string => `${end} ${to}`
const ends = computed(() =>
  ([0, 1] as const).flatMap((end) => {
    const e = props.piece.ends[end]
    if (!e.jointId) return []
    const needed = new Map(clearancesOf(job.state, e.jointId).map((c) => [c.to, c.minMm]))
    return [{ end, tag: e.jointTag, fitting: e.fitting?.fitting, needed }]
  }),
)
const typed = reactive<Record<string, string>>(
  Object.fromEntries(
    (props.piece.item.near ?? []).map((n) => [key(n.end, n.to), fmt.lengthFigure(n.mm, job.reader)]),
  ),
)
const fault = ref('')
function least(needed: ReadonlyMap<string, { value: number | null }>, to: string): string {
  const f = needed.get(to)
  return f === undefined
    ? ''
    : f.value === null
      ? ', not known how much'
      : `, at least ${fmt.length(f.value, job.reader)}`
}
async function save(): Promise<void> {
  const near: Near[] = []
  for (const { end } of ends.value)
    for (const [to] of KINDS) {
      const text = (typed[key(end, to)] ?? '').trim()
      if (!text) continue
      const mm = parseLength(text, job.reader.units)
      if (mm === null || mm > FURTHEST_MM)
        return void (fault.value = `"${text}" is not a distance near a joint.`)
      near.push({ end, to, mm })
    }
  await job.write(
    [{ kind: 'item-put', data: { lineId: props.piece.line.id, ...putOf({ ...props.piece.item, near }) } }],
    `${props.piece.item.tag}: what is near is kept.`,
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="`What is near ${piece.item.tag}`" @close="emit('close')">
    <p class="why">
      Along the pipe from the fitting’s face; to the wall, clear of the pipe. Empty: nothing near.
    </p>
    <template v-for="e in ends" :key="e.end">
      <h3>{{ e.tag }}, in {{ e.fitting ?? 'its fitting' }}</h3>
      <template v-for="[to, says] in KINDS" :key="to">
        <template v-if="e.needed.has(to)">
          <label :for="`near-${e.end}-${to}`">To {{ says }}{{ least(e.needed, to) }}</label>
          <ElInput
            :id="`near-${e.end}-${to}`"
            v-model="typed[`${e.end} ${to}`]"
            size="large"
            inputmode="decimal"
          >
            <template #suffix>{{ job.reader.units === 'inch' ? 'in' : 'mm' }}</template>
          </ElInput>
        </template>
      </template>
    </template>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button class="button main" type="button" @click="save">Keep it</button>
  </Sheet>
</template>

<style scoped>
h3 {
  margin: 4px 0 0;
  font: 600 17px var(--text);
}
</style>
