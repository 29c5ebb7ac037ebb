<script setup lang="ts">
import {
  USUAL,
  type Section,
  TEST_RULES,
  type TestRuleId,
  contentsOf,
  heightsOf,
  levelText,
  planOf,
  testPlan,
} from '@jugalis/core'
import { ElInput, ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import { computed, reactive, ref } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import HeightFields from './HeightFields.vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { ruleName } from './rule-names'
import { named, word } from '../../words/word'

/** How a section is tested and what it is: rule, pressures, heights, what it lies behind. */
const props = defineProps<{ section: Section }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const plan = planOf(props.section)
/** Where the line lies: counts where nothing is typed. */
const lies = heightsOf(job.state, {
  ...props.section,
  plan: { ...plan, gaugeM: null, lowM: null, highM: null },
})
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
const levelOf = (metres: number): string => levelText(metres * 1000, job.reader)
const tried = ref(false)
const fault = ref('')
const read = (text: string): number | null => {
  const plain = text.trim().replace(',', '.')
  return plain === '' ? null : Number(plain)
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
const MISSING = {
  designBar: word('prove-the-design-pressure'),
  workingBar: word('prove-the-working-pressure'),
} as const
function take(): void {
  if (!figures.value) return
  const own = figures.value
  // All of it: what one rule says is never left standing under another.
  given.test = own.testBar
  given.drop = own.allowedDropBar
  typed.hold = own.holdS ? String(own.holdS / 60) : ''
  typed.medium = own.medium
}
async function save(): Promise<void> {
  tried.value = true
  const numbers = { ...given, hold: read(typed.hold), air: read(typed.air), ratio: read(typed.ratio) }
  if (Object.values(numbers).some((v) => v !== null && !Number.isFinite(v)))
    return void (fault.value = word('ui-one-figure-above-cant'))
  if (!numbers.test) return void (fault.value = word('prove-the-test-pressure-is'))
  if (numbers.drop === null) return void (fault.value = word('prove-say-how-far-it'))
  if (!numbers.hold || numbers.hold <= 0) return void (fault.value = word('prove-say-how-long-it'))
  if (numbers.low !== null && numbers.high !== null && numbers.low > numbers.high)
    return void (fault.value = word('prove-the-lowest-point-lies'))
  fault.value = ''
  const known = (given: Record<string, unknown>): Record<string, unknown> =>
    Object.fromEntries(Object.entries(given).filter(([, v]) => v !== null && v !== ''))
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
    word('prove-the-plan-of-is', { tag: props.section.tag }),
  )
  emit('close')
}
type Given = 'design' | 'working' | 'test' | 'drop' | 'temperature' | 'gauge' | 'low' | 'high'
const PRESSURES: readonly (readonly [Given, string])[] = [
  ['design', word('prove-design')],
  ['working', word('prove-working')],
  ['test', word('prove-test-at-the-gauge')],
  ['drop', word('prove-fall-allowed')],
]
</script>

<template>
  <Sheet :title="word('prove-plan-of', { tag: section.tag })" @close="emit('close')">
    <p class="why">{{ word('prove-a-rule-gives-figures') }}</p>
    <label class="field"
      >{{ word('prove-by') }}
      <ElSelect :teleported="false" v-model="typed.rule" size="large" :aria-label="word('ui-rule')">
        <ElOption v-for="r in TEST_RULES" :key="r" :value="r" :label="ruleName(r)" /></ElSelect
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
        >{{ word('ui-hold-minutes')
        }}<ElInput
          v-model="typed.hold"
          size="large"
          inputmode="decimal"
          :aria-label="word('ui-hold-minutes')"
      /></label>
      <label class="field"
        >{{ word('prove-stress-ratio')
        }}<ElInput
          v-model="typed.ratio"
          size="large"
          inputmode="decimal"
          :aria-label="word('prove-stress-ratio')"
      /></label>
    </div>
    <div v-if="said && 'missing' in said" class="why">
      {{
        word('prove-this-rule-needs', {
          missing: MISSING[said.missing as keyof typeof MISSING] ?? said.missing,
        })
      }}
    </div>
    <div v-if="figures" class="says">
      <p>
        {{
          word('prove-by-it', {
            said: job.t({ code: 'plan-says', params: { bar: figures.testBar, holdS: figures.holdS } }),
          })
        }}
        <button type="button" class="button" @click="take">{{ word('ui-use-it') }}</button>
      </p>
      <p v-for="f in figures.findings" :key="f.code" :class="f.level === 'stop' ? 'refusal' : 'why'">
        {{ job.t(f) }}
      </p>
    </div>
    <ChipChoice
      v-model="typed.medium"
      :label="word('prove-with')"
      :options="[
        ['water', named('water')],
        ['air', named('air')],
        ['nitrogen', named('nitrogen')],
      ]"
    />
    <ChipChoice
      v-model="typed.axial"
      :label="word('prove-may-it-grow-along')"
      :options="[
        ['free', word('prove-may-grow-along')],
        ['anchored', word('prove-held-along')],
      ]"
    />
    <ChipChoice
      v-model="typed.keep"
      :label="word('prove-after-the-test')"
      :options="[
        ['full', word('prove-kept-full-after')],
        ['empty', word('prove-emptied-after')],
      ]"
    />
    <div class="grid">
      <HeightFields :given="given" :lies="lies" @height="(of, mm) => (given[of] = mm)" />
      <QuantityField
        v-model="given.temperature"
        :label="word('prove-pipe-at-the-test')"
        as="temperature"
        :least="-40"
        :most="150"
        :usual="USUAL.pipeC"
      />
      <label class="field"
        >{{ word('prove-air-shut-in')
        }}<ElInput
          v-model="typed.air"
          size="large"
          inputmode="decimal"
          :aria-label="word('prove-air-shut-in')"
      /></label>
      <label class="field"
        >{{ word('prove-behind-valve')
        }}<ElInput
          v-model="typed.valve"
          size="large"
          :aria-label="word('prove-behind-valve')"
          placeholder="V-12"
      /></label>
    </div>
    <p v-if="lies.lowM !== null && lies.highM !== null" class="why">
      {{ word('prove-lies-between', { low: levelOf(lies.lowM), high: levelOf(lies.highM) }) }}
    </p>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button main" @click="save">{{ word('prove-set-the-plan') }}</button>
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
