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
  compute(i: InsertionInput, w) {
    c.checkJoint(i)
    const depth = depthFigure(i)
    if (depth.value === null)
      throw new Refusal(
        depth.field === 'schedule' ? 'missing-field' : 'no-figure',
        say(depth.why),
        depth.field ?? 'size',
      )
    w.put('depthMm', depth.value, depth.source)
    const offset = i.checkOffsetMm ?? null
    w.put('checkMarkMm', offset === null ? null : depth.value + offset, depth.source, [depth.source, 'given'])
  },
})

/** The socket in the hand, where this method has sockets; else what its tables say. */
function depthFigure(i: InsertionInput): Fig {
  const known = c.methodFor(i)
  const measured = i.socketDepthMm ?? null
  if (measured !== null && known.fields.some((f) => f.key === 'socketDepthMm'))
    return fig(measured, 'measured')
  const parsed = known.parse({ ...i, socketDepthMm: null, checkOffsetMm: 50 })
  return parsed.ok
    ? known.insertion(parsed.spec, DOOR_CONTEXT).depthMm
    : noFig(msg('insertion-unknown', { size: i.size }), 'socketDepthMm')
}
/** Depths hang on nothing around the joint. */
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
export function jointSpec(i: c.JointInput): SolventSpec {
  const parsed = parse({ ...i, checkOffsetMm: 50 })
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
  compute(i: SetupInput, w) {
    c.checkJoint({ ...i, method: 'solvent-cement' })
    const joint = jointSpec({ ...i, method: 'solvent-cement' })
    const findings = setupFindings(joint, i.pressureService, i, i)
    c.reasons(w, findings)
    const body = cementBody(joint, i.pressureService)
    w.put('cementBody', body.value, body.source)
    w.put('primer', usesPrimer(joint, i.cement), 'cp-primer')
    const figs = { applicatorMinMm: applicatorMinMm(joint), crew: crew(joint) }
    for (const [key, f] of Object.entries(figs)) w.put(key, f.value, f.value === null ? undefined : f.source)
    const { source, ...cut } = chamfer(joint)
    w.put('chamfer', cut, source)
    const open = openTimeS(joint, i.airC, i.pipeC)
    w.put('openTimeS', open.value, open.value === null ? undefined : open.source)
    if (open.value === null && i.school === 'metric') w.lacks('openTimeS', 'no-figure', say(open.why))
    const primer = primerWindowS(joint, i.cement)
    w.put('primerWindowS', primer.value, primer.value === null ? undefined : primer.source)
    const hold = holdS(joint, i.airC, i.pipeC)
    w.put('holdS', hold.value, hold.value === null ? undefined : hold.source)
  },
})
