import type { Ctx } from '../methods/method.js'
import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { type SolventSpec, parse } from '../methods/solvent-cement/spec.js'
import {
  applicatorMinMm,
  cementBody,
  chamfer,
  crew,
  holdS,
  openTimeS,
  primerWindowS,
  setupFindings,
  usesPrimer,
} from '../methods/solvent-cement/setup.js'
import { say } from '../words/words.js'
import * as c from './common.js'
import { Refusal, calculation } from './calculation.js'
import { flag, may, need, number, oneOf } from '../schema/shape.js'

type InsertionInput = c.JointInput & { socketDepthMm?: number | null; checkOffsetMm?: number | null }
export const insertion = calculation({
  name: 'insertion',
  summary: 'Insertion depth and check mark, both measured from the pipe\u2019s end.',
  inputs: [
    c.method,
    c.material,
    c.size,
    c.school,
    c.schedule,
    may(
      'socketDepthMm',
      number({ above: 0, max: 1000 }),
      'Measured on the fitting; wins over the published figure',
    ),
    may(
      'checkOffsetMm',
      number({ above: 0, max: 1000 }),
      'How far the check mark lies beyond the depth mark',
    ),
  ],
  rules: 'schedule is needed for NPS plastic unless socketDepthMm is given.',
  sources: [
    'iso-727-1',
    'astm-d2466',
    'astm-d2467',
    'asme-b16-22',
    'en-1254-1',
    'cp-press-depth',
    'cp-fusion-depth',
    'measured',
  ],
  example: {
    input: { method: 'solvent-cement', material: 'pvc-u', size: 'd110', school: 'metric', checkOffsetMm: 50 },
    result: { depthMm: 61, checkMarkMm: 111 },
  },
  compute(input: InsertionInput, working) {
    c.checkJoint(input)
    const depth = depthFigure(input)
    if (depth.value === null)
      throw new Refusal(
        depth.field === 'schedule' ? 'missing-field' : 'no-figure',
        say(depth.why),
        depth.field ?? 'size',
      )
    working.put('depthMm', depth.value, depth.source)
    const offset = input.checkOffsetMm ?? null
    working.put('checkMarkMm', offset === null ? null : depth.value + offset, depth.source, [
      depth.source,
      'given',
    ])
  },
})

/** The socket in the hand, where this method has sockets; else what its tables say. */
function depthFigure(input: InsertionInput): Fig {
  const known = c.methodFor(input)
  const measured = input.socketDepthMm ?? null
  if (measured !== null && known.fields.some((f) => f.key === 'socketDepthMm'))
    return fig(measured, 'measured')
  const parsed = known.parse({ ...input, socketDepthMm: null, checkOffsetMm: 50 })
  return parsed.ok
    ? known.insertion(parsed.spec, DOOR_CONTEXT).depthMm
    : noFig(msg('insertion-unknown', { size: input.size }), 'socketDepthMm')
}
/** Depths do not depend on anything around the joint. */
const DOOR_CONTEXT: Ctx = {
  school: 'metric',
  pin: { rules: 1, chart: null, school: 'metric', table: 'current' },
  wall: [],
  airC: null,
  wallC: null,
  humidityPct: null,
  mode: 'coldest',
}

/** A specification for a joint of the door. Offset and wall play no part in what the door computes with it. */
export function jointSpec(input: c.JointInput): SolventSpec {
  const parsed = parse({ ...input, checkOffsetMm: 50 })
  if (!parsed.ok) throw new Refusal('bad-input', 'This joint can\u2019t be read.', 'size')
  return parsed.spec
}

type SetupInput = c.JointInput & {
  pressureService: boolean
  airC: number
  pipeC: number
  relativeHumidityPct: number
  cement?: string | null
  tinExpired?: boolean | null
  cementRatedMinC?: number | null
}
const air = number({ min: -60, max: 100 })
export const solventSetup = calculation({
  name: 'solvent-setup',
  summary:
    'Cement, primer, applicator, crew, chamfer, open time and hold for one solvent-cemented joint, and what speaks against it.',
  inputs: [
    c.material,
    c.size,
    c.school,
    c.schedule,
    need('pressureService', flag, 'Is the line under pressure in service'),
    need('airC', air, 'Air temperature'),
    need('pipeC', air, 'Temperature of the pipe wall'),
    need('relativeHumidityPct', number({ above: 0, max: 100 }), 'Relative humidity of the air'),
    may(
      'cement',
      oneOf('pvc', 'pvc-u', 'cpvc', 'abs', 'transition', 'one-step'),
      'Plastic the cement in hand is made for',
    ),
    may('tinExpired', flag, 'Is the tin past its date'),
    may(
      'cementRatedMinC',
      number({ min: -60, max: 40 }),
      'Lowest temperature a cold-weather cement is rated for (inch)',
    ),
  ],
  sources: [
    'cp-cement-body',
    'cp-gap-filling',
    'cp-primer',
    'astm-d2855-tools',
    'cp-crew',
    'cp-open-time',
    'cp-hold',
    'magnus',
  ],
  example: {
    input: {
      material: 'pvc-u',
      size: 'd110',
      school: 'metric',
      pressureService: true,
      airC: 9,
      pipeC: 8,
      relativeHumidityPct: 70,
      cement: 'pvc-u',
    },
    result: {
      ok: true,
      reasons: [],
      cementBody: 'gap-filling',
      primer: false,
      applicatorMinMm: 55,
      crew: 2,
      chamfer: { minMm: 3, maxMm: 6, minDeg: null, maxDeg: null },
      openTimeS: 240,
      primerWindowS: null,
      holdS: 60,
    },
  },
  compute(input: SetupInput, working) {
    c.checkJoint({ ...input, method: 'solvent-cement' })
    const joint = jointSpec({ ...input, method: 'solvent-cement' })
    const findings = setupFindings(joint, input.pressureService, input, input)
    c.reasons(working, findings)
    const body = cementBody(joint, input.pressureService)
    working.put('cementBody', body.value, body.source)
    working.put('primer', usesPrimer(joint, input.cement), 'cp-primer')
    const figs = { applicatorMinMm: applicatorMinMm(joint), crew: crew(joint) }
    for (const [key, fig] of Object.entries(figs))
      working.put(key, fig.value, fig.value === null ? undefined : fig.source)
    const { source, ...cut } = chamfer(joint)
    working.put('chamfer', cut, source)
    const open = openTimeS(joint, input.airC, input.pipeC)
    working.put('openTimeS', open.value, open.value === null ? undefined : open.source)
    if (open.value === null && input.school === 'metric')
      working.lacks('openTimeS', 'no-figure', say(open.why))
    const primer = primerWindowS(joint, input.cement)
    working.put('primerWindowS', primer.value, primer.value === null ? undefined : primer.source)
    const hold = holdS(joint, input.airC, input.pipeC)
    working.put('holdS', hold.value, hold.value === null ? undefined : hold.source)
  },
})
