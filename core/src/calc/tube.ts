import type { SourceId } from '../sources/source.js'
import { bendMarks, offset } from '../line/bends.js'
import { number as inWords } from '../units/format.js'
import { Refusal, calculation } from './calculation.js'
import { list, may, need, number } from '../schema/shape.js'

const LONG = 1_000_000
const fmt = (mm: number): string => inWords(mm, 2)
interface BendInput {
  odMm: number
  radiusMm: number
  legs: number[]
  anglesDeg: number[]
  minStraightMm?: number | null
  springbackDeg?: number | null
}
export const bendMarksCalc = calculation({
  name: 'bend-marks',
  summary: 'Where each bend begins on a straight tube, how long the tube is, and what each bend gains.',
  inputs: [
    need('odMm', number({ above: 0, max: 1000 }), 'Outside diameter of the tube'),
    need('radiusMm', number({ above: 0, max: 10_000 }), 'Radius of the centre line'),
    need(
      'legs',
      list(number({ above: 0, max: LONG }), 2, 200),
      'Tube end or bend apex to the next apex or end',
    ),
    need('anglesDeg', list(number({}), 1, 199), 'Deflection of each bend, above 0 and below 180'),
    may('minStraightMm', number({ min: 0, max: LONG }), 'Least straight of every leg; 0 if absent'),
    may('springbackDeg', number({ min: 0, max: 45 }), 'What the tube springs back at each bend'),
  ],
  rules: 'There is one leg more than bends.',
  sources: ['bend-geometry'],
  example: {
    input: { odMm: 12, radiusMm: 36, legs: [200, 300], anglesDeg: [90], minStraightMm: 25 },
    result: {
      marksMm: [164],
      developedMm: 484.5486677646163,
      gainsMm: [15.45133223538371],
      bendToDeg: [90],
    },
  },
  compute(input: BendInput, working) {
    input.anglesDeg.forEach((angle, k) => {
      if (angle <= 0 || angle >= 180)
        throw new Refusal(
          'bad-input',
          'A bend deflects by more than 0 and less than 180 degrees.',
          `anglesDeg[${k}]`,
        )
    })
    if (input.legs.length !== input.anglesDeg.length + 1)
      throw new Refusal(
        'bad-input',
        `${input.anglesDeg.length} bends need ${input.anglesDeg.length + 1} legs; ${input.legs.length} are given.`,
        'legs',
      )
    const bent = bendMarks(input.radiusMm, input.legs, input.anglesDeg, input.minStraightMm ?? 0)
    if (!bent.ok)
      throw new Refusal(
        'does-not-fit',
        `Leg ${bent.leg + 1} leaves ${fmt(bent.straightMm)} mm straight. The least leg that works is ${fmt(Math.ceil(bent.leastMm * 100 - 1e-6) / 100)} mm.`,
        `legs[${bent.leg}]`,
      )
    const from: SourceId[] = ['given', 'bend-geometry']
    working.put('marksMm', bent.marksMm, 'bend-geometry', from)
    working.put('developedMm', bent.developedMm, 'bend-geometry', from)
    working.put('gainsMm', bent.gainsMm, 'bend-geometry', from)
    working.put(
      'bendToDeg',
      input.anglesDeg.map((a) => a + (input.springbackDeg ?? 0)),
      'bend-geometry',
      from,
    )
    if (input.radiusMm < input.odMm)
      working.warn(
        'tight-radius',
        'The radius is smaller than the tube is wide: look at what the bender is made for.',
        'radiusMm',
      )
  },
})

export const offsetCalc = calculation({
  name: 'offset',
  summary: 'Travel and run of an offset, rolled or not.',
  inputs: [
    need('setMm', number({ above: 0, max: LONG }), 'Offset, centre line to centre line'),
    may('rollMm', number({ min: 0, max: LONG }), 'Offset at right angles to it; none if absent'),
    need('angleDeg', number({ above: 0, max: 90 }), 'Deflection of the fitting'),
  ],
  sources: ['offset-geometry'],
  example: {
    input: { setMm: 300, rollMm: 400, angleDeg: 90 },
    result: { travelMm: 500, runMm: 0 },
  },
  compute(input: { setMm: number; rollMm?: number | null; angleDeg: number }, working) {
    const made = offset(input.setMm, input.rollMm ?? 0, input.angleDeg)
    working.put('travelMm', made.travelMm, 'offset-geometry', ['given', 'offset-geometry'])
    working.put('runMm', made.runMm, 'offset-geometry', ['given', 'offset-geometry'])
  },
})
