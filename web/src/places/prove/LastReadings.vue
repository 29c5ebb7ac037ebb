<script setup lang="ts">
import { type TestRun, fmt, unitOf } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { hhmmss } from '../../when'
import { word } from '../../words/word'

/** The last readings of a test, the newest first. */
const props = defineProps<{ readings: TestRun['readings'] }>()
const job = useJob()
const zone = computed(() => job.state.job.zone)
const SHOWN = 8
const shown = computed(() => props.readings.slice(-SHOWN).reverse())
</script>

<template>
  <table class="rows">
    <caption>
      {{
        word('prove-last-of-readings', { readings: readings.length })
      }}
    </caption>
    <thead>
      <tr>
        <th>{{ word('prove-time') }}</th>
        <th class="right">{{ unitOf('fine', job.reader) }}</th>
        <th class="right">{{ unitOf('temperature', job.reader) }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="r in shown" :key="r.atS">
        <td>{{ hhmmss(r.atS, zone) }}</td>
        <td class="num">{{ fmt.figureOf(r.bar, 'fine', job.reader) }}</td>
        <td class="num">
          {{ r.temperatureC === null ? '' : fmt.figureOf(r.temperatureC, 'temperature', job.reader) }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.right {
  text-align: end !important;
}
caption {
  text-align: start;
  color: var(--soft);
}
</style>
