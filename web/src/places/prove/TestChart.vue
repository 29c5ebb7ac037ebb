<script setup lang="ts">
import {
  type Judgement,
  type TestRun,
  type TestSeries,
  correctedCourse,
  fmt,
  greatest,
  smallest,
  unitOf,
} from '@jugalis/core'
import type { EChartsCoreOption } from 'echarts/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import Curves from '../../things/Curves.vue'
import { hhmm, hhmmss } from '../../when'
import { type RoundScale, roundScale } from '../../tapes/ticks'
import { chartOption } from './chart-option'
import { thinned } from './thin'
import { word } from '../../words/word'

/** Pressure as read, pressure had the temperature stayed, and the temperature, over the test. */
const props = defineProps<{ test: TestRun; series: TestSeries; judgement: Judgement }>()
const job = useJob()
const SHORT_S = 1200
const LEAST_SPAN = 2
const bar = (b: number): number => Number(fmt.inUnits(b, 'fine', job.reader).toFixed(4))
const firstS = computed(() => props.test.readings[0]?.atS ?? props.test.begunAtS)
const degrees = (c: number): number => Number(fmt.inUnits(c, 'temperature', job.reader).toFixed(2))
/** Thinned before anything else: a day of readings is far more than a screen has points. */
const curves = computed(() => ({
  read: thinned(props.test.readings, (r) => r.bar).map((r) => [r.atS * 1000, bar(r.bar)] as const),
  corrected: correctedCourse(props.series, props.judgement).map(
    (p) => [(firstS.value + p.tS) * 1000, bar(p.bar)] as const,
  ),
  temperature: thinned(props.test.readings, (r) => r.temperatureC).map(
    (r) => [r.atS * 1000, degrees(r.temperatureC ?? 0)] as const,
  ),
}))
/**
 * From the test pressure (or the highest that was read) to below the fall allowed, in round steps: a sound test is a flat
 * line at the top, not the noise of its gauge drawn large.
 */
function pressureScale(limit: number): RoundScale {
  const seen = [...curves.value.read, ...curves.value.corrected].map(([, v]) => v)
  const top = greatest([bar(props.test.bar), ...seen])
  const low = smallest([limit, ...seen])
  const pad = Math.max(top - low, bar(props.test.bar) * 0.02, 1e-6) * 0.25
  return roundScale([low - pad, top + pad / 2], 6)
}
/** A hundredth of a degree is no swing: the scale spans two degrees at least. */
function degreeScale(): RoundScale {
  return roundScale(
    curves.value.temperature.map(([, v]) => v),
    4,
    LEAST_SPAN,
  )
}
const holdFrom = computed(() => firstS.value + props.test.stabiliseS)
/** Pressure at which the hold begins, less the fall allowed. */
function limitOf(): number {
  const { readings, bar: testBar, allowedDropBar } = props.test
  return bar((readings.find((r) => r.atS >= holdFrom.value)?.bar ?? testBar) - allowedDropBar)
}
function option(): EChartsCoreOption {
  const { test } = props
  const limit = limitOf()
  const endS = holdFrom.value + test.holdS
  const lastS = Math.max(endS, test.readings.at(-1)?.atS ?? 0)
  // A short test is read to the second.
  const clockText = lastS - firstS.value < SHORT_S ? hhmmss : hhmm
  return chartOption({
    curves: curves.value,
    units: { bar: unitOf('fine', job.reader), degrees: unitOf('temperature', job.reader) },
    scales: { bar: pressureScale(limit), degrees: degreeScale() },
    hold: { fromMs: holdFrom.value * 1000, toMs: endS * 1000 },
    lastMs: lastS * 1000,
    limit: test.allowedDropBar > 0 ? limit : null,
    clockText: (ms) => clockText(ms / 1000, job.state.job.zone),
    number: (v, places) => fmt.number(v, places, job.reader.decimal),
  })
}
</script>

<template>
  <figure>
    <Curves class="chart" :option="option" :label="word('prove-pressure-and-temperature-over')" />
    <figcaption>{{ word('prove-thin-as-read-thick') }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
.chart {
  height: 270px;
}
@media (max-width: 720px) {
  .chart {
    height: 180px;
  }
}
figcaption {
  color: var(--soft);
  font-size: 16px;
}
</style>
