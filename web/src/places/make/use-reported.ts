import type { JointFacts, Step } from '@jugalis/core'
import { type Ref, computed } from 'vue'
import type { Phase } from './use-phase'
import type { useTools } from './use-tools'

/** What the tools in hand reported since the last step of the joint. */
export function useReported(
  here: { facts: Ref<JointFacts>; step: Ref<Step | null>; phase: Ref<Phase> },
  tools: ReturnType<typeof useTools>,
  readings: Ref<Record<string, unknown>>,
) {
  const last = computed(() => here.facts.value.life?.done.at(-1))
  /** A tool that reports its cycles writes the step it does: the hands stay on it. */
  const cycle = computed(() =>
    last.value && here.step.value?.reaches === 'made' && here.phase.value === 'step'
      ? tools.reported('cycle', last.value.latestS)
      : undefined,
  )
  /** What a torque tool in hand read since the last step: taken with one tap, never by itself. */
  const torque = computed(() => {
    const key = here.step.value?.reads.find((r) => r.control === 'torque')?.key
    const said = key ? tools.reported('torque', last.value?.latestS ?? 0) : undefined
    return key && said?.value != null && readings.value[key] == null ? { key, said, value: said.value } : null
  })
  return { cycle, torque }
}
