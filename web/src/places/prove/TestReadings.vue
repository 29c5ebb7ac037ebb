<script setup lang="ts">
import { type TestRun, type Verdict, fmt } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useWidth } from '../../use-width'
import { hhmm, hhmmss } from '../../when'

const props = defineProps<{ test: TestRun; verdict: Verdict }>()
const job = useJob()
const clock = useClock()
const typed = reactive({ bar: '', temperature: '' })
const fault = ref('')
const box = ref<HTMLElement>()
const width = useWidth(box, 500)
const HEIGHT = 150
const zone = computed(() => job.state.job.zone)
async function read(): Promise<void> {
  fault.value = ''
  const bar = Number(typed.bar.trim().replace(',', '.'))
  const temperatureC = typed.temperature.trim() ? Number(typed.temperature.trim().replace(',', '.')) : null
  if (!typed.bar.trim() || !Number.isFinite(bar) || bar < 0 || bar > 1000)
    return void (fault.value = 'The gauge shows a number in bar.')
  if (temperatureC !== null && !(temperatureC > -40 && temperatureC < 100))
    return void (fault.value = 'The temperature is a number in °C, or empty.')
  await job.write(
    [
      {
        kind: 'test-read',
        data: { testId: props.test.id, atS: clock.nowS - clock.offsetS, bar, temperatureC },
      },
    ],
    `${bar} bar read.`,
  )
  typed.bar = ''
}
async function end(): Promise<void> {
  const v = props.verdict
  await job.write(
    [
      {
        kind: 'test-ended',
        data: { testId: props.test.id, verdict: v.verdict, dropBar: v.dropBar, note: job.t(v.says) },
      },
    ],
    `Test ended: ${job.t(v.says)}`,
  )
}
const chart = computed(() => {
  const r = props.test.readings
  const first = r[0]
  if (!first) return null
  const spanS = Math.max(props.test.holdS, (r.at(-1)?.atS ?? 0) - first.atS)
  const low = Math.min(...r.map((x) => x.bar), props.test.bar - props.test.allowedDropBar * 1.6)
  const high = Math.max(...r.map((x) => x.bar), props.test.bar) + props.test.allowedDropBar * 0.3
  const X = (s: number): number => 46 + ((s - first.atS) / spanS) * (width.value - 60)
  const Y = (b: number): number => 8 + ((high - b) / Math.max(0.01, high - low)) * (HEIGHT - 34)
  return {
    line: r.map((x, i) => `${i ? 'L' : 'M'}${X(x.atS)} ${Y(x.bar)}`).join(''),
    dots: r.map((x) => ({ x: X(x.atS), y: Y(x.bar) })),
    limitY: Y(first.bar - props.test.allowedDropBar),
    limit: first.bar - props.test.allowedDropBar,
    startY: Y(first.bar),
    start: first.bar,
    endX: X(first.atS + props.test.holdS),
    begin: hhmm(first.atS, zone.value),
    end: hhmm(first.atS + props.test.holdS, zone.value),
  }
})
</script>

<template>
  <div class="run">
    <div ref="box">
      <svg v-if="chart" :width="width" :height="HEIGHT" role="img" aria-label="Readings against time">
        <path :d="`M46 ${chart.limitY}H${width - 14}`" class="limit" />
        <text x="40" :y="chart.limitY + 5" text-anchor="end" class="axis">
          {{ fmt.number(chart.limit, 2) }}
        </text>
        <text x="40" :y="chart.startY + 5" text-anchor="end" class="axis">
          {{ fmt.number(chart.start, 2) }}
        </text>
        <path :d="`M${chart.endX} 4V${HEIGHT - 24}`" class="plumb" />
        <text x="46" :y="HEIGHT - 5" class="axis">{{ chart.begin }}</text>
        <text :x="chart.endX" :y="HEIGHT - 5" text-anchor="end" class="axis">hold ends {{ chart.end }}</text>
        <path :d="chart.line" class="line" />
        <circle v-for="d in chart.dots" :key="d.x" :cx="d.x" :cy="d.y" r="4.5" class="dot" />
      </svg>
    </div>
    <form class="type" @submit.prevent="read">
      <label
        >Gauge now, bar
        <ElInput v-model="typed.bar" size="large" inputmode="decimal" aria-label="Gauge now, bar"
      /></label>
      <label
        >Water, °C
        <ElInput v-model="typed.temperature" size="large" inputmode="decimal" aria-label="Water, °C"
      /></label>
      <button type="submit" class="button main">Read</button>
      <button type="button" class="button" @click="end">End the test: {{ verdict.verdict }}</button>
    </form>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <table v-if="test.readings.length" class="rows">
      <thead>
        <tr>
          <th>Time</th>
          <th class="right">bar</th>
          <th class="right">°C</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in [...test.readings].reverse()" :key="r.atS">
          <td>{{ hhmmss(r.atS, zone) }}</td>
          <td class="num">{{ fmt.number(r.bar, 2) }}</td>
          <td class="num">{{ r.temperatureC === null ? '' : fmt.number(r.temperatureC, 1) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="why">
      By the fitted line over the hold, with its 95 % half-width from scatter and gauge. Temperature is not
      corrected for here: where it moves by more than 1 K the verdict stays open.
    </p>
  </div>
</template>

<style scoped>
.run {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.type {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: flex-end;
}
.type label {
  display: flex;
  flex-direction: column;
  font-weight: 600;
  width: 140px;
}
.button {
  min-height: 48px;
}
.right {
  text-align: right !important;
}
.axis {
  font: 500 16px var(--figures);
  fill: var(--ink);
}
.limit {
  stroke: var(--stop);
  stroke-width: 2;
  stroke-dasharray: 7 5;
}
.plumb {
  stroke: var(--ink);
  stroke-width: 2;
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
}
.dot {
  fill: var(--ink);
}
</style>
