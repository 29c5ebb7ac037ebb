<script setup lang="ts">
import { type TestRun, fmt, stageNow } from '@jugalis/core'
import { computed } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { hhmm } from '../../when'
import { word } from '../../words/word'

/** Leads through a test of several stages: one at a time, each with its pressure, its least time and its walk. */
const props = defineProps<{ test: TestRun }>()
const job = useJob()
const clock = useClock()
const now = computed(() => stageNow(props.test))
const bar = (value: number): string => fmt.pressureFine(value, job.reader)
const left = computed(() => Math.max(0, Math.ceil((now.value?.untilS ?? 0) - clock.nowS)))
const headline = computed(() => {
  const stage = now.value
  if (!stage) return ''
  const at = bar(stage.stage.bar)
  if (stage.to !== 'stay')
    return stage.to === 'raise' ? word('prove-raise-it-to', { at }) : word('prove-let-it-down-to', { at })
  if (stage.untilS === null && stage.stage.holdS) return word('prove-at-read-the-gauge', { at })
  if (left.value) return word('prove-stay-at-for-more', { at, clock: fmt.clock(left.value) })
  if (stage.stage.look) return word('prove-at-walk-the-line', { at })
  return stage.stage.holdS ? word('prove-the-time-at-is', { at }) : word('prove-stay-at-until-it', { at })
})
/** What ends the stage; it waits for its pressure and its least time. */
const action = computed(() => {
  const stage = now.value
  if (!stage) return ''
  if (stage.stage.look) return word('prove-walked-no-leak-seen')
  return stage.stage.holdS ? word('prove-this-stage-is-over') : word('prove-it-is-steady-go')
})
const waits = computed(() => {
  const stage = now.value
  if (!stage) return ''
  if (stage.reachedAtS === null) return word('prove-no-reading-at-this')
  return left.value ? word('prove-not-before', { at: hhmm(stage.untilS ?? 0, job.state.job.zone) }) : ''
})
async function done(): Promise<void> {
  const stage = now.value
  if (!stage || waits.value) return
  await job.write(
    [{ kind: 'stage-done', data: { testId: props.test.id, stage: stage.index, note: action.value } }],
    word('prove-stage-of-over', { index: stage.index + 1, of: stage.of }),
  )
}
</script>

<template>
  <section v-if="now" class="guide" aria-labelledby="stage">
    <h2 id="stage">{{ word('prove-stage-of', { index: now.index + 1, of: now.of, headline }) }}</h2>
    <ol class="bar" aria-hidden="true">
      <li v-for="(s, i) in test.stages" :key="i" :class="{ done: i < now.index, here: i === now.index }">
        {{ bar(s.bar) }}
      </li>
    </ol>
    <p v-if="now.to === 'raise'" class="caution">
      <strong>{{ word('ui-caution') }}</strong> {{ word('prove-nobody-stands-by-ends') }}
    </p>
    <div class="row">
      <button type="button" class="button" :class="{ main: !waits }" :disabled="Boolean(waits)" @click="done">
        {{ action }}
      </button>
      <span class="why">{{ waits }}</span>
    </div>
  </section>
</template>

<style scoped>
.guide {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 10px 14px;
  border: 2px solid var(--ink);
}
h2 {
  margin: 0;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.bar li {
  flex: 1 1 76px;
  padding: 2px 6px;
  border-top: 6px solid var(--edge);
  font: 500 16px var(--figures);
}
.bar .done {
  border-color: var(--ink);
}
.bar .here {
  border-color: var(--copper);
  font-weight: 700;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
.button {
  min-height: 56px;
}
@media (max-width: 720px) {
  .row .button {
    flex: 1 1 100%;
    min-height: 96px;
    font-size: 20px;
  }
}
</style>
