/** Prints the tables of docs/verdict.md from the trial: `npx tsx scripts/trial-table.ts`, some five minutes. */
import { FAULTS, type Trial, playTrial, upper95 } from '../server/test/trial/trial.js'

const FIRST_SEED = 20_261_125_417
const SPOILT_SEED = 20_261_127_311
const STEP = 104_729
const all: Trial[] = Array.from({ length: 3000 }, (_, i) => playTrial(FIRST_SEED + i * STEP))
const spoilt: Trial[] = Array.from({ length: 2400 }, (_, i) =>
  playTrial(SPOILT_SEED + i * STEP, undefined, FAULTS),
)
const said = (list: readonly Trial[], verdict: string): number =>
  list.filter((t) => t.verdict.verdict === verdict).length
const cause = (list: readonly Trial[], ...causes: string[]): number =>
  list.filter((t) => causes.includes(t.verdict.cause ?? '')).length
const row = (...cells: (string | number)[]): void => void process.stdout.write(`| ${cells.join(' | ')} |\n`)

for (const leak of [...new Set(all.map((t) => t.leak))].sort((a, b) => a - b)) {
  const list = all.filter((t) => t.leak === leak)
  const of = (...causes: string[]): number => cause(list, ...causes)
  row(
    leak,
    list.length,
    said(list, 'held'),
    said(list, 'lost'),
    ...['temperature', 'air', 'creep', 'not-as-said', 'noise'].map((c) => of(c)),
    of('resolution', 'sensor'),
    of('pressure-restored'),
  )
}
const kind = (t: Trial): string => `${t.material}, ${t.series.medium === 'water' ? 'water' : 'gas'}`
for (const k of new Set(all.map(kind))) {
  const list = all.filter((t) => kind(t) === k)
  const [held, lost] = [said(list, 'held'), said(list, 'lost')]
  const [c, air, creep] = ['temperature', 'air', 'creep'].map((x) => cause(list, x)) as [
    number,
    number,
    number,
  ]
  row(k, list.length, held, lost, c, air, creep, list.length - held - lost - c - air - creep)
}
const leaking = all.filter((t) => t.leak > 1)
const sound = all.filter((t) => t.leak < 1)
const near = all.filter((t) => t.series.temperatureOf !== 'air')
const within = (list: readonly Trial[]): number => {
  const told = list.filter((t) => t.leak < 1 && t.verdict.correctedDropBar !== null)
  const good = told.filter(
    (t) =>
      Math.abs((t.verdict.correctedDropBar as number) - t.leak * t.series.allowedDropBar) <=
      (t.verdict.uncertaintyBar as number),
  )
  return (100 * good.length) / told.length
}
const named = (what: string): string => {
  const list = all.filter((t) => t.verdict.mostly === what)
  return `${list.filter((t) => t.truly() === what).length} of ${list.length}`
}
const materials = [...new Set(all.map((t) => t.material))]
const per = (n: number): string => `${(100 * n).toFixed(2)} %`
process.stdout.write(
  [
    `leaking called held ${said(leaking, 'held')} of ${leaking.length}, upper ${per(upper95(said(leaking, 'held'), leaking.length))}`,
    `sound called lost ${said(sound, 'lost')} of ${sound.length}, upper ${per(upper95(said(sound, 'lost'), sound.length))}`,
    ...materials.map((m) => {
      const list = sound.filter((t) => t.material === m)
      return `  ${m}: ${said(list, 'lost')} of ${list.length}, truth within doubt ${within(all.filter((t) => t.material === m)).toFixed(1)} %`
    }),
    `near: open ${said(near, 'inconclusive')} of ${near.length}; all: open ${said(all, 'inconclusive')}`,
    `named: leak ${named('leak')}, temperature ${named('temperature')}`,
    `truth within doubt ${within(all).toFixed(1)} %`,
    '',
  ].join('\n'),
)
for (const f of FAULTS) {
  const list = spoilt.filter((t) => t.fault === f)
  const [leaks, tight] = [list.filter((t) => t.leak > 1), list.filter((t) => t.leak < 1)]
  row(
    f,
    list.length,
    said(list, 'held'),
    said(list, 'lost'),
    said(list, 'inconclusive'),
    `${said(leaks, 'held')} of ${leaks.length}`,
    `${said(tight, 'lost')} of ${tight.length}`,
  )
}
