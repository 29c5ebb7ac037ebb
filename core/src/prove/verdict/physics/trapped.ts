import { ATMOSPHERE_BAR_ABS } from '../../../units/units.js'
import { type WaterAt, waterAt, waterExpansion, waterSqueeze } from './water.js'

const KELVIN = 273.15
/** Water, with some air, shut in a pipe. All for one unit of volume at the start. */
export interface Trapped {
  /** Pressure and temperature at the start. */
  bar: number
  waterC: number
  pipeC: number
  /** Share of air, by volume at the start; 0 to 1. */
  air: number
  /** The pipe: volume growth per kelvin and per bar. */
  growthPerK: number
  stretchPerBar: number
}

/**
 * Pressure of trapped water at other temperatures, bar gauge: the one at which water, air and bore are of one size
 * again. Nothing goes in or out and the air stays air. Source: `ours-trapped-water`.
 * @returns a function of the water and the pipe's temperature, and of where to look first.
 */
export function trap(from: Trapped): (water: WaterAt, pipeC: number, near?: number) => number {
  const start = waterAt(from.waterC)
  const mass = (start.densityKgM3 * (1 - from.air)) / (1 - start.squeezePerBar * from.bar)
  const airHeld = (from.air * (from.bar + ATMOSPHERE_BAR_ABS)) / (from.waterC + KELVIN)
  return (water, pipeC, near = from.bar) => {
    const perMass = mass / water.densityKgM3
    const squeeze = water.squeezePerBar
    const air = airHeld * (water.temperatureC + KELVIN)
    const bore = 1 + from.growthPerK * (pipeC - from.pipeC)
    let bar = near
    for (let i = 0; i < 12; i++) {
      const abs = Math.max(bar + ATMOSPHERE_BAR_ABS, 0.02)
      const over = perMass * (1 - squeeze * bar) + air / abs - bore - from.stretchPerBar * (bar - from.bar)
      const slope = perMass * squeeze + air / abs ** 2 + from.stretchPerBar
      const step = over / slope
      // Towards vacuum the air's curve is steep: no step takes more than half of what is left.
      bar += Math.max(step, -(abs - 0.02) / 2)
      // Each step squares what is left to go: after this one it is far below a reading's last figure.
      if (Math.abs(step) < 1e-4) break
    }
    return bar
  }
}
/** Pressure of water shut in, bar gauge, at other temperatures of water and pipe, °C. */
export const trappedBar = (from: Trapped, waterC: number, pipeC: number): number =>
  trap(from)(waterAt(waterC), pipeC)

/** Volume that one bar takes in or gives back, per bar, as a share of the bore: water, air and pipe together. */
export const givePerBar = (trapped: Trapped): number =>
  (1 - trapped.air) * waterSqueeze(trapped.waterC) +
  trapped.air / (trapped.bar + ATMOSPHERE_BAR_ABS) +
  trapped.stretchPerBar
/** Rise of pressure for each kelvin at the start, bar/K: below zero where the pipe grows more than the water. */
export const barPerK = (trapped: Trapped): number =>
  ((1 - trapped.air) * waterExpansion(trapped.waterC) +
    trapped.air / (trapped.waterC + KELVIN) -
    trapped.growthPerK) /
  givePerBar(trapped)
/**
 * Pressure of gas at another temperature, bar gauge, in a bore that keeps its size. Source: `gas-law`.
 * @example gasBar(6, 20, 10) // 5.761
 */
export const gasBar = (bar: number, fromC: number, toC: number): number =>
  (bar + ATMOSPHERE_BAR_ABS) * ((toC + KELVIN) / (fromC + KELVIN)) - ATMOSPHERE_BAR_ABS
