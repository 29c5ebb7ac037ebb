import { IntlMessageFormat } from 'intl-messageformat'
import * as fmt from '../units/format.js'
import type { Reader } from '../units/format.js'
import { DEFAULT_LANGUAGE, type Language, localeOf } from '../units/languages.js'
import { pseudo } from './pseudo.js'

type Values = Record<string, string | number>
/** A part of a parsed message. */
export type Element = ReturnType<IntlMessageFormat['getAst']>[number]

/** Turns as they are counted at the nut: whole ones and quarters, `1-1/4`. */
function quarters(turns: number): string {
  const whole = Math.floor(turns)
  const rest = turns - whole
  if (rest * 4 !== Math.round(rest * 4)) return turns.toFixed(2)
  return fmt.inchFraction(turns)
}
/** How a quantity inside a sentence is read: the names that may stand after `number` in a message. */
const STYLES = {
  length: (v, r) => fmt.length(v, r),
  /** The bare figure, where the unit is said once beside it. */
  figure: (v, r) => fmt.lengthFigure(v, r),
  /** A small part, to the thirty-second of an inch. */
  small: (v, r) => fmt.length(v, { ...r, fraction: 32 }),
  thickness: (v, r) => fmt.thickness(v, r),
  pressure: (v, r) => fmt.pressure(v, r),
  /** A pressure as finely as a good gauge shows it. */
  fine: (v, r) => fmt.pressureFine(v, r),
  temperature: (v, r) => fmt.temperature(v, r),
  /** A difference of temperatures. */
  warmer: (v, r) => fmt.warmer(v, r),
  torque: (v, r) => fmt.torque(v, r),
  distance: (v, r) => fmt.distance(v, r),
  volume: (v, r) => fmt.volume(v, r),
  weight: (v, r) => fmt.weight(v, r),
  flow: (v, r) => fmt.print(v, 'flow', r),
  leak: (v, r) => fmt.print(v, 'leak', r),
  duration: (v) => fmt.duration(v),
  quarters: (v) => quarters(v),
  whole: (v, r) => fmt.number(v, 0, r.decimal),
  /** One decimal even where it is nought: `3.0` is told from 3. */
  tenths: (v, r) => v.toFixed(1).replace('.', r.decimal ?? '.'),
} as const satisfies Readonly<Record<string, (value: number, reader: Reader) => string>>
export const STYLE_NAMES: readonly string[] = Object.keys(STYLES)

/** Elements of a parsed message, by the numbers its parser gives them. */
export const KIND = { text: 0, number: 2, select: 5 } as const

/** What a message asks of its parameters. */
interface Uses {
  names: ReadonlySet<string>
  /** Parameters that choose between sentences by what they are. */
  selects: ReadonlySet<string>
  /** Parameters that choose by how many, with the options named. */
  plurals: ReadonlyMap<string, ReadonlySet<string>>
  styles: ReadonlySet<string>
}
/** The name a select's parameter goes by: what chooses and what is printed may differ. */
const choosing = (name: string): string => `choosing ${name}`

/** Reads what a parsed message asks of its parameters, and lets each select go by a name of its own. */
function usesOf(ast: readonly Element[]): Uses {
  const names = new Set<string>()
  const selects = new Set<string>()
  const plurals = new Map<string, Set<string>>()
  const styles = new Set<string>()
  const walk = (elements: readonly Element[]): void => {
    for (const element of elements) {
      if ('value' in element && element.type !== KIND.text) names.add(element.value)
      if (element.type === KIND.number && typeof element.style === 'string') styles.add(element.style)
      if (!('options' in element)) continue
      if (element.type === KIND.select) {
        selects.add(element.value)
        element.value = choosing(element.value)
      } else
        plurals.set(
          element.value,
          new Set([...(plurals.get(element.value) ?? []), ...Object.keys(element.options)]),
        )
      for (const option of Object.values(element.options)) walk(option.value)
    }
  }
  walk(ast)
  return { names, selects, plurals, styles }
}

interface Compiled {
  format: IntlMessageFormat
  uses: Uses
}
const FORMATS = { number: Object.fromEntries(STYLE_NAMES.map((name) => [name, { style: name }])) }
const plainly = (v: number, r: Reader): string => fmt.number(v, 3, r.decimal)
/** A quantity's style is printed by core's own formatters; all else as the language does it. */
const formattersFor = (reader: Reader, language: Language) => ({
  getNumberFormat: (_locales: unknown, options?: { style?: string }) => {
    const style = STYLES[options?.style as keyof typeof STYLES]
    // What was not given is no figure: printed as one that is not known.
    return { format: (v: unknown) => (style ?? plainly)(v === '' ? NaN : Number(v), reader) }
  },
  getPluralRules: (_locales: unknown, options?: Intl.PluralRulesOptions) =>
    new Intl.PluralRules(localeOf(language), options),
  getDateTimeFormat: () => new Intl.DateTimeFormat(localeOf(language)),
})
/** Compiled messages of one reader, by message. Readers are few: each set of units once. */
const compiled = new Map<string, Map<string, Compiled>>()

function compile(message: string, reader: Reader, language: Language): Compiled {
  const key = JSON.stringify(reader)
  let ofReader = compiled.get(key)
  if (!ofReader) compiled.set(key, (ofReader = new Map()))
  let one = ofReader.get(message)
  if (!one) {
    const options = { ignoreTag: true, formatters: formattersFor(reader, language) as never }
    const locale = localeOf(language)
    const read = new IntlMessageFormat(message, locale, undefined, options).getAst()
    const ast = language === 'pseudo' ? pseudo(read) : read
    const uses = usesOf(ast)
    const format = new IntlMessageFormat(ast, locale, FORMATS as never, options)
    ofReader.set(message, (one = { format, uses }))
  }
  return one
}

/** How a select knows a value: `none` is nothing there (empty, not given, zero or below); its names have no hyphens. */
const chosen = (value: string | number | undefined): string =>
  value === undefined || value === '' || (typeof value === 'number' && value <= 0)
    ? 'none'
    : String(value).replace(/-/g, '_')
/** Values for every parameter, so that no sentence is lost for want of one. */
function valuesFor({ names, selects, plurals }: Uses, given: Values, said: Values): Values {
  const out: Values = {}
  for (const name of names)
    out[name] = said[name] ?? given[name] ?? (plurals.get(name)?.has('=-1') ? -1 : plurals.has(name) ? 0 : '')
  for (const name of selects) out[choosing(name)] = chosen(given[name])
  return out
}

/**
 * Prints an ICU message for a reader.
 * @param message the message. @param given its parameters, quantities in core's units. @param said what is printed
 * instead of some of them, where what is given is a name that only chooses.
 */
export function print(message: string, given: Values, reader: Reader, said: Values = {}): string {
  const one = compile(message, reader, reader.language ?? DEFAULT_LANGUAGE)
  return String(one.format.format(valuesFor(one.uses, given, said)))
}

/**
 * Parameters that a message names, and the quantities it prints: what a test of the whole book looks at.
 * @example usesOfMessage('{bar, number, pressure} on {tag}').names // ['bar', 'tag']
 */
export function usesOfMessage(message: string): { names: string[]; styles: string[] } {
  const { names, styles } = usesOf(
    new IntlMessageFormat(message, DEFAULT_LANGUAGE, undefined, { ignoreTag: true }).getAst(),
  )
  return { names: [...names], styles: [...styles] }
}
