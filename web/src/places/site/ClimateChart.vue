<script setup lang="ts">
import { fmt, greatest, unitOf } from '@jugalis/core'
import type { EChartsCoreOption } from 'echarts/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { roundScale } from '../../tapes/ticks'
import Curves from '../../things/Curves.vue'
import { hhmm, weekday } from '../../when'
import { word } from '../../words/word'

/** Wall and air of a place over the last days, and the forecast dashed. */
const props = defineProps<{ placeId: string; days: number }>()
const job = useJob()
const view = useView()
const MOST = 800
const LEAST_SPAN = 6
type Point = [number, number]
function points(readings: readonly { atS: number; value: number }[] | undefined, fromS: number): Point[] {
  const all = [...(readings ?? [])].filter((r) => r.atS >= fromS).sort((a, b) => a.atS - b.atS)
  const every = Math.max(1, Math.ceil(all.length / MOST))
  return all
    .filter((_, i) => i % every === 0)
    .map((r) => [r.atS * 1000, Math.round(fmt.inUnits(r.value, 'temperature', job.reader) * 10) / 10])
}
const curves = computed(() => {
  const fromS = view.nowS - props.days * 86400
  const readings = job.state.readings.get(props.placeId)
  const forecast = job.state.forecasts.get(props.placeId)
  const last = greatest([fromS, ...(readings?.wall ?? []).slice(-50).map((x) => x.atS)])
  return {
    wall: points(readings?.wall, fromS),
    air: points(readings?.air, fromS),
    ahead: points(forecast?.wall.length ? forecast.wall : forecast?.air, last),
  }
})
/** One curve in ink; a single reading makes no line. */
const curve = (ink: string, data: Point[], width: number, type: 'solid' | 'dashed') => ({
  type: 'line' as const,
  data,
  showSymbol: data.length === 1,
  symbol: 'circle',
  symbolSize: 4 + 2 * width,
  silent: true,
  itemStyle: { color: ink },
  lineStyle: { color: ink, width, type },
})
function option(): EChartsCoreOption {
  const css = getComputedStyle(document.documentElement)
  const color = (name: string): string => css.getPropertyValue(name).trim()
  const ink = color('--ink')
  const zone = job.state.job.zone
  const text = { color: ink, fontSize: 15, fontFamily: 'Barlow Condensed' }
  const unit = unitOf('temperature', job.reader)
  // A single reading, or a still day, is no swing: the scale spans some degrees at least.
  const seen = [...curves.value.wall, ...curves.value.air, ...curves.value.ahead].map(([, v]) => v)
  const scale = roundScale(seen, 6, LEAST_SPAN)
  return {
    animation: false,
    grid: { left: 44, right: 14, top: 10, bottom: 28 },
    xAxis: {
      type: 'time',
      axisLabel: {
        ...text,
        formatter: (ms: number) =>
          hhmm(ms / 1000, zone) === '00:00' ? weekday(ms / 1000, zone) : hhmm(ms / 1000, zone),
        hideOverlap: true,
      },
      axisLine: { lineStyle: { color: ink } },
    },
    yAxis: {
      type: 'value',
      scale: true,
      min: scale.min,
      max: scale.max,
      interval: scale.interval,
      axisLabel: { ...text, formatter: (v: number) => `${fmt.number(v, scale.places)} ${unit}` },
      splitLine: { lineStyle: { color: color('--line') } },
    },
    series: [
      curve(ink, curves.value.air, 1, 'solid'),
      {
        ...curve(ink, curves.value.wall, 2.6, 'solid'),
        markLine: {
          silent: true,
          symbol: 'none',
          label: { ...text, formatter: word('site-chart-now'), position: 'insideEndTop' },
          lineStyle: { color: ink, type: 'solid', width: 1.5 },
          data: [{ xAxis: view.nowS * 1000 }],
        },
      },
      curve(ink, curves.value.ahead, 2, 'dashed'),
    ],
  }
}
</script>

<template>
  <figure>
    <Curves class="chart" :option="option" :label="word('site-wall-and-air-temperature')" />
    <figcaption>{{ word('site-thick-pipe-wall-thin') }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
.chart {
  height: 190px;
}
figcaption {
  color: var(--soft);
  font-size: 15px;
}
</style>
