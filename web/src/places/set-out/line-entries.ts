import { type Item, type Line, type ReadLine, type Shop, difference, lineHead, settle } from '@jugalis/core'

/** Largest part of a line that goes into one entry of the log. */
const ITEMS_PER_ENTRY = 400

/** Many parts as few entries of the log. */
export function itemEntries(
  lineId: string,
  items: readonly Item[],
): { kind: string; data: Record<string, unknown> }[] {
  const puts = difference([], items).map(({ data }) => ({ itemId: data.itemId, item: data.item }))
  const out = []
  for (let i = 0; i < puts.length; i += ITEMS_PER_ENTRY)
    out.push({ kind: 'items-put', data: { lineId, items: puts.slice(i, i + ITEMS_PER_ENTRY) } })
  return out
}

/** What a schedule adds to a job: parts at the end of the open line, and lines of their own begun like it. */
export function importEntries(
  like: Line,
  read: readonly ReadLine[],
  lines: readonly Line[],
  shop: Shop,
): { kind: string; data: Record<string, unknown> }[] {
  return read.flatMap(({ tag, items }) => {
    const there = tag === null ? like : lines.find((l) => l.tag === tag)
    const line: Line = there ?? {
      ...like,
      id: crypto.randomUUID(),
      tag: tag as string,
      items: [],
      insideOf: null,
    }
    const settled = settle(line, [...line.items, ...items], shop)
    if (!settled.ok) throw new Error(`a schedule cannot be added to ${line.tag}: ${settled.why.code}`)
    const known = new Set(line.items.map((i) => i.id))
    return [
      ...(there
        ? []
        : [
            {
              kind: 'line-set',
              data: { ...lineHead(like), lineId: line.id, tag, name: tag, insideOf: null },
            },
          ]),
      // Parts that stand already may gain a joint; the new ones come many to an entry.
      ...settled.edits
        .filter((e) => e.kind !== 'line-stands' && known.has(e.data.itemId))
        .map((e) => ({ kind: e.kind, data: { lineId: line.id, ...e.data } })),
      ...itemEntries(
        line.id,
        settled.items.filter((i) => !known.has(i.id)),
      ),
    ]
  })
}
