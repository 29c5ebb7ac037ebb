import { seeded } from '../units/seeded.js'

/** Chance by name: the same seed and name give the same figure, whatever else is asked for. */
export interface Chance {
  /** 0 to below 1. */
  even(name: string): number
  /** So many of them. */
  many(name: string, count: number): number[]
  /** About 0, with a spread of 1; never further off than 2.5, as a hand that pays attention. */
  hand(name: string): number
}
const FURTHEST = 2.5

/** A name as a whole number (FNV-1a, 32 bit). */
function hashed(name: string, seed: number): number {
  let hash = (2166136261 ^ seed) >>> 0
  for (let i = 0; i < name.length; i++) hash = Math.imul(hash ^ name.charCodeAt(i), 16777619) >>> 0
  return hash
}

/**
 * Chance of a seed. @param seed any whole number.
 * @example chanceOf(7).even('x') === chanceOf(7).even('x') // true
 */
export function chanceOf(seed: number): Chance {
  // By its digits: seeds beyond 32 bits and below zero are others too.
  const whole = hashed(String(seed), 0)
  const from = (name: string) => seeded(hashed(name, whole))
  return {
    even: (name) => from(name)(),
    many: (name, count) => {
      const next = from(name)
      return Array.from({ length: count }, next)
    },
    hand: (name) => {
      const next = from(name)
      // Box and Muller 1958: two even figures make one that is spread about 0.
      const far = Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next())
      return Math.max(-FURTHEST, Math.min(FURTHEST, far))
    },
  }
}
