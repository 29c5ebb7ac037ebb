import type { Item, Line } from '../log/state.js'
import { renamedRun } from '../parts/neighbours.js'

const number = (n: number): string => String(n).padStart(2, '0')
/** What follows a prefix when it is a number, else 0. */
function numberIn(tag: string | null, prefix: string): number {
  const rest = tag?.startsWith(prefix) ? tag.slice(prefix.length) : ''
  return /^\d+$/.test(rest) ? Number(rest) : 0
}
/** Gives tags after the highest with a prefix, one after another: `Q2-18`, `Q2-19` after `Q2-17`. */
export function tagsAfter(prefix: string, taken: Iterable<string | null>): () => string {
  let most = 0
  for (const tag of taken) most = Math.max(most, numberIn(tag, prefix))
  return () => prefix + number(++most)
}
/** The tag after the highest of a prefix, two figures at least. */
export const nextTag = (prefix: string, taken: Iterable<string | null>): string => tagsAfter(prefix, taken)()
/** How tags of fittings (`Q2/F`) and pieces (`Q2/P`) of a line begin. */
export const itemPrefix = (lineTag: string, type: Item['type']): string =>
  `${lineTag}/${type === 'fitting' ? 'F' : 'P'}`
/**
 * A part's tag as it is called within its line.
 * @example shortTag('Q2', 'Q2/F01') // 'F01'
 */
export const shortTag = (lineTag: string, tag: string): string =>
  tag.startsWith(`${lineTag}/`) ? tag.slice(lineTag.length + 1) : tag
/** The next free tag of a part on a line. */
export const nextItemTag = (line: Pick<Line, 'tag'>, items: readonly Item[], type: Item['type']): string =>
  nextTag(
    itemPrefix(line.tag, type),
    items.map((i) => i.tag),
  )

/**
 * Numbers parts and joints anew, in the order in which they stand. What is begun or cut keeps the tag that is written
 * on it, and so does a part with a name of its own; their numbers are left out.
 */
export function renumbered(line: Line, begun: ReadonlySet<string>): Item[] {
  const joint = `${line.tag}-`
  const keeps = (item: Item): boolean =>
    item.cut !== null ||
    item.joints.some((j) => j !== null && begun.has(j)) ||
    numberIn(item.tag, itemPrefix(line.tag, item.type)) === 0
  const fixed = new Set<string | null>(line.items.filter(keeps).map((i) => i.tag))
  for (const item of line.items)
    item.joints.forEach((j, e) => j && begun.has(j) && fixed.add(item.jointTags[e] ?? null))
  const counts = new Map<string, number>()
  const next = (prefix: string): string => {
    let last = counts.get(prefix) ?? 0
    do last++
    while (fixed.has(prefix + number(last)))
    counts.set(prefix, last)
    return prefix + number(last)
  }
  return line.items.map((item) => ({
    ...item,
    tag: keeps(item) ? item.tag : next(itemPrefix(line.tag, item.type)),
    jointTags: item.joints.map((j, end) =>
      j === null ? null : begun.has(j) ? (item.jointTags[end] ?? null) : next(joint),
    ) as Item['jointTags'],
  }))
}

/** The parts of a line under another line's tag: all of them new, none cut. */
export function copied(line: Line, tag: string, newId: () => string): Item[] {
  const ids = new Map(line.items.map((i) => [i.id, newId()]))
  const own = (text: string): string => (text.startsWith(line.tag) ? tag + text.slice(line.tag.length) : text)
  const fresh = line.items.map((item): Item => {
    const { run, ...rest } = item
    return {
      ...rest,
      id: ids.get(item.id) as string,
      tag: own(item.tag),
      joints: item.joints.map((j) => j && newId()) as Item['joints'],
      jointTags: item.jointTags.map((t) => t && own(t)) as Item['jointTags'],
      cut: null,
      ...(rest.meets ? { meets: own(rest.meets) } : {}),
      ...(run ? { run: renamedRun(run, ids) } : {}),
    }
  })
  // A part with a name of its own, such as a valve's, stays the only one of that name.
  const named = new Set(line.items.map((i) => i.tag))
  for (const item of fresh) if (named.has(item.tag)) item.tag = nextItemTag({ tag }, fresh, item.type)
  return fresh
}
