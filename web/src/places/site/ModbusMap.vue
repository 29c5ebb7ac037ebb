<script setup lang="ts">
import { ElInput, ElOption, ElSelect } from 'element-plus'
import { reactive, watch } from 'vue'

/** Where a logger is read over Modbus TCP, and which registers become bar and °C, as its own sheet says. */
const settings = defineModel<Record<string, unknown>>({ required: true })
const TYPES = ['float32', 'float64', 'int16', 'uint16', 'int32', 'uint32'] as const
const TABLES = [
  ['holding', 'holding register'],
  ['input', 'input register'],
] as const
const map = (register: string) => ({
  register,
  table: 'holding',
  type: 'float32',
  scale: '1',
  offset: '0',
  low: false,
  lowByte: false,
})
const at = reactive({ host: '127.0.0.1', port: '502', unit: '1' })
const maps = reactive({ pressure: map('0'), temperature: map('') })
const NAMES = [
  ['pressure', 'the pressure', 'bar'],
  ['temperature', 'the temperature, or nothing', '°C'],
] as const
const number = (text: string): number => (text.trim() ? Number(text.trim().replace(',', '.')) : NaN)
const asked = (m: ReturnType<typeof map>): Record<string, unknown> => ({
  register: number(m.register),
  table: m.table,
  type: m.type,
  wordOrder: m.low ? 'low first' : 'high first',
  byteOrder: m.lowByte ? 'low first' : 'high first',
  scale: number(m.scale),
  offset: number(m.offset),
})
watch(
  [at, maps],
  () =>
    void (settings.value = {
      host: at.host.trim(),
      port: number(at.port),
      unit: number(at.unit),
      pressure: asked(maps.pressure),
      ...(maps.temperature.register.trim() ? { temperature: asked(maps.temperature) } : {}),
    }),
  { immediate: true },
)
</script>

<template>
  <label>Host<ElInput v-model="at.host" size="large" aria-label="Host" /></label>
  <label>Port<ElInput v-model="at.port" size="large" inputmode="numeric" aria-label="Port" /></label>
  <label>Unit<ElInput v-model="at.unit" size="large" inputmode="numeric" aria-label="Unit" /></label>
  <fieldset v-for="[key, what, unit] in NAMES" :key="key">
    <legend>Register of {{ what }}</legend>
    <label
      >Number, from 0<ElInput
        v-model="maps[key].register"
        size="large"
        inputmode="numeric"
        :aria-label="`Register of ${what}`"
    /></label>
    <template v-if="maps[key].register.trim()">
      <label
        >Kind<ElSelect
          :teleported="false"
          v-model="maps[key].table"
          size="large"
          :aria-label="`Kind of register, ${unit}`"
        >
          <ElOption v-for="[v, says] in TABLES" :key="v" :value="v" :label="says" /></ElSelect
      ></label>
      <label
        >Type<ElSelect
          :teleported="false"
          v-model="maps[key].type"
          size="large"
          :aria-label="`Type of the register, ${unit}`"
        >
          <ElOption v-for="k in TYPES" :key="k" :value="k" :label="k" /></ElSelect
      ></label>
      <label
        >Times this<ElInput
          v-model="maps[key].scale"
          size="large"
          inputmode="decimal"
          :aria-label="`Times this it is ${unit}`"
      /></label>
      <label
        >plus this it is {{ unit
        }}<ElInput
          v-model="maps[key].offset"
          size="large"
          inputmode="decimal"
          :aria-label="`Plus this it is ${unit}`"
      /></label>
      <label class="check"><input v-model="maps[key].low" type="checkbox" /> low word first</label>
      <label class="check"><input v-model="maps[key].lowByte" type="checkbox" /> low byte first</label>
    </template>
  </fieldset>
</template>

<style scoped>
label {
  display: flex;
  flex-direction: column;
  font-weight: 600;
  width: 150px;
}
.check {
  flex-direction: row;
  align-items: center;
  gap: 8px;
  min-height: 44px;
}
fieldset {
  grid-column: 1 / -1;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: flex-end;
  border: 1px solid var(--edge);
  padding: 6px 12px 10px;
}
legend {
  font-weight: 600;
}
</style>
