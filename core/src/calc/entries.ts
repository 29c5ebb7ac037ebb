import { likelyPipe } from '../line/likely-pipe.js'
import { type Cursor, END, placeTexts } from '../line/place.js'
import type { Shop } from '../line/settle.js'
import { shortTag } from '../line/tags.js'
import type { Item, Line } from '../log/state.js'
import type { School } from '../methods/joinable.js'
import { NO_LINES } from '../parts/met.js'
import { parseSize, suggestSize } from '../sizes/size.js'
import { type Msg, msg } from '../sources/source.js'
import { type Reader, unitOf } from '../units/quantity.js'
import { say } from '../words/words.js'
import { Refusal } from './calculation.js'

/** Parts alone, of no job. */
const DRAFT = { begun: new Set<string>(), lines: NO_LINES, draft: true } as const
/** What the line is called here: its parts are known by their own numbers. */
const TAG = 'L'
/**
 * A tag without the line's.
 * @example own('L/F01') // 'F01'
 */
export const own = (tag: string): string => shortTag(TAG, tag)

/** A line that its entries set out, which entry each part came with, and which said later what it meets or how it falls. */
export interface SetOut {
  line: Line
  entryOf: ReadonlyMap<string, number>
  laterOf: ReadonlyMap<string, number>
}
/** A refusal of an entry. */
export const refusal = (at: number, why: Msg, reader: Reader, code: Refusal['code'] = 'bad-input'): Refusal =>
  new Refusal(code, say(why, reader), `entries[${at}]`)

/**
 * Sets a line out from its typed entries, one after another.
 * @throws Refusal at the entry that cannot be placed, or at the size.
 */
export function setOut(
  input: { school: School; size: string; entries: readonly string[] },
  reader: Reader,
): SetOut {
  if (!parseSize(input.size))
    throw new Refusal(
      'unknown-size',
      `${input.size} is not a size as they are written. ${suggestSize(input.size)}`,
      'size',
    )
  const pipe = likelyPipe(input.size, input.school)
  if (!pipe)
    throw new Refusal(
      'unknown-size',
      `No pipe of ${input.size} is known in ${input.school} practice.`,
      'size',
    )
  let line: Line = {
    id: TAG,
    tag: TAG,
    name: TAG,
    method: pipe.method,
    material: pipe.material,
    school: input.school,
    schedule: null,
    details: {},
    placeId: '',
    ratingBar: null,
    insideOf: null,
    items: [],
  }
  let count = 0
  const shop: Shop = { ...DRAFT, newId: () => `i${++count}`, firstSize: input.size }
  let cursor: Cursor = END
  const had = new Map<string, Item>()
  const [entryOf, laterOf] = [new Map<string, number>(), new Map<string, number>()]
  input.entries.forEach((text, at) => {
    const first = /^\s*from\s/i.test(text)
    if (first !== (at === 0))
      throw refusal(at, msg('space-not-begun', { unit: unitOf('distance', reader) }), reader)
    const placed = placeTexts(line, [text], cursor, shop, reader)
    if (!placed.ok) throw refusal(at, placed.why, reader)
    line = { ...line, items: placed.items, ...(placed.stands ? { stands: placed.stands } : {}) }
    cursor = placed.cursor
    for (const item of line.items) {
      const was = had.get(item.id)
      if (was === item) continue
      had.set(item.id, item)
      if (!was) entryOf.set(item.id, at)
      else if (was.meets !== item.meets || was.falls !== item.falls || was.branchFalls !== item.branchFalls)
        laterOf.set(item.id, at)
    }
  })
  return { line, entryOf, laterOf }
}
