<script setup lang="ts">
import { FORECAST_HEADER, type ForecastFault, fromUnits, readForecast } from '@jugalis/core'
import { ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import { ref } from 'vue'
import RowsField from '../../frame/RowsField.vue'
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
async function load(): Promise<void> {
  fault.value = ''
  faults.value = []
  if (!placeId.value) return void (fault.value = word('site-say-for-which-place'))
  const read = readForecast(csv.value, job.state.job.zone, (n) => fromUnits(n, 'temperature', job.reader))
  if (!read.ok) return void (faults.value = read.faults)
  await job.write(
    read.rows.map((row) => ({
      kind: 'reading',
      data: {
        placeId: placeId.value,
        what: what.value,
        basis: 'forecast',
        atS: row.atS - clock.offsetS,
        value: row.value,
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
      <RowsField
        id="forecast"
        v-model="csv"
        :header="FORECAST_HEADER"
        example="2026-11-26 14:00,8.5"
        :lines="5"
        :action="word('site-load-the-forecast')"
        :fault="fault"
        :faults="faults"
        @load="load"
      />
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
