import { type OnBench, laidOn } from '../src/practice/laid.js'
import type { Site } from '../src/bench/bench.js'
import { type PracticeAnswer, type PracticeQuestion, practiceRun } from '../src/practice/run.js'
import { type Method, allMethods } from '../src/index.js'

export const SITES: readonly Site[] = [
  { airC: 20, wallC: 20, relativeHumidityPct: 50, windMS: 0 },
  { airC: 8, wallC: 8, relativeHumidityPct: 55, windMS: 5 },
  { airC: 32, wallC: 36, relativeHumidityPct: 40, windMS: 2 },
]
/** A question about the first example of a method in each of its schools. */
export const questions = (method: Method): PracticeQuestion[] =>
  (['inch', 'metric'] as const).flatMap((school) => {
    const example = method.examples.find((e) => e.school === school)
    return example
      ? [
          {
            ...(example.spec as { material: string; size: string }),
            details: example.spec,
            school,
            seed: 1,
            site: SITES[0] as Site,
          },
        ]
      : []
  })
/** The joint on the bench. Throws what its fields refuse. */
export function bench(method: Method, question: PracticeQuestion): OnBench {
  const found = laidOn(method, question)
  if (!found.ok) throw new Error(JSON.stringify(found.errors))
  return found.laid
}
export const run = (method: Method, question: PracticeQuestion): PracticeAnswer =>
  practiceRun(bench(method, question), question)
/** Every method that ships, with its questions. */
export const ALL = allMethods().flatMap((method) =>
  questions(method).map((question) => ({
    name: `${method.id} ${question.material} ${question.size}`,
    method,
    question,
  })),
)
