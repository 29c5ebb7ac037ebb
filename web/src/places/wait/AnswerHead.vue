<script setup lang="ts">
import { type SectionAnswer, curedUnder, fmt, sourceOf, greatest } from '@jugalis/core'
import { computed, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { hhmm, when } from '../../when'

/** The answer as a headline, and what holds it back. Wait and Prove speak with the same words. */
const props = defineProps<{ answer: SectionAnswer }>()
const job = useJob()
const clock = useClock()
const why = ref(false)
const zone = computed(() => job.state.job.zone)
const bar = (b: number): string => fmt.pressure(b, job.reader)
const at = (s: number): string => when(s, clock.nowS, zone.value)
const headline = computed(() => {
  const a = props.answer
  const tag = a.section.tag
  const test = bar(a.section.testBar)
  if (!a.joints.length) return `${tag} has no joints yet. Paint it again in Set out.`
  if (a.proved)
    return `${tag} is proved at ${bar(a.lastTest?.bar ?? 0)}. Held ${when(a.lastTest?.ended?.atS ?? 0, clock.nowS, zone.value)}.`
  const first = a.blockers[0]
  const later = a.readyAtS !== null ? ` ${test} from ${at(a.readyAtS)}.` : planned.value
  if (first) return `${tag} may take nothing yet: ${nothing.value}.${later}`
  if (a.allowedBar === null || a.allowedBar >= a.section.testBar - 1e-6)
    return `${tag} is ready for ${test}, by this rule, with these readings.`
  return `${tag} may take ${bar(a.allowedBar)} now,${later || ' no figure above.'}`
})
/** Joints that allow nothing, those of one kind together: "Q2-07 and Q2-08 are not made". */
const nothing = computed(() => {
  const all = props.answer.blockers
  const first = all[0]
  if (!first) return ''
  const alike = all.filter((b) => b.says.code === first.says.code).map((b) => String(b.says.params.joint))
  const rest = all.length - alike.length
  const said = job.t({ ...first.says, params: { joint: list(alike) } })
  return `${alike.length > 1 ? said.replace(' is ', ' are ').replace(' has ', ' have ') : said}${rest ? `, ${rest} more ${rest === 1 ? 'waits' : 'wait'}` : ''}`
})
const list = (tags: string[]): string => {
  const shown = tags.slice(0, 3)
  if (tags.length > 3) return `${shown.join(', ')} and ${tags.length - 3} more`
  return shown.length > 1 ? `${shown.slice(0, -1).join(', ')} and ${shown.at(-1)}` : (shown[0] ?? '')
}
/** Every other part is a tag, which does not break at its hyphen. */
const parts = computed(() => headline.value.split(/(\b[A-Za-z0-9]+-[A-Za-z0-9]+\b)/))
const planned = computed(() => {
  const a = props.answer
  const open = a.joints.filter((j) => j.facts.homeAtS === null)
  const lastHome = greatest(open.map((j) => j.plannedHomeS ?? 0))
  if (!open.length || a.plannedReadyAtS === null) return ''
  return ` ${bar(a.section.testBar)} from ${at(a.plannedReadyAtS)} if ${open
    .map((j) => j.facts.tag)
    .slice(0, 3)
    .join(', ')} ${open.length === 1 ? 'is' : 'are'} home by ${hhmm(lastHome, zone.value)}.`
})
const held = computed(() => {
  const j = props.answer.holdsBack
  if (!j || props.answer.proved) return ''
  const from = j.facts.homeAtS
  if (from === null) return `Held back by ${j.facts.tag} (${j.facts.place.piece.size}, not made yet).`
  const under = curedUnder(job.state, j.facts, j.facts.ctx.pin.table, clock.nowS)
  const cold =
    under?.coldestC == null ? ', no reading' : `, coldest wall ${fmt.temperature(under.coldestC, job.reader)}`
  const passed = under?.passed
    ? ` One reading of ${fmt.temperature(under.passed.value, job.reader)} at ${hhmm(under.passed.atS, zone.value)} was too short to count.`
    : ''
  const damp =
    under?.dampFromS == null ? '' : ` Damp air since ${at(under.dampFromS)}: its cure takes half again.`
  return `Held back by ${j.facts.tag} (${j.facts.place.piece.size}, home ${at(from)}${cold}).${damp}${passed}`
})
const moved = computed(() => {
  const m = props.answer.moved
  if (!m || props.answer.proved) return ''
  return `Moved from ${at(m.fromAtS)} to ${at(m.toAtS)}: the wall fell to ${fmt.temperature(m.temperatureC, job.reader)} at ${hhmm(m.atS, zone.value)}.`
})
const readings = computed(() => {
  const to = props.answer.readingsTo
  if (to === null) return 'No readings here: no time can be given.'
  const age = clock.nowS - to
  return age > 7200
    ? `Last reading ${fmt.duration(age)} ago: the colder of the last two is held on.`
    : `With readings up to ${hhmm(to, zone.value)}.`
})
const sources = computed(() => {
  const ids = new Set<string>()
  for (const j of props.answer.joints) {
    const f = j.facts
    if (f.method && f.spec !== null && f.life)
      for (const r of f.method.pressure(f.spec, f.life, f.ctx)) ids.add(r.source)
    if (f.movable.value !== null) ids.add(f.movable.source)
  }
  return [...ids].map(sourceOf)
})
</script>

<template>
  <div class="head">
    <h1>
      <button
        type="button"
        class="figure-link plain"
        :aria-label="`${headline} Where this comes from`"
        @click="why = true"
      >
        <span v-for="(part, i) in parts" :key="i" :class="{ nowrap: i % 2 === 1 }">{{ part }}</span>
      </button>
    </h1>
    <p class="why">{{ held }} {{ moved }}</p>
    <p class="why">
      {{ readings }}
      {{
        answer.mode === 'coldest'
          ? 'The coldest reading rules.'
          : 'Each hour counts at its own temperature: for planning, not for sign-off.'
      }}
    </p>
    <Sheet v-if="why" title="Where these times come from" @close="why = false">
      <p v-for="s in sources" :key="s.id">
        {{ s.reference }}<template v-if="s.edition">, {{ s.edition }}</template
        >. <strong>{{ s.kind.replace('-', ' ') }}</strong>. {{ s.note }}
      </p>
      <p v-if="!sources.length">No joint has a figure yet.</p>
      <p class="why">
        By this rule, with these readings. Local code, the maker and licensed practice come first.
      </p>
      <button type="button" class="button" @click="why = false">Close</button>
    </Sheet>
  </div>
</template>

<style scoped>
.plain {
  text-decoration: none;
  text-align: left;
}
.plain:hover {
  text-decoration: underline dotted 2px;
}
</style>
