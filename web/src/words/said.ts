import type { FunctionalComponent, Slot } from 'vue'
import { type Values, type WebCode, word } from './word'

/** Letters that no text has: they hold the place of a part while the sentence is put together. */
const [FROM, TO] = ['\uE000', '\uE001']
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
  return word(code, { ...values, ...held })
    .split(HELD)
    .map((part, i) => (i % 2 ? slots[names[Number(part)] ?? '']?.({}) : part))
}
Said.props = ['code', 'values']
