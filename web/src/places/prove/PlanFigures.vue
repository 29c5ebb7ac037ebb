<script setup lang="ts">
import { type SectionAnswer, fmt, litresToRaise, planOf, say } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import PlanSheet from './PlanSheet.vue'
import { ruleName } from './rule-names'
import { useProve } from './use-prove'
import { counted } from '../../counted'

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
  out.push(['Rule', `${ruleName(plan.value.rule)}, with ${plan.value.medium}`])
  out.push([
    'Test',
    `${bar(s.testBar)} at the gauge, held ${fmt.duration(s.holdS)}, at most ${fine(s.allowedDropBar)} lost`,
  ])
  if (ends.value)
    out.push([
      'Static head',
      `then ${fine(ends.value.atLowBar)} at the lowest point, ${fine(ends.value.atHighBar)} at the highest`,
    ])
  const weak = limits.value[0]
  out.push([
    'Weakest part',
    weak
      ? `${weak.name}: ${bar(weak.ratingBar)}${weak.factor < 1 ? ` (${fmt.number(weak.factor, 2)} of it when warm)` : ''}; the gauge may show ${fine(weak.atGaugeBar)}`
      : 'no rating was said: name the parts below',
  ])
  if (gauge.value) out.push(['Gauge', `range ${bar(gauge.value.minBar)} to ${bar(gauge.value.maxBar)}`])
  out.push([
    'Holds',
    `${litres(c.litres)}${c.unknown ? `, and ${counted(c.unknown, 'piece')} of unknown length` : ''}`,
  ])
  if (filling.value && plan.value.medium === 'water')
    out.push([
      'Fill',
      `no faster than ${fmt.print(filling.value.litresPerMin, 'flow', job.reader)}: ${fmt.number(filling.value.minutes, filling.value.minutes < 10 ? 1 : 0)} min, vents open at the high points`,
    ])
  const raise = litresToRaise(s, c)
  if (raise !== null)
    out.push([
      'Raise',
      `${litres(raise)} from full to the test pressure; what goes in beyond that tells of air shut in`,
    ])
  if (rule.value?.reliefBar) out.push(['Relief valve', `set at most to ${fine(rule.value.reliefBar)}`])
  if (rule.value?.testMinBar)
    out.push([
      'At least',
      `${fine(rule.value.testMinBar)} at the highest fitting: below that an unpressed joint may hold`,
    ])
  if (energy.value)
    out.push([
      'Energy',
      `${fmt.number(energy.value.energyJ / 1e3, 0)} kJ, like ${fmt.weight(energy.value.tntKg, job.reader)} of TNT: people ${fmt.distance(energy.value.distanceM * 1000, job.reader)} away`,
    ])
  return out
})
</script>

<template>
  <section aria-labelledby="plan">
    <h2 id="plan">Plan</h2>
    <dl>
      <template v-for="[name, says] in rows" :key="name">
        <dt>{{ name }}</dt>
        <dd>{{ says }}</dd>
      </template>
    </dl>
    <table v-if="rule && rule.stages.length > 1" class="rows" aria-label="Stages">
      <thead>
        <tr>
          <th>Stage</th>
          <th>Pressure</th>
          <th>At least</th>
          <th><span class="spoken">Look</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(st, i) in rule.stages" :key="i">
          <td>{{ i + 1 }} {{ st.name }}</td>
          <td>{{ fine(st.bar) }}</td>
          <td>{{ st.holdS ? fmt.duration(st.holdS) : 'until steady' }}</td>
          <td>{{ st.look ? 'walk the line' : '' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="f in rule?.findings ?? []" :key="f.code" :class="f.level === 'stop' ? 'refusal' : 'why'">
      {{ say(f, job.reader) }}
    </p>
    <button type="button" class="button" @click="editing = true">Change the plan…</button>
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
