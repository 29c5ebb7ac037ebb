import { jointFacts } from '../joint/assess.js'
import { jointPlaces } from '../joint/lookup.js'
import type { JobState } from '../log/state.js'
import type { Need } from '../methods/method.js'
import type { Fig } from '../sources/source.js'
import { once } from '../units/memo.js'

/** One kind of thing that joints not made yet need. */
export interface Needed {
  need: Need
  /** Tags of the joints, in the order of the line. */
  joints: readonly string[]
  /** How much they need together; null where nobody has a figure for one of them. A tool: one. */
  qty: number | null
  /** What that is in. Of a tool its need may say a measure, which is none to be added up. */
  unit: Need['unit']
  /** What one joint takes, by the sizes of the joints. */
  sizes: ReadonlyMap<string, Fig>
}
const nameOf = ({ item, matches }: Need): string => JSON.stringify([item, Object.entries(matches).sort()])

/** What joints not yet home need, each need once: by the lines and what was done, whatever the time. */
export const neededOf = once((state: JobState): readonly Needed[] => {
  type Row = Needed & { joints: string[]; sizes: Map<string, Fig> }
  const all = new Map<string, Row>()
  for (const [id, place] of jointPlaces(state)) {
    const facts = jointFacts(state, id, 'coldest', state.lastAtS)
    if (!facts?.method || facts.spec === null || facts.homeAtS !== null) continue
    for (const need of facts.method.consumables(facts.spec)) {
      const name = nameOf(need)
      const row: Row = all.get(name) ?? {
        need,
        joints: [],
        qty: 0,
        unit: need.lasts ? 'count' : need.unit,
        sizes: new Map(),
      }
      row.joints.push(facts.tag)
      row.qty = need.lasts ? 1 : row.qty === null || need.qty.value === null ? null : row.qty + need.qty.value
      row.sizes.set(place.way.size, need.qty)
      all.set(name, row)
    }
  }
  return [...all.values()]
})
