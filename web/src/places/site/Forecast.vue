<script setup lang="ts">
import { FORECAST_HEADER, type ForecastFault, fromUnits, readForecast } from '@jugalis/core'
import { ElInput, ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import { ref } from 'vue'
import RowFaults from '../../frame/RowFaults.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** A forecast from a table: it plans, and signs nothing off. */
const job = useJob()
const clock = useClock()
const open = ref(false)
const csv = ref('')
const placeId = ref('')
const what = ref<'wall' | 'air'>('air')
const fault = ref('')
const faults = ref<readonly ForecastFault[]>([])
async function pick(e: Event): Promise<void> {
  const file = (e.target as HTMLInputElement).files?.[0]
  if (file) csv.value = await file.text()
}
async function load(): Promise<void> {
  fault.value = ''
  faults.value = []
  if (!placeId.value) return void (fault.value = word('site-say-for-which-place'))
  const read = readForecast(csv.value, job.state.job.zone, (n) => fromUnits(n, 'temperature', job.reader))
  if (!read.ok) return void (faults.value = read.faults)
  await job.write(
    read.rows.map((r) => ({
      kind: 'reading',
      data: {
        placeId: placeId.value,
        what: what.value,
        basis: 'forecast',
        atS: r.atS - clock.offsetS,
        value: r.value,
      },
    })),
    word('site-hours-of-forecast-are', { rows: read.rows.length }),
  )
  csv.value = ''
  open.value = false
}
</script>

<template>
  <section aria-labelledby="forecast">
    <h2 id="forecast">{{ word('site-forecast') }}</h2>
    <button type="button" class="button" :aria-expanded="open" @click="open = !open">
      {{ word('site-load-a-forecast') }}
    </button>
    <div v-if="open" class="form">
      <span class="buttons">
        <ElSelect
          :teleported="false"
          v-model="placeId"
          size="large"
          :aria-label="word('ui-place')"
          :placeholder="word('site-for-which-place')"
        >
          <ElOption v-for="[id, name] in job.state.places" :key="id" :value="id" :label="name" />
        </ElSelect>
        <ElSelect :teleported="false" v-model="what" size="large" :aria-label="word('site-of-what')">
          <ElOption value="air" :label="word('site-of-the-air')" />
          <ElOption value="wall" :label="word('site-of-the-pipe-wall')" />
        </ElSelect>
      </span>
      <label for="forecast-csv">{{ word('site-rows-as-csv-the', { header: FORECAST_HEADER }) }}</label>
      <ElInput id="forecast-csv" v-model="csv" type="textarea" :rows="5" placeholder="2026-11-26 14:00,8.5" />
      <span class="buttons">
        <label class="button" for="forecast-file">{{ word('site-from-a-file') }}</label>
        <input id="forecast-file" class="sr" type="file" accept=".csv,text/csv" @change="pick" />
        <button type="button" class="button main" :disabled="!csv.trim()" @click="load">
          {{ word('site-load-the-forecast') }}
        </button>
      </span>
      <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      <RowFaults :faults="faults" />
    </div>
  </section>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 8px;
  margin-top: 10px;
  max-width: 620px;
}
</style>
