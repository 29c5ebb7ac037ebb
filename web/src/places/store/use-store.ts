import {
  type OnShelf,
  type Recalled,
  type ShelfHead,
  type Standing,
  type Wanted,
  fmt,
  shelfHead,
  shelfOf,
} from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { dayText } from '../../when'
import { fitsSaid } from '../../things/fits'
import { useMinute } from '../../things/use-minute'
import { capital, named, word } from '../../words/word'

/** So many of what is short are named. */
const NAMED = 4

/** How a thing stands, with its day. */
export const standingSaid = (on: OnShelf): string =>
  word(`shelf-is-${on.standing}`, {
    day: on.untilOn ? dayText(on.untilOn) : '',
    hasDay: on.untilOn ? 'yes' : 'no',
  })
/** How many of what is wanted, in its unit; nothing where nobody has a figure. */
export function quantitySaid(value: number | null, unit: Wanted['unit'], reader: fmt.Reader): string {
  if (value === null) return ''
  if (unit === 'mm') return fmt.distance(value, reader)
  return unit === 'l' ? word('shelf-about', { much: fmt.tin(value, reader) }) : String(value)
}
/** What was found by a recall, in one sentence. */
export function recallSaid(found: readonly Recalled[]): string {
  const here = found.filter((one) => !one.cutOut)
  return word('shelf-recalled', {
    count: here.length,
    proved: here.filter((one) => one.proved).length,
    covered: here.filter((one) => one.covered).length,
    out: found.length - here.length,
  })
}
export const MUST_NOT: ReadonlySet<Standing> = new Set<Standing>([
  'found-wrong',
  'not-good',
  'out-of-date',
  'open-too-long',
  'condemned',
])

/** The one thing that matters most, in a sentence. */
function headSaid(head: ShelfHead): string {
  switch (head.kind) {
    case 'empty':
      return word('shelf-nothing-yet')
    case 'bad':
      return word(`shelf-head-${head.on.standing as 'found-wrong'}`, {
        name: head.on.item.name,
        day: head.on.untilOn ? dayText(head.on.untilOn) : '',
      })
    case 'short':
      return word('shelf-head-short', {
        what: capital(needSaid(head.wanted)),
        none: head.wanted.there.length ? 'no' : 'yes',
        joints: head.wanted.joints.length,
      })
    case 'soon':
      return word('shelf-head-soon', {
        name: head.on.item.name,
        day: dayText(head.on.untilOn ?? ''),
        by: head.on.by,
        planned: head.on.planned,
      })
    case 'in-date':
      return head.next
        ? word('shelf-head-next', { name: head.next.item.name, day: dayText(head.next.untilOn ?? '') })
        : word('shelf-head-in-date')
  }
}

/** Everything in the store and what joints still need, with the sentence that matters most. */
export function useStore() {
  const job = useJob()
  const nowS = useMinute()
  const seen = computed(() => shelfOf(job.state, nowS.value))
  const shelf = computed(() => seen.value.shelf)
  const wanted = computed(() => seen.value.wanted)
  const headline = computed(() => headSaid(shelfHead(seen.value)))
  const why = computed(() => {
    if (!shelf.value.length) return word('shelf-put-in-why')
    const bad = shelf.value.filter(({ standing }) => MUST_NOT.has(standing)).length
    const short = wanted.value.filter((row) => row.short)
    // Not all of them: the list below has the rest.
    const kinds = [...new Set(short.map((row) => named(row.need.item)))].slice(0, NAMED)
    return word('shelf-why', {
      things: shelf.value.length,
      bad,
      short: short.length,
      kinds: kinds.join(', '),
    })
  })
  return { shelf, wanted, headline, why }
}
/** A need by its name and what it is to fit. */
export const needSaid = ({ need }: Pick<Wanted, 'need'>): string =>
  word('shelf-need', {
    item: named(need.item),
    fits: fitsSaid(need.matches),
    hasFits: Object.keys(need.matches).length ? 'yes' : 'no',
  })
