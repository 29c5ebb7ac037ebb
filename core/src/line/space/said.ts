import type { Held } from '../../log/held.js'
import type { Stands } from '../../log/state.js'
import type { Flows } from '../../log/stands.js'
import { type Msg, msg } from '../../sources/source.js'
import { parseLength, parseQuantity } from '../../units/parse.js'
import { type Reader, inchFraction, systemOf, unitOf } from '../../units/quantity.js'
import { MM_PER_INCH } from '../../units/units.js'
import { HEADING_SAID, isHeading } from '../../space/heading.js'

/** What is typed of where a line lies, besides the headings of its fittings. */
export type SpaceEntry =
  | { ok: true; type: 'stands'; stands: Stands }
  | {
      ok: true
      type: 'falls'
      falls: number
      /** Of what leaves by the branch. */
      branch?: true
    }
  | { ok: true; type: 'meets'; name: string }
  | { ok: true; type: 'to-level'; levelMm: number }
  | { ok: true; type: 'held'; held: Held }
  | { ok: true; type: 'flows'; flows: Flows | null }
type Refused = { ok: false; why: Msg }
const FLOWS: Readonly<Record<string, Flows>> = { on: 'on', back: 'back' }

/** Steeper than this is no fall of a pipe: it is a way that goes down. */
const STEEPEST = 2
const FLATTEST = 10_000

/**
 * A level as it is typed: with its sign, in metres or feet where no unit is said. Null for what is none.
 * @example levelSaid('+2.400', { units: 'metric' }) // 2400
 */
export function levelSaid(text: string, reader: Reader): number | null {
  const typed = text.trim().replace(/^(?:±|\+-) ?/, '+')
  if (!/^[+\-\u2212]/.test(typed)) return null
  return parseQuantity(typed, 'distance', reader)?.value ?? null
}
/**
 * A level as it is typed and written.
 * @example levelText(2400, { units: 'metric' }) // '+2.400'
 */
export function levelText(mm: number, reader: Reader): string {
  const sign = mm < 0 ? '-' : '+'
  const far = Math.abs(mm)
  if (systemOf(reader, 'length') === 'inch') {
    // Rounded as a whole, so that it never says twelve inches.
    const sixteenths = Math.round((far / MM_PER_INCH) * 16)
    const feet = Math.floor(sixteenths / 192)
    return `${sign}${feet}'-${inchFraction((sixteenths - feet * 192) / 16).replace(/(\d)-(\d+\/)/, '$1 $2')}"`
  }
  return sign + (far / 1000).toFixed(3).replace('.', reader.decimal ?? '.')
}

/**
 * Reads `from +2.400 east`, `from Q1/F03 branch`, `fall 1:80`, `rise 1:200`, `fall 0`, `to +3.150`, `to Q1/F07`, `anchor`,
 * `anchor 600`, `guide 600`, `flow on`, `flow back`. Null for what is none of them.
 * @param typed as it was, with its capitals: names are kept so.
 * @example spaceEntry('fall 1:80', { units: 'metric' }) // { ok: true, type: 'falls', falls: 80 }
 */
