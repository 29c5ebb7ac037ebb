import {
  type Reader,
  type SectionAnswer,
  type TestPlan,
  type TestRuleId,
  contentsOf,
  endsOf,
  fillOf,
  gaugeRange,
  heightsOf,
  levelText,
  limitsOf,
  planOf,
  storedEnergy,
  testPlan,
} from '@jugalis/core'
import { type ComputedRef, computed } from 'vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

const METRE_MM = 1000
/** Heights that head is reckoned from, and where each comes from: nothing where none is known. */
function heightsSaid({ gaugeM, lowM, highM, from }: ReturnType<typeof heightsOf>, reader: Reader): string {
  return (
    [
      ['gauge', gaugeM],
      ['low', lowM],
      ['high', highM],
    ] as const
  )
    .flatMap(([of, metres]) =>
      metres === null
        ? []
        : [
            word('prove-height-is', {
              of,
              level: levelText(metres * METRE_MM, reader),
              from: from[of] ?? '',
            }),
          ],
    )
    .join(', ')
}
/** What the plan of a section's test comes to: figures of the rule, what it holds, what it may take. */
export function useProve(answer: ComputedRef<SectionAnswer | null>) {
  const job = useJob()
  const section = computed(() => answer.value?.section ?? null)
  const contents = computed(() => (section.value ? contentsOf(job.state, section.value) : null))
  const limits = computed(() => (section.value ? limitsOf(job.state, section.value) : []))
  const rule = computed<TestPlan | null>(() => {
    const own = section.value
    const held = contents.value
    if (!own || !held) return null
    const plan = planOf(own)
    if (!plan.rule || plan.rule === 'custom') return null
    const made = testPlan({
      rule: plan.rule as TestRuleId,
      designBar: plan.designBar,
      workingBar: own.workingBar || null,
      materials: held.materials,
      odMm: held.largestOdMm,
      stressRatio: plan.stressRatio,
      custom: null,
    })
    return 'missing' in made ? null : made
  })
  const filling = computed(() => (contents.value ? fillOf(contents.value) : null))
  const ends = computed(() =>
    section.value ? endsOf(job.state, section.value, section.value.testBar) : null,
  )
  const heights = computed(() =>
    section.value ? heightsSaid(heightsOf(job.state, section.value), job.reader) : '',
  )
  const gauge = computed(() => (section.value ? gaugeRange(section.value.testBar) : null))
  const energy = computed(() => {
    const own = section.value
    const held = contents.value
    return own && held && planOf(own).medium !== 'water' && held.litres > 0
      ? storedEnergy(held.litres / 1000, own.testBar)
      : null
  })
  return { section, contents, limits, rule, filling, ends, heights, gauge, energy }
}
