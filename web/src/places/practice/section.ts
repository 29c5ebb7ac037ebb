import { type OnBench, type PracticeAnswer, type Shape, lifeOf } from '@jugalis/core'

/** The joint in section as it was made. */
export const sectionOf = ({ method, spec, ctx }: OnBench, answer: PracticeAnswer): readonly Shape[] =>
  method.section(spec, lifeOf(answer.did, answer.readings), ctx)
