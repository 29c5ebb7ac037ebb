<script setup lang="ts">
import { type JointFacts, type LifeState, MARKS_APART, readingSaid } from '@jugalis/core'
import { computed, ref } from 'vue'
import LongRows from '../../frame/LongRows.vue'
import { useJob } from '../../stores/job'
import JointGlyph from '../../tapes/JointGlyph.vue'
import { useView } from '../../view'
import { date, dated, hhmmss } from '../../when'
import { word } from '../../words/word'

/** The joint log as people keep it: a row for each life of each joint. */
const props = defineProps<{ joints: readonly JointFacts[] }>()
const job = useJob()
const view = useView()
const zone = computed(() => job.state.job.zone)
interface LifeRow {
  key: string
  facts: JointFacts
  life: LifeState
  out: boolean
}
const lives = computed<LifeRow[]>(() =>
  props.joints.flatMap((facts) => [
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
  const marks = done.readings[MARKS_APART.key] === undefined ? [] : [MARKS_APART]
  return [...step.reads, ...marks]
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
</script>

<template>
  <div>
    <p v-if="!lives.length" class="why">{{ word('hand-over-no-joint-has-been') }}</p>
    <p v-if="lives.length > FIND_FROM" class="find no-print">
      <input
        v-model="wanted"
        class="looked-for"
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
  </div>
</template>

<style scoped>
.find {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  margin: 8px 0;
}
.find input {
  flex: 0 1 340px;
  min-width: 0;
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
</style>
