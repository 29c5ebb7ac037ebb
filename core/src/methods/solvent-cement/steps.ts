import { type Fig, type Msg, fig, finding, msg } from '../../sources/source.js'
import type { Ctx, Field, Step, StepException } from '../method.js'
import { OVER_PASS_MM, SHORT_PASS_MM } from './inspection.js'
import { applicatorMinMm, brushStarves, chamfer, crew, usesPrimer, usesPuller } from './setup.js'
import { type SolventSpec, depthOf } from './spec.js'
import type { Code } from '../../sources/wording.js'

/** A way out of a step: its name, and where it leads. */
const ex = (
  id:
    | 'too-loose'
    | 'wont-reach-third'
    | 'slips'
    | 'put-down'
    | 'skinned'
    | 'hard'
    | 'bead-broken'
    | 'cannot-read',
  backTo: StepException['backTo'],
): StepException => ({
  id,
  says: msg(`ex-${id}`),
  backTo,
})

/** What the steps of one joint share: how it is made, and words with its figures in them. */
interface Making {
  spec: SolventSpec
  metric: boolean
  primed: boolean
  /** Too large to be pushed by hand. */
  large: boolean
  people: Fig
  /** Words of a code, with the joint's figures. */
  says(code: Code): Msg
}
function makingOf(spec: SolventSpec): Making {
  const depthMm = depthOf(spec).value
  const cut = chamfer(spec)
  const people = crew(spec)
  const params = {
    depthMm: depthMm ?? -1,
    checkMm: depthMm === null ? -1 : depthMm + spec.checkOffsetMm,
    meetsFromMm: depthMm === null ? -1 : depthMm / 3,
    meetsToMm: depthMm === null ? -1 : (depthMm * 2) / 3,
    chamferMinMm: cut.minMm ?? 0,
    chamferMaxMm: cut.maxMm ?? 0,
    applicatorMm: applicatorMinMm(spec).value ?? 0,
    people: people.value ?? 1,
    offsetMm: spec.checkOffsetMm,
  }
  return {
    spec,
    metric: spec.school === 'metric',
    primed: usesPrimer(spec),
    large: usesPuller(spec),
    people,
    says: (code) => msg(code, params),
  }
}
const vapour = finding('warn', 'caution-vapour', 'cp-steps')
const skin = finding('warn', 'caution-skin', 'cp-steps')
/** What a small brush may never be used for. */
const never = (spec: SolventSpec) => (brushStarves(spec) ? { never: [msg('never-brush-large')] } : {})

const fit = ({ metric, large, says }: Making): Step => ({
  id: 'fit',
  after: [],
  does: says(metric ? 'do-fit-metric' : 'do-fit-inch'),
  lookFor: says(metric ? 'look-fit-metric' : 'look-fit-inch'),
  mistake: says('mistake-fit'),
  action: says('act-fit'),
  hint: says('hint-fit'),
  exceptions: [ex('too-loose', 'cut-out'), ex('wont-reach-third', 'on')],
  cautions: [],
  reads: [],
  reaches: 'marked',
  skip: 'reason',
  people: fig(1, 'cp-crew'),
  tools: [
    ...(large ? [msg('tool-pipe-wrap'), msg('tool-large-saw')] : [says('tool-cutter')]),
    says('tool-chamfer'),
  ],
  ...(large ? { never: [msg('never-side-grinder')] } : {}),
})
/** Large pipe: nothing is opened before the tool is on and everybody stands where they will work. */
const rig = ({ people, says }: Making): Step => ({
  id: 'rig',
  after: ['fit'],
  does: says('do-rig'),
  lookFor: says('look-rig'),
  mistake: says('mistake-rig'),
  action: says('act-rig'),
  hint: says('hint-rig'),
  exceptions: [ex('slips', 'rig')],
  cautions: [finding('warn', 'caution-puller', 'cp-puller')],
  reads: [],
  skip: 'free',
  people,
  tools: [msg('tool-puller')],
})
const prime = ({ spec, people, says }: Making): Step => ({
  id: 'prime',
  after: ['fit'],
  does: says('do-prime'),
  lookFor: says('look-prime'),
  mistake: says('mistake-prime'),
  action: says('act-prime'),
  hint: says('hint-prime'),
  exceptions: [ex('put-down', 'on')],
  cautions: [vapour, skin],
  reads: [],
  reaches: 'prepared',
  skip: 'stop',
  people,
  tools: [says('tool-applicator')],
  ...never(spec),
})
const cement = ({ spec, metric, primed, people, says }: Making): Step => ({
  id: 'cement',
  after: [primed ? 'prime' : 'fit'],
  does: says(metric ? 'do-cement-metric' : 'do-cement-inch'),
  lookFor: says('look-cement'),
  mistake: says('mistake-cement'),
  action: says(metric ? 'act-cement-metric' : 'act-cement-inch'),
  hint: says('hint-cement'),
  exceptions: [ex('put-down', 'on')],
  cautions: primed ? [vapour] : [vapour, skin],
  reads: [],
  reaches: 'prepared',
  skip: 'stop',
  people,
  tools: [says('tool-applicator')],
  ...never(spec),
})
const home = ({ metric, large, people, says }: Making): Step => ({
  id: 'home',
  after: ['cement'],
  does: says(metric ? 'do-home-metric' : 'do-home-inch'),
  lookFor: says(metric ? 'look-home-metric' : 'look-home-inch'),
  mistake: says('mistake-home'),
  action: says(metric ? 'act-home-metric' : 'act-home-inch'),
  hint: says('hint-home'),
  exceptions: [ex('skinned', 'cement'), ex('hard', 'cut-out')],
  cautions: [],
  reads: [],
  reaches: 'made',
  skip: 'stop',
  people,
  tools: large ? [msg('tool-puller')] : [],
})
/** What is read of a finished joint: its check mark, and the bead. */
const judged = (spec: SolventSpec): Field[] => [
  {
    key: 'checkMm',
    label: msg('field-check-reading'),
    needed: true,
    unit: 'mm',
    min: 0,
    max: 400,
    control: 'length',
    target: {
      value: fig(spec.checkOffsetMm, 'ours-check-mark'),
      shortMax: SHORT_PASS_MM,
      overMax: OVER_PASS_MM,
    },
  },
  {
    key: 'bead',
    label: msg('field-bead'),
    needed: true,
    control: 'choice',
    options: ['all-round', 'broken'],
  },
]
const judge = ({ spec, says }: Making): Step => ({
  id: 'judge',
  after: ['home'],
  does: says('do-judge'),
  lookFor: says('look-judge'),
  mistake: says('mistake-judge'),
  action: says('act-judge'),
  hint: says('hint-judge'),
  exceptions: [ex('bead-broken', 'on'), ex('cannot-read', 'on')],
  cautions: [],
  reads: judged(spec),
  reaches: 'verified',
  skip: 'reason',
  people: fig(1, 'cp-crew'),
  tools: [],
})

/** The steps of one joint in order, as the job's school makes it. Steps of the other school are not shown. */
export function steps(spec: SolventSpec, _ctx: Ctx): Step[] {
  const making = makingOf(spec)
  const order = [fit, making.large && rig, making.primed && prime, cement, home, judge]
  return order.flatMap((step) => (step ? [step(making)] : []))
}
