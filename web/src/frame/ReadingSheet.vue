<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import { useClock } from '../stores/clock'
import { useJob } from '../stores/job'
import { useView } from '../view'
import QuantityField from './QuantityField.vue'
import Sheet from './Sheet.vue'
import { word } from '../words/word'

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
const LABELS = { wall: word('ui-pipe-wall'), air: word('frame-air') } as const
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
  if (!entries.length) return void (fault.value = word('frame-nothing-is-typed-in'))
  await job.write(
    entries.map((entry) => ({
      kind: 'reading',
      data: {
        placeId: placeId.value,
        what: entry.what,
        basis: 'typed',
        atS: clock.nowS - clock.offsetS,
        value: entry.value,
      },
    })),
    word('frame-reading-kept'),
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('frame-what-is-it-like')" @close="emit('close')">
    <p class="why">
      {{
        word('frame-clocks-and-cure-times', {
          places: job.state.places.get(placeId) ?? word('frame-no-place-is-set'),
        })
      }}
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
      <label for="read-humidity">{{ word('frame-humidity') }}</label>
      <ElInput id="read-humidity" v-model="humidity" size="large" inputmode="decimal">
        <template #suffix>%</template>
      </ElInput>
      <p v-if="tried && humidityWrong" class="refusal" role="alert">
        {{ word('frame-humidity-is-a-number') }}
      </p>
    </div>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <div class="buttons">
      <button class="button main" type="button" @click="save">{{ word('frame-keep-the-reading') }}</button>
      <RouterLink
        class="button"
        :to="{ name: 'site', params: { jobId: job.jobId } }"
        @click="emit('close')"
        >{{ word('frame-all-places-probes-forecast') }}</RouterLink
      >
      <button class="button" type="button" @click="emit('close')">{{ word('frame-leave-it') }}</button>
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
