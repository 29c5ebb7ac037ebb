<script setup lang="ts">
import { type Entry, allEntries, allMethods, cToF, fToC } from '@jugalis/core'
import { ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/select/style/css'
import 'element-plus/es/components/option/style/css'
import { computed } from 'vue'
import { askedFields } from '../../asked-fields'
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
    <ElSelect
      :teleported="false"
      :model-value="entry.method"
      size="large"
      :aria-label="word('handbook-method')"
      @update:model-value="(v: string) => open(allEntries().find((e) => e.method === v))"
    >
      <ElOption v-for="m in methods" :key="m.id" :value="m.id" :label="job.t(m.name)" />
    </ElSelect>
    <ElSelect
      :teleported="false"
      :model-value="entry.material"
      size="large"
      :aria-label="word('ui-material')"
      @update:model-value="(v: string) => open(ofMethod.find((e) => e.material === v))"
    >
      <ElOption v-for="m in materials" :key="m" :value="m" :label="named(m)" />
    </ElSelect>
    <ElSelect
      :teleported="false"
      :model-value="keyOf(entry)"
      size="large"
      filterable
      :aria-label="word('ui-size')"
      @update:model-value="(v: string) => open(entryOf(v))"
    >
      <ElOption
        v-for="e in sizes"
        :key="keyOf(e)"
        :value="keyOf(e)"
        :label="`${e.size}${e.schedule ? ` ${word('handbook-sch', { schedule: e.schedule })}` : ''}`"
      />
    </ElSelect>
    <ElSelect
      :teleported="false"
      v-for="f in asked"
      :key="f.key"
      v-model="details[f.key]"
      size="large"
      clearable
      :aria-label="job.t(f.label)"
      :placeholder="job.t(f.label)"
    >
      <ElOption v-for="o in f.options" :key="o" :value="o" :label="named(o)" />
    </ElSelect>
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
