<script setup lang="ts">
import { type Offcut, type StockSet, barGroups, fmt, parseLength } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'

/** What this job is cut from: lengths of bars, the saw, what is worth keeping, offcuts at hand. Nothing is preset. */
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const had = job.state.stock
const units = computed(() => job.reader.units)
const unit = computed(() => (units.value === 'inch' ? 'in' : 'mm'))
const shown = (mm: number | undefined): string => (mm === undefined ? '' : fmt.lengthFigure(mm, job.reader))
const typed = reactive({
  bars: had?.barsMm.map(shown).join('; ') ?? '',
  kerf: shown(had?.kerfMm),
  keep: shown(had?.keepMm),
})
const offcuts = ref<Offcut[]>([...(had?.offcuts ?? [])])
const pipes = computed(() => [
  ...new Set([...barGroups(job.state).map((g) => g.pipe), ...offcuts.value.map((o) => o.pipe)]),
])
const extra = reactive({ pipe: pipes.value[0] ?? '', length: '' })
const faults = reactive<Record<string, string>>({})
function length(text: string, field: string, least: number): number {
  const mm = text.trim() === '0' ? 0 : parseLength(text, units.value)
  if (mm === null || mm < least || mm > 100_000)
    faults[field] = text.trim() ? `"${text.trim()}" is not a length that can be.` : 'A length is needed here.'
  return mm ?? 0
}
function addOffcut(): void {
  delete faults.offcut
  const lengthMm = length(extra.length, 'offcut', 1)
  if (faults.offcut || !extra.pipe) return
  offcuts.value = [...offcuts.value, { id: crypto.randomUUID(), pipe: extra.pipe, lengthMm }]
  extra.length = ''
}
async function save(): Promise<void> {
  for (const key of Object.keys(faults)) delete faults[key]
  const data: StockSet = {
    kerfMm: length(typed.kerf, 'kerf', 0),
    keepMm: length(typed.keep, 'keep', 0),
    barsMm: typed.bars
      .split(';')
      .filter((t) => t.trim())
      .map((t) => length(t, 'bars', 1)),
    offcuts: offcuts.value,
  }
  if (!data.barsMm.length && !offcuts.value.length) faults.bars = 'Say how long the bars are that can be had.'
  if (Object.keys(faults).length) return
  await job.write([{ kind: 'stock-set', data: { ...data } }], 'The stock is noted.')
  emit('close')
}
</script>

<template>
  <Sheet title="What it is cut from" @close="emit('close')">
    <label for="stock-bars">Bars as they come, {{ unit }}; several lengths with ;</label>
    <ElInput
      id="stock-bars"
      v-model="typed.bars"
      size="large"
      :placeholder="units === 'inch' ? '240' : '6000'"
    />
    <p v-if="faults.bars" class="refusal" role="alert">{{ faults.bars }}</p>
    <label for="stock-kerf">The saw takes, {{ unit }}</label>
    <ElInput id="stock-kerf" v-model="typed.kerf" size="large" inputmode="decimal" />
    <p v-if="faults.kerf" class="refusal" role="alert">{{ faults.kerf }}</p>
    <label for="stock-keep">Worth keeping from, {{ unit }}</label>
    <ElInput id="stock-keep" v-model="typed.keep" size="large" inputmode="decimal" />
    <p v-if="faults.keep" class="refusal" role="alert">{{ faults.keep }}</p>
    <template v-if="pipes.length">
      <label for="stock-offcut">An offcut at hand, {{ unit }}</label>
      <div class="offcut">
        <select v-model="extra.pipe" aria-label="Pipe of the offcut">
          <option v-for="p in pipes" :key="p">{{ p }}</option>
        </select>
        <ElInput id="stock-offcut" v-model="extra.length" size="large" inputmode="decimal" />
        <button class="button" type="button" @click="addOffcut">Add</button>
      </div>
      <p v-if="faults.offcut" class="refusal" role="alert">{{ faults.offcut }}</p>
    </template>
    <p v-for="o in offcuts" :key="o.id" class="kept">
      {{ o.pipe }}, {{ fmt.length(o.lengthMm, job.reader) }}
      <button
        class="figure-link"
        type="button"
        :aria-label="`Take out the offcut of ${o.pipe}`"
        @click="offcuts = offcuts.filter((x) => x.id !== o.id)"
      >
        take out
      </button>
    </p>
    <button class="button main" type="button" @click="save">Note it</button>
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
