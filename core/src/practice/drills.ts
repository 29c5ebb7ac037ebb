import { chanceOf } from '../bench/chance.js'
import type { School } from '../methods/joinable.js'
import type { Method } from '../methods/method.js'
import { type OnBench, laidOn } from './laid.js'
import { type PracticeAnswer, type PracticeQuestion, practiceRun } from './run.js'
import { PRACTICE_SITES, type PracticeSite } from './sites.js'

/** A joint somebody else made: well, or with one fault that is not told. */
export interface Drill {
  /** The same number, the same joint. */
  no: number
  method: Method
  site: PracticeSite
  question: PracticeQuestion
  laid: OnBench
  /** What was done wrong; null: nothing. */
  fault: string | null
  answer: PracticeAnswer
}
/** A third is sound: who calls everything bad learns nothing. */
const SOUND = 1 / 3
/** As badly as that at least, so that it costs something. */
const LEAST = 0.6
/** Below this of sound work a joint counts as bad: beyond what a hand's own spread does. */
const SOUND_FROM = 0.9

const pick = <T>(all: readonly T[], share: number): T =>
  all[Math.min(all.length - 1, Math.floor(share * all.length))] as T

/** Joints that a method makes in a school, as they are usual; those of the other school where it has none. */
function examplesIn(method: Method, school: School): Method['examples'] {
  const own = method.examples.filter((e) => e.school === school)
  return own.length ? own : method.examples
}

/**
 * A joint to judge. @param methods it may be made by, one or more. @param no any whole number.
 * @throws where an example of a method is refused by its own fields: a fault of ours.
 */
export function drillOf(methods: readonly Method[], school: School, no: number): Drill {
  const chance = chanceOf(no)
  const method = pick(methods, chance.even('method'))
  const example = pick(examplesIn(method, school), chance.even('example'))
  const site = pick(Object.keys(PRACTICE_SITES) as PracticeSite[], chance.even('site'))
  const question: PracticeQuestion = {
    material: example.spec.material,
    size: example.spec.size,
    school: example.school,
    details: example.spec,
    site: PRACTICE_SITES[site],
    seed: no,
  }
  const found = laidOn(method, question)
  if (!found.ok) throw new Error(`${method.id}: ${found.errors[0]?.code ?? ''}`)
  const faults = Object.keys(found.laid.faults)
  const fault = chance.even('sound') < SOUND ? null : pick(faults, chance.even('fault'))
  const amount = LEAST + (1 - LEAST) * chance.even('amount')
  const asked = { ...question, spoil: fault === null ? [] : [{ fault, amount }] }
  return {
    no,
    method,
    site,
    question: asked,
    laid: found.laid,
    fault,
    answer: practiceRun(found.laid, asked),
  }
}
/** Would it hold as sound work does? */
export const isSound = (answer: Pick<PracticeAnswer, 'holdsOf'>): boolean => answer.holdsOf >= SOUND_FROM

/** Things put in another order, the same one for the same number; never as they belong where there are two or more. */
export function shuffled<T>(all: readonly T[], no: number): T[] {
  const lots = chanceOf(no).many('order', all.length)
  const out = all
    .map((one, i) => ({ one, lot: lots[i] as number }))
    .sort((a, b) => a.lot - b.lot)
    .map(({ one }) => one)
  const same = out.every((one, i) => one === all[i])
  return same && out.length > 1 ? [...out.slice(1), out[0] as T] : out
}
