import { type FunctionalComponent, type Slot, type VNodeChild, h } from 'vue'
import { type Values, type WebCode, word } from './word'

/** Letters that no text has: they hold the place of a part while the sentence is put together. */
const [FROM, TO] = ['\uE000', '\uE001']
/** What belongs to the word before it. */
const POINT = /^[.,;:!?)]+/
const HELD = new RegExp(`${FROM}(\\d+)${TO}`)

/**
 * A sentence of which some parameters are more than text: a link, a figure set in bold. Each is a slot by the name that
 * the sentence has for it, so that every language puts it where it belongs.
 */
export const Said: FunctionalComponent<{ code: WebCode; values?: Values }, [], Record<string, Slot>> = (
  { code, values },
  { slots },
) => {
  const names = Object.keys(slots)
  const held = Object.fromEntries(names.map((name, i) => [name, `${FROM}${i}${TO}`]))
  const parts = word(code, { ...values, ...held }).split(HELD)
  return parts.map((part, i): VNodeChild => {
    if (i % 2 === 0) return i ? part.replace(POINT, '') : part
    const own = slots[names[Number(part)] ?? '']?.({})
    const point = POINT.exec(parts[i + 1] ?? '')?.[0]
    // A button may stand at the end of a row; the point behind it would then begin the next.
    return point ? h('span', { class: 'glued' }, [own, point]) : own
  })
}
Said.props = ['code', 'values']

/**
 * A figure and the unit behind it: letters, degrees, a share; a word is longer. Or inches with their fraction, alone. Or
 * the tag of a joint or section, up to a length that any screen has room for.
 */
const WITH_UNIT =
  /(\d[\d./-]* (?:°[CF]|%|[A-Za-z]{1,3}(?:\/\w+)?)(?![\p{L}\d])|\d+-\d+\/\d+[.,;:]?|(?<![\p{L}\d-])[A-Z][A-Za-z\d]{0,7}(?:-[A-Z\d][A-Za-z\d]{0,5}){1,3}(?![\p{L}\d-]))/u
/** Parts of a text, every second of which is a figure with its unit, or a tag. */
export const figuresIn = (text: string): string[] => text.split(new RegExp(WITH_UNIT, 'gu'))
/** Large letters on a narrow screen: a figure is not torn from its unit, nor a tag at its hyphen. Read aloud and searched it is the same text. */
export const Figures: FunctionalComponent<{ text: string }> = ({ text }) =>
  figuresIn(text).map((part, i) => (i % 2 ? h('span', { class: 'nowrap' }, part) : part))
Figures.props = ['text']
