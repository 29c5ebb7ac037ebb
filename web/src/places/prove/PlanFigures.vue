<script setup lang="ts">
import { type SectionAnswer, fmt, litresToRaise, planOf } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import PlanSheet from './PlanSheet.vue'
import { ruleName } from './rule-names'
import { useProve } from './use-prove'
import { named, told, word } from '../../words/word'

const props = defineProps<{ answer: SectionAnswer }>()
const job = useJob()
const editing = ref(false)
const { section, contents, limits, rule, filling, ends, gauge, energy } = useProve(
  computed(() => props.answer),
)
const plan = computed(() => planOf(props.answer.section))
const bar = (b: number): string => fmt.pressure(b, job.reader)
const fine = (b: number): string => fmt.pressureFine(b, job.reader)
const litres = (l: number): string => fmt.volume(l, job.reader)
const rows = computed(() => {
  const out: [string, string][] = []
  const s = section.value
  const c = contents.value
  if (!s || !c) return out
  out.push([
    word('ui-rule'),
    word('prove-rule-with', { rule: ruleName(plan.value.rule), medium: named(plan.value.medium) }),
  ])
  out.push([
    word('prove-test'),
    word('prove-at-the-gauge-held', { bar: bar(s.testBar), holdS: s.holdS, fine: fine(s.allowedDropBar) }),
  ])
  if (ends.value)
    out.push([
      word('prove-static-head'),
      word('prove-then-at-the-lowest', {
        low: fine(ends.value.atLowBar),
        high: fine(ends.value.atHighBar),
      }),
    ])
  const weak = limits.value[0]
  out.push([
    word('ui-weakest-part'),
    weak
      ? word('prove-the-gauge-may-show', {
          name: weak.name,
          bar: bar(weak.ratingBar),
          factor: fmt.number(weak.factor, 2),
          isFactor: weak.factor < 1 ? 'yes' : 'no',
          fine: fine(weak.atGaugeBar),
        })
      : word('prove-no-rating-was-said'),
  ])
  if (gauge.value)
    out.push([
      word('ui-gauge'),
      word('prove-range', { from: bar(gauge.value.minBar), to: bar(gauge.value.maxBar) }),
    ])
  out.push([
    word('prove-holds'),
    `${litres(c.litres)}${c.unknown ? word('prove-and-pieces-of-unknown', { unknown: c.unknown }) : ''}`,
  ])
  if (filling.value && plan.value.medium === 'water')
    out.push([
      word('prove-fill'),
      word('prove-no-faster-than-min', {
        litresPerMin: filling.value.litresPerMin,
        minutes: fmt.number(filling.value.minutes, filling.value.minutes < 10 ? 1 : 0),
      }),
    ])
  const raise = litresToRaise(s, c)
  if (raise !== null)
    out.push([word('prove-raise'), word('prove-from-full-to-the', { litres: litres(raise) })])
  if (rule.value?.reliefBar)
    out.push([word('prove-relief-valve'), word('prove-set-at-most-to', { fine: fine(rule.value.reliefBar) })])
  if (rule.value?.testMinBar)
    out.push([
      word('prove-at-least'),
      word('prove-at-the-highest-fitting', { fine: fine(rule.value.testMinBar) }),
    ])
  if (energy.value)
    out.push([
      word('prove-energy'),
      word('prove-kj-like-of-tnt', {
        energyJ: fmt.number(energy.value.energyJ / 1e3, 0),
        tntKg: energy.value.tntKg,
        distanceM: energy.value.distanceM * 1000,
      }),
    ])
  return out
})
</script>

<template>
  <section aria-labelledby="plan">
    <h2 id="plan">{{ word('prove-plan') }}</h2>
    <dl>
      <template v-for="[name, says] in rows" :key="name">
        <dt>{{ name }}</dt>
        <dd>{{ says }}</dd>
      </template>
    </dl>
    <table v-if="rule && rule.stages.length > 1" class="rows" :aria-label="word('prove-stages')">
      <thead>
        <tr>
          <th>{{ word('prove-stage') }}</th>
          <th>{{ word('ui-pressure') }}</th>
          <th>{{ word('prove-at-least') }}</th>
          <th>
            <span class="spoken">{{ word('prove-look') }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(st, i) in rule.stages" :key="i">
          <td>{{ i + 1 }} {{ st.name }}</td>
          <td>{{ fine(st.bar) }}</td>
          <td>{{ st.holdS ? fmt.duration(st.holdS) : word('prove-until-steady') }}</td>
          <td>{{ st.look ? word('prove-walk-the-line') : '' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="f in rule?.findings ?? []" :key="f.code" :class="f.level === 'stop' ? 'refusal' : 'why'">
      {{ told(f) }}
    </p>
    <button type="button" class="button" @click="editing = true">{{ word('prove-change-the-plan') }}</button>
    <PlanSheet v-if="editing" :section="answer.section" @close="editing = false" />
  </section>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 6px 18px;
  margin: 0 0 12px;
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
  font-weight: 600;
}
</style>
