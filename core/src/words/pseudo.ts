import type { Element } from './print.js'

const PLAIN = 'aceinosuyzACEINOSUYZ'
const MARKED = 'áçéíñóšúýžÁÇÉÍÑÓŠÚÝŽ'
/**
 * A text in the letters of the pseudo-language.
 * @example accented('cut') // 'çút'
 */
export const accented = (text: string): string =>
  [...text].map((letter) => MARKED[PLAIN.indexOf(letter)] ?? letter).join('')
/** Other languages need about a third more room than English. */
const LONGER = 1 / 3
const padding = (text: string): string => '~'.repeat(Math.ceil(text.trim().length * LONGER))

/** Around a whole sentence: what is seen without them was not said by the book. */
const BRACKETS = ['\u27e6', '\u27e7'] as const
const TEXT = 0
const textElement = (value: string): Element => ({ type: TEXT, value }) as Element

function marked(elements: readonly Element[]): Element[] {
  return elements.map((element) => {
    if (element.type === TEXT) return { ...element, value: accented(element.value) }
    if (!('options' in element)) return element
    const options = Object.entries(element.options).map(([name, option]) => [
      name,
      { ...option, value: marked(option.value) },
    ])
    return { ...element, options: Object.fromEntries(options) } as Element
  })
}
/** A parsed message in the pseudo-language: accented, a third longer, between brackets. */
export function pseudo(message: readonly Element[]): Element[] {
  const own = message.map((e) => (e.type === TEXT ? e.value : '')).join('')
  return [textElement(BRACKETS[0]), ...marked(message), textElement(padding(own) + BRACKETS[1])]
}
