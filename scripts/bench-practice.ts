import { type PracticeQuestion, allMethods, laidOn, practiceRun } from '../core/src/index.js'

/** One joint of every method made on the bench, spoilt in two ways, with its causes weighed. */
const RUNS = 60
const row = (what: string, measured: string, target: string): void =>
  console.log(JSON.stringify({ what, measured, target }))
const took = allMethods().map((method) => {
  const example = method.examples[0]
  if (!example) throw new Error(method.id)
  const { material, size, ...details } = example.spec
  const times = Array.from({ length: RUNS }, (_, seed) => {
    const site = { airC: 14, wallC: 11, relativeHumidityPct: 55, windMS: 1 }
    const faults = Object.keys(method.bench.faults).slice(0, 2)
    const question: PracticeQuestion = { material, size, school: example.school, details, site, seed }
    const began = performance.now()
    const found = laidOn(method, question)
    if (!found.ok) throw new Error(`${method.id}: ${found.errors[0]?.code ?? ''}`)
    const can = faults.filter((fault) => Object.hasOwn(found.laid.faults, fault))
    practiceRun(found.laid, { ...question, spoil: can.map((fault) => ({ fault, amount: 0.8 })) })
    return performance.now() - began
  }).sort((a, b) => a - b)
  return { id: method.id, middle: times[RUNS >> 1] ?? NaN, longest: times.at(-1) ?? NaN }
})
const slowest = took.reduce((a, b) => (b.middle > a.middle ? b : a))
row(
  'Practice: a joint of any method laid on the bench, spoilt twice, played, its causes weighed',
  `slowest method (${slowest.id}) median ${slowest.middle.toFixed(1)} ms; longest of all ${Math.max(...took.map((t) => t.longest)).toFixed(0)} ms`,
  '50 ms',
)
