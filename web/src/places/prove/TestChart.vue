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
import { LineChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent } from 'echarts/components'
import { type ECharts, init, use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import { usePrefs } from '../../stores/prefs'
import { hhmm, hhmmss } from '../../when'
import { type RoundScale, roundScale } from '../../tapes/ticks'
import { thinned } from './thin'
import { word } from '../../words/word'

/** Pressure as read, pressure had the temperature stayed, and the temperature, over the test. */
const props = defineProps<{ test: TestRun; series: TestSeries; judgement: Judgement }>()
use([LineChart, GridComponent, MarkLineComponent, SVGRenderer])
const job = useJob()
const prefs = usePrefs()
const box = ref<HTMLElement>()
let chart: ECharts | undefined
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
function draw(): void {
  if (!chart) return
  const css = getComputedStyle(document.documentElement)
  const color = (name: string): string => css.getPropertyValue(name).trim()
  const ink = color('--ink')
  const zone = job.state.job.zone
  const text = { color: ink, fontSize: 16, fontFamily: 'Barlow Condensed' }
  const line = (
    data: readonly (readonly [number, number])[],
    width: number,
    type: 'solid' | 'dashed' | 'dotted',
    axis = 0,
  ) => ({
    type: 'line' as const,
    data: data as [number, number][],
    yAxisIndex: axis,
    showSymbol: data.length < 30,
    symbolSize: 7,
    symbol: 'circle',
    silent: true,
    itemStyle: { color: ink },
    lineStyle: { color: ink, width, type },
  })
  const lastS = Math.max(holdFrom.value + props.test.holdS, props.test.readings.at(-1)?.atS ?? 0)
  // A short test is read to the second.
  const clockText = lastS - firstS.value < SHORT_S ? hhmmss : hhmm
  const limit = bar(
    (props.test.readings.find((r) => r.atS >= holdFrom.value)?.bar ?? props.test.bar) -
      props.test.allowedDropBar,
  )
  const y = {
    type: 'value' as const,
    scale: true,
    axisLine: { show: true, lineStyle: { color: ink } },
  }
  const scaled = ({ min, max, interval, places }: RoundScale) => ({
    ...{ min, max, interval },
    axisLabel: { ...text, formatter: (v: number) => fmt.number(v, places, job.reader.decimal) },
  })
  chart.setOption(
    {
      animation: false,
      grid: { left: 64, right: 56, top: 30, bottom: 30 },
      xAxis: {
        type: 'time',
        axisLabel: { ...text, formatter: (ms: number) => clockText(ms / 1000, zone), hideOverlap: true },
        axisLine: { lineStyle: { color: ink } },
        max: lastS * 1000,
      },
      yAxis: [
        {
          ...y,
          name: unitOf('fine', job.reader),
          ...scaled(pressureScale(limit)),
          nameTextStyle: text,
          splitLine: { lineStyle: { color: color('--line') } },
        },
        {
          ...y,
          name: unitOf('temperature', job.reader),
          ...scaled(degreeScale()),
          nameTextStyle: text,
          splitLine: { show: false },
        },
      ],
      series: [
        {
          ...line(curves.value.read, 1.5, 'solid'),
          markLine: {
            silent: true,
            symbol: 'none',
            lineStyle: { color: ink, width: 2, type: 'solid' },
            label: { ...text, position: 'insideEndTop' },
            data: [
              {
                xAxis: holdFrom.value * 1000,
                // On the side of the hold: at the other the scale of a test without a time to settle stands.
                label: { ...text, formatter: 'hold', position: 'insideEndBottom' as const },
              },
              { xAxis: (holdFrom.value + props.test.holdS) * 1000, label: { ...text, formatter: 'ends' } },
              ...(props.test.allowedDropBar > 0
                ? [
                    {
                      yAxis: limit,
                      lineStyle: { color: color('--stop'), type: 'dashed' as const },
                      label: { ...text, formatter: 'allowed', position: 'insideStartBottom' as const },
                    },
                  ]
                : []),
            ],
          },
        },
        line(curves.value.corrected, 3, 'solid'),
        line(curves.value.temperature, 1.5, 'dotted', 1),
      ],
    },
    true,
  )
}
const sized = new ResizeObserver(() => chart?.resize())
onMounted(() => {
  if (!box.value) return
  chart = init(box.value, undefined, { renderer: 'svg' })
  sized.observe(box.value)
  draw()
})
watch([curves, () => prefs.night], draw)
onBeforeUnmount(() => {
  sized.disconnect()
  chart?.dispose()
})
</script>

<template>
  <figure>
    <div ref="box" class="chart" role="img" :aria-label="word('prove-pressure-and-temperature-over')" />
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
