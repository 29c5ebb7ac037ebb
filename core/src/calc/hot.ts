import {
  SAND_BEYOND_MM,
  RESAND_AFTER_S,
  blanketNeeded,
  catalystAt,
  resinCureS,
  resinFindings,
} from '../methods/adhesive-bond/rules.js'
import {
  GAP_MAX_MM,
  GAP_MIN_MM,
  flareHeatS,
  flareHoldS,
  flareTorqueNm,
  flareWallMm,
} from '../methods/flare/rules.js'
import { MAX_TILT_DEG, TOOL_MAX_C, TOOL_MIN_C, heatS, rowOf } from '../methods/socket-fusion/rules.js'
import { judgePeel } from '../methods/solder/peel.js'
import { COOL_MAX_S, COOL_MIN_S, solderWireMm } from '../methods/solder/rules.js'
import { cupDepthMm } from '../sizes/copper.js'
import type { Fig, SourceId } from '../sources/source.js'
import { say } from '../words/words.js'
import * as c from './common.js'
import { Refusal, type Working, calculation } from './calculation.js'
import { flag, list, may, need, number } from '../schema/shape.js'

const AIR = number({ min: -60, max: 100 })
/** A side figure: null with its reason under `missing` where there is none. */
function side(working: Working, key: string, fig: Fig): void {
  working.put(key, fig.value, fig.value === null ? undefined : fig.source)
  if (fig.value === null) working.lacks(key, 'no-figure', say(fig.why))
}

interface BondInput {
  material: string
  size: string
  airC: number
  pipeC: number
  sandedAtS: number
  nowS: number
  depthMm?: number | null
}
export const adhesiveBondCalc = calculation({
  name: 'adhesive-bond',
  summary:
    'Sanding, catalyst, cure and blanket of one adhesive-bonded resin joint, and what speaks against it.',
  inputs: [
    c.material,
    c.size,
    need('airC', AIR, 'Air temperature: catalyst and cure go by it'),
    need('pipeC', number({ min: -60, max: 150 }), 'Pipe temperature: cutting goes by it'),
    need('sandedAtS', number({}), 'When it was sanded'),
    need('nowS', number({}), 'Now, on the same clock'),
    may('depthMm', number({ above: 0, max: 1000 }), 'Socket depth, measured'),
  ],
  sources: ['cp-resin-sand', 'cp-resin-cut', 'cp-resin-catalyst', 'cp-resin-cure'],
  example: {
    input: {
      material: 'vinyl-ester-resin',
      size: 'NPS 4',
      airC: 24,
      pipeC: 24,
      sandedAtS: 0,
      nowS: 600,
      depthMm: 50,
    },
    result: {
      ok: true,
      reasons: [],
      sandToMm: 62.7,
      resandAfterS: 7200,
      catalyst: 'whole',
      cureS: 86400,
      blanketNeeded: false,
    },
  },
  compute(input: BondInput, working) {
    c.checkJoint({ ...input, method: 'adhesive-bond', school: 'inch' })
    if (input.nowS < input.sandedAtS)
      throw new Refusal('bad-input', 'It was sanded after this time: check the two.', 'nowS')
    c.reasons(working, resinFindings(input.material, { ...input, sandedForS: input.nowS - input.sandedAtS }))
    const depth = input.depthMm ?? null
    working.put('sandToMm', depth === null ? null : depth + SAND_BEYOND_MM, 'cp-resin-sand', [
      'given',
      'cp-resin-sand',
    ])
    if (depth === null) working.lacks('sandToMm', 'no-figure', 'Give depthMm, measured on the fitting.')
    working.put('resandAfterS', RESAND_AFTER_S, 'cp-resin-sand')
    const catalyst = catalystAt(input.material, input.airC)
    working.put('catalyst', catalyst.value, 'cp-resin-catalyst')
    if (catalyst.why) working.lacks('catalyst', 'no-figure', say(catalyst.why))
    side(working, 'cureS', resinCureS(input.airC))
    working.put('blanketNeeded', blanketNeeded(input.airC), 'cp-resin-cure')
  },
})

export const socketFusionCalc = calculation({
  name: 'socket-fusion',
  summary: 'Depth, tool temperature and times of one socket-fusion joint of PP-R.',
  inputs: [
    c.size,
    need('airC', AIR, 'Air temperature'),
    need('layered', flag, 'Has the pipe an aluminium layer (peel it first)'),
  ],
  sources: ['dvs-2207-11', 'cp-fusion-depth', 'ours-fusion-cold'],
  example: {
    input: { size: 'd32', airC: 20, layered: false },
    result: {
      depthMm: 16.5,
      toolMinC: 250,
      toolMaxC: 270,
      heatS: 8,
      changeoverS: 6,
      adjustS: 6,
      coolS: 240,
      maxTiltDeg: 5,
    },
  },
  compute(input: { size: string; airC: number; layered: boolean }, working) {
    const size = c.checkJoint({
      method: 'socket-fusion',
      material: input.layered ? 'pp-r-layered' : 'pp-r',
      size: input.size,
      school: 'metric',
    })
    const row = rowOf(size)
    const heat = heatS(size, input.airC)
    working.put('depthMm', row.depthMm, 'cp-fusion-depth')
    working.put('toolMinC', TOOL_MIN_C, 'dvs-2207-11')
    working.put('toolMaxC', TOOL_MAX_C, 'dvs-2207-11')
    side(working, 'heatS', heat)
    working.put('changeoverS', row.changeoverS, 'dvs-2207-11')
    working.put('adjustS', row.changeoverS, 'dvs-2207-11')
    working.put('coolS', row.coolS, 'dvs-2207-11')
    working.put('maxTiltDeg', MAX_TILT_DEG, 'cp-fusion-steps')
    if (heat.value !== null && heat.source === 'ours-fusion-cold')
      working.warn('cold-heat', say({ code: 'fusion-cold-heat', params: {} }), 'airC')
    if (input.layered) working.warn('peel-first', say({ code: 'choice-fusion-peel', params: {} }), 'layered')
  },
})

