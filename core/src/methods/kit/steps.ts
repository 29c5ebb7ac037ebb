import { type Fig, type Finding, type Msg, fig, msg } from '../../sources/source.js'
import type { Field, Step, StepException } from '../method.js'

/** A step as a method writes it down: what is not said is usual. Words follow from the method's key and the step. */
export interface StepDef {
  id: string
  reaches?: Step['reaches']
  exceptions?: readonly (readonly [id: string, backTo: StepException['backTo']])[]
  cautions?: readonly Finding[]
  reads?: readonly Field[]
  /** Codes of what to fetch, and of what never to use. */
  tools?: readonly string[]
  never?: readonly string[]
  skip?: Step['skip']
  people?: Fig
}

/** A choice names its good option first: that is the large action. Each other one is a way out of the step. */
const badOptions = (r: Field): StepException[] =>
  r.control === 'choice' && !r.asked
    ? (r.options ?? [])
        .slice(1)
        .map((o) => ({ id: `${r.key}-${o}`, says: msg(`${r.key}-${o}`), backTo: 'on' }))
    : []

/** Steps in order, each after the one before it. Words: do-, look-, mistake-, act-, hint- + key + id. */
export function stepList(
  key: string,
  params: Record<string, string | number>,
  defs: readonly StepDef[],
): Step[] {
  const m = (code: string): Msg => msg(code, params)
  const said = ([id, backTo]: readonly [string, StepException['backTo']]): StepException => ({
    id,
    says: m(`ex-${key}-${id}`),
    backTo,
  })
  return defs.map((d, i) => ({
    id: d.id,
    after: i ? [(defs[i - 1] as StepDef).id] : [],
    does: m(`do-${key}-${d.id}`),
    lookFor: m(`look-${key}-${d.id}`),
    mistake: m(`mistake-${key}-${d.id}`),
    action: m(`act-${key}-${d.id}`),
    hint: m(`hint-${key}-${d.id}`),
    exceptions: [...(d.exceptions ?? []).map(said), ...(d.reads ?? []).flatMap(badOptions)],
    cautions: d.cautions ?? [],
    reads: d.reads ?? [],
    ...(d.reaches ? { reaches: d.reaches } : {}),
    skip: d.skip ?? (d.reaches === 'made' ? 'stop' : 'reason'),
    people: d.people ?? fig(1, 'cp-crew'),
    tools: (d.tools ?? []).map(m),
    never: (d.never ?? []).map(m),
  }))
}
