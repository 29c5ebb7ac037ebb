import { type TestSeries, judgeSeries, logTable, readLog } from '../core/src/index.js'

/** A day of readings, one a second: taken from a file, and judged. */
const N = 86_400
const START_S = 1_790_000_000
const mid = (list: number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1] as number
function timed(runs: number, work: () => void): number {
  const times: number[] = []
  for (let i = 0; i < runs; i++) {
    const began = performance.now()
    work()
    times.push(performance.now() - began)
  }
  return mid(times)
}
const clock = (s: number): string => new Date(s * 1000).toISOString().slice(0, 19).replace('T', ' ')
const bar = (i: number): number => 9 + 0.4 * Math.sin(i / 9000) - (0.1 * i) / N + 0.002 * Math.sin(i * 1.7)
const c = (i: number): number => 15 + 1.5 * Math.sin(i / 9000)
const text = `time,pressure bar,temperature °C\n${Array.from({ length: N }, (_, i) => `${clock(START_S + i)},${bar(i).toFixed(3)},${c(i).toFixed(2)}`).join('\n')}`

let rows = 0
const importing = timed(5, () => {
  const t = logTable(text)
  const read = readLog(t.body, t.guess, 'Europe/Berlin', null)
  if (!read.ok) throw new Error('not read')
  rows = read.rows.length
})
if (rows !== N) throw new Error('rows are missing')
const series = (airPct: number | null): TestSeries => ({
  medium: 'water',
  pipeMaterial: 'pvc-u',
  odMm: 110,
  wallMm: 5.3,
  axial: 'free',
  airPct,
  volumeM3: 1,
  resolutionBar: 0.001,
  sensorErrorBar: 0.005,
  temperatureOf: 'wall',
  readings: Array.from({ length: N }, (_, i) => ({ tS: i, pressureBar: bar(i), temperatureC: c(i) })),
  stabiliseS: 3600,
  holdS: N - 3601,
  allowedDropBar: 0.3,
})
const [told, untold] = [series(0.2), series(null)]
const judging = timed(9, () => void judgeSeries(told))
const blind = timed(9, () => void judgeSeries(untold))
const tell = (what: string, measured: string, target: string): void =>
  console.log(JSON.stringify({ what, measured, target }))
tell('86,400 readings from a CSV file: read and checked', `${Math.round(importing)} ms`, '2 s')
tell(
  '86,400 readings judged, air known (air not known)',
  `${Math.round(judging)} ms (${Math.round(blind)} ms)`,
  '100 ms',
)
