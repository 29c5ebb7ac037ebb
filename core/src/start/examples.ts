import type { EntryReader } from '../line/fitting-entry.js'
import { END, placeTexts } from '../line/place.js'
import { sizesHere } from '../line/size-entry.js'
import type { Line } from '../log/state.js'
import { methodOf } from '../methods/registry.js'
import { NO_LINES } from '../parts/met.js'
import { inchFraction, systemOf } from '../units/quantity.js'
import { MM_PER_INCH } from '../units/units.js'

/** A length that somebody may have measured, mm: in round figures of the tape of each system. */
export const EXAMPLE_MM = { inch: 49.25 * MM_PER_INCH, metric: 1250 } as const
/** What most lines have in them; the first that this one can have is shown. */
const FITTINGS = ['tee', 'elbow 90', 'coupling', 'valve'] as const

/** Sizes of this line's pipe, likeliest first: what lies in it, one that its method speaks of, then from the middle of what is made. */
function likelySizes(line: Line): string[] {
  const offered = sizesHere(line, undefined)
  const spoken = methodOf(line.method)
    ?.examples.filter(({ school, spec }) => school === line.school && spec.material === line.material)
    .map(({ spec }) => spec.size)
    .find((size) => offered.includes(size))
  const middle = offered.length >> 1
  const outwards = [...offered].sort(
    (one, other) => Math.abs(offered.indexOf(one) - middle) - Math.abs(offered.indexOf(other) - middle),
  )
  const last = line.items.at(-1)?.size
  return [...(last && offered.includes(last) ? [last] : []), ...(spoken ? [spoken] : []), ...outwards]
}
/** A size as it is typed: without the word or letter of its kind. */
const typedSize = (size: string): string => size.split(' ').at(-1)?.replace(/^d/, '') ?? size

/**
 * Entries that this line would take one after the other from its beginning, in its own school and sizes: a fitting, a
 * length, a fitting, a piece that is still to be measured. None where nothing is made in what it is of.
 * @param reader whose bare figures the length is.
 */
export function entryExamples(line: Line, reader: EntryReader): readonly string[] {
  const bare: Line = { ...line, items: [] }
  const system = systemOf(reader, 'length')
  const mm = EXAMPLE_MM[system]
  const length = `${system === 'inch' ? inchFraction(mm / MM_PER_INCH) : mm} c-c`
  let id = 0
  const shop = { begun: new Set<string>(), newId: () => `example-${(id += 1)}`, lines: NO_LINES }
  for (const size of likelySizes(line))
    for (const fitting of FITTINGS) {
      const row = [`${fitting} ${typedSize(size)}`, length, fitting, '? c-c']
      if (placeTexts(bare, row, END, shop, reader).ok) return row
    }
  return []
}
