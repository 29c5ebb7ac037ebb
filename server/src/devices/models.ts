import { smallest } from '@jugalis/core'
import { createHash } from 'node:crypto'

const HOUR_S = 3600
const WEEK_S = 7 * 86400
/** The night from the third day of the week to the fourth is cold. */
const COLD_NIGHT_H = 3 * 24 + 3
const DIP_K = 7
const DIP_WIDTH_H = 3.4

/** A number from 0 up to 1 that depends on its names alone: the same week looks the same each time it is played. */
export function chance(...names: (string | number)[]): number {
  return createHash('sha256').update(names.join(' ')).digest().readUInt32BE(0) / 2 ** 32
}
/** From -1 to 1, about zero, mostly near it. */
const scatter = (...names: (string | number)[]): number =>
  (chance('a', ...names) + chance('b', ...names) + chance('c', ...names)) / 1.5 - 1

export interface Climate {
  wallC: number
  airC: number
  humidityPct: number
}
/**
 * Climate of an invented plant room at a time: a week that repeats, days warmer than nights by some 4 K, one night of
 * the seven colder by 7 K. The wall follows the air an hour late and less far.
 */
export function climateAt(atS: number, seed: string): Climate {
  const hour = (atS % WEEK_S) / HOUR_S
  const air = (x: number): number => {
    const day = 2.2 * Math.sin(((x - 9) / 24) * 2 * Math.PI)
    const fromNight = smallest([-168, 0, 168].map((w) => Math.abs(x + w - COLD_NIGHT_H)))
    return 13 + day - DIP_K * Math.exp(-((fromNight / DIP_WIDTH_H) ** 2))
  }
  const slot = Math.floor(atS / 900)
  const airC = air(hour) + 0.3 * scatter(seed, 'air', slot)
  const wallC = 0.8 * air((hour - 1 + 168) % 168) + 0.2 * 13 + 0.1 * scatter(seed, 'wall', slot)
  const humidityPct = 68 - 2 * (airC - 13) + 2 * scatter(seed, 'humidity', slot)
  const round = (v: number, digits: number): number => Number(v.toFixed(digits))
  return {
    wallC: round(wallC, 1),
    airC: round(airC, 1),
    humidityPct: Math.min(100, Math.max(5, round(humidityPct, 0))),
  }
}

/** Wall under a heat blanket some time after it was switched on: a first-order rise, held where it is set. */
export function underBlanket(startC: number, setC: number, sinceS: number): number {
  const TIME_CONSTANT_S = 1500
  return Number((setC + (startC - setC) * Math.exp(-Math.max(0, sinceS) / TIME_CONSTANT_S)).toFixed(1))
}

/** Torque that a stand-in wrench reaches when it is set to some value: within four parts in a hundred. */
export const torqueAt = (setNm: number, seed: string, nth: number): number =>
  Number((setNm * (1 + 0.02 * scatter(seed, 'torque', nth))).toFixed(2))
