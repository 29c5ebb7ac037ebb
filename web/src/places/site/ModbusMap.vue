<script setup lang="ts">
import { ElInput, ElOption, ElSelect } from 'element-plus'
import { reactive, watch } from 'vue'
import { word } from '../../words/word'

/** Where a logger is read over Modbus TCP, and which registers become bar and °C, as its own sheet says. */
const settings = defineModel<Record<string, unknown>>({ required: true })
const TYPES = ['float32', 'float64', 'int16', 'uint16', 'int32', 'uint32'] as const
const TABLES = [
  ['holding', word('site-holding-register')],
  ['input', word('site-input-register')],
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
  ['pressure', word('site-the-pressure'), 'bar'],
  ['temperature', word('site-the-temperature-or-nothing'), '°C'],
] as const
const number = (text: string): number => (text.trim() ? Number(text.trim().replace(',', '.')) : NaN)
const asked = (given: ReturnType<typeof map>): Record<string, unknown> => ({
  register: number(given.register),
  table: given.table,
  type: given.type,
  wordOrder: given.low ? word('site-low-first') : word('site-high-first'),
  byteOrder: given.lowByte ? word('site-low-first') : word('site-high-first'),
  scale: number(given.scale),
  offset: number(given.offset),
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
  <label
    >{{ word('site-host') }}<ElInput v-model="at.host" size="large" :aria-label="word('site-host')"
  /></label>
  <label
    >{{ word('site-port')
    }}<ElInput v-model="at.port" size="large" inputmode="numeric" :aria-label="word('site-port')"
  /></label>
  <label
    >{{ word('site-unit')
    }}<ElInput v-model="at.unit" size="large" inputmode="numeric" :aria-label="word('site-unit')"
  /></label>
  <fieldset v-for="[key, what, unit] in NAMES" :key="key">
    <legend>{{ word('site-register-of', { what }) }}</legend>
    <label
      >{{ word('site-number-from-0')
      }}<ElInput
        v-model="maps[key].register"
        size="large"
        inputmode="numeric"
        :aria-label="word('site-register-of', { what })"
    /></label>
    <template v-if="maps[key].register.trim()">
      <label
        >{{ word('site-kind')
        }}<ElSelect
          :teleported="false"
          v-model="maps[key].table"
          size="large"
          :aria-label="word('site-kind-of-register', { unit })"
        >
          <ElOption v-for="[v, says] in TABLES" :key="v" :value="v" :label="says" /></ElSelect
      ></label>
      <label
        >{{ word('site-type')
        }}<ElSelect
          :teleported="false"
          v-model="maps[key].type"
          size="large"
          :aria-label="word('site-type-of-the-register', { unit })"
        >
          <ElOption v-for="k in TYPES" :key="k" :value="k" :label="k" /></ElSelect
      ></label>
      <label
        >{{ word('site-times-this')
        }}<ElInput
          v-model="maps[key].scale"
          size="large"
          inputmode="decimal"
          :aria-label="word('site-times-this-it-is', { unit })"
      /></label>
      <label
        >{{ word('site-plus-this-it-is', { unit })
        }}<ElInput
          v-model="maps[key].offset"
          size="large"
          inputmode="decimal"
          :aria-label="word('site-plus-this-it-is-2', { unit })"
      /></label>
      <label class="check"
        ><input v-model="maps[key].low" type="checkbox" /> {{ word('site-low-word-first') }}</label
      >
      <label class="check"
        ><input v-model="maps[key].lowByte" type="checkbox" /> {{ word('site-low-byte-first') }}</label
      >
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
