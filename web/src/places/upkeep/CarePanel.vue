<script setup lang="ts">
import { type CareItem, type CareTask, taskStands } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import { dated, dayText } from '../../when'
import { told, word } from '../../words/word'
import TorqueStory from './TorqueStory.vue'
import { byWhom, historyOf, howOften, ofWhat, standsSaid } from './said'

/** One task: how often and by whose word, and of each joint or device when it is due and what was done to it. */
const props = defineProps<{ task: CareTask; todayOn: string }>()
const emit = defineEmits<{ done: []; interval: []; close: [] }>()
const job = useJob()
const zone = computed(() => job.state.job.zone)
const MANY = 20
const most = ref(MANY)
const rows = computed(() =>
  props.task.items.slice(0, most.value).map((item) => ({ item, history: historyOf(item, job.reader) })),
)
const drawn = (item: CareItem): boolean =>
  item.done.some(({ foundNm, leftNm }) => foundNm !== null || leftNm !== null)
const dueSaid = (item: CareItem): string =>
  word('upkeep-item', {
    day: item.dueOn ? dayText(item.dueOn) : '',
    hasDay: item.dueOn ? 'yes' : 'no',
    openings: item.openings ?? -1,
  })
const stands = computed(() => taskStands(props.task, props.todayOn))
const mayBeSaid = computed(
  () => props.task.does.due.by !== 'event' && props.task.does.due.by !== 'first-heat',
)
const takeBack = (eventId: string): Promise<unknown> =>
  job.write([{ kind: 'correction', data: { target: eventId, undo: true } }], word('upkeep-taken-back'))
</script>

<template>
  <section :aria-label="told(task.does.does)">
    <h2>{{ told(task.does.does) }}</h2>
    <p class="strong" :class="{ refusal: stands === 'late' }">{{ standsSaid(task, todayOn) }}</p>
    <p>{{ ofWhat(task) }}</p>
    <p class="why">{{ howOften(task) }}: {{ byWhom(task) }}.</p>
    <div class="buttons no-print">
      <button type="button" class="button main big" @click="emit('done')">
        {{ word('upkeep-write-done') }}
      </button>
      <button v-if="mayBeSaid" type="button" class="button big" @click="emit('interval')">
        {{ word('upkeep-how-often') }}
      </button>
      <button type="button" class="button big" @click="emit('close')">{{ word('upkeep-back') }}</button>
    </div>
    <article v-for="{ item, history } in rows" :key="item.id">
      <h3>
        <RouterLink
          v-if="item.joint"
          class="reach"
          :to="{ name: 'make', params: { jobId: job.jobId, jointId: item.id } }"
          >{{ item.tag }}</RouterLink
        >
        <template v-else>{{ item.tag }}</template>
      </h3>
      <p>{{ dueSaid(item) }}</p>
      <TorqueStory v-if="drawn(item)" :item="item" />
      <div v-for="one in history" :key="one.key" class="entry">
        <p>{{ dated(one.atS, zone) }}, {{ job.nameOf(one.by) }}: {{ one.says }}</p>
        <p v-for="finding in one.findings" :key="finding.code" class="finding">{{ job.t(finding) }}</p>
        <button type="button" class="figure-link reach no-print" @click="takeBack(one.eventId)">
          {{ word('upkeep-take-back') }}
        </button>
      </div>
    </article>
    <button v-if="task.items.length > most" type="button" class="button" @click="most = Infinity">
      {{ word('upkeep-show-all', { count: task.items.length }) }}
    </button>
  </section>
</template>

<style scoped>
.big {
  min-height: 56px;
}
section > * + * {
  margin-top: 6px;
}
article {
  margin-top: 12px;
  padding-top: 8px;
  border-top: 1px solid var(--line);
}
.entry {
  margin: 6px 0;
}
.finding {
  color: var(--wet-ink);
}
.finding::before {
  content: '▲ ';
}
</style>
