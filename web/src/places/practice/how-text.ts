import { type HowDef, type Method, PRACTICE_SITES, type PracticeSite, type Reader, fmt } from '@jugalis/core'
import { told, word } from '../../words/word'

/** A figure of how something was done, in the reader's units. */
export function figureSaid(unit: HowDef['unit'], value: number, reader: Reader): string {
  if (unit === 'mm') return fmt.thickness(value, reader)
  if (unit === 'C') return fmt.temperature(value, reader)
  if (unit === 's') return fmt.duration(value)
  const bare = fmt.number(value, unit === 'pct' ? 0 : unit === 'count' ? 0 : 2, reader.decimal)
  if (unit === 'pct') return word('practice-pct', { n: bare })
  if (unit === 'deg') return word('practice-deg', { n: bare })
  return unit === 'turns'
    ? told({ code: 'reading-turns', params: { turns: Math.round(value * 100) / 100 } })
    : word('practice-count', { n: bare })
}
/** What is asked about how a step is done. */
export const howName = (method: Method, key: string): string =>
  told({ code: `how-${method.key}-${key}`, params: {} })
/** An option of a choice by its name. */
export const optionName = (method: Method, key: string, option: string): string =>
  told({ code: `how-${method.key}-${key}-${option}`, params: {} })
/** The same for a figure or an option. */
export const howSaid = (
  method: Method,
  key: string,
  def: HowDef,
  value: number | string,
  reader: Reader,
): string =>
  def.options ? optionName(method, key, String(value)) : figureSaid(def.unit, Number(value), reader)
export const faultName = (method: Method, fault: string): string =>
  told({ code: `fault-${method.key}-${fault}`, params: {} })
export const seenName = (method: Method, seen: string): string =>
  told({ code: `seen-${method.key}-${seen}`, params: {} })
export const surfaceName = (method: Method): string => told({ code: `surface-${method.key}`, params: {} })
/** Where it is made, in a sentence. */
export function placeSaid(name: PracticeSite): string {
  const { airC, wallC, relativeHumidityPct: pct, windMS } = PRACTICE_SITES[name]
  const site = word(`practice-site-${name}`)
  return word('practice-site-is', { site, airC, wallC, pct, wind: windMS ? 'some' : 'none', windMS })
}
