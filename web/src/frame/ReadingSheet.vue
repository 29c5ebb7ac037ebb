<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import { useClock } from '../stores/clock'
import { useJob } from '../stores/job'
import { useView } from '../view'
import QuantityField from './QuantityField.vue'
import Sheet from './Sheet.vue'

const emit = defineEmits<{ close: [] }>()
const job = useJob()
const view = useView()
const clock = useClock()
const placeId = ref(view.conditions.placeId)
const given = reactive<{ wall: number | null; air: number | null }>({
  wall: view.conditions.wallC,
  air: view.conditions.airC,
})
/** What was there when the sheet opened: a figure that looks like the other unit is asked about. */
const before = { wall: view.conditions.wallC, air: view.conditions.airC }
const humidity = ref(view.conditions.humidityPct === null ? '' : String(view.conditions.humidityPct))
const fault = ref('')
const LABELS = { wall: 'Pipe wall', air: 'Air' } as const
const tried = ref(false)
const humidityPct = computed(() => Number(humidity.value.trim().replace(/%$/, '').replace(',', '.')))
const humidityWrong = computed(
  () => humidity.value.trim() !== '' && !(humidityPct.value >= 1 && humidityPct.value <= 100),
)
async function save(): Promise<void> {
  tried.value = true
  const all = [
    { what: 'wall', value: given.wall },
    { what: 'air', value: given.air },
    { what: 'humidity', value: humidity.value.trim() ? humidityPct.value : null },
  ]
  if (humidityWrong.value || all.some((r) => Number.isNaN(r.value))) return
  const entries = all.filter((r): r is { what: string; value: number } => r.value !== null)
  if (!entries.length) return void (fault.value = 'Nothing is typed in yet.')
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
    <QuantityField
      v-for="what in ['wall', 'air'] as const"
      :key="what"
      v-model="given[what]"
      :label="LABELS[what]"
      as="temperature"
      :least="-40"
      :most="60"
      :near="before[what] ?? before.air ?? 15"
    />
    <div class="field">
      <label for="read-humidity">Humidity</label>
      <ElInput id="read-humidity" v-model="humidity" size="large" inputmode="decimal">
        <template #suffix>%</template>
      </ElInput>
      <p v-if="tried && humidityWrong" class="refusal" role="alert">Humidity is a number from 1 to 100.</p>
    </div>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
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
