<script setup lang="ts">
import {
  type Offcut,
  type StockSet,
  USUAL,
  barGroups,
  fmt,
  parseLength,
  systemOf,
  unitOf,
} from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { pipeTold, word } from '../../words/word'

/** What this job is cut from: lengths of bars, the saw, what is worth keeping, offcuts at hand. Nothing is preset. */
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const had = job.state.stock
const unit = computed(() => unitOf('length', job.reader))
const shown = (mm: number | undefined): string => (mm === undefined ? '' : fmt.lengthFigure(mm, job.reader))
const typed = reactive({ bars: had?.barsMm.map(shown).join('; ') ?? '' })
const given = reactive<Record<'kerf' | 'keep' | 'offcut', number | null>>({
  kerf: had?.kerfMm ?? null,
  keep: had?.keepMm ?? null,
  offcut: null,
})
const tried = ref(false)
const offcuts = ref<Offcut[]>([...(had?.offcuts ?? [])])
const pipes = computed(() => [
  ...new Set([...barGroups(job.state).map((g) => g.pipe), ...offcuts.value.map((o) => o.pipe)]),
])
const extra = reactive({ pipe: pipes.value[0] ?? '' })
const faults = reactive<Record<string, string>>({})
function length(text: string, field: string, least: number): number {
  const mm = parseLength(text, job.reader)
  if (mm === null || mm < least || mm > 100_000)
    faults[field] = text.trim()
      ? word('cut-is-not-a-length', { text: text.trim() })
      : word('cut-a-length-is-needed')
  return mm ?? 0
}
function addOffcut(): void {
  const lengthMm = given.offcut
  if (lengthMm === null || Number.isNaN(lengthMm) || !extra.pipe) return
  offcuts.value = [...offcuts.value, { id: crypto.randomUUID(), pipe: extra.pipe, lengthMm }]
  given.offcut = null
}
async function save(): Promise<void> {
  for (const key of Object.keys(faults)) delete faults[key]
  tried.value = true
  const { kerf, keep } = given
  const barsMm = typed.bars
    .split(';')
    .filter((t) => t.trim())
    .map((t) => length(t, 'bars', 1))
  if (!barsMm.length && !offcuts.value.length) faults.bars = word('cut-say-how-long-the')
  if (kerf === null || keep === null || Number.isNaN(kerf) || Number.isNaN(keep)) return
  if (Object.keys(faults).length) return
  const data: StockSet = { kerfMm: kerf, keepMm: keep, barsMm, offcuts: offcuts.value }
  await job.write([{ kind: 'stock-set', data: { ...data } }], word('cut-the-stock-is-noted'))
  emit('close')
}
</script>

<template>
  <Sheet :title="word('cut-what-it-is-cut')" @close="emit('close')">
    <label for="stock-bars">{{ word('cut-bars-as-they-come', { unit }) }}</label>
    <ElInput
      id="stock-bars"
      v-model="typed.bars"
      size="large"
      :placeholder="fmt.lengthFigure(systemOf(job.reader, 'length') === 'inch' ? 6096 : 6000, job.reader)"
    />
    <p v-if="faults.bars" class="refusal" role="alert">{{ faults.bars }}</p>
    <QuantityField
      v-model="given.kerf"
      :label="word('cut-the-saw-takes')"
      as="thickness"
      :least="0"
      :most="50"
      :usual="USUAL.kerf"
      :missing="tried"
    />
    <QuantityField
      v-model="given.keep"
      :label="word('cut-worth-keeping-from')"
      as="length"
      :least="0"
      :most="100_000"
      :usual="USUAL.offcut"
      :missing="tried"
    />
    <template v-if="pipes.length">
      <div class="offcut">
        <select v-model="extra.pipe" :aria-label="word('cut-pipe-of-the-offcut')">
          <option v-for="p in pipes" :key="p" :value="p">{{ pipeTold(p) }}</option>
        </select>
        <QuantityField
          v-model="given.offcut"
          :label="word('cut-an-offcut-at-hand')"
          as="length"
          :least="1"
          :most="100_000"
          :usual="USUAL.offcut"
        />
        <button class="button" type="button" @click="addOffcut">{{ word('ui-add') }}</button>
      </div>
    </template>
    <p v-for="o in offcuts" :key="o.id" class="kept">
      {{ pipeTold(o.pipe) }}, {{ fmt.length(o.lengthMm, job.reader) }}
      <button
        class="figure-link"
        type="button"
        :aria-label="word('cut-take-out-the-offcut', { pipe: pipeTold(o.pipe) })"
        @click="offcuts = offcuts.filter((x) => x.id !== o.id)"
      >
        {{ word('cut-take-out') }}
      </button>
    </p>
    <button class="button main" type="button" @click="save">{{ word('cut-note-it') }}</button>
  </Sheet>
</template>

<style scoped>
.offcut {
  display: flex;
  gap: 8px;
}
.offcut select {
  min-height: 44px;
  border: 1px solid var(--edge);
  background: var(--sheet);
  padding: 0 8px;
}
.kept {
  display: flex;
  justify-content: space-between;
}
</style>
