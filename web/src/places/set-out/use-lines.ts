import { type Item, type Line, copied, entriesOf, lineHead, renumbered, settle } from '@jugalis/core'
import { type Ref } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { itemEntries } from './line-entries'
import type { Edits } from './use-edits'

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
    const items = copied(l, tag, () => crypto.randomUUID())
    await job.write(
      [
        {
          kind: 'line-set',
          data: { ...lineHead(l), lineId, tag, insideOf: null },
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
          data: {
            groupId: had?.id ?? crypto.randomUUID(),
            name,
            entries: entriesOf(items, { units: l.school }),
          },
        },
      ],
      `${name} is kept as a group. Type: use ${name}.`,
    )
  }
  const dropGroup = (groupId: string, name: string): Promise<string[]> =>
    job.write([{ kind: 'group-set', data: { groupId, name, entries: [] } }], `${name} is no longer a group.`)
  return { tagWrong, renumber, copyLine, keepGroup, dropGroup }
}
