/** How a section is to be tested, and what it is. Nulls were not said. */
export interface SectionPlan {
  rule: string | null
  designBar: number | null
  medium: 'water' | 'air' | 'nitrogen'
  /** Of the pipe, at the test. */
  temperatureC: number | null
  /** Heights from any one level, m. */
  gaugeM: number | null
  lowM: number | null
  highM: number | null
  axial: 'free' | 'anchored' | null
  airPct: number | null
  stressRatio: number | null
  /** The valve it lies behind: sections behind one valve are live together. */
  valve: string | null
  /** What is done with the water after a test. */
  keep: 'full' | 'empty' | null
}
/** Something in a section with a rating of its own. */
export interface SectionPart {
  id: string
  name: string
  kind: string
  ratingBar: number
  atM: number | null
}
export interface Section {
  id: string
  tag: string
  jointIds: string[]
  workingBar: number
  testBar: number
  holdS: number
  allowedDropBar: number
  ratingBar: number | null
  state: 'drained' | 'full' | 'under pressure' | 'under vacuum' | 'not known'
  stateAtS: number | null
  gates: Record<string, { done: boolean; by: string; atS: number; how: string }>
  plan: SectionPlan | null
  parts: SectionPart[]
  /** Steps done after a test. */
  after: { step: string; by: string; atS: number; fromS: number | null; how: string }[]
}
/**
 * A section of which nothing was said yet.
 * @example blankSection('s').state // 'not known'
 */
export const blankSection = (id: string): Section => ({
  id,
  tag: '',
  jointIds: [],
  workingBar: 0,
  testBar: 0,
  holdS: 0,
  allowedDropBar: 0,
  ratingBar: null,
  state: 'not known',
  stateAtS: null,
  gates: {},
  plan: null,
  parts: [],
  after: [],
})
/** A blank, a closed isolation, a valve taken out, a gagged relief: it must come back. */
export interface TagItem {
  id: string
  sectionId: string
  kind: string
  where: string
  by: string
  atS: number
  back: { by: string; atS: number; how: string } | null
}
export interface HoldPoint {
  id: string
  sectionId: string
  name: string
  who: string
  atS: number
  answers: { answer: 'go on' | 'wait'; by: string; atS: number; note: string }[]
}
export interface TestRun {
  id: string
  sectionId: string
  bar: number
  medium: 'water' | 'air' | 'nitrogen'
  holdS: number
  allowedDropBar: number
  resolutionBar: number
  gauge: string
  gaugeDueOn: string | null
  tester: string
  /** Who began it here, by id: the tester's name is what they typed. */
  by: string
  begunAtS: number
  rule: string | null
  stages: { name: string; bar: number; holdS: number; look: boolean }[]
  /** Stages that were signed, by their place in the plan. */
  stagesDone: { stage: number; by: string; atS: number; note: string }[]
  /** From the first reading to the hold. */
  stabiliseS: number
  sensorErrorBar: number
  temperatureOf: 'medium' | 'wall' | 'air'
  /** The line as the verdict sees it; null = nobody said. */
  physics: {
    pipeMaterial: string
    odMm: number | null
    wallMm: number | null
    axial: 'free' | 'anchored' | null
    airPct: number | null
    volumeM3: number | null
  } | null
  /** Stops that a named tester set aside, each with a reason. */
  setAside: { code: string; reason: string }[]
  /** `typed`: read off a gauge by a person; the others came from a logger or its file. */
  readings: { atS: number; bar: number; temperatureC: number | null; typed?: true }[]
  leaks: { atS: number; by: string; where: string }[]
  ended: {
    atS: number
    verdict: 'held' | 'lost' | 'inconclusive'
    /** With the temperature's share taken out. */
    dropBar: number | null
    rawDropBar: number | null
    uncertaintyBar: number | null
    leakRateLPerH: number | null
    by: string
    /** Why another than its tester ended it; empty where the tester did. */
    reason: string
    note: string
  } | null
}