export const flareCalc = calculation({
  name: 'flare',
  summary: 'Wall, heat, hold, gap and torque of one flared fluoropolymer tube.',
  inputs: [
    c.size,
    need('grooved', flag, 'Grooved before it is flared'),
    need('quenched', flag, 'Quenched in water on the mandrel'),
  ],
  sources: ['cp-pfa-wall', 'cp-flare-heat', 'cp-flare-hold', 'cp-flare-gap', 'cp-flare-torque'],
  example: {
    input: { size: 'OD 1/4', grooved: false, quenched: true },
    result: {
      wallMm: 0.047 * 25.4,
      heatS: 15,
      holdS: 20,
      gapMinMm: 0.08 * 25.4,
      gapMaxMm: 0.15 * 25.4,
      minTorqueNm: null,
    },
  },
  compute(input: { size: string; grooved: boolean; quenched: boolean }, working) {
    const size = c.checkJoint({ method: 'flare', material: 'pfa', size: input.size, school: 'inch' })
    side(working, 'wallMm', flareWallMm(size))
    side(working, 'heatS', flareHeatS(size))
    side(working, 'holdS', flareHoldS(input.quenched))
    working.put('gapMinMm', GAP_MIN_MM, 'cp-flare-gap')
    working.put('gapMaxMm', GAP_MAX_MM, 'cp-flare-gap')
    side(working, 'minTorqueNm', flareTorqueNm(size))
  },
})

export const solderCalc = calculation({
  name: 'solder',
  summary: 'Depth of the cup, length of wire and cooling of one soldered copper joint.',
  inputs: [c.size, c.school],
  sources: ['asme-b16-22', 'en-1254-1', 'cp-solder-wire', 'ours-solder-wire', 'cp-solder-cool'],
  example: {
    input: { size: 'd22', school: 'metric' },
    result: { cupDepthMm: 15.4, wireMm: 22, coolMinS: 600, coolMaxS: 1200 },
  },
  compute(input: { size: string; school: c.JointInput['school'] }, working) {
    const size = c.checkJoint({ method: 'solder', material: 'copper', ...input })
    side(working, 'cupDepthMm', cupDepthMm(size))
    side(working, 'wireMm', solderWireMm(size))
    working.put('coolMinS', COOL_MIN_S, 'cp-solder-cool')
    working.put('coolMaxS', COOL_MAX_S, 'cp-solder-cool')
  },
})

export const peelCalc = calculation({
  name: 'peel',
  summary: 'Judges a soldered joint that was sawn, peeled and looked at.',
  inputs: [
    need(
      'grid',
      list(list(number({}), 1, 1000), 1, 1000),
      'Rows clockwise from 12 o\u2019clock facing the socket; columns from its face to its stop; 1 covered, 0 void',
    ),
  ],
  rules: 'All rows are equally long and hold only 0 and 1. Rows wrap round, columns do not.',
  sources: ['cp-solder-peel'],
  example: {
    input: {
      grid: [
        [1, 1, 1, 1],
        [1, 0, 1, 1],
      ],
    },
    result: {
      coveragePct: 87.5,
      largestVoidPct: 25,
      leakPath: false,
      causes: ['Uneven heat: one side stayed cold.'],
      verdict: 'pass',
    },
  },
  compute(input: { grid: number[][] }, working) {
    const columns = (input.grid[0] as number[]).length
    input.grid.forEach((row, line) => {
      if (row.length !== columns)
        throw new Refusal(
          'bad-input',
          `Row ${line + 1} has ${row.length} cells; the first has ${columns}.`,
          `grid[${line}]`,
        )
      row.forEach((share, k) => {
        if (share !== 0 && share !== 1)
          throw new Refusal('bad-input', 'A cell is 0 or 1.', `grid[${line}][${k}]`)
      })
    })
    const peel = judgePeel(input.grid)
    const from: SourceId[] = ['given', 'cp-solder-peel']
    for (const key of ['coveragePct', 'largestVoidPct'] as const)
      working.put(key, peel[key], 'cp-solder-peel', from)
    working.put('leakPath', peel.leakPath, 'cp-solder-peel', from)
    working.put(
      'causes',
      peel.causes.map((x) => say(x)),
      'cp-solder-peel',
      from,
    )
    working.put('verdict', peel.verdict, 'cp-solder-peel')
  },
})
