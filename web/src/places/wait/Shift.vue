<script setup lang="ts">
import { type JointFacts, fmt, placeHealth, shiftOf } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { when } from '../../when'

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
      ...(old ? [`${name}: not read since ${at(h.lastAtS ?? 0)}.`] : []),
      ...(h.jumps.length ? [`${name}: ${h.jumps.length} jumps of the probe wait for a word.`] : []),
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
      title: 'Under pressure or vacuum',
      lines: s.sections.map((x) => ({
        key: x.id,
        tag: x.tag,
        says: `is ${x.state}. Nobody cuts or opens it.`,
      })),
    },
    {
      title: 'Assembled, not fixed',
      lines: s.unfixed.map((f) => of(f, f.nextStep ? job.t(f.nextStep.does) : '')),
    },
    {
      title: 'Half made',
      lines: s.halfMade.map((x) =>
        of(
          x.facts,
          `${stepSays(x.facts, x.lastStep)}, ${at(x.lastAtS)}${x.byS === null ? '' : x.byS < view.nowS ? `; its time ended ${at(x.byS)}` : `; until ${at(x.byS)}`}.`,
        ),
      ),
    },
    {
      title: 'Judged failed, still in the line',
      lines: s.failed.map((f) => of(f, 'Cut out and make again.')),
    },
    {
      title: 'Not to be touched',
      lines: s.dontTouch.map((x) =>
        of(
          x.facts,
          x.untilS === null ? 'until somebody has said when: no figure.' : `until ${at(x.untilS)}.`,
        ),
      ),
    },
    {
      title: 'Blankets on',
      lines: s.blanketsOn.map((b) => ({
        key: b.tool.id,
        tag: b.tool.name,
        says: `on since ${at(b.sinceS)}.`,
      })),
    },
    {
      title: 'To look at again',
      lines: s.toLookAt.map((f) =>
        of(f, f.inspection?.findings[0] ? job.t(f.inspection.findings[0]) : 'not judged.'),
      ),
    },
    {
      title: 'Tools not good',
      lines: s.toolsNotGood.map((t) => ({
        key: t.id,
        tag: t.name,
        says: `failed its trial (${t.proofs.at(-1)?.how ?? ''}).`,
      })),
    },
    {
      title: 'Hot-work permits in force',
      lines: s.permits.map((p) => ({ key: p.number, tag: p.number, says: `until ${at(p.untilS)}.` })),
    },
    {
      title: 'No pressure yet',
      lines: [...view.answers.values()]
        .filter((a) => !a.proved && !(a.readyAtS !== null && a.readyAtS <= view.nowS))
        .map((a) => ({
          key: a.section.id,
          tag: a.section.tag,
          says: `${fmt.pressure(a.section.testBar, job.reader)} ${a.readyAtS === null ? 'at no time yet: joints are not made or have no figure' : `from ${at(a.readyAtS)}`}.`,
        })),
    },
    { title: 'Readings in doubt', lines: doubts.value.map((says) => ({ key: says, tag: '', says })) },
  ].filter((b) => b.lines.length)
})
const headline = computed(() => {
  const s = shift.value
  const parts = [
    s.sections.length ? `${s.sections.length} under pressure` : '',
    s.unfixed.length ? `${s.unfixed.length} not fixed` : '',
    s.halfMade.length ? `${s.halfMade.length} half made` : '',
    s.dontTouch.length ? `${s.dontTouch.length} not to be touched` : '',
    s.blanketsOn.length
      ? `${s.blanketsOn.length} ${s.blanketsOn.length === 1 ? 'blanket' : 'blankets'} on`
      : '',
  ].filter(Boolean)
  return parts.length
    ? `For the next shift: ${parts.join(', ')}.`
    : 'For the next shift: nothing is left half done.'
})
const print = (): void => window.print()
const MOST = 40
</script>

<template>
  <div class="place">
    <div class="head">
      <h1>{{ headline }}</h1>
      <p class="why">As of {{ at(view.nowS) }}, {{ job.state.job.name }}.</p>
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
      <p v-if="b.lines.length > MOST" class="why">and {{ b.lines.length - MOST }} more.</p>
    </section>
    <div class="buttons no-print">
      <button type="button" class="button main" @click="print">Print it</button>
      <RouterLink class="button" :to="{ name: 'wait', params: { jobId: job.jobId } }"
        >Back to Wait</RouterLink
      >
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
