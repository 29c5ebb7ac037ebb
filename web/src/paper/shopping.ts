import { MARGIN_MM, type Sheet, book } from './sheet'
import { Flow } from './flow'
import { word } from '../words/word'

/** One thing to be bought, in words: what and how much on its first line, why under it. */
export interface ToBuy {
  what: string
  much: string
  lines: readonly string[]
}
const BOX_MM = 4
const BESIDE_MM = MARGIN_MM + BOX_MM + 4
const BLOCK_MM = 16

/**
 * What is short, on paper: a box to tick before each thing, no maker named.
 * @param counted where amounts on it come from; nothing where none was estimated.
 */
export async function shoppingList(
  job: string,
  wanted: readonly ToBuy[],
  counted: string,
  day: string,
  sheet: Sheet,
): Promise<Uint8Array> {
  const title = word('paper-shopping-list', { job })
  const feed = await book(title, sheet)
  const flow = new Flow(feed, sheet, word('paper-shopping-foot', { job, day }))
  flow.say(title, 4.6, true, 'H1')
  flow.say(word('paper-shopping-why', { day, things: wanted.length }))
  for (const { what, much, lines } of wanted) {
    flow.room(BLOCK_MM)
    flow.y += 3
    flow.paper.box(MARGIN_MM, flow.y - BOX_MM + 0.5, BOX_MM, BOX_MM)
    flow.beside(BESIDE_MM, [what, much].filter(Boolean).join(': '), 3.2, true)
    for (const line of lines) flow.beside(BESIDE_MM, line)
  }
  if (counted) {
    flow.y += 4
    flow.say(counted)
  }
  return feed.bytes()
}
