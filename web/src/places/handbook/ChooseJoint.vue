<script setup lang="ts">
import { type Entry, allEntries, allMethods, cToF, fToC } from '@jugalis/core'
import { computed } from 'vue'
import { askedFields } from '../../asked-fields'
import PickOne from '../../frame/PickOne.vue'
import { useJob } from '../../stores/job'
import { entryOf, keyOf, usePage } from './use-page'
import { named, word } from '../../words/word'

/** Method, material, size, what the method asks besides, temperature; a second joint beside; the printed card. */
const props = defineProps<{ entry: Entry }>()
const details = defineModel<Record<string, string>>({ required: true })
const job = useJob()
const { beside, temperatureC, show, change } = usePage()
const methods = allMethods()
const ofMethod = computed(() => allEntries().filter((e) => e.method === props.entry.method))
const materials = computed(() => [...new Set(ofMethod.value.map((e) => e.material))])
const sizes = computed(() => ofMethod.value.filter((e) => e.material === props.entry.material))
const asked = computed(() => askedFields(props.entry.method).filter((f) => f.options))
const sizeSaid = ({ size, schedule }: Entry): string =>
  schedule ? `${size} ${word('handbook-sch', { schedule })}` : size
const open = (e: Entry | null | undefined): void => void (e && change({ at: keyOf(e) }))
const inch = computed(() => props.entry.school === 'inch')
const shown = computed(() =>
  String(Math.round((inch.value ? cToF(temperatureC.value) : temperatureC.value) * 10) / 10),
)
function temperature(text: string): void {
  const number = Number(text.replace(',', '.'))
  const celsius = inch.value ? fToC(number) : number
  if (Number.isFinite(celsius) && celsius >= -60 && celsius <= 100)
    change({ t: String(Math.round(celsius * 100) / 100) })
}
const print = (): void => window.print()
</script>

<template>
  <div class="choose no-print">
    <PickOne
      :model-value="entry.method"
      :label="word('handbook-method')"
      :options="methods.map((m) => [m.id, job.t(m.name)])"
      @update:model-value="(to) => open(allEntries().find((e) => e.method === to))"
    />
    <PickOne
      :model-value="entry.material"
      :label="word('ui-material')"
      :options="materials.map((m) => [m, named(m)])"
      @update:model-value="(to) => open(ofMethod.find((e) => e.material === to))"
    />
    <PickOne
      :model-value="keyOf(entry)"
      :label="word('ui-size')"
      :options="sizes.map((e) => [keyOf(e), sizeSaid(e)])"
      filterable
      @update:model-value="(to) => open(entryOf(to ?? ''))"
    />
    <PickOne
      v-for="f in asked"
      :key="f.key"
      v-model="details[f.key]"
      :label="job.t(f.label)"
      :options="(f.options ?? []).map((option) => [option, named(option)])"
      clearable
    />
    <label class="t">
      {{ word('handbook-at') }}
      <input
        :value="shown"
        inputmode="decimal"
        :aria-label="word('ui-temperature')"
        @change="temperature(($event.target as HTMLInputElement).value)"
      />
      {{ inch ? '°F' : '°C' }}
    </label>
    <button v-if="!beside" type="button" class="button" @click="change({ beside: keyOf(entry) })">
      {{ word('handbook-put-another-beside') }}
    </button>
    <button v-else type="button" class="button" @click="show({ at: keyOf(beside), t: String(temperatureC) })">
      {{ word('handbook-leave-the-right-one') }}
    </button>
    <button type="button" class="button" @click="print">{{ word('handbook-print-the-card') }}</button>
  </div>
</template>

<style scoped>
.choose {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.choose :deep(.el-select) {
  width: 190px;
}
.t {
  display: flex;
  align-items: center;
  gap: 6px;
}
.t input {
  width: 74px;
  min-height: 44px;
  padding: 0 8px;
  border: 1.5px solid var(--edge);
  background: var(--sheet);
  color: var(--ink);
  font: 600 19px var(--figures);
}
@media (max-width: 720px) {
  .choose :deep(.el-select) {
    flex: 1 1 40%;
    width: auto;
  }
}
</style>
