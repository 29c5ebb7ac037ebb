<script setup lang="ts">
import { type JointFacts, type LifeState, fmt, readingSaid, tagOrder } from '@jugalis/core'
import { computed, ref } from 'vue'
import SignSheet from '../../frame/SignSheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import JointGlyph from '../../tapes/JointGlyph.vue'
import { useView } from '../../view'
import { date, hhmm, hhmmss } from '../../when'

const job = useJob()
const view = useView()
const clock = useClock()
const session = useSession()
const zone = computed(() => job.state.job.zone)
const joints = computed(() => [...view.facts.values()].sort((a, b) => tagOrder(a.tag, b.tag)))
const good = computed(() => joints.value.filter((f) => f.inspection?.verdict === 'pass'))
const sections = computed(() =>
  [...view.answers.values()].sort((a, b) => tagOrder(a.section.tag, b.section.tag)),
)
const proved = computed(() => sections.value.filter((a) => a.proved))
/** Joints of one line that are not made stand in one row once they are many. */
const MANY = 3
const notMade = computed(() => {
  const byLine = new Map<string, JointFacts[]>()
  for (const f of joints.value)
    if (f.homeAtS === null) byLine.set(f.place.line.id, [...(byLine.get(f.place.line.id) ?? []), f])
  const to = (f: JointFacts) => ({ name: 'make', params: { jobId: job.jobId, jointId: f.id } })
  return [...byLine.values()].flatMap((fs) => {
    const [first, last] = [fs[0] as JointFacts, fs.at(-1) as JointFacts]
    return fs.length > MANY
      ? [
          {
            id: first.id,
            says: `${fs.length} joints are not made: ${first.tag} to ${last.tag}.`,
            to: to(first),
          },
        ]
      : fs.map((f) => ({ id: f.id, says: `${f.tag} is not made.`, to: to(f) }))
  })
})
const missing = computed(() => [
  ...notMade.value,
  ...joints.value
    .filter((f) => f.homeAtS !== null && f.inspection?.verdict !== 'pass')
    .map((f) => ({
      id: f.id,
      says: f.inspection?.verdict === 'fail' ? `${f.tag} is judged failed.` : `${f.tag} is not judged good.`,
      to: { name: 'make', params: { jobId: job.jobId, jointId: f.id } },
    })),
  ...sections.value
    .filter((a) => !a.proved)
    .map((a) => ({
      id: a.section.id,
      says: `${a.section.tag} is not proved.`,
      to: { name: 'prove', params: { jobId: job.jobId, sectionId: a.section.id } },
    })),
  ...[...job.state.tags.values()]
    .filter((t) => !t.back)
    .map((t) => ({
      id: t.id,
      says: `${t.kind.slice(0, 1).toUpperCase()}${t.kind.slice(1)} is not back: ${t.where}.`,
      to: { name: 'prove', params: { jobId: job.jobId, sectionId: t.sectionId } },
    })),
  ...(signed.value.length
    ? []
    : [{ id: 'sign', says: 'Nobody has signed the job over.', to: { hash: '#sign' } }]),
])
const signed = computed(() => job.state.signed.filter((s) => s.what === 'job'))
const headline = computed(() => {
  if (!joints.value.length) return 'Nothing to hand over yet. The first made joint starts the log.'
  return missing.value.length
    ? `${good.value.length} of ${joints.value.length} joints made and judged good, ${proved.value.length} of ${sections.value.length} sections proved. ${missing.value.length} ${missing.value.length === 1 ? 'thing is' : 'things are'} missing.`
    : 'Ready to hand over: nothing is missing.'
})
interface LifeRow {
  key: string
  facts: JointFacts
  life: LifeState
  out: boolean
}
const lives = computed<LifeRow[]>(() =>
  joints.value.flatMap((facts) => [
    ...facts.past.map((life) => ({ key: `${facts.id} ${life.no}`, facts, life, out: true })),
    ...(facts.life
      ? [{ key: `${facts.id} ${facts.life.no}`, facts, life: facts.life as LifeState, out: false }]
      : []),
  ]),
)
const at = (life: LifeState, step: string | undefined): string => {
  const d = life.done.filter((x) => x.step === step).at(-1)
  return d ? `${date(d.latestS, zone.value)} ${hhmmss(d.latestS, zone.value)}` : ''
}
const homeStep = (f: JointFacts): string | undefined => f.steps.find((s) => s.reaches === 'made')?.id
const judged = (f: JointFacts, life: LifeState): string => {
  const step = f.steps.find((s) => s.reaches === 'verified')
  const d = life.done.filter((x) => x.step === step?.id).at(-1)
  if (!d || !step) return 'not judged'
  return step.reads.map((r) => readingSaid(r, d.readings[r.key], job.reader) || 'not read').join(', ')
}
const who = (life: LifeState): string => [...new Set(life.done.map((d) => job.nameOf(d.by)))].join(', ')
const fate = (r: LifeRow): string =>
  r.out
    ? `cut out ${hhmm(r.life.cutOutAtS ?? 0, zone.value)}`
    : r.facts.inspection?.verdict === 'pass'
      ? 'judged good'
      : r.facts.inspection?.verdict === 'fail'
        ? 'failed'
        : 'open'
