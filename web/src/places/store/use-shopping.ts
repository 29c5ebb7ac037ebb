import { type Wanted, dayOf, shoppingCsv, sourceOf } from '@jugalis/core'
import { PDF, saveFile } from '../../save-file'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { dayText } from '../../when'
import { capital, word } from '../../words/word'
import { needSaid, quantitySaid } from './use-store'

/** So many joints are named by their tags; of more their number says enough. */
const TAGS = 12
const tagsSaid = (joints: readonly string[]): string => {
  const more = joints.length - TAGS
  const tags = joints.slice(0, TAGS).join(', ')
  return more > 0 ? word('shelf-to-buy-more', { tags, more }) : tags
}

/** What is short, to be carried to a shop: as a paper to tick and as a table. */
export function useShopping() {
  const job = useJob()
  const clock = useClock()
  function toBuy({ need, joints, qty, unit, there, thereQty }: Wanted & { joints: readonly string[] }) {
    const much = quantitySaid(qty, unit, job.reader) || word('shelf-by-maker')
    const has = there.length ? quantitySaid(thereQty, unit, job.reader) : ''
    return {
      what: capital(needSaid({ need })),
      much,
      lines: [
        word('shelf-to-buy-for', { joints: joints.length, tags: tagsSaid(joints) }),
        ...(has ? [word('shelf-to-buy-there', { there: has })] : []),
      ],
    }
  }
  /** Where estimated amounts come from, each source once. */
  function countedBy(wanted: readonly Wanted[]): string {
    const own = wanted.flatMap(({ need }) =>
      need.unit === 'l' && need.qty.value !== null ? [need.qty.source] : [],
    )
    return [...new Set(own)]
      .map((id) => [sourceOf(id).reference, sourceOf(id).note].filter(Boolean).join('. '))
      .map((source) => word('shelf-counted-by', { source }))
      .join(' ')
  }
  return {
    table: (wanted: readonly Wanted[]): void =>
      saveFile(shoppingCsv(wanted, job.reader), 'text/csv', 'shopping-list.csv'),
    paper: async (wanted: readonly Wanted[]): Promise<void> => {
      const { sheetOf, shoppingList } = await import('../../paper')
      const short = wanted.filter((row) => row.short)
      const day = dayText(dayOf(clock.nowS, job.state.job.zone))
      const { name } = job.state.job
      const bytes = await shoppingList(name, short.map(toBuy), countedBy(short), day, sheetOf(job.reader))
      saveFile(new Uint8Array(bytes), PDF, 'shopping-list.pdf')
    },
  }
}
