<script setup lang="ts">
import { type SectionAnswer, curedUnder, sourceOf } from '@jugalis/core'
import { computed, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { hhmm, when } from '../../when'
import { Figures } from '../../words/said'
import { named, word } from '../../words/word'
import { answerHead } from './answer-said'

/** The answer as a headline, and what holds it back. Wait and Prove speak with the same words. */
const props = defineProps<{ answer: SectionAnswer }>()
const job = useJob()
const clock = useClock()
const why = ref(false)
const zone = computed(() => job.state.job.zone)
const at = (s: number): string => when(s, clock.nowS, zone.value)
const headline = computed(() => answerHead(props.answer, at))
const held = computed(() => {
  const slowest = props.answer.holdsBack
  if (!slowest || props.answer.proved) return ''
  const from = slowest.facts.homeAtS
  if (from === null)
    return word('wait-held-back-by-not', { tag: slowest.facts.tag, piece: slowest.facts.place.way.size })
  const under = curedUnder(job.state, slowest.facts, slowest.facts.ctx.pin.table, clock.nowS)
  const coldestC = under?.coldestC ?? null
  const passed = under?.passed
    ? word('wait-one-reading-of-at', {
        passed: under.passed.value,
        at: at(under.passed.atS),
      })
    : ''
  const damp = under?.dampFromS == null ? '' : word('wait-damp-air-since-its', { at: at(under.dampFromS) })
  return word(coldestC === null ? 'wait-held-back-unread' : 'wait-held-back-by-home', {
    tag: slowest.facts.tag,
    piece: slowest.facts.place.way.size,
    at: at(from),
    coldestC,
    damp,
    passed,
  })
})
const moved = computed(() => {
  const moved = props.answer.moved
  if (!moved || props.answer.proved) return ''
  return word('wait-moved-from-to-the', {
    from: at(moved.fromAtS),
    to: at(moved.toAtS),
    temperatureC: moved.temperatureC,
    when: at(moved.atS),
  })
})
const readings = computed(() => {
  const to = props.answer.readingsTo
  if (to === null) return word('wait-no-readings-here-no')
  const age = clock.nowS - to
  return age > 7200
    ? word('wait-last-reading-ago-the', { age })
    : word('wait-with-readings-up-to', { at: hhmm(to, zone.value) })
})
const sources = computed(() => {
  const ids = new Set<string>()
  for (const joint of props.answer.joints) {
    const facts = joint.facts
    if (facts.method && facts.spec !== null && facts.life)
      for (const ramp of facts.method.pressure(facts.spec, facts.life, facts.ctx)) ids.add(ramp.source)
    if (facts.movable.value !== null) ids.add(facts.movable.source)
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
        :aria-label="word('wait-where-this-comes-from', { headline })"
        @click="why = true"
      >
        <Figures :text="headline" />
      </button>
    </h1>
    <p class="why">{{ held }} {{ moved }}</p>
    <p class="why">
      {{ readings }}
      {{
        answer.mode === 'coldest' ? word('wait-the-coldest-reading-rules') : word('wait-each-hour-counts-at')
      }}
    </p>
    <Sheet v-if="why" :title="word('wait-where-these-times-come')" @close="why = false">
      <p v-for="s in sources" :key="s.id">
        <span lang="en"
          >{{ s.reference }}<template v-if="s.edition">, {{ s.edition }}</template></span
        >. <strong>{{ named(s.kind) }}</strong>. <span lang="en">{{ s.note }}</span>
      </p>
      <p v-if="!sources.length">{{ word('wait-no-joint-has-a') }}</p>
      <p class="why">
        {{ word('wait-by-this-rule-with') }}
      </p>
      <button type="button" class="button" @click="why = false">{{ word('ui-close') }}</button>
    </Sheet>
  </div>
</template>

<style scoped>
.plain {
  text-decoration: none;
  text-align: start;
}
.plain:hover {
  text-decoration: underline dotted 2px;
}
</style>
