import {
  type Item,
  type Line,
  type ReadLine,
  copied,
  difference,
  entriesOf,
  renumbered,
  settle,
} from '@jugalis/core'
import { type Ref } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import type { Edits } from './use-edits'

/** Largest part of a line that goes into one entry of the log. */
const ITEMS_PER_ENTRY = 400

/** What is done with a line as a whole. */
export function useLines(line: Ref<Line | null>, { edit }: Edits) {
  const job = useJob()
  const view = useView()
  const tagWrong = (tag: string): string =>
    !/^[A-Za-z0-9]{1,12}$/.test(tag)
      ? 'A line needs a short tag of letters and figures, for example Q2.'
      : view.lines.some((l) => l.tag.toLowerCase() === tag.toLowerCase())
        ? `${tag} is there already. Choose another tag.`
        : ''
  const renumber = (): Promise<boolean> =>
    edit((l, shop) => settle(l, renumbered(l, shop.begun), shop), 'Numbered in the order in which it stands.')

  /** The same line once more under another tag; gives its id. */
  async function copyLine(tag: string): Promise<string | null> {
    const l = line.value
    if (!l) return null
    const lineId = crypto.randomUUID()
    const { name, method, material, school, schedule, details, placeId, ratingBar } = l
    const items = copied(l, tag, () => crypto.randomUUID())
    await job.write(
      [
        {
          kind: 'line-set',
          data: { lineId, tag, name, method, material, school, schedule, details, placeId, ratingBar },
        },
        ...itemEntries(lineId, items),
      ],
      `${l.tag} is copied as ${tag}.`,
    )
    return lineId
  }
  async function keepGroup(name: string, items: readonly Item[]): Promise<void> {
    const l = line.value
    if (!l) return
    const had = [...job.state.groups.values()].find((g) => g.name.toLowerCase() === name.toLowerCase())
    await job.write(
      [
        {
          kind: 'group-set',
          data: { groupId: had?.id ?? crypto.randomUUID(), name, entries: entriesOf(items, l.school) },
        },
      ],
      `${name} is kept as a group. Type: use ${name}.`,
    )
  }
  const dropGroup = (groupId: string, name: string): Promise<string[]> =>
    job.write([{ kind: 'group-set', data: { groupId, name, entries: [] } }], `${name} is no longer a group.`)
  return { tagWrong, renumber, copyLine, keepGroup, dropGroup }
}

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
  begun: ReadonlySet<string>,
): { kind: string; data: Record<string, unknown> }[] {
  const shop = { begun, newId: () => crypto.randomUUID() }
  return read.flatMap(({ tag, items }) => {
    const { name: _name, items: _items, id: _id, tag: _tag, insideOf: _inside, ...own } = like
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
      ...(there ? [] : [{ kind: 'line-set', data: { ...own, lineId: line.id, tag, name: tag } }]),
      // Parts that stand already may gain a joint; the new ones come many to an entry.
      ...settled.edits
        .filter((e) => known.has(e.data.itemId))
        .map((e) => ({ kind: e.kind, data: { lineId: line.id, ...e.data } })),
      ...itemEntries(
        line.id,
        settled.items.filter((i) => !known.has(i.id)),
      ),
    ]
  })
}
