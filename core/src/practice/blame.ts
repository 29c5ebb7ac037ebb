import type { FaultDef } from '../bench/bench.js'
import { type Act, type How, type Play, worse } from './acts.js'

/** Why a joint holds less than sound work. */
export interface Cause {
  fault: string
  /** Shares; together 1. */
  weight: number
  step: string
  /** When it arose. */
  atS: number
}
/** Less than this is the hand's own spread. */
const LEAST = 1e-6
const FLOOR = 1e-4

/** What of a fault is in how a joint was made: the names of what was done worse than sound work has it. */
function partsOf(play: Play, fault: FaultDef, sound: How, how: How): string[] {
  return Object.entries(fault.to).flatMap(([key, to]) => {
    const def = play.hows[key]
    if (!def) return []
    const [was, is] = [sound[key] as number | string, how[key] as number | string]
    if (def.options) return is === to && is !== was ? [key] : []
    return worse(def, to as number | string, was, is) === is && is !== was ? [key] : []
  })
}
const put = (base: How, from: How, keys: readonly string[]): How => ({
  ...base,
  ...Object.fromEntries(keys.map((key) => [key, from[key] as number | string])),
})

/**
 * What brought a joint down, heaviest first: for each fault in it how much it takes off sound work alone, and how much
 * comes back when it alone is put right, both as ratios. Nothing lost: no cause.
 * @param holds where a joint made like this gives way, bar.
 */
export function causesOf(
  play: Play,
  faults: Readonly<Record<string, FaultDef>>,
  sound: How,
  how: How,
  acts: readonly Act[],
  holds: (how: How) => number,
): Cause[] {
  const whole = holds(sound)
  const left = holds(how)
  const share = (a: number, b: number): number =>
    Math.max(0, Math.log(Math.max(a / whole, FLOOR) / Math.max(b / whole, FLOOR)))
  const found = Object.entries(faults).flatMap(([id, fault]) => {
    const parts = partsOf(play, fault, sound, how)
    if (!parts.length) return []
    const lost = share(whole, holds(put(sound, how, parts))) + share(holds(put(how, sound, parts)), left)
    return lost > LEAST ? [{ id, fault, lost }] : []
  })
  const all = found.reduce((sum, cause) => sum + cause.lost, 0)
  return found
    .sort((a, b) => b.lost - a.lost || (a.id < b.id ? -1 : 1))
    .map(({ id, fault, lost }) => {
      const act = acts.findLast((a) => a.step === fault.step)
      const after = fault.after === undefined || !act ? 0 : Number(act.how[fault.after] ?? 0)
      return {
        fault: id,
        weight: lost / all,
        step: fault.step,
        atS: (act?.atS ?? acts.at(-1)?.atS ?? 0) + after,
      }
    })
}
