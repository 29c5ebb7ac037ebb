import type { JobEvent } from './events.js'

interface Node {
  event: JobEvent
  /** When it counts as having happened: never before anything its device had seen. */
  atS: number
  /** Position among events of the same instant that follow from one another. */
  depth: number
  state: 0 | 1 | 2
}

const byWrite = (a: JobEvent, b: JobEvent): number =>
  a.occurredAtS - b.occurredAtS ||
  (a.deviceId < b.deviceId ? -1 : a.deviceId > b.deviceId ? 1 : 0) ||
  a.deviceSeq - b.deviceSeq ||
  (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)

/** In writing order and nothing twice: what most logs are already. */
function isInOrder(events: readonly JobEvent[]): boolean {
  for (let i = 1; i < events.length; i++)
    if (byWrite(events[i - 1] as JobEvent, events[i] as JobEvent) >= 0) return false
  return true
}
/** Drops doubles. Entries with one id are the same entry, so in writing order they stand side by side. */
function firstOfEach(sorted: readonly JobEvent[]): readonly JobEvent[] {
  const isDouble = (event: JobEvent, i: number): boolean => {
    const before = sorted[i - 1]
    return before !== undefined && event.deviceSeq === before.deviceSeq && event.id === before.id
  }
  return sorted.some(isDouble) ? sorted.filter((e, i) => !isDouble(e, i)) : sorted
}

/** Whether every entry lies later than all it waits for, so that their times alone keep them in order. */
function liesAfter(events: readonly JobEvent[]): boolean {
  const atS = new Map<string, number>()
  for (const event of events) atS.set(event.id, event.occurredAtS)
  return events.every((e) => e.after.every((id) => (atS.get(id) ?? -Infinity) < e.occurredAtS))
}

/**
 * Events in the order the fold takes them: by when they occurred, but never before an event named in `after`,
 * then device, then the device's own count. The same set gives the same order, however it arrived; doubles go.
 */
export function inOrder(events: readonly JobEvent[]): readonly JobEvent[] {
  // Looked at as they came, which is how they lie in memory: in the order of time a million are slow to walk.
  const wait = events.some((e) => e.after.length)
  const sorted = isInOrder(events) ? events : firstOfEach([...events].sort(byWrite))
  if (!wait || liesAfter(sorted)) return sorted
  const nodes = new Map<string, Node>()
  for (const event of sorted) nodes.set(event.id, { event, atS: event.occurredAtS, depth: 0, state: 0 })
  for (const event of sorted) settle(nodes.get(event.id) as Node, nodes)
  return [...nodes.values()]
    .sort((a, b) => a.atS - b.atS || a.depth - b.depth || byWrite(a.event, b.event))
    .map((n) => n.event)
}

/** Depth-first without recursion: chains of `after` may be as long as the log. A loop's closing link is ignored. */
function settle(start: Node, nodes: ReadonlyMap<string, Node>): void {
  const stack: Node[] = [start]
  while (stack.length) {
    const node = stack[stack.length - 1] as Node
    if (node.state === 2) {
      stack.pop()
      continue
    }
    if (node.state === 0) {
      node.state = 1
      for (const id of node.event.after) {
        const before = nodes.get(id)
        if (before && before.state === 0) stack.push(before)
      }
      if (stack[stack.length - 1] !== node) continue
    }
    for (const id of node.event.after) {
      const before = nodes.get(id)
      if (!before || before.state !== 2) continue
      if (before.atS > node.atS) {
        node.atS = before.atS
        node.depth = before.depth + 1
      } else if (before.atS === node.atS) node.depth = Math.max(node.depth, before.depth + 1)
    }
    node.state = 2
    stack.pop()
  }
}