export function spaceEntry(typed: string, reader: Reader): SpaceEntry | Refused | null {
  const text = typed.trim().replace(/\s+/g, ' ')
  const from = /^from (.+)$/i.exec(text)
  if (from) return standsSaid(from[1] as string, reader, text)
  const falls = /^(branch )?(fall|rise) (.+)$/i.exec(text)
  if (falls) {
    const said = fallSaid(falls[2] as string, falls[3] as string, text)
    return falls[1] && said.ok ? { ...said, branch: true } : said
  }
  const held = /^(anchor|guide)(?: (.+))?$/i.exec(text)
  if (held) return heldSaid(held[1] as string, held[2], reader, text)
  const flows = /^flow (on|back|off)$/i.exec(text)?.[1]?.toLowerCase()
  if (flows) return { ok: true, type: 'flows', flows: FLOWS[flows] ?? null }
  const to = /^to (.+)$/i.exec(text)?.[1]
  if (to === undefined) return null
  if (!/^[+\-\u2212±]/.test(to)) return { ok: true, type: 'meets', name: to }
  const levelMm = levelSaid(to, reader)
  return levelMm === null ? noLevel(text, reader) : { ok: true, type: 'to-level', levelMm }
}
const noLevel = (text: string, reader: Reader): Refused => ({
  ok: false,
  why: msg('space-not-a-level', { text, unit: unitOf('distance', reader) }),
})
const HEADED = new RegExp(`^(.*?) (${HEADING_SAID})$`, 'i')
function standsSaid(said: string, reader: Reader, text: string): SpaceEntry | Refused {
  const headed = HEADED.exec(said)
  const heading = headed?.[2]?.toLowerCase()
  if (heading !== undefined && !isHeading(heading))
    return { ok: false, why: msg('space-no-heading', { text: heading }) }
  const place = headed?.[1] ?? said
  const more = heading === undefined ? {} : { heading }
  if (/^[+\-\u2212±]/.test(place)) {
    const levelMm = levelSaid(place, reader)
    return levelMm === null
      ? noLevel(text, reader)
      : { ok: true, type: 'stands', stands: { levelMm, ...more } }
  }
  const name = place.replace(/ branch$/i, '')
  const branch = name === place ? {} : { branch: true as const }
  return { ok: true, type: 'stands', stands: { name, ...branch, ...more } }
}
function fallSaid(
  word: string,
  said: string,
  text: string,
): Extract<SpaceEntry, { type: 'falls' }> | Refused {
  const figure = /^(?:1 ?(?::|in) ?)?(\d+(?:[.,]\d+)?)$/i.exec(said)?.[1]
  const ratio = figure === undefined ? NaN : Number(figure.replace(',', '.'))
  const bare = !/^1 ?(?::|in)/i.test(said)
  if (bare && ratio === 0) return { ok: true, type: 'falls', falls: 0 }
  if (bare || !(ratio >= STEEPEST && ratio <= FLATTEST))
    return { ok: false, why: msg('space-not-a-fall', { text, least: STEEPEST, most: FLATTEST }) }
  return { ok: true, type: 'falls', falls: word.toLowerCase() === 'rise' ? -ratio : ratio }
}
function heldSaid(word: string, far: string | undefined, reader: Reader, text: string): SpaceEntry | Refused {
  const as = word.toLowerCase() === 'guide' ? 'guide' : 'anchor'
  if (far === undefined) return { ok: true, type: 'held', held: { as } }
  const atMm = parseLength(far, reader)
  return atMm === null || atMm < 0
    ? { ok: false, why: msg('entry-not-a-length', { text }) }
    : { ok: true, type: 'held', held: { as, atMm } }
}
/**
 * A fall as it is typed.
 * @example fallText(-200) // 'rise 1:200'
 */
export const fallText = (falls: number): string =>
  falls === 0 ? 'fall 0' : `${falls < 0 ? 'rise' : 'fall'} 1:${Math.abs(falls)}`
/** Where a line begins, as it is typed. */
export const standsText = (stands: Stands, reader: Reader): string =>
  [
    'from',
    stands.name ?? levelText(stands.levelMm ?? 0, reader),
    ...(stands.branch ? ['branch'] : []),
    ...(stands.heading ? [stands.heading] : []),
  ].join(' ')

/**
 * A fitting's entry without the heading that it ends with.
 * @example withoutHeading('tee 110 branch up') // { rest: 'tee 110', heading: 'up' }
 */
export function withoutHeading(said: string): { rest: string; heading?: string } {
  const headed = HEADED.exec(said)
  if (!headed || !isHeading(headed[2] as string)) return { rest: said }
  return { rest: (headed[1] as string).replace(/ branch$/, ''), heading: headed[2] as string }
}