const print = (): void => window.print()
const left = computed(() => missing.value.filter((m) => m.id !== 'sign'))
const statement = computed(() =>
  left.value.length
    ? `Handed over with ${left.value.length} ${left.value.length === 1 ? 'thing' : 'things'} missing, as listed.`
    : 'Handed over with nothing missing.',
)
const signing = ref(false)
async function sign(): Promise<void> {
  signing.value = false
  await job.write(
    [
      {
        kind: 'signed',
        data: {
          what: 'job',
          refId: job.jobId ?? '',
          statement: statement.value,
        },
      },
    ],
    'Signed.',
  )
}
</script>

<template>
  <div class="place">
    <div class="head">
      <h1>{{ headline }}</h1>
      <p class="why">
        {{ job.state.job.name }}. The log is chained: each entry carries the hash of the one before. It shows
        what was recorded; it is no code authority.
      </p>
    </div>
    <ul v-if="missing.length" class="missing" aria-label="Missing">
      <li v-for="m in missing" :key="m.id">
        <RouterLink class="reach" :to="m.to">{{ m.says }}</RouterLink>
      </li>
    </ul>
    <div class="buttons no-print">
      <a class="button main" :href="`/api/jobs/${job.jobId}/export.json`" download>Whole job, JSON</a>
      <a class="button" :href="`/api/jobs/${job.jobId}/log.csv`" download>Joint log, CSV</a>
      <a class="button" :href="`/api/jobs/${job.jobId}/entries.csv`" download>Raw log, CSV</a>
      <button type="button" class="button" @click="print">Print</button>
    </div>
    <section>
      <h2>Joint log</h2>
      <p v-if="!lives.length" class="why">No joint has been begun.</p>
      <div v-else class="scroll" role="region" aria-label="Joint log" tabindex="0">
        <table class="rows" aria-label="Joint log">
          <thead>
            <tr>
              <th><span class="spoken">State</span></th>
              <th>Joint</th>
              <th>Size</th>
              <th>Life</th>
              <th>Home</th>
              <th>By</th>
              <th>Read when judged</th>
              <th>Outcome</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in lives" :key="r.key" :class="{ out: r.out }">
              <td>
                <JointGlyph
                  v-if="view.looks.get(r.facts.id)"
                  :look="
                    r.out
                      ? {
                          ...view.looks.get(r.facts.id)!,
                          glyph: 'cutout',
                          inspected: false,
                          look: false,
                          life: 1,
                          word: { code: 'state-cutout', params: {} },
                        }
                      : view.looks.get(r.facts.id)!
                  "
                  :tag="r.facts.tag"
                  :height="18"
                />
              </td>
              <td class="strong">{{ r.facts.tag }}</td>
              <td>{{ r.facts.place.piece.size }}</td>
              <td>{{ r.life.no }}</td>
              <td>{{ at(r.life, homeStep(r.facts)) }}</td>
              <td>{{ who(r.life) }}</td>
              <td>{{ judged(r.facts, r.life) }}</td>
              <td>{{ fate(r) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
    <section>
      <h2>Tests</h2>
      <p v-for="t in job.state.tests.values()" :key="t.id">
        {{ date(t.begunAtS, zone) }} {{ hhmm(t.begunAtS, zone) }}:
        <strong>{{ view.answers.get(t.sectionId)?.section.tag }}</strong> at
        {{ fmt.pressure(t.bar, job.reader) }} with {{ t.medium }},
        {{ t.ended ? t.ended.verdict : 'running' }}, {{ t.tester }}.
      </p>
      <p v-if="!job.state.tests.size" class="why">No test yet.</p>
    </section>
    <section id="sign" class="sign">
      <h2>Signatures</h2>
      <p v-for="s in job.state.signed" :key="`${s.refId}${s.atS}`">
        <strong>{{ job.nameOf(s.by) }}</strong>, {{ date(s.atS, zone) }} {{ hhmm(s.atS, zone) }}:
        {{ s.statement }}
      </p>
      <button v-if="joints.length" type="button" class="button no-print" @click="signing = true">
        Sign the hand-over as {{ session.person?.name }}
      </button>
    </section>
    <SignSheet
      v-if="signing"
      title="Sign the hand-over"
      :statement="statement"
      :says="left.map((m) => m.says)"
      @close="signing = false"
      @sign="sign"
    />
    <p class="why">Printed {{ date(clock.nowS, zone) }} {{ hhmm(clock.nowS, zone) }}.</p>
  </div>
</template>

<style scoped>
.missing {
  columns: 340px;
  margin: 0;
  padding-left: 20px;
}
.missing li {
  padding: 0;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.buttons a {
  display: inline-flex;
  align-items: center;
  text-decoration: none;
}
.scroll {
  overflow-x: auto;
}
.out td {
  color: var(--soft);
}
.out .strong {
  text-decoration: line-through;
}
.sign {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: flex-start;
}
</style>
