<script setup lang="ts">
import { type Entry, type Reader, cToF, fmt, methodOf, specOf } from '@jugalis/core'
import { LineChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent } from 'echarts/components'
import { type ECharts, init, use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import { usePrefs } from '../../stores/prefs'

/** Hours of cure against wall temperature, one line for each pressure class. */
const props = defineProps<{ entry: Entry; temperatureC: number; humidityPct: number; reader: Reader }>()
use([LineChart, GridComponent, MarkLineComponent, SVGRenderer])
const job = useJob()
const prefs = usePrefs()
const box = ref<HTMLElement>()
let chart: ECharts | undefined
const STEP_C = 0.25
const inch = computed(() => props.reader.units === 'inch')
const lines = computed(() => {
  const method = methodOf(props.entry.method)
  const read = method && specOf(method, props.entry)
  if (!method || !read || !('spec' in read)) return []
  const c = method.curing(read.spec, { table: job.state.job.table, humidityPct: props.humidityPct })
  if (c.by !== 'rule') return []
  return c.rule.classes.map((k) => {
    const points: [number, number | null][] = []
    for (let t = -18; t <= 45; t += STEP_C) {
      const need = k.requiredS(t)
      const s = need === null ? null : Math.max(need, (c.rule.perBarS ?? 0) * (k.toBar ?? 0))
      points.push([inch.value ? cToF(t) : t, s === null ? null : s / 3600])
    }
    return { name: k.toBar === null ? 'cure' : `to ${fmt.pressure(k.toBar, props.reader)}`, points }
  })
})
const DASHES = ['solid', [8, 4], [2, 4]] as const
function draw(): void {
  if (!box.value) return
  chart ??= init(box.value, undefined, { renderer: 'svg' })
  const css = getComputedStyle(document.documentElement)
  const ink = css.getPropertyValue('--ink').trim()
  const soft = css.getPropertyValue('--soft').trim()
  const text = { color: ink, fontFamily: 'Barlow Semi Condensed', fontSize: 15 }
  chart.setOption(
    {
      animation: false,
      grid: { left: 64, right: 110, top: 30, bottom: 46 },
      xAxis: {
        type: 'value',
        name: inch.value ? 'wall, °F' : 'wall, °C',
        nameLocation: 'middle',
        nameGap: 28,
        nameTextStyle: text,
        min: inch.value ? 0 : -20,
        max: inch.value ? 110 : 45,
        axisLabel: text,
        axisLine: { lineStyle: { color: ink }, onZero: false },
        splitLine: { show: false },
      },
      yAxis: {
        type: 'log',
        name: 'hours',
        nameTextStyle: text,
        axisLabel: text,
        axisLine: { show: true, onZero: false, lineStyle: { color: ink } },
        splitLine: { lineStyle: { color: soft, opacity: 0.35 } },
      },
      series: lines.value.map((l, i) => ({
        type: 'line',
        step: 'end',
        name: l.name,
        data: l.points,
        showSymbol: false,
        lineStyle: { color: ink, width: 3, type: DASHES[i % DASHES.length] },
        endLabel: { show: true, formatter: l.name, ...text },
        ...(i === 0
          ? {
              markLine: {
                symbol: 'none',
                silent: true,
                lineStyle: { color: soft, width: 2, type: 'solid' },
                label: { ...text, formatter: fmt.temperature(props.temperatureC, props.reader) },
                data: [{ xAxis: inch.value ? cToF(props.temperatureC) : props.temperatureC }],
              },
            }
          : {}),
      })),
    },
    true,
  )
}
const fit = (): void => chart?.resize()
onMounted(() => {
  draw()
  window.addEventListener('resize', fit)
})
watch([lines, () => props.temperatureC, () => prefs.prefs.theme], () => requestAnimationFrame(draw))
onBeforeUnmount(() => {
  window.removeEventListener('resize', fit)
  chart?.dispose()
})
</script>

<template>
  <figure>
    <figcaption>Cure against wall temperature, steady, {{ humidityPct }} % humidity</figcaption>
    <div ref="box" class="chart" role="img" aria-label="Hours of cure against wall temperature" />
  </figure>
</template>

<style scoped>
figure {
  margin: 8px 0;
}
figcaption {
  font-weight: 600;
}
.chart {
  height: 280px;
}
</style>
