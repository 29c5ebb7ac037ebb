import type { Step } from '../methods/method.js'
import { smallest } from '../units/extent.js'
import type { Bench, FaultDef, HowDef, Hows } from '../bench/bench.js'
import type { Chance } from '../bench/chance.js'

/** A step as it was done. */
export interface Act {
  step: string
  /** Seconds from the beginning. */
  atS: number
  how: Record<string, number | string>
}
/** A step as somebody says it was done: what is left out is as usual. */
export interface GivenAct {
  step: string
  atS: number
  how?: Readonly<Record<string, number | string>> | null
}
/** How everything was done, by name, whatever the method. */
export type How = Record<string, number | string>
/** What is played: a joint's bench, its steps in order up to the one that makes it, and what may be said of each. */
export interface Play {
  bench: Bench
  spec: unknown
  steps: readonly string[]
  made: string
  hows: Hows
  chance: Chance
}

/** Times are kept to an eighth of a second: sums of them are exact, so that what is sent back plays the same. */
const TICKS = 8
const ticked = (s: number): number => Math.round(s * TICKS) / TICKS
/** Between two steps, where nothing is said of it. */
const BETWEEN_S = 30

/** Does it follow from the times, so that nobody says it? */
export const fromTimes = (def: HowDef): boolean => Boolean(def.wait ?? def.again)
const keysOf = (play: Play, step: string): string[] =>
  Object.keys(play.hows).filter((key) => play.hows[key]?.step === step)
const waitKey = (play: Play, step: string): string | undefined =>
  keysOf(play, step).find((key) => play.hows[key]?.wait)

/** What is played of a method's steps for one joint, by one hand, at one site. */
export function playOf(
  bench: Bench,
  spec: unknown,
  steps: readonly Step[],
  chance: Chance,
  site: Parameters<Bench['hows']>[1],
): Play {
  const ids = steps.map((s) => s.id)
  const all = bench.hows(spec, site)
  const hows = Object.fromEntries(Object.entries(all).filter(([, def]) => !def.off && ids.includes(def.step)))
  return {
    bench,
    spec,
    steps: ids,
    made: steps.find((s) => s.reaches === 'made')?.id ?? '',
    hows,
    chance,
  }
}
/** All that the bench asks for, also what this joint does not have: that is as usual. */
export const usualHow = (play: Play, site: Parameters<Bench['hows']>[1]): How =>
  Object.fromEntries(Object.entries(play.bench.hows(play.spec, site)).map(([key, def]) => [key, def.usual]))

/** A figure as this hand does it: about the usual, within what can be. */
function byHand(play: Play, key: string, def: HowDef): number | string {
  if (typeof def.usual === 'string') return def.usual
  const value = def.usual + (def.spread ?? 0) * play.chance.hand(key)
  const held = Math.max(def.min ?? -Infinity, Math.min(def.max ?? Infinity, value))
  return def.unit === 's' ? ticked(held) : held
}
/** Seconds that an act takes, as it was done. */
function takesS(play: Play, act: Act): number {
  const key = play.bench.takes?.[act.step]
  return key === undefined ? 0 : Number(act.how[key] ?? 0)
}

/** The usual way, by this hand: every step once, in order. */
export function usualActs(play: Play): Act[] {
  let atS = 0
  return play.steps.map((step, i) => {
    const how: How = {}
    for (const key of keysOf(play, step)) {
      const def = play.hows[key] as HowDef
      if (!fromTimes(def)) how[key] = byHand(play, key, def)
    }
    const wait = waitKey(play, step)
    if (i) atS += wait ? Number(byHand(play, wait, play.hows[wait] as HowDef)) : BETWEEN_S
    const act = { step, atS, how }
    atS += takesS(play, act)
    return act
  })
}
/** What somebody did, filled up by the usual way of this hand. */
export function givenActs(play: Play, given: readonly GivenAct[]): Act[] {
  const usual = new Map(usualActs(play).map((act) => [act.step, act.how]))
  return given.map((act) => ({
    step: act.step,
    atS: ticked(act.atS),
    how: { ...usual.get(act.step), ...act.how },
  }))
}

