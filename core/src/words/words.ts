import type { Msg } from '../sources/source.js'
import * as fmt from '../units/format.js'
import type { Reader } from '../units/format.js'
import { AROUND_WORDS } from './around.js'
import { ANSWERS } from './answers.js'
import { FINDINGS } from './findings.js'
import { HANDBOOK } from './handbook.js'
import { MAKE } from './make.js'
import { named } from './names.js'
import { METHOD_WORDS } from './methods/index.js'
import { SET_OUT } from './set-out.js'
import { STEPS } from './steps.js'
import { TESTING } from './testing.js'

/** A wording: gets parameters and a way to print figures of its own, gives a sentence. All wording of core's messages lives in this folder. */
export type Wording = (p: Params, own: Own) => string
export type Wordings = Readonly<Record<string, Wording | string>>
/** Parameters with the formatter each needs. */
export interface Params {
  s(key: string): string
  n(key: string): number
  mm(key: string): string
  figure(key: string): string
  bar(key: string): string
  /** A pressure as finely as a good gauge shows it. */
  fine(key: string): string
  c(key: string): string
  nm(key: string): string
  /** A wall, a gap, a thing that is gauged. */
  gap(key: string): string
  dur(key: string): string
}
/** Figures that a sentence names itself, in the units of who reads it. */
export interface Own {
  mm(mm: number): string
  /** To the thirty-second of an inch. */
  small(mm: number): string
  gap(mm: number): string
  bar(bar: number): string
  c(celsius: number): string
  k(kelvin: number): string
}

const ALL: Wordings = {
  ...AROUND_WORDS,
  ...FINDINGS,
  ...STEPS,
  ...METHOD_WORDS,
  ...HANDBOOK,
  ...SET_OUT,
  ...ANSWERS,
  ...MAKE,
  ...TESTING,
}

/** The sentence for a message. An unknown code shows itself, so that it is seen and mended. */
export function say(message: Msg, reader: Reader = { units: 'metric' }): string {
  const wording = ALL[message.code]
  if (wording === undefined) return message.code
  if (typeof wording === 'string') return wording
  const n = (k: string): number => Number(message.params[k] ?? NaN)
  return wording(
    {
      s: (k) => (k === 'material' ? named(String(message.params[k] ?? '')) : String(message.params[k] ?? '')),
      n,
      mm: (k) => fmt.length(n(k), reader),
      figure: (k) => fmt.lengthFigure(n(k), reader),
      bar: (k) => fmt.pressure(n(k), reader),
      fine: (k) => fmt.pressureFine(n(k), reader),
      c: (k) => fmt.temperature(n(k), reader),
      nm: (k) => fmt.torque(n(k), reader),
      gap: (k) => fmt.thickness(n(k), reader),
      dur: (k) => fmt.duration(n(k)),
    },
    {
      mm: (v) => fmt.length(v, reader),
      small: (v) => fmt.length(v, { ...reader, fraction: 32 }),
      gap: (v) => fmt.thickness(v, reader),
      bar: (v) => fmt.pressure(v, reader),
      c: (v) => fmt.temperature(v, reader),
      k: (v) => fmt.warmer(v, reader),
    },
  )
}
export const isWorded = (code: string): boolean => code in ALL

/** An answer about a joint's surroundings, in words. */
export function answerSaid(fact: string, answer: string): string {
  const own = `said-${fact}-${answer}`
  return isWorded(own) ? say({ code: own, params: {} }) : named(answer)
}
