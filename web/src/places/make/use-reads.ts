import { type Step, readingSaid } from '@jugalis/core'
import { type Ref, computed } from 'vue'
import { useJob } from '../../stores/job'
import { turnsText } from './reads/turns-text'
import type { Phase } from './use-phase'
import { isGap, isNumber, onDial, onTape } from './use-writes'
import { word } from '../../words/word'

/** What the step at hand wants read, whether it has been, and what the large button says of it. */
export function useReads(
  step: Ref<Step | null>,
  phase: Ref<Phase>,
  readings: Ref<Record<string, number | string | number[][] | null>>,
) {
  const job = useJob()
  const numberReads = computed(() => step.value?.reads.filter(isNumber) ?? [])
  const choiceReads = computed(
    () => step.value?.reads.filter((r) => r.control === 'choice' && !r.asked) ?? [],
  )
  const askedReads = computed(() => step.value?.reads.filter((r) => r.asked) ?? [])
  const working = computed(() => phase.value === 'step' || phase.value === 'window')
  const reading = computed(
    () =>
      working.value &&
      numberReads.value.length +
        askedReads.value.length +
        (step.value?.reads.filter((r) => r.control === 'grid').length ?? 0) >
        0,
  )
  const judging = computed(() => working.value && numberReads.value.length + askedReads.value.length > 0)
  const unread = computed(() =>
    [...numberReads.value, ...askedReads.value].some(
      (r) => r.needed && (readings.value[r.key] ?? null) === null,
    ),
  )
  const actionLabel = computed(() => {
    if (!step.value) return ''
    // A reading on a drawing is said by the button; a step with looks only has a sentence for them.
    const drawn = numberReads.value.filter((r) => onTape(r) || isGap(r) || onDial(r))
    if (!judging.value || unread.value || !drawn.length) return job.t(step.value.action)
    const said = drawn.map((field) => {
      const value = readings.value[field.key] as number
      return onDial(field)
        ? word('make-turns', { turns: turnsText(value) })
        : readingSaid(field, value, job.reader)
    })
    const goods = choiceReads.value.map((field) =>
      job.t({ code: `${field.key}-${field.options?.[0] ?? ''}`, params: {} }),
    )
    return [said.join(' and '), ...goods].join(', ')
  })
  return { numberReads, reading, judging, unread, actionLabel }
}
