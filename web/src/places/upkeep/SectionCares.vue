<script setup lang="ts">
import { type CareTask, type Section, taskStands } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { dayText } from '../../when'
import { named, told, word } from '../../words/word'
import { dueNow, howOften, ofWhat, standsSaid } from './said'

/** One section: since when it is in use, what it carries, what is due in it. */
const props = defineProps<{
  section: Section
  /** Nothing is in use yet: putting it to use is what is next. */
  firstUse: boolean
  tasks: readonly CareTask[]
  todayOn: string
  chosenKey: string | null
}>()
const emit = defineEmits<{ use: []; device: [deviceId: string | null]; done: [task: CareTask] }>()
const job = useJob()
const upkeep = computed(() => job.state.upkeep.get(props.section.id))
const inUseOn = computed(() => upkeep.value?.inUseOn ?? null)
const devices = computed(() => upkeep.value?.devices ?? [])
const rows = computed(() =>
  props.tasks.map((task) => {
    const stands = taskStands(task, props.todayOn)
    const due = stands === 'late' || stands === 'soon'
    return { task, stands, due, what: ofWhat(task, due ? dueNow(task) : task.items.length) }
  }),
)
</script>

<template>
  <section :aria-label="section.tag">
    <h2>{{ section.tag }}</h2>
    <p>
      {{ inUseOn ? word('upkeep-in-use-since', { day: dayText(inUseOn) }) : word('upkeep-not-in-use') }}
    </p>
    <p v-if="devices.length" class="devices">
      {{ word('upkeep-carries') }}
      <button
        v-for="device in devices"
        :key="device.id"
        type="button"
        class="figure-link reach"
        @click="emit('device', device.id)"
      >
        {{ device.name }} ({{ named(device.kind) }})
      </button>
    </p>
    <div class="buttons no-print">
      <button type="button" class="button big" :class="{ main: firstUse }" @click="emit('use')">
        {{ word(inUseOn ? 'upkeep-change-use' : 'upkeep-put-to-use') }}
      </button>
      <button type="button" class="button big" @click="emit('device', null)">
        {{ word('upkeep-add-device') }}
      </button>
    </div>
    <p v-if="inUseOn && !tasks.length" class="why">{{ word('upkeep-asks-nothing') }}</p>
    <ul>
      <li v-for="{ task, stands, due, what } in rows" :key="task.key">
        <RouterLink
          :to="{ name: 'upkeep', params: { jobId: job.jobId }, query: { task: task.key } }"
          class="row"
          :class="{ chosen: task.key === chosenKey }"
        >
          <span class="strong">{{ told(task.does.does) }}</span>
          <span>{{ what }}</span>
          <span class="stands" :class="stands">{{ standsSaid(task, todayOn) }}</span>
          <span class="why">{{ howOften(task) }}</span>
        </RouterLink>
        <button v-if="due" type="button" class="button main big no-print" @click="emit('done', task)">
          {{ word('upkeep-write-done') }}
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.big {
  min-height: 56px;
}
.devices {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
}
section > * + * {
  margin-top: 6px;
}
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  min-height: 56px;
  padding: 8px 6px;
  color: var(--ink);
  text-decoration: none;
}
.row.chosen {
  box-shadow: inset 4px 0 0 var(--ink);
}
.row .why {
  margin: 0;
}
.stands.late {
  color: var(--stop-ink);
}
.stands.late::before {
  content: '✕ ';
}
.stands.soon {
  color: var(--wet-ink);
}
.stands.soon::before {
  content: '▲ ';
}
</style>
