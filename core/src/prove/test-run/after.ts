import type { Msg } from '../../methods/method.js'
import { msg } from '../../sources/source.js'
import type { JobState, Section } from '../../log/state.js'
import { planOf } from '../test-plan/section-plan.js'
import { contentsOf } from '../test-plan/section.js'
import type { Code } from '../../sources/wording.js'

/** What may follow a test: each has its sentence, `after-` and its name. */
type AfterId = 'relieve' | 'keep-full' | 'drain' | 'dry' | 'vent' | 'rinse' | 'flush' | 'disinfect'

export interface AfterStep {
  id: AfterId
  says: Msg
  /** The usual caution at this step. */
  caution: Msg | null
  /** Who wrote it down, when; since when it was so, where that was said. */
  done: { by: string; atS: number; fromS: number | null; how: string } | null
}
const CORRODES: ReadonlySet<string> = new Set(['carbon-steel'])
const NO_CHLORIDE: ReadonlySet<string> = new Set(['stainless', 'carbon-steel'])
const SOLVENT: ReadonlySet<string> = new Set(['pvc-u', 'pvc', 'cpvc', 'abs'])

/**
 * What follows a test that held, in order: relieve, what was put up comes back, drain or keep, rinse, flush, disinfect.
 * Which of them are asked for depends on pipe and medium. Source: `cp-after-test`.
 */
export function afterSteps(state: JobState, section: Section): AfterStep[] {
  const { materials } = contentsOf(state, section)
  const plan = planOf(section)
  const has = (set: ReadonlySet<string>): boolean => materials.some((m) => set.has(m))
  const steps: { id: AfterId; caution?: Code }[] = [{ id: 'relieve', caution: 'after-relieve-caution' }]
  if (plan.medium === 'water') {
    if (plan.keep === 'full' && !has(CORRODES))
      steps.push({ id: 'keep-full', caution: 'after-frost-caution' })
    else steps.push({ id: 'drain' })
    if (has(CORRODES)) steps.push({ id: 'dry' })
  } else steps.push({ id: 'vent', caution: 'after-vent-caution' })
  if (has(SOLVENT)) steps.push({ id: 'rinse', caution: 'after-vapour-caution' })
  steps.push({ id: 'flush' })
  steps.push({ id: 'disinfect', ...(has(NO_CHLORIDE) ? { caution: 'after-chloride-caution' } : {}) })
  return steps.map(({ id, caution }) => {
    const done = section.after.filter((a) => a.step === id).at(-1) ?? null
    return { id, says: msg(`after-${id}`), caution: caution ? msg(caution) : null, done }
  })
}

/** The answer at a hold point that lets the work go on, as it is kept. */
export const MAY_GO_ON = 'go on'

/** May it be covered up? Only when the section is proved and whoever must be asked has said so. */
export function mayCover(state: JobState, section: Section, proved: boolean): { may: boolean; says: Msg } {
  if (!proved) return { may: false, says: msg('cover-not-proved', { section: section.tag }) }
  const open = [...state.holds.values()].filter(
    (h) => h.sectionId === section.id && h.answers.at(-1)?.answer !== MAY_GO_ON,
  )
  const [first] = open
  return first
    ? { may: false, says: msg('cover-hold', { name: first.name, who: first.who || 'the inspector' }) }
    : { may: true, says: msg('cover-may', { section: section.tag }) }
}
