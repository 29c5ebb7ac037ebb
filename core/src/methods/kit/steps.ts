import { type Fig, type Finding, type Msg, fig, msg } from '../../sources/source.js'
import type { Code } from '../../sources/wording.js'
import type { Field, Step, StepException } from '../method.js'
import { placed } from './words.js'

/** A step as a method writes it down: what is not said is usual. Its words stand under its name. */
export interface StepDef<S extends string = string, E extends string = string> {
  id: S
  reaches?: Step['reaches']
  exceptions?: readonly (readonly [id: E, backTo: S | 'cut-out' | 'on'])[]
  cautions?: readonly Finding[]
  reads?: readonly Field[]
  /** Codes of what to fetch, and of what never to use. */
  tools?: readonly Code[]
  never?: readonly Code[]
  skip?: Step['skip']
  people?: Fig
}

/** The words of an option of a choice. `choiceRead` holds that they are there. */
const optionCode = (key: string, option: string): Code => `${key}-${option}` as Code

/** A choice names its good option first: that is the large action. Each other one is a way out of the step. */
const badOptions = (field: Field): StepException[] =>
  field.control === 'choice' && !field.asked
    ? (field.options ?? [])
        .slice(1)
        .map((o) => ({ id: `${field.key}-${o}`, says: msg(optionCode(field.key, o)), backTo: 'on' }))
    : []

/** Steps in order, each after the one before it. */
export function stepList(
  key: string,
  params: Record<string, string | number>,
  all: readonly (StepDef | null)[],
): Step[] {
  const says = (code: Code): Msg => msg(code, params)
  const said = ([id, backTo]: readonly [string, StepException['backTo']]): StepException => ({
    id,
    says: says(placed('exception', key, id)),
    backTo,
  })
  const defs = all.filter((d) => d !== null)
  return defs.map((step, i) => ({
    id: step.id,
    after: i ? [(defs[i - 1] as StepDef).id] : [],
    does: says(placed('does', key, step.id)),
    lookFor: says(placed('look', key, step.id)),
    mistake: says(placed('mistake', key, step.id)),
    action: says(placed('act', key, step.id)),
    hint: says(placed('hint', key, step.id)),
    exceptions: [...(step.exceptions ?? []).map(said), ...(step.reads ?? []).flatMap(badOptions)],
    cautions: step.cautions ?? [],
    reads: step.reads ?? [],
    ...(step.reaches ? { reaches: step.reaches } : {}),
    skip: step.skip ?? (step.reaches === 'made' ? 'stop' : 'reason'),
    people: step.people ?? fig(1, 'cp-crew'),
    tools: (step.tools ?? []).map(says),
    never: (step.never ?? []).map(says),
  }))
}

/**
 * A choice that is read at a step, its good option first. An option without words does not compile.
 * @param key of the reading. @param label its name. @param options as they are stored.
 */
export const choiceRead = <const K extends string, const O extends string>(
  key: K,
  label: Code,
  options: `${K}-${O}` extends Code ? readonly O[] : never,
): Field => ({ key, label: msg(label), needed: true, control: 'choice', options })
