<script setup lang="ts">
import { type SectionAnswer, type TestRun, afterSteps, lookFirst } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { when } from '../../when'
import { word } from '../../words/word'
import EndedTests from './EndedTests.vue'
import HoldPoints from './HoldPoints.vue'
import SayMore from './SayMore.vue'
import './after.css'

/** What follows a test: where to look when it was lost, the steps when it held, may it be covered, its certificates. */
const props = defineProps<{ answer: SectionAnswer; tests: readonly TestRun[] }>()
const job = useJob()
const clock = useClock()
const section = computed(() => props.answer.section)
const ended = computed(() => props.tests.filter((t) => t.ended))
const last = computed(() => ended.value[0] ?? null)
const suspects = computed(() =>
  last.value?.ended?.verdict === 'lost' ? lookFirst(job.state, props.answer) : [],
)
const steps = computed(() => (props.answer.proved ? afterSteps(job.state, section.value) : []))
const at = (s: number): string => when(s, clock.nowS, job.state.job.zone)
/** A step of which more is said than that it was done. */
const more = ref<{ id: string; says: string } | null>(null)
const done = (id: string, says: string, said: { how?: string; fromS?: number } = {}): Promise<unknown> =>
  job.write(
    [{ kind: 'after-done', data: { sectionId: section.value.id, step: id, ...said } }, ...stateAfter(id)],
    word('prove-done-2', { says }),
  )
/** What was said of it besides. */
const moreOf = ({ how, fromS }: { how?: string; fromS?: number | null }): string =>
  [...(fromS == null ? [] : [word('prove-begun', { at: at(fromS) })]), ...(how ? [how] : [])]
    .map((says) => `, ${says}`)
    .join('')
/** Some steps change what the section is. */
function stateAfter(id: string): { kind: string; data: Record<string, unknown> }[] {
  const state = (
    { relieve: 'full', drain: 'drained', vent: 'drained', 'keep-full': 'full' } as Record<string, string>
  )[id]
  return state ? [{ kind: 'section-state', data: { sectionId: section.value.id, state } }] : []
}
</script>

<template>
  <div class="after">
    <p v-if="section.state === 'under pressure' && !answer.proved" class="off">
      <strong>{{ word('prove-is-still-under-pressure', { tag: section.tag }) }}</strong>
      <button type="button" class="button main" @click="done('relieve', word('prove-pressure-off'))">
        {{ word('prove-pressure-is-off') }}
      </button>
    </p>
    <section v-if="suspects.length" aria-labelledby="first">
      <h2 id="first">{{ word('prove-look-at-these-first') }}</h2>
      <ol>
        <li v-for="s in suspects" :key="s.jointId">
          <RouterLink :to="{ name: 'make', params: { jobId: job.jobId, jointId: s.jointId } }">{{
            s.tag
          }}</RouterLink>: {{ job.t(s.why) }}
        </li>
      </ol>
      <p class="caution">
        <strong>{{ word('ui-caution') }}</strong> {{ word('prove-let-the-pressure-off') }}
      </p>
    </section>
    <section v-if="steps.length" aria-labelledby="after">
      <h2 id="after">{{ word('prove-after-the-test') }}</h2>
      <ul class="after-list">
        <li v-for="s in steps" :key="s.id">
          <span class="grow"
            ><strong>{{ job.t(s.says) }}</strong>
            <span v-if="s.caution" class="who">{{
              word('prove-caution', { caution: job.t(s.caution) })
            }}</span>
            <span v-if="s.done" class="who"
              >{{ job.nameOf(s.done.by) }}, {{ at(s.done.atS) }}{{ moreOf(s.done) }}</span
            ></span
          >
          <button v-if="!s.done" type="button" class="button" @click="done(s.id, job.t(s.says))">
            {{ word('prove-done') }}
          </button>
          <button
            v-if="!s.done"
            type="button"
            class="figure-link"
            @click="more = { id: s.id, says: job.t(s.says) }"
          >
            {{ word('prove-say-how') }}
          </button>
        </li>
      </ul>
    </section>
    <SayMore
      v-if="more"
      :title="more.says"
      asks-since
      @close="more = null"
      @said="(said) => more && done(more.id, more.says, said)"
    />
    <HoldPoints :answer="answer" />
    <EndedTests v-if="ended.length" :answer="answer" :ended="ended" />
  </div>
</template>

<style scoped>
.after {
  display: flex;
  flex-direction: column;
  gap: 18px;
}
.off {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  margin: 0;
}
</style>
