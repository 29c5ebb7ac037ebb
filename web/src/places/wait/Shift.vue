<script setup lang="ts">
import { type JointFacts, placeHealth, shiftOf } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { when } from '../../when'
import { word } from '../../words/word'

/** What the next shift must know, in two minutes; nothing of what is done with. */
const job = useJob()
const view = useView()
const zone = computed(() => job.state.job.zone)
const at = (s: number): string => when(s, view.nowS, zone.value)
const shift = computed(() => shiftOf(job.state, view.facts.values(), view.looks, view.nowS))
const doubts = computed(() =>
  [...job.state.places].flatMap(([placeId, name]) => {
    const h = placeHealth(job.state, placeId, view.nowS - 86400, view.nowS)
    if (!job.state.readings.has(placeId)) return []
    const old = h.lastAtS !== null && view.nowS - h.lastAtS > 7200
    return [
      ...(old ? [word('wait-not-read-since', { name, at: at(h.lastAtS ?? 0) })] : []),
      ...(h.jumps.length ? [word('wait-jumps-of-the-probe', { name, jumps: h.jumps.length })] : []),
    ]
  }),
)
interface Line {
  key: string
  tag: string
  jointId?: string
  says: string
}
const of = (f: JointFacts, says: string): Line => ({ key: f.id, tag: f.tag, jointId: f.id, says })
const stepSays = (f: JointFacts, id: string): string => {
  const s = f.steps.find((x) => x.id === id)
  return s ? job.t(s.action) : id
}
const blocks = computed<{ title: string; lines: Line[] }[]>(() => {
  const s = shift.value
  return [
    {
      title: word('wait-under-pressure-or-vacuum'),
      lines: s.sections.map((x) => ({
        key: x.id,
        tag: x.tag,
        says: word('wait-is-nobody-cuts-or', { state: x.state }),
      })),
    },
    {
      title: word('ui-assembled-not-fixed'),
      lines: s.unfixed.map((f) => of(f, f.nextStep ? job.t(f.nextStep.does) : '')),
    },
    {
      title: word('wait-half-made'),
      lines: s.halfMade.map((x) =>
        of(
          x.facts,
          word(
            x.byS === null
              ? 'wait-last-step'
              : x.byS < view.nowS
                ? 'wait-last-step-over'
                : 'wait-last-step-until',
            { step: stepSays(x.facts, x.lastStep), at: at(x.lastAtS), by: x.byS === null ? '' : at(x.byS) },
          ),
        ),
      ),
    },
    {
      title: word('wait-judged-failed-still-in'),
      lines: s.failed.map((f) => of(f, word('wait-cut-out-and-make'))),
    },
    {
      title: word('wait-not-to-be-touched'),
      lines: s.dontTouch.map((x) =>
        of(
          x.facts,
          x.untilS === null ? word('wait-until-somebody-has-said') : word('wait-until', { at: at(x.untilS) }),
        ),
      ),
    },
    {
      title: word('wait-blankets-on'),
      lines: s.blanketsOn.map((b) => ({
        key: b.tool.id,
        tag: b.tool.name,
        says: word('wait-on-since', { at: at(b.sinceS) }),
      })),
    },
    {
      title: word('wait-to-look-at-again'),
      lines: s.toLookAt.map((f) =>
        of(f, f.inspection?.findings[0] ? job.t(f.inspection.findings[0]) : word('wait-not-judged')),
      ),
    },
    {
      title: word('wait-tools-not-good'),
      lines: s.toolsNotGood.map((t) => ({
        key: t.id,
        tag: t.name,
        says: word('wait-failed-its-trial', { how: t.proofs.at(-1)?.how ?? '' }),
      })),
    },
    {
      title: word('wait-hot-work-permits-in'),
      lines: s.permits.map((p) => ({
        key: p.number,
        tag: p.number,
        says: word('wait-until', { at: at(p.untilS) }),
      })),
    },
    {
      title: word('wait-no-pressure-yet'),
      lines: [...view.answers.values()]
        .filter((a) => !a.proved && !(a.readyAtS !== null && a.readyAtS <= view.nowS))
        .map((a) => ({
          key: a.section.id,
          tag: a.section.tag,
          says: word(a.readyAtS === null ? 'wait-at-no-time-yet' : 'wait-bar-from', {
            bar: a.section.testBar,
            at: a.readyAtS === null ? '' : at(a.readyAtS),
          }),
        })),
    },
    {
      title: word('wait-readings-in-doubt'),
      lines: doubts.value.map((says) => ({ key: says, tag: '', says })),
    },
  ].filter((b) => b.lines.length)
})
const headline = computed(() => {
  const s = shift.value
  const parts = [
    s.sections.length ? word('wait-under-pressure', { sections: s.sections.length }) : '',
    s.unfixed.length ? word('wait-not-fixed', { unfixed: s.unfixed.length }) : '',
    s.halfMade.length ? word('wait-half-made-2', { halfMade: s.halfMade.length }) : '',
    s.dontTouch.length ? word('wait-not-to-be-touched-2', { dontTouch: s.dontTouch.length }) : '',
    s.blanketsOn.length ? word('wait-blankets-are-on', { blankets: s.blanketsOn.length }) : '',
  ].filter(Boolean)
  return parts.length
    ? word('wait-for-the-next-shift', { parts: parts.join(', ') })
    : word('wait-for-the-next-shift-nothing')
})
const print = (): void => window.print()
const MOST = 40
</script>

<template>
  <div class="place">
    <div class="head">
      <h1>{{ headline }}</h1>
      <p class="why">{{ word('wait-as-of', { at: at(view.nowS), name: job.state.job.name }) }}</p>
    </div>
    <section v-for="b in blocks" :key="b.title">
      <h2>
        {{ b.title }} <span class="count">{{ b.lines.length }}</span>
      </h2>
      <p v-for="l in b.lines.slice(0, MOST)" :key="l.key" class="line">
        <RouterLink
          v-if="l.jointId"
          class="strong nowrap reach"
          :to="{ name: 'make', params: { jobId: job.jobId, jointId: l.jointId } }"
          >{{ l.tag }}</RouterLink><strong v-else-if="l.tag" class="nowrap">{{ l.tag }}</strong>
        <span>{{ l.says }}</span>
      </p>
      <p v-if="b.lines.length > MOST" class="why">
        {{ word('wait-and-more-2', { lines: b.lines.length - MOST }) }}
      </p>
    </section>
    <div class="buttons no-print">
      <button type="button" class="button main" @click="print">{{ word('wait-print-it') }}</button>
      <RouterLink class="button" :to="{ name: 'wait', params: { jobId: job.jobId } }">{{
        word('wait-back-to-wait')
      }}</RouterLink>
    </div>
  </div>
</template>

<style scoped>
h2 {
  display: flex;
  justify-content: space-between;
  max-width: 720px;
  border-bottom: 2px solid var(--ink);
}
.line {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 10px;
  max-width: 720px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
.line > span:only-child {
  grid-column: 1 / -1;
}
</style>
