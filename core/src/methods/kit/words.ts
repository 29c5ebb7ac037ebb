import type { BenchWords } from '../../bench/bench.js'
import type { Code, Wording, Wordings } from '../../sources/wording.js'

/** What a person reads at a step, good or gone wrong. */
export interface StepWords {
  /** What to do. */
  readonly does: Wording
  /** What good looks like. */
  readonly look: Wording
  /** What usually goes wrong. */
  readonly mistake: Wording
  /** The words on the large button, and the hint below them. */
  readonly act: Wording
  readonly hint: Wording
}
/** Everything a way of joining says, in the words of the trade. Codes follow from where a text stands. */
export interface MethodWords {
  readonly name: string
  readonly steps: Readonly<Record<string, StepWords>>
  /** The buttons of what may go wrong at a step. */
  readonly exceptions: Readonly<Record<string, Wording>>
  /** What a running clock is for, and what to do once it was missed. */
  readonly clocks: Readonly<Record<string, { readonly runs: Wording; readonly missed: Wording }>>
  /** What a fault to practise on is called. */
  readonly faults: Readonly<Record<string, Wording>>
  /** How a joint is called that is assembled and not yet made fast: `not pressed`. */
  readonly unfixed?: string
  /** Points on which good tradesmen differ: the two ways, and what is done with it here. */
  readonly differs?: Readonly<
    Record<
      string,
      { readonly point: Wording; readonly a: Wording; readonly b: Wording; readonly here: Wording }
    >
  >
  /** All else by its code: fields, options, tools, cautions, findings, causes. */
  readonly says: Wordings
}

/** Names that the words of a method give to its steps, ways out, clocks and faults: no other compiles. */
export type StepId<W extends MethodWords> = keyof W['steps'] & string
export type ExceptionId<W extends MethodWords> = keyof W['exceptions'] & string
export type ClockId<W extends MethodWords> = keyof W['clocks'] & string
export type FaultId<W extends MethodWords> = keyof W['faults'] & string

/** Where a text of a method stands: its codes, by the method's key. */
export const PLACES = {
  name: (id: string) => `method-${id}`,
  unfixed: (id: string) => `unfixed-${id}`,
  does: (key: string, step: string) => `do-${key}-${step}`,
  look: (key: string, step: string) => `look-${key}-${step}`,
  mistake: (key: string, step: string) => `mistake-${key}-${step}`,
  act: (key: string, step: string) => `act-${key}-${step}`,
  hint: (key: string, step: string) => `hint-${key}-${step}`,
  exception: (key: string, exception: string) => `ex-${key}-${exception}`,
  runs: (key: string, clock: string) => `clock-${key}-${clock}`,
  missed: (key: string, clock: string) => `miss-${key}-${clock}`,
  fault: (key: string, fault: string) => `fault-${key}-${fault}`,
  /** What is asked of how a step is done, and what an option of it is called. */
  how: (key: string, how: string) => `how-${key}-${how}`,
  option: (key: string, how: string, option: string) => `how-${key}-${how}-${option}`,
  seen: (key: string, seen: string) => `seen-${key}-${seen}`,
  /** What a cell of a joint cut open holds by. */
  surface: (key: string) => `surface-${key}`,
  differs: (id: string, part: 'point' | 'a' | 'b' | 'here') =>
    part === 'point' ? `differ-${id}` : `differ-${id}-${part}`,
} as const
type Places = typeof PLACES
/** The code of a text of a method. The types of `defineMethod` hold that the text is there. */
export const placed = <P extends keyof Places>(place: P, ...of: Parameters<Places[P]>): Code =>
  (PLACES[place] as (...of: string[]) => string)(...of) as Code

/** All texts of a method by their codes. */
export function wordsByCode(id: string, key: string, words: MethodWords): Wordings {
  const all: Record<string, Wording> = { ...words.says, [placed('name', id)]: words.name }
  if (words.unfixed !== undefined) all[placed('unfixed', id)] = words.unfixed
  for (const [step, texts] of Object.entries(words.steps))
    for (const [part, text] of Object.entries(texts)) all[placed(part as keyof StepWords, key, step)] = text
  for (const [exception, text] of Object.entries(words.exceptions))
    all[placed('exception', key, exception)] = text
  for (const [clock, { runs, missed }] of Object.entries(words.clocks)) {
    all[placed('runs', key, clock)] = runs
    all[placed('missed', key, clock)] = missed
  }
  for (const [fault, text] of Object.entries(words.faults)) all[placed('fault', key, fault)] = text
  for (const [difference, parts] of Object.entries(words.differs ?? {}))
    for (const part of ['point', 'a', 'b', 'here'] as const)
      all[placed('differs', difference, part)] = parts[part]
  return all
}

/** All texts of a bench by their codes. */
export function benchWordsByCode(key: string, words: BenchWords): Wordings {
  const all: Record<string, Wording> = { [placed('surface', key)]: words.surface }
  for (const [how, text] of Object.entries(words.hows)) {
    const isChoice = typeof text === 'object' && 'options' in text
    all[placed('how', key, how)] = isChoice ? text.says : text
    if (isChoice)
      for (const [option, says] of Object.entries(text.options))
        all[placed('option', key, how, option)] = says
  }
  for (const [seen, text] of Object.entries(words.seen)) all[placed('seen', key, seen)] = text
  return all
}
