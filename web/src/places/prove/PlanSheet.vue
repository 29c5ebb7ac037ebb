<script setup lang="ts">
import { type Section, TEST_RULES, type TestRuleId, contentsOf, planOf, say, testPlan } from '@jugalis/core'
import { ElInput, ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import { computed, reactive, ref } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
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
  design: text(plan.designBar),
  working: text(props.section.workingBar),
  test: text(props.section.testBar),
  hold: text(props.section.holdS / 60),
  drop: text(props.section.allowedDropBar),
  temperature: text(plan.temperatureC),
  gauge: text(plan.gaugeM),
  low: text(plan.lowM),
  high: text(plan.highM),
  air: text(plan.airPct),
  ratio: text(plan.stressRatio),
})
const fault = ref('')
const read = (s: string): number | null => {
  const t = s.trim().replace(',', '.')
  return t === '' ? null : Number(t)
}
const contents = computed(() => contentsOf(job.state, props.section))
/** What the rule says for the pressures that are typed; null for a rule of one's own, or while one is missing. */
const said = computed(() => {
  if (typed.rule === 'custom') return null
  return testPlan({
    rule: typed.rule as TestRuleId,
    designBar: read(typed.design),
    workingBar: read(typed.working),
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
  typed.test = String(Number(figures.value.testBar.toFixed(3)))
  if (figures.value.holdS) typed.hold = String(figures.value.holdS / 60)
  if (figures.value.allowedDropBar !== null)
    typed.drop = String(Number(figures.value.allowedDropBar.toFixed(4)))
  typed.medium = figures.value.medium
}
async function save(): Promise<void> {
  const numbers = {
    design: read(typed.design),
    working: read(typed.working),
    test: read(typed.test),
    hold: read(typed.hold),
    drop: read(typed.drop),
    temperature: read(typed.temperature),
    gauge: read(typed.gauge),
    low: read(typed.low),
    high: read(typed.high),
    air: read(typed.air),
    ratio: read(typed.ratio),
  }
  const bad = Object.entries(numbers).find(([, v]) => v !== null && !Number.isFinite(v))
  if (bad) return void (fault.value = `${bad[0]}: a number is needed.`)
  if (!numbers.test || numbers.test <= 0) return void (fault.value = 'The test pressure is missing.')
  if (!numbers.hold || numbers.hold <= 0) return void (fault.value = 'The hold is missing.')
  if (numbers.low !== null && numbers.high !== null && numbers.low > numbers.high)
    return void (fault.value = 'The lowest point lies above the highest one.')
  const given = (o: Record<string, unknown>): Record<string, unknown> =>
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
          allowedDropBar: numbers.drop ?? 0,
          ratingBar: props.section.ratingBar,
        },
      },
      {
        kind: 'section-plan',
        data: given({
          sectionId: props.section.id,
          rule: typed.rule,
          medium: typed.medium,
          axial: typed.axial,
          keep: typed.keep,
          valve: typed.valve.trim(),
          designBar: numbers.design,
          temperatureC: numbers.temperature,
          gaugeM: numbers.gauge,
          lowM: numbers.low,
          highM: numbers.high,
          airPct: numbers.air,
          stressRatio: numbers.ratio,
        }),
      },
    ],
    `The plan of ${props.section.tag} is set.`,
  )
  emit('close')
}
const PRESSURES = [
  ['design', 'Design, bar'],
  ['working', 'Working, bar'],
  ['test', 'Test at the gauge, bar'],
  ['hold', 'Hold, minutes'],
  ['drop', 'Fall allowed, bar'],
  ['ratio', 'Stress ratio'],
] as const
const PLACE = [
  ['gauge', 'Gauge, height m'],
  ['low', 'Lowest point, m'],
  ['high', 'Highest point, m'],
  ['temperature', 'Pipe at the test, °C'],
  ['air', 'Air shut in, %'],
] as const
</script>

<template>
  <Sheet :title="`Plan of ${section.tag}`" @close="emit('close')">
    <p class="why">A rule gives figures; local code and the engineer decide.</p>
    <label class="field"
      >By
      <ElSelect v-model="typed.rule" size="large" aria-label="Rule">
        <ElOption v-for="r in TEST_RULES" :key="r" :value="r" :label="RULE_NAMES[r]" /></ElSelect
    ></label>
    <div class="grid">
      <label v-for="[key, label] in PRESSURES" :key="key" class="field"
        >{{ label }}<ElInput v-model="typed[key]" size="large" inputmode="decimal" :aria-label="label"
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
        {{ say(f) }}
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
      <label v-for="[key, label] in PLACE" :key="key" class="field"
        >{{ label }}<ElInput v-model="typed[key]" size="large" inputmode="decimal" :aria-label="label"
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
