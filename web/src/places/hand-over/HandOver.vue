<script setup lang="ts">
import { type JointFacts, type LifeState, readingSaid, tagOrder } from '@jugalis/core'
import { computed, ref } from 'vue'
import SignSheet from '../../frame/SignSheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import JointGlyph from '../../tapes/JointGlyph.vue'
import { useView } from '../../view'
import { date, dated, hhmm, hhmmss } from '../../when'
import LongRows from '../../frame/LongRows.vue'
import { useMissing } from './use-missing'
import { word } from '../../words/word'
import { Figures, Said } from '../../words/said'

const job = useJob()
const view = useView()
const clock = useClock()
const session = useSession()
const zone = computed(() => job.state.job.zone)
const joints = computed(() => [...view.facts.values()].sort((a, b) => tagOrder(a.tag, b.tag)))
const good = computed(() => joints.value.filter((f) => f.inspection?.verdict === 'pass'))
const sections = computed(() => view.sections)
const proved = computed(() => sections.value.filter((a) => a.proved))
const { missing } = useMissing(joints, sections)
const headline = computed(() => {
  if (!joints.value.length) return word('hand-over-nothing-to-hand-over')
  return missing.value.length
    ? word('hand-over-of-joints-made-and', {
        good: good.value.length,
        joints: joints.value.length,
        proved: proved.value.length,
        sections: sections.value.length,
        missing: missing.value.length,
      })
    : word('hand-over-ready-to-hand-over')
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
/** Height of one row, as it mostly is, px. */
const ROW_PX = 33
const FIND_FROM = 30
const wanted = ref('')
/** Words are looked for in tag, size, names and outcome, all of them. */
const found = computed<readonly LifeRow[]>(() => {
  const words = wanted.value.toLowerCase().split(/\s+/).filter(Boolean)
  if (!words.length) return lives.value
  return lives.value.filter((row) => {
    const { facts, life } = row
    const text = `${facts.tag} ${facts.place.way.size} ${who(life)} ${fate(row)}`.toLowerCase()
    return words.every((one) => text.includes(one))
  })
})
const at = (life: LifeState, step: string | undefined): string => {
  const done = life.done.filter((x) => x.step === step).at(-1)
  return done ? `${date(done.latestS, zone.value)} ${hhmmss(done.latestS, zone.value)}` : ''
}
const homeStep = (f: JointFacts): string | undefined => f.steps.find((s) => s.reaches === 'made')?.id
const judged = (facts: JointFacts, life: LifeState): string => {
  const step = facts.steps.find((s) => s.reaches === 'verified')
  const done = life.done.filter((x) => x.step === step?.id).at(-1)
  if (!done || !step) return word('hand-over-not-judged')
  return step.reads
    .map((r) => readingSaid(r, done.readings[r.key], job.reader) || word('ui-not-read'))
    .join(', ')
}
const who = (life: LifeState): string => [...new Set(life.done.map((d) => job.nameOf(d.by)))].join(', ')
function fate(row: LifeRow): string {
  if (row.out) return word('hand-over-cut-out', { at: dated(row.life.cutOutAtS ?? 0, zone.value) })
  const verdict = row.facts.inspection?.verdict
  if (verdict === 'pass') return word('ui-judged-good')
  return verdict === 'fail' ? word('hand-over-failed') : word('hand-over-open')
}
const print = (): void => window.print()
const left = computed(() => missing.value.filter((m) => m.id !== 'sign'))
const statement = computed(() =>
  left.value.length
    ? word('hand-over-handed-over-with-things', { left: left.value.length })
    : word('hand-over-handed-over-with-nothing'),
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
    word('ui-signed'),
  )
}
</script>

<template>
  <div class="place">
    <div class="head">
      <h1><Figures :text="headline" /></h1>
      <p class="why">
        {{ word('hand-over-the-log-is-chained', { name: job.state.job.name }) }}
      </p>
      <RouterLink class="reach no-print" to="/verify">{{ word('hand-over-anybody-checks') }}</RouterLink>
      <p v-for="b in job.state.brought" :key="b.head" class="warn">
        {{
          word('hand-over-brought', {
            entries: b.entries,
            name: job.nameOf(b.by),
            at: dated(b.atS, zone),
            head: b.head.slice(0, 12),
          })
        }}
      </p>
    </div>
    <ul v-if="missing.length" class="missing" :aria-label="word('hand-over-missing')">
      <li v-for="m in missing" :key="m.id">
        <RouterLink class="reach" :to="m.to">{{ m.says }}</RouterLink>
      </li>
    </ul>
    <div class="buttons no-print">
      <a class="button main" :href="`/api/jobs/${job.jobId}/export.json`" download>{{
        word('hand-over-whole-job-json')
      }}</a>
      <a class="button" :href="`/api/jobs/${job.jobId}/log.csv`" download>{{
        word('hand-over-joint-log-csv')
      }}</a>
      <a class="button" :href="`/api/jobs/${job.jobId}/entries.csv`" download>{{
        word('hand-over-raw-log-csv')
      }}</a>
      <button type="button" class="button" @click="print">{{ word('ui-print') }}</button>
      <RouterLink class="button" :to="{ name: 'upkeep', params: { jobId: job.jobId } }">{{
        word('hand-over-upkeep')
      }}</RouterLink>
    </div>
    <section>
      <h2>{{ word('hand-over-joint-log') }}</h2>
      <p v-if="!lives.length" class="why">{{ word('hand-over-no-joint-has-been') }}</p>
      <p v-if="lives.length > FIND_FROM" class="find no-print">
        <input
          v-model="wanted"
          type="search"
          :aria-label="word('hand-over-find')"
          :placeholder="word('hand-over-find-by')"
        />
        <span role="status">{{ word('hand-over-found', { found: found.length, all: lives.length }) }}</span>
      </p>
      <div
        v-if="lives.length"
        class="scroll"
        role="region"
        :aria-label="word('hand-over-joint-log')"
        tabindex="0"
      >
        <table class="rows" :aria-label="word('hand-over-joint-log')" :aria-rowcount="found.length + 1">
          <thead>
            <tr>
              <th>
                <span class="spoken">{{ word('hand-over-state') }}</span>
              </th>
              <th>{{ word('ui-joint') }}</th>
              <th>{{ word('ui-size') }}</th>
              <th>{{ word('hand-over-life') }}</th>
              <th>{{ word('hand-over-home') }}</th>
              <th>{{ word('hand-over-by') }}</th>
              <th>{{ word('hand-over-read-when-judged') }}</th>
              <th>{{ word('hand-over-outcome') }}</th>
            </tr>
          </thead>
          <LongRows v-slot="{ row: r, index }" as="tbody" :rows="found" :row-px="ROW_PX">
            <tr :key="r.key" :class="{ out: r.out }" :aria-rowindex="index + 2">
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
              <td>{{ r.facts.place.way.size }}</td>
              <td>{{ r.life.no }}</td>
              <td>{{ at(r.life, homeStep(r.facts)) }}</td>
              <td>{{ who(r.life) }}</td>
              <td>{{ judged(r.facts, r.life) }}</td>
              <td>{{ fate(r) }}</td>
            </tr>
          </LongRows>
        </table>
      </div>
    </section>
    <section>
      <h2>{{ word('hand-over-tests') }}</h2>
      <p v-for="t in job.state.tests.values()" :key="t.id">
        <Said
          code="hand-over-at-with"
          :values="{
            date: date(t.begunAtS, zone),
            at: hhmm(t.begunAtS, zone),
            bar: t.bar,
            medium: t.medium,
            verdict: t.ended ? t.ended.verdict : 'running',
            tester: t.tester,
          }"
        >
          <template #section
            ><strong>{{ job.state.sections.get(t.sectionId)?.tag }}</strong></template
          >
        </Said>
      </p>
      <p v-if="!job.state.tests.size" class="why">{{ word('hand-over-no-test-yet') }}</p>
    </section>
    <section id="sign" class="sign">
      <h2>{{ word('hand-over-signatures') }}</h2>
      <p v-for="s in job.state.signed" :key="`${s.refId}${s.atS}`">
        <strong>{{ job.nameOf(s.by) }}</strong>, {{ dated(s.atS, zone) }}:
        {{ s.statement }}
      </p>
      <button v-if="joints.length" type="button" class="button no-print" @click="signing = true">
        {{ word('hand-over-sign-the-hand-over', { name: session.person?.name }) }}
      </button>
    </section>
    <SignSheet
      v-if="signing"
      :title="word('hand-over-sign-the-hand-over-2')"
      :statement="statement"
      :says="left.map((m) => m.says)"
      @close="signing = false"
      @sign="sign"
    />
    <p class="why">
      {{ word('hand-over-printed', { date: date(clock.nowS, zone), at: hhmm(clock.nowS, zone) }) }}
    </p>
  </div>
</template>

<style scoped>
.missing {
  columns: 340px;
  margin: 0;
  padding-inline-start: 20px;
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
