import { refused } from './reference/door.js'
import { CALCULATIONS } from '../src/calc/index.js'

describe('incidents', () => {
  const ladder = (joints: Record<string, unknown>[], atS: number, more = {}) =>
    CALCULATIONS.get('ladder')?.run({ joints, mode: 'coldest', relativeHumidityPct: 50, atS, ...more })
      .result as {
      allowedBar: number | null
      heldBy: string | null
      steps: { fromS: number; allowedBar: number | null; heldBy: string | null }[]
    }
  const d63 = { method: 'solvent-cement', material: 'pvc-u', size: 'd63', school: 'metric' }
  it('cold night: 4 in Sch 80, home at 46 °F, 35 °F overnight: coldest moves from 4 h to 72 h, accumulated lands next morning', () => {
    const c = (f: number) => ((f - 32) * 5) / 9
    const cure = (mode: string) =>
      CALCULATIONS.get('cure')?.run({
        method: 'solvent-cement',
        material: 'pvc',
        size: 'NPS 4',
        school: 'inch',
        testPressureBar: 9,
        relativeHumidityPct: 50,
        mode,
        temperatures: [
          { fromS: 0, temperatureC: c(46) },
          { fromS: 3 * 3600, temperatureC: c(35) },
          { fromS: 12 * 3600, temperatureC: c(46) },
        ],
      }).result as { cureS: number }
    expect(cure('coldest').cureS).toBe(72 * 3600)
    // 3 h of 4, then 9 h of 72, the rest at 4 h again: 12 h + 4 h * (1 - 3/4 - 9/72)
    expect(cure('accumulate').cureS).toBeCloseTo(12.5 * 3600, 6)
  })
  it('a dry start and a wet night is a wet cure: half again by the coldest, only for the wet hours when accumulated (ASTM D2855, from memory)', () => {
    const ask = (mode: string, more: Record<string, unknown>) =>
      CALCULATIONS.get('cure')?.run({
        method: 'solvent-cement',
        material: 'pvc',
        size: 'NPS 2',
        school: 'inch',
        testPressureBar: 9,
        temperatureC: 20,
        mode,
        ...more,
      }).result as { cureS: number; setS: number }
    const dry = ask('coldest', { relativeHumidityPct: 60 })
    const half = dry.cureS / 2
    const wetNight = {
      humidities: [
        { fromS: 0, relativeHumidityPct: 50 },
        { fromS: half, relativeHumidityPct: 75 },
      ],
    }
    expect(ask('coldest', { relativeHumidityPct: 60.1 }).cureS).toBeCloseTo(1.5 * dry.cureS, 6)
    expect(ask('coldest', wetNight).cureS).toBeCloseTo(1.5 * dry.cureS, 6)
    expect(ask('accumulate', wetNight).cureS).toBeCloseTo(half + 1.5 * half, 6)
    expect(ask('coldest', wetNight).setS).toBe(dry.setS)
    // Damp only after it was cured: nothing changes.
    const late = {
      humidities: [
        { fromS: 0, relativeHumidityPct: 50 },
        { fromS: dry.cureS + 1, relativeHumidityPct: 90 },
      ],
    }
    expect(ask('coldest', late).cureS).toBe(dry.cureS)
    // A damp start that dries counts for the whole by the coldest.
    const dried = {
      humidities: [
        { fromS: 0, relativeHumidityPct: 90 },
        { fromS: 60, relativeHumidityPct: 40 },
      ],
    }
    expect(ask('coldest', dried).cureS).toBeCloseTo(1.5 * dry.cureS, 6)
  })
  it('humidity is given once: one figure or a list, known at home', () => {
    const base = {
      method: 'solvent-cement',
      material: 'pvc',
      size: 'NPS 2',
      school: 'inch',
      testPressureBar: 9,
      temperatureC: 20,
      mode: 'coldest',
    }
    expect(refused('cure', base)).toBe('missing-field relativeHumidityPct')
    expect(
      refused('cure', {
        ...base,
        relativeHumidityPct: 50,
        humidities: [{ fromS: 0, relativeHumidityPct: 50 }],
      }),
    ).toBe('bad-input humidities')
    expect(refused('cure', { ...base, humidities: [{ fromS: 5, relativeHumidityPct: 50 }] })).toBe(
      'bad-input humidities[0].fromS',
    )
    expect(
      refused('cure', {
        ...base,
        humidities: [
          { fromS: 0, relativeHumidityPct: 50 },
          { fromS: 0, relativeHumidityPct: 70 },
        ],
      }),
    ).toBe('bad-input humidities[1].fromS')
  })
  it('a joint not made, or without a figure, counts as nothing', () => {
    const made = { ...d63, id: 'a', madeAtS: 0, temperatureC: 15 }
    expect(ladder([made, { ...d63, id: 'b', madeAtS: null }], 36000)).toMatchObject({
      allowedBar: 0,
      heldBy: 'b',
    })
    expect(
      ladder([made, { ...d63, size: 'd315', id: 'b', madeAtS: 0, temperatureC: 15 }], 36000),
    ).toMatchObject({ allowedBar: 0, heldBy: 'b' })
    expect(ladder([made], 36000)).toMatchObject({ allowedBar: 10, heldBy: 'a' })
  })
  it('the later home holds, until ratings do; a tie goes to the one that reached it last, then to the id', () => {
    const joints = [
      { ...d63, id: 'a', madeAtS: 0, temperatureC: 15, ratingBar: 10 },
      { ...d63, id: 'b', madeAtS: 7200, temperatureC: 15, ratingBar: 10 },
      { ...d63, id: 'c', madeAtS: 7200, temperatureC: 15, ratingBar: 12 },
    ]
    expect(ladder(joints, 10800)).toMatchObject({ allowedBar: 1, heldBy: 'b' })
    expect(ladder(joints, 90000)).toMatchObject({ allowedBar: 10, heldBy: 'b' })
    expect(ladder(joints, 3600)).toMatchObject({ allowedBar: 0, heldBy: 'b' })
  })
  it('ABS sets no ceiling: without a rating the ladder says null', () => {
    const out = CALCULATIONS.get('ladder')?.run({
      joints: [
        {
          method: 'solvent-cement',
          material: 'abs',
          size: 'd50',
          school: 'metric',
          id: 'a',
          madeAtS: 0,
          temperatureC: 20,
        },
      ],
      mode: 'coldest',
      atS: 90000,
    })
    expect(out?.result).toMatchObject({ allowedBar: null, heldBy: null })
    expect(out?.warnings.map((w) => w.code)).toEqual(['humidity-unknown', 'rating-unknown'])
  })
})
