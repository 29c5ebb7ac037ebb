import type { Site } from '../bench/bench.js'

/** Places of our own invention to work at: what they are called stands in the interface's words. */
export const PRACTICE_SITES = {
  'plant-room': { airC: 14, wallC: 11, relativeHumidityPct: 55, windMS: 0 },
  'windy-roof': { airC: 31, wallC: 38, relativeHumidityPct: 35, windMS: 6 },
  'wet-trench': { airC: 9, wallC: 8, relativeHumidityPct: 88, windMS: 1 },
  'cold-shed': { airC: 5, wallC: 5, relativeHumidityPct: 60, windMS: 2 },
  'clean-room': { airC: 21, wallC: 21, relativeHumidityPct: 45, windMS: 0 },
} as const satisfies Record<string, Site>
export type PracticeSite = keyof typeof PRACTICE_SITES
