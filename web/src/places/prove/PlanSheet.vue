<script setup lang="ts">
import { USUAL, type Section, TEST_RULES, type TestRuleId, contentsOf, planOf, testPlan } from '@jugalis/core'
import { ElInput, ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import { computed, reactive, ref } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { RULE_NAMES } from './rule-names'

/** How a section is tested and what it is: rule, pressures, heights, what it lies behind. */
const props = defineProps<{ section: Section }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const plan = planOf(props.section)
const text = (n: number | null): string => (n === null ? '' : String(n))
const typed = reactive({
  rule: plan.rule ?? 'custom',
  medium: plan.medium as 'water' | 'air' | 'nitrogen',
  axial: plan.axial,
  keep: plan.keep,
  valve: plan.valve ?? '',
  hold: text(props.section.holdS / 60),
  air: text(plan.airPct),
  ratio: text(plan.stressRatio),
})
const mm = (m: number | null): number | null => (m === null ? null : m * 1000)
const metres = (v: number | null): number | null => (v === null ? null : v / 1000)
/** Pressures in bar, heights in mm, the temperature in °C. */
const given = reactive<Record<Given, number | null>>({
  design: plan.designBar,
  working: props.section.workingBar,
  test: props.section.testBar,
  drop: props.section.allowedDropBar,
  temperature: plan.temperatureC,
  gauge: mm(plan.gaugeM),
  low: mm(plan.lowM),
  high: mm(plan.highM),
})
const tried = ref(false)
const fault = ref('')
const read = (s: string): number | null => {
  const t = s.trim().replace(',', '.')
  return t === '' ? null : Number(t)
}
/** A figure that can't be taken as it stands counts as not given. */
const sure = (v: number | null): number | null => (Number.isNaN(v) ? null : v)
const contents = computed(() => contentsOf(job.state, props.section))
/** What the rule says for the pressures that are typed; null for a rule of one's own, or while one is missing. */
const said = computed(() => {
  if (typed.rule === 'custom') return null
  return testPlan({
    rule: typed.rule as TestRuleId,
    designBar: sure(given.design),
    workingBar: sure(given.working),
    materials: contents.value.materials,
    odMm: contents.value.largestOdMm,
    stressRatio: read(typed.ratio),
    custom: null,
  })
})
const figures = computed(() => (said.value && !('missing' in said.value) ? said.value : null))
const MISSING = { designBar: 'the design pressure', workingBar: 'the working pressure' } as const
function take(): void {
  if (!figures.value) return
  const f = figures.value
  // All of it: what one rule says is never left standing under another.
  given.test = f.testBar
  given.drop = f.allowedDropBar
  typed.hold = f.holdS ? String(f.holdS / 60) : ''
  typed.medium = f.medium
}
async function save(): Promise<void> {
  tried.value = true
  const numbers = { ...given, hold: read(typed.hold), air: read(typed.air), ratio: read(typed.ratio) }
  if (Object.values(numbers).some((v) => v !== null && !Number.isFinite(v)))
    return void (fault.value = 'One figure above can\u2019t be taken as it stands.')
  if (!numbers.test) return void (fault.value = 'The test pressure is missing.')
  if (numbers.drop === null)
    return void (fault.value = 'Say how far it may fall over the hold: by this rule that is left to you.')
  if (!numbers.hold || numbers.hold <= 0)
    return void (fault.value = 'Say how long it is held: by this rule that is left to you.')
  if (numbers.low !== null && numbers.high !== null && numbers.low > numbers.high)
    return void (fault.value = 'The lowest point lies above the highest one.')
  fault.value = ''
  const known = (o: Record<string, unknown>): Record<string, unknown> =>
    Object.fromEntries(Object.entries(o).filter(([, v]) => v !== null && v !== ''))
  await job.write(
    [
      {
        kind: 'section-set',
        data: {
          sectionId: props.section.id,
          tag: props.section.tag,
          jointIds: props.section.jointIds,
          workingBar: numbers.working ?? 0,
          testBar: numbers.test,
          holdS: numbers.hold * 60,
          allowedDropBar: numbers.drop,
          ratingBar: props.section.ratingBar,
        },
      },
      {
        kind: 'section-plan',
        data: known({
          sectionId: props.section.id,
          rule: typed.rule,
          medium: typed.medium,
          axial: typed.axial,
          keep: typed.keep,
          valve: typed.valve.trim(),
          designBar: numbers.design,
          temperatureC: numbers.temperature,
          gaugeM: metres(numbers.gauge),
          lowM: metres(numbers.low),
          highM: metres(numbers.high),
          airPct: numbers.air,
          stressRatio: numbers.ratio,
        }),
      },
    ],
    `The plan of ${props.section.tag} is set.`,
  )
  emit('close')
}
type Given = 'design' | 'working' | 'test' | 'drop' | 'temperature' | 'gauge' | 'low' | 'high'
const PRESSURES: readonly (readonly [Given, string])[] = [
  ['design', 'Design'],
  ['working', 'Working'],
  ['test', 'Test at the gauge'],
  ['drop', 'Fall allowed'],
]
/** Any height may be meant: there is none to ask about. */
const HEIGHTS: readonly (readonly [Given, string])[] = [
  ['gauge', 'Gauge, height'],
  ['low', 'Lowest point'],
  ['high', 'Highest point'],
]
</script>

<template>
  <Sheet :title="`Plan of ${section.tag}`" @close="emit('close')">
    <p class="why">A rule gives figures; local code and the engineer decide.</p>
    <label class="field"
      >By
      <ElSelect :teleported="false" v-model="typed.rule" size="large" aria-label="Rule">
        <ElOption v-for="r in TEST_RULES" :key="r" :value="r" :label="RULE_NAMES[r]" /></ElSelect
    ></label>
    <div class="grid">
      <QuantityField
        v-for="[key, label] in PRESSURES"
        :key="key"
        v-model="given[key]"
        :label="label"
        as="pressure"
        :usual="key === 'drop' ? USUAL.fall : USUAL.linePressure"
        :least="0"
        :most="1000"
        :missing="tried && (key === 'test' || key === 'drop')"
      />
      <label class="field"
        >Hold, minutes<ElInput
          v-model="typed.hold"
          size="large"
          inputmode="decimal"
          aria-label="Hold, minutes"
      /></label>
      <label class="field"
        >Stress ratio<ElInput
          v-model="typed.ratio"
          size="large"
          inputmode="decimal"
          aria-label="Stress ratio"
      /></label>
    </div>
    <div v-if="said && 'missing' in said" class="why">
      This rule needs {{ MISSING[said.missing as keyof typeof MISSING] ?? said.missing }}.
    </div>
    <div v-if="figures" class="says">
      <p>
        By it: {{ job.t({ code: 'plan-says', params: { bar: figures.testBar, holdS: figures.holdS } }) }}
        <button type="button" class="button" @click="take">Use it</button>
      </p>
      <p v-for="f in figures.findings" :key="f.code" :class="f.level === 'stop' ? 'refusal' : 'why'">
        {{ job.t(f) }}
      </p>
    </div>
    <ChipChoice
      v-model="typed.medium"
      label="With"
      :options="[
        ['water', 'water'],
        ['air', 'air'],
        ['nitrogen', 'nitrogen'],
      ]"
    />
    <ChipChoice
      v-model="typed.axial"
      label="May it grow along?"
      :options="[
        ['free', 'may grow along'],
        ['anchored', 'held along'],
      ]"
    />
    <ChipChoice
      v-model="typed.keep"
      label="After the test"
      :options="[
        ['full', 'kept full after'],
        ['empty', 'emptied after'],
      ]"
    />
    <div class="grid">
      <QuantityField
        v-for="[key, label] in HEIGHTS"
        :key="key"
        v-model="given[key]"
        :label="label"
        as="distance"
        :least="-1e6"
        :most="1e6"
      />
      <QuantityField
        v-model="given.temperature"
        label="Pipe at the test"
        as="temperature"
        :least="-40"
        :most="150"
        :usual="USUAL.pipeC"
      />
      <label class="field"
        >Air shut in, %<ElInput
          v-model="typed.air"
          size="large"
          inputmode="decimal"
          aria-label="Air shut in, %"
      /></label>
      <label class="field"
        >Behind valve<ElInput v-model="typed.valve" size="large" aria-label="Behind valve" placeholder="V-12"
      /></label>
    </div>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button main" @click="save">Set the plan</button>
  </Sheet>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: 10px;
}
.field {
  display: flex;
  flex-direction: column;
  gap: 3px;
  font-weight: 600;
}
.says p {
  margin: 0 0 6px;
}
</style>
