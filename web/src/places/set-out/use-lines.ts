import { type Item, type Line, copied, entriesOf, lineHead, renumbered, settle } from '@jugalis/core'
import { type Ref } from 'vue'
import { shopNow } from '../../shop'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { itemEntries } from './line-entries'
import type { Edits } from './use-edits'
import { word } from '../../words/word'

/** What is done with a line as a whole. */
export function useLines(line: Ref<Line | null>, { edit }: Edits) {
  const job = useJob()
  const view = useView()
  const tagWrong = (tag: string): string =>
    !/^[A-Za-z0-9]{1,12}$/.test(tag)
      ? word('set-out-a-line-needs-a')
      : view.lines.some((l) => l.tag.toLowerCase() === tag.toLowerCase())
        ? word('set-out-is-there-already-choose', { tag })
        : ''
  const renumber = (): Promise<boolean> =>
    edit((l, shop) => settle(l, renumbered(l, shop.begun), shop), word('set-out-numbered-in-the-order'))

  /** The same line once more under another tag; gives its id. */
  async function copyLine(tag: string): Promise<string | null> {
    const own = line.value
    if (!own) return null
    const lineId = crypto.randomUUID()
    const shop = shopNow(job.state)
    // A copy lies nowhere yet: what the line is joined to elsewhere, it is not.
    const { stands: _place, ...head } = own
    const copy = settle({ ...head, id: lineId, tag, items: [] }, copied(own, tag, shop.newId), shop)
    if (!copy.ok) return null
    await job.write(
      [
        {
          kind: 'line-set',
          data: { ...lineHead(own), lineId, tag, insideOf: null },
        },
        ...itemEntries(lineId, copy.items),
      ],
      word('set-out-is-copied-as', { tag: own.tag, tag2: tag }),
    )
    return lineId
  }
  async function keepGroup(name: string, items: readonly Item[]): Promise<void> {
    const own = line.value
    if (!own) return
    const had = [...job.state.groups.values()].find((g) => g.name.toLowerCase() === name.toLowerCase())
    await job.write(
      [
        {
          kind: 'group-set',
          data: {
            groupId: had?.id ?? crypto.randomUUID(),
            name,
            entries: entriesOf(items, { units: own.school }),
          },
        },
      ],
      word('set-out-is-kept-as-a', { name }),
    )
  }
  const dropGroup = (groupId: string, name: string): Promise<string[]> =>
    job.write(
      [{ kind: 'group-set', data: { groupId, name, entries: [] } }],
      word('set-out-is-no-longer-a', { name }),
    )
  return { tagWrong, renumber, copyLine, keepGroup, dropGroup }
}
