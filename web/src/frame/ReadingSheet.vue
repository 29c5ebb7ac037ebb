<script setup lang="ts">
import { cToF, fToC } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import { useClock } from '../stores/clock'
import { useJob } from '../stores/job'
import { useView } from '../view'
import Sheet from './Sheet.vue'

const emit = defineEmits<{ close: [] }>()
const job = useJob()
const view = useView()
const clock = useClock()
const inch = computed(() => job.reader.units === 'inch')
const show = (c: number | null): string =>
  c === null ? '' : String(Math.round((inch.value ? cToF(c) : c) * 10) / 10)
const placeId = ref(view.conditions.placeId)
const typed = reactive({
  wall: show(view.conditions.wallC),
  air: show(view.conditions.airC),
  humidity: view.conditions.humidityPct === null ? '' : String(view.conditions.humidityPct),
})
const faults = reactive<Record<string, string>>({})
const LABELS = { wall: 'Pipe wall', air: 'Air', humidity: 'Humidity' } as const

function read(what: 'wall' | 'air' | 'humidity'): number | null {
  const text = typed[what].trim().replace(',', '.')
  delete faults[what]
  if (!text) return null
  const n = Number(text)
  const value = what !== 'humidity' && inch.value ? fToC(n) : n
  const [low, high] = what === 'humidity' ? [1, 100] : [-40, 60]
  if (!/^-?\d+(\.\d+)?$/.test(text) || value < low || value > high) {
    faults[what] =
      what === 'humidity'
        ? 'Humidity is a number from 1 to 100.'
        : 'This is not a temperature a pipe has on site.'
    return null
  }
  return value
}
async function save(): Promise<void> {
  const entries = (['wall', 'air', 'humidity'] as const)
    .map((what) => ({ what, value: read(what) }))
    .filter((r): r is { what: 'wall' | 'air' | 'humidity'; value: number } => r.value !== null)
  if (Object.keys(faults).length || !entries.length) return
  await job.write(
    entries.map((r) => ({
      kind: 'reading',
      data: {
        placeId: placeId.value,
        what: r.what,
        basis: 'typed',
        atS: clock.nowS - clock.offsetS,
        value: r.value,
      },
    })),
    'Reading kept.',
  )
  emit('close')
}
</script>

<template>
  <Sheet title="What is it like there?" @close="emit('close')">
    <p class="why">
      {{ job.state.places.get(placeId) ?? 'No place is set up yet.' }}. Clocks and cure times go by these.
    </p>
    <div v-for="what in ['wall', 'air', 'humidity'] as const" :key="what" class="field">
      <label :for="`read-${what}`">{{ LABELS[what] }}</label>
      <ElInput :id="`read-${what}`" v-model="typed[what]" size="large" inputmode="decimal">
        <template #suffix>{{ what === 'humidity' ? '%' : inch ? '°F' : '°C' }}</template>
      </ElInput>
      <p v-if="faults[what]" class="refusal" role="alert">{{ faults[what] }}</p>
    </div>
    <div class="buttons">
      <button class="button main" type="button" @click="save">Keep the reading</button>
      <RouterLink class="button" :to="{ name: 'site', params: { jobId: job.jobId } }" @click="emit('close')"
        >All places, probes, forecast</RouterLink
      >
      <button class="button" type="button" @click="emit('close')">Leave it</button>
    </div>
  </Sheet>
</template>

<style scoped>
.field {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.field label {
  font-weight: 600;
}
.buttons {
  display: flex;
  gap: 10px;
}
.button {
  min-height: 56px;
}
</style>
