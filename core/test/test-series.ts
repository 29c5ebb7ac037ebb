import type { TestSeries } from '../src/index.js'

/** A test of copper pipe full of water, an hour's hold with 0.2 bar allowed: what is not said is this. */
export const testSeries = (
  readings: TestSeries['readings'],
  more: Partial<Omit<TestSeries, 'readings'>> = {},
): TestSeries => ({
  medium: 'water',
  pipeMaterial: 'copper',
  odMm: 28,
  wallMm: 1,
  axial: 'free',
  airPct: 0,
  volumeM3: 0.01,
  resolutionBar: 0.001,
  sensorErrorBar: 0.002,
  temperatureOf: 'medium',
  readings,
  stabiliseS: 0,
  holdS: 3600,
  allowedDropBar: 0.2,
  ...more,
})