/** How far a fault goes at an amount; a choice goes all the way. */
function spoilt(def: HowDef, to: number | string, amount: number): number | string {
  if (typeof to === 'string' || typeof def.usual === 'string') return to
  const value = def.usual + amount * (to - def.usual)
  return def.unit === 's' ? ticked(value) : value
}
/** The worse of two, in the direction of a fault: what is as bad already stays. */
export function worse(
  def: HowDef,
  to: number | string,
  was: number | string,
  is: number | string,
): number | string {
  if (def.options) {
    const rank = (x: number | string): number => (def.options as readonly string[]).indexOf(String(x))
    return rank(is) > rank(was) ? is : was
  }
  return Number(to) >= Number(def.usual)
    ? Math.max(Number(was), Number(is))
    : Math.min(Number(was), Number(is))
}

/** Does a fault at its step, as badly as said; what was done worse stays. Later times move on with it. */
export function spoil(play: Play, acts: readonly Act[], fault: FaultDef, amount: number): Act[] {
  if (amount <= 0) return [...acts]
  const out = acts.map((act) => ({ ...act, how: { ...act.how } }))
  for (const [key, to] of Object.entries(fault.to)) {
    const def = play.hows[key]
    if (!def) continue
    const is = spoilt(def, to as number | string, amount)
    const at = out.findLastIndex((act) => act.step === def.step)
    if (at < 0) continue
    if (def.wait) {
      const first = firstOfRun(out, at)
      const was = waitS(play, out, first)
      const more = Number(worse(def, to as number | string, was, is)) - was
      out.forEach((act, i) => void (i >= first && (act.atS += more)))
    } else if (!def.again) {
      const act = out[at] as Act
      const before = takesS(play, act)
      act.how[key] = worse(def, to as number | string, act.how[key] as number | string, is)
      // What takes longer or less moves what comes after it.
      const more = takesS(play, act) - before
      out.forEach((later, i) => void (i > at && (later.atS += more)))
    }
  }
  return out
}

/** The first of the acts of one step in a row that ends at `at`. */
function firstOfRun(acts: readonly Act[], at: number): number {
  let first = at
  while (first > 0 && acts[first - 1]?.step === acts[at]?.step) first--
  return first
}
/** Seconds between an act and the one before it, less what that one took. */
function waitS(play: Play, acts: readonly Act[], at: number): number {
  const before = acts[at - 1]
  return before ? Math.max(0, (acts[at] as Act).atS - before.atS - takesS(play, before)) : 0
}

/**
 * The act that counts of a step: the last that nothing overtook. Flux once it is soldered, primer on the cement, a nut
 * remembered when the flare is on: too late, as if never done.
 * @returns its place among the acts; −1: there is none.
 */
function counting(play: Play, acts: readonly Act[], step: string): number {
  const place = play.steps.indexOf(step)
  const until = play.steps.indexOf(play.made)
  const last = play.steps.map((s) => acts.findLastIndex((act) => act.step === s))
  // A step that comes later, up to the one that makes the joint, and was never done again after this.
  const limit =
    place > until ? Infinity : smallest(last.filter((at, i) => i > place && i <= until && at >= 0))
  return acts.findLastIndex((act, i) => act.step === step && i < limit)
}

/** How everything was done, told by the acts that count. */
export function howOf(play: Play, acts: readonly Act[], usual: How): How {
  const out: How = { ...usual }
  for (const step of play.steps) {
    const at = counting(play, acts, step)
    for (const key of keysOf(play, step)) {
      const def = play.hows[key] as HowDef
      if (at < 0) out[key] = def.undone ?? (fromTimes(def) ? 0 : def.usual)
      else if (def.wait) out[key] = waitS(play, acts, firstOfRun(acts, at))
      else if (def.again) out[key] = (acts[at] as Act).atS - (acts[firstOfRun(acts, at)] as Act).atS
      else out[key] = (acts[at] as Act).how[key] as number | string
    }
  }
  return out
}
