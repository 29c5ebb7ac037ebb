<script setup lang="ts">
import {
  type AmountUnit,
  type OnShelf,
  type StoreItem,
  fmt,
  leftOf,
  recall,
  sourceOf,
  testsReadOn,
} from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import ItemActs from '../../things/ItemActs.vue'
import { dated, dayText } from '../../when'
import { capital, named, word } from '../../words/word'
import RecallList from './RecallList.vue'
import { fitsSaid } from '../../things/fits'
import { useLabels } from './use-labels'
import { standingSaid } from './use-store'

/** One thing: what it is, what became of it, what was made with it, and what can be done with it. */
const props = defineProps<{ on: OnShelf }>()
const emit = defineEmits<{ change: [item: StoreItem] }>()
const job = useJob()
const item = computed(() => props.on.item)
const zone = computed(() => job.state.job.zone)
const found = computed(() => recall(job.state, { itemId: item.value.id }))
const tests = computed(() => testsReadOn(job.state, item.value))
/** An amount in the reader's own units. */
function muchSaid(value: number, unit: AmountUnit): string {
  const { reader } = job
  return {
    count: () => String(value),
    mm: () => fmt.distance(value, reader),
    l: () => fmt.tin(value, reader),
    kg: () => fmt.weight(value, reader),
  }[unit]()
}
const amount = computed(() => {
  const own = item.value.amount
  return own
    ? word('shelf-put-in-on', { much: muchSaid(own.value, own.unit), on: dated(own.atS, zone.value) })
    : ''
})
/** What is left of it by what its joints took, and where that is known from. */
const left = computed(() => {
  const own = leftOf(job.state, item.value)
  if (!own || !item.value.amount) return null
  return {
    much: word('shelf-left-after', {
      much: muchSaid(own.value, item.value.amount.unit),
      joints: own.joints,
      uncounted: own.uncounted,
    }),
    makes: own.makes.map(({ size, joints }) => word('shelf-makes-of', { joints, size })).join(', '),
    source: own.source ? sourceOf(own.source).reference : '',
  }
})
const day = (on: string | null): string => (on ? dayText(on) : '')
const facts = computed(() =>
  (
    [
      [
        'shelf-kind',
        [capital(named(item.value.kind)), fitsSaid(item.value.matches)].filter(Boolean).join(', '),
      ],
      ['shelf-batch', item.value.batch ?? ''],
      ['shelf-good-until', day(item.value.expiresOn)],
      ['shelf-opened-on', item.value.lot ? day(props.on.openedOn) : ''],
      ['shelf-keeps', item.value.openDays ? word('shelf-days', { days: item.value.openDays }) : ''],
      ['shelf-there-was', amount.value],
      ['shelf-left', left.value?.much ?? ''],
      ['shelf-makes', left.value?.makes ?? ''],
      ['shelf-left-by', left.value?.source ?? ''],
      ['shelf-due', day(item.value.dueOn)],
      ['shelf-checked', [day(item.value.checkedOn), item.value.certificate].filter(Boolean).join(', ')],
      ['shelf-bought', day(item.value.boughtOn)],
      [
        'shelf-last-used',
        props.on.last
          ? `${dated(props.on.last.atS, zone.value)}, ${job.nameOf(props.on.last.by)}`
          : word('shelf-not-yet'),
      ],
      ['shelf-planned', word('shelf-joints', { joints: props.on.planned })],
    ] as const
  ).filter(([, says]) => says),
)
/** What became of it, the newest first. */
const history = computed(() =>
  [
    ...item.value.proofs.map(({ atS, by, good }) => ({
      atS,
      by,
      says: word(good ? 'shelf-tried-good' : 'shelf-tried-bad'),
    })),
    ...item.value.states.map(({ atS, by, state, says }) => ({
      atS,
      by,
      says: [word(`shelf-was-${state}`), says].filter(Boolean).join(': '),
    })),
    ...item.value.found.map(({ atS, by, says }) => ({ atS, by, says: word('shelf-was-wrong', { says }) })),
  ].sort((one, other) => other.atS - one.atS),
)
const saveLabels = useLabels()
const busy = ref(false)
async function print(): Promise<void> {
  busy.value = true
  await saveLabels([props.on], item.value.name).finally(() => (busy.value = false))
}
</script>

<template>
  <section :aria-label="item.name" class="panel">
    <h2>{{ item.name }}</h2>
    <p :class="{ refusal: on.standing !== 'good' && on.standing !== 'soon' }" class="strong">
      {{ capital(standingSaid(on)) }}
    </p>
    <dl>
      <template v-for="[what, says] in facts" :key="what">
        <dt>{{ word(what) }}</dt>
        <dd>{{ says }}</dd>
      </template>
    </dl>
    <ItemActs :key="item.id" :item="item" />
    <div class="buttons no-print">
      <button type="button" class="button" @click="emit('change', item)">{{ word('shelf-change') }}</button>
      <button type="button" class="button" :disabled="busy" @click="print">{{ word('shelf-label') }}</button>
      <RouterLink class="button" :to="{ name: 'store', params: { jobId: job.jobId } }">{{
        word('shelf-back')
      }}</RouterLink>
    </div>
    <h3>{{ word('shelf-made-with-it') }}</h3>
    <RecallList :found="found" />
    <template v-if="tests.length">
      <h3>{{ word('shelf-tests-read') }}</h3>
      <p v-for="test in tests" :key="test.testId">
        <RouterLink
          class="strong reach"
          :to="{ name: 'prove', params: { jobId: job.jobId, sectionId: test.sectionId } }"
          >{{ test.sectionTag }}</RouterLink
        >
        {{ word('shelf-test', { at: dated(test.begunAtS, zone), verdict: test.verdict ?? 'running' }) }}
      </p>
    </template>
    <template v-if="history.length">
      <h3>{{ word('shelf-history') }}</h3>
      <p v-for="entry in history" :key="`${entry.atS} ${entry.says}`" class="entry">
        {{ dated(entry.atS, zone) }}, {{ job.nameOf(entry.by) }}: {{ entry.says }}
      </p>
    </template>
  </section>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 2px 16px;
  margin: 8px 0 12px;
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
}
.entry {
  margin: 2px 0;
}
h3 {
  margin: 14px 0 4px;
}
.buttons {
  margin-top: 8px;
}
</style>
