<script setup lang="ts">
import {
  type CureClass,
  type CureRule,
  type Entry,
  type Reader,
  unitOf,
  fmt,
  methodOf,
  specOf,
  HUMID_ABOVE_PCT,
} from '@jugalis/core'
import type { EChartsCoreOption } from 'echarts/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import Curves from '../../things/Curves.vue'
import { named, word } from '../../words/word'

/** Hours of cure against wall temperature, one line for each pressure class. */
const props = defineProps<{ entry: Entry; temperatureC: number; humidityPct: number; reader: Reader }>()
const job = useJob()
const STEP_C = 0.25
const by = ref<'pressure' | 'size'>('pressure')
interface Curve {
  name: string
  points: [number, number | null][]
}
const ruleFor = (size: string): CureRule | null => {
  const method = methodOf(props.entry.method)
  const read = method && specOf(method, { ...props.entry, size })
  if (!method || !read || !('spec' in read)) return null
  const curing = method.curing(read.spec, { table: job.state.job.table })
  return curing.by === 'rule' ? curing.rule : null
}
const CLOSE_DECADES = 0.35
const ASIDE_PX = 6
function curveOf(rule: CureRule, k: CureClass, name: string): Curve {
  const points: Curve['points'] = []
  for (let atC = -18; atC <= 45; atC += STEP_C) {
    const need = k.requiredS(atC, props.humidityPct > HUMID_ABOVE_PCT)
    const lasts = need === null ? null : Math.max(need, (rule.perBarS ?? 0) * (k.toBar ?? 0))
    points.push([fmt.inUnits(atC, 'temperature', props.reader), lasts === null ? null : lasts / 3600])
  }
  return { name, points }
}
const pressureName = (k: CureClass): string =>
  k.toBar === null
    ? word('handbook-cure')
    : word('handbook-to-pressure', { bar: fmt.pressure(k.toBar, props.reader) })
/** Sizes beside each other, those that cure alike under one line; all for the lowest pressure the rule knows. */
const bySize = computed((): Curve[] => {
  const alike = new Map<string, { sizes: string[]; rule: CureRule; k: CureClass }>()
  for (const size of methodOf(props.entry.method)?.sizes(props.entry.material) ?? []) {
    const rule = ruleFor(size)
    const k = rule?.classes[0]
    if (!rule || !k) continue
    const key = JSON.stringify(curveOf(rule, k, '').points)
    const known = alike.get(key)
    if (known) known.sizes.push(size)
    else alike.set(key, { sizes: [size], rule, k })
  }
  return [...alike.values()].map(({ sizes, rule, k }) =>
    curveOf(
      rule,
      k,
      sizes.length > 1
        ? word('handbook-sizes-to', { from: sizes[0], to: sizes.at(-1)?.replace(/^\D+/, '') })
        : (sizes[0] ?? ''),
    ),
  )
})
const lines = computed((): Curve[] => {
  const rule = ruleFor(props.entry.size)
  if (!rule) return []
  return by.value === 'size' ? bySize.value : rule.classes.map((k) => curveOf(rule, k, pressureName(k)))
})
const lowest = computed(() => {
  const k = ruleFor(props.entry.size)?.classes[0]
  return k ? pressureName(k) : ''
})
const DASHES = ['solid', [8, 4], [2, 4], [12, 3, 2, 3], [5, 2], [1, 3]] as const
/** Names of lines that end close together step aside from one another, px. */
function aside(line: Curve): number {
  const end = (x: Curve): number => Math.log10(x.points.findLast((p) => p[1] !== null)?.[1] ?? 1)
  const close = lines.value.filter((x) => x !== line && Math.abs(end(x) - end(line)) < CLOSE_DECADES)
  return close.length ? (close.some((x) => end(x) > end(line)) ? ASIDE_PX : -ASIDE_PX) : 0
}
function option(): EChartsCoreOption {
  const css = getComputedStyle(document.documentElement)
  const ink = css.getPropertyValue('--ink').trim()
  const soft = css.getPropertyValue('--soft').trim()
  const text = { color: ink, fontFamily: 'Barlow Semi Condensed', fontSize: 15 }
  return {
    animation: false,
    grid: { left: 64, right: 150, top: 30, bottom: 46 },
    xAxis: {
      type: 'value',
      name: word('handbook-wall-in', { unit: unitOf('temperature', props.reader) }),
      nameLocation: 'middle',
      nameGap: 28,
      nameTextStyle: text,
      min: Math.round(fmt.inUnits(-20, 'temperature', props.reader) / 5) * 5,
      max: Math.round(fmt.inUnits(45, 'temperature', props.reader) / 5) * 5,
      axisLabel: text,
      axisLine: { lineStyle: { color: ink }, onZero: false },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'log',
      name: word('handbook-hours'),
      nameTextStyle: text,
      axisLabel: text,
      axisLine: { show: true, onZero: false, lineStyle: { color: ink } },
      splitLine: { lineStyle: { color: soft, opacity: 0.35 } },
    },
    series: lines.value.map((line, i) => ({
      type: 'line',
      step: 'end',
      name: line.name,
      data: line.points,
      showSymbol: false,
      lineStyle: { color: ink, width: 3, type: DASHES[i % DASHES.length] },
      endLabel: { show: true, formatter: line.name, offset: [0, aside(line)], ...text },
      ...(i === 0
        ? {
            markLine: {
              symbol: 'none',
              silent: true,
              lineStyle: { color: soft, width: 2, type: 'solid' },
              label: { ...text, formatter: fmt.temperature(props.temperatureC, props.reader) },
              data: [{ xAxis: fmt.inUnits(props.temperatureC, 'temperature', props.reader) }],
            },
          }
        : {}),
    })),
  }
}
</script>

<template>
  <figure>
    <figcaption>
      {{
        word('handbook-cure-against-wall-temperature', {
          humidityPct,
          lowest: by === 'size' ? lowest : '',
        })
      }}
      <span class="by no-print" role="group" :aria-label="word('handbook-one-line-for-each')">
        <button type="button" class="button" :aria-pressed="by === 'pressure'" @click="by = 'pressure'">
          {{ word('handbook-by-pressure', { size: entry.size }) }}
        </button>
        <button type="button" class="button" :aria-pressed="by === 'size'" @click="by = 'size'">
          {{ word('handbook-by-size', { material: named(entry.material) }) }}
        </button>
      </span>
    </figcaption>
    <Curves class="chart" :option="option" :label="word('handbook-hours-of-cure-against')" />
  </figure>
</template>

<style scoped>
figure {
  margin: 8px 0;
}
figcaption {
  font-weight: 600;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
.by {
  display: inline-flex;
  gap: 6px;
}
.by [aria-pressed='true'] {
  background: var(--ink);
  color: var(--paper);
}
.chart {
  height: 280px;
}
</style>
