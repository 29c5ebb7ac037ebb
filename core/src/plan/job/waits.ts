import type { JointFacts } from '../../joint/assess.js'
import type { Item, Line } from '../../log/state.js'
import { neighbours } from '../../parts/neighbours.js'

/** In which order joints of a line are made: one after the other along it, or apart first and then together. */
export type Along = 'along' | 'pairs'
/** A joint that must have ended, and set, before another begins. */
export interface Waits {
  jointId: string
  first: string
  why: 'set' | 'solder-first' | 'closing-last' | 'inner-first'
}

/** Joints at every part of a line: those at a piece's two ends, and those that a fitting has with its neighbours. */
function jointsAt(line: Line): Map<string, string[]> {
  const out = new Map<string, string[]>()
  const add = (itemId: string | undefined, jointId: string): void => {
    if (itemId !== undefined) out.set(itemId, [...(out.get(itemId) ?? []), jointId])
  }
  const next = neighbours(line.items)
  for (const item of line.items)
    item.joints.forEach((jointId, end) => {
      if (jointId === null) return
      add(item.id, jointId)
      add(next.get(item.id)?.[item.type === 'fitting' ? 0 : (end as 0 | 1)]?.id, jointId)
    })
  return out
}
const isClosing = (item: Item): boolean => item.closing === true

const jointsOf = (line: Line): string[] => [
  ...new Set(line.items.flatMap((item) => item.joints.filter((id): id is string => id !== null))),
]

/** What waits for what among the joints of a job. */
export function waitsInJob(
  lines: ReadonlyMap<string, Line>,
  facts: ReadonlyMap<string, JointFacts>,
  along: Along,
): Waits[] {
  return [...lines.values()].flatMap((line) => {
    const own = waitsIn(line, facts, along)
    const outer = line.insideOf === null ? undefined : lines.get(line.insideOf)
    if (!outer) return own
    // The containment pipe closes over what it holds, joint by joint as they come.
    const inner = jointsOf(line)
    const over = jointsOf(outer).flatMap((jointId, i): Waits[] => {
      const first = inner[Math.min(i, inner.length - 1)]
      const open = facts.get(jointId)?.homeAtS === null
      return first !== undefined && open && facts.has(first) ? [{ jointId, first, why: 'inner-first' }] : []
    })
    return [...own, ...over]
  })
}

/** What waits for what in one line, among the joints that there are facts of. */
function waitsIn(line: Line, facts: ReadonlyMap<string, JointFacts>, along: Along): Waits[] {
  const order = jointsOf(line)
  const place = new Map(order.map((id, i) => [id, i]))
  const closing = new Set(line.items.filter(isClosing).flatMap((item) => item.joints))
  const made = (id: string): boolean => (facts.get(id)?.homeAtS ?? null) !== null
  const rank = (id: string): number => {
    const solder = facts.get(id)?.place.way.method === 'solder'
    // What is made is before all; solder before what its heat would spoil; the closing piece last.
    if (made(id)) return -1e6
    const at = place.get(id) ?? 0
    return (closing.has(id) ? 1e6 : 0) + (solder ? -1e5 : 0) + (along === 'pairs' ? (at % 2) * 1e4 : 0) + at
  }
  const out = new Map<string, Waits>()
  const wait = (jointId: string, first: string, why: Waits['why']): void => {
    if (!made(jointId) && facts.has(first)) out.set(`${jointId} ${first}`, { jointId, first, why })
  }
  for (const joints of jointsAt(line).values())
    for (const one of joints)
      for (const other of joints) {
        if (one === other || rank(one) >= rank(other)) continue
        const [solder, after] = [facts.get(one)?.place.way.method, facts.get(other)?.place.way.method]
        wait(other, one, solder === 'solder' && after !== 'solder' ? 'solder-first' : 'set')
      }
  for (const id of closing)
    if (id !== null) for (const one of order) if (!closing.has(one)) wait(id, one, 'closing-last')
  return [...out.values()]
}
