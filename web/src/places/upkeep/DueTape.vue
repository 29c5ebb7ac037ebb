<script setup lang="ts">
import { type CareTask, daysAfter, taskStands } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import { useWidth } from '../../use-width'
import { dayText, monthText } from '../../when'
import { told, word } from '../../words/word'
import { ofWhat } from './said'

/** The year ahead as a tape: today, the months, and a hook on each day on which something is due; what is late hangs before it. */
const props = defineProps<{ tasks: readonly CareTask[]; todayOn: string; chosenKey: string | null }>()
const job = useJob()
const box = ref<HTMLElement>()
const width = useWidth(box)
/** The tape begins so long before today at least, and where the oldest of what is late hangs, up to a year back. */
const LEAST_BEFORE_DAYS = 45
const ROOM_DAYS = 10
const AHEAD_DAYS = 365
const HIGH = 96
const TAPE = { y: 44, high: 26 }
const PAD = 14
const between = (one: string, other: string): number => (Date.parse(other) - Date.parse(one)) / 86_400_000
const beforeDays = computed(() => {
  const oldest = props.tasks[0]?.dueOn ?? props.todayOn
  return Math.min(AHEAD_DAYS, Math.max(LEAST_BEFORE_DAYS, between(oldest, props.todayOn) + ROOM_DAYS))
})
const days = computed(() => beforeDays.value + AHEAD_DAYS)
const from = computed(() => daysAfter(props.todayOn, -beforeDays.value))
const across = (on: string): number => {
  const share = Math.max(0, Math.min(1, between(from.value, on) / days.value))
  return PAD + share * (width.value - 2 * PAD)
}
const months = computed(() =>
  Array.from({ length: Math.ceil(days.value / 28) }, (_, at) => {
    const [year = 0, month = 1] = from.value.split('-').map(Number)
    return new Date(Date.UTC(year, month + at, 1)).toISOString().slice(0, 10)
  }).filter((on) => on <= daysAfter(from.value, days.value)),
)
/** So much room a month's name wants, px. */
const NAME = 34
const everyNth = computed(() =>
  Math.max(1, Math.ceil((NAME * months.value.length) / Math.max(1, width.value - 2 * PAD))),
)
/** One hook for all tasks of a day. */
const hooks = computed(() => {
  const byDay = new Map<string, CareTask[]>()
  for (const task of props.tasks)
    if (task.dueOn) byDay.set(task.dueOn, [...(byDay.get(task.dueOn) ?? []), task])
  return [...byDay].map(([on, own]) => ({
    on,
    first: own[0] as CareTask,
    late: own.some((task) => taskStands(task, props.todayOn) === 'late'),
    soon: own.some((task) => taskStands(task, props.todayOn) === 'soon'),
    count: own.length,
    chosen: own.some(({ key }) => key === props.chosenKey),
    says: `${dayText(on)}: ${own.map((task) => `${told(task.does.does)}, ${ofWhat(task)}`).join('; ')}`,
  }))
})
</script>

<template>
  <div ref="box" class="tape">
    <svg
      :viewBox="`0 0 ${width} ${HIGH}`"
      :width="width"
      :height="HIGH"
      :aria-label="word('upkeep-year')"
      role="group"
    >
      <rect :x="PAD" :y="TAPE.y" :width="Math.max(0, width - 2 * PAD)" :height="TAPE.high" class="band" />
      <g v-for="(on, at) in months" :key="on">
        <path :d="`M${across(on)} ${TAPE.y}v${TAPE.high}`" class="month" />
        <text v-if="at % everyNth === 0" :x="across(on) + 4" :y="TAPE.y + 18" class="name">
          {{ monthText(on) }}
        </text>
      </g>
      <path :d="`M${across(todayOn)} ${TAPE.y - 8}v${TAPE.high + 16}`" class="today" />
      <text :x="across(todayOn)" :y="HIGH - 6" class="name mid">{{ word('upkeep-today') }}</text>
      <RouterLink
        v-for="hook in hooks"
        :key="hook.on"
        :to="{ name: 'upkeep', params: { jobId: job.jobId }, query: { task: hook.first.key } }"
        :aria-label="hook.says"
      >
        <title>{{ hook.says }}</title>
        <rect :x="across(hook.on) - 22" y="0" width="44" :height="TAPE.y + TAPE.high" class="hit" />
        <g :class="{ late: hook.late, soon: hook.soon, chosen: hook.chosen }" class="hook">
          <path :d="`M${across(hook.on)} ${TAPE.y + TAPE.high}V26`" />
          <circle :cx="across(hook.on)" cy="17" r="11" />
          <text :x="across(hook.on)" y="22" class="count">{{ hook.count }}</text>
        </g>
      </RouterLink>
    </svg>
  </div>
</template>

<style scoped>
.tape {
  min-width: 0;
}
.band {
  fill: var(--tape);
  stroke: var(--ink);
}
.month {
  stroke: var(--ink);
}
.today {
  stroke: var(--ink);
  stroke-width: 3;
}
.name {
  font: 500 14px var(--figures);
  fill: var(--tape-ink);
}
.name.mid {
  text-anchor: middle;
  fill: var(--ink);
}
.hit {
  fill: transparent;
}
.hook path {
  stroke: var(--ink);
  stroke-width: 2;
}
.hook circle {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2;
}
.hook.soon circle {
  stroke: var(--wet);
  stroke-width: 4;
}
.hook.late circle {
  stroke: var(--stop-ink);
  stroke-width: 4;
}
.hook.chosen circle {
  stroke-width: 5;
}
.count {
  font: 600 14px var(--figures);
  text-anchor: middle;
  fill: var(--ink);
}
</style>
