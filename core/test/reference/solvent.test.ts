import { CALCULATIONS } from '../../src/calc/index.js'

/** Figures recalled from the standards themselves, in their own units, apart from the tables of the code. */
const run = (name: string, input: Record<string, unknown>) => {
  const c = CALCULATIONS.get(name)
  if (!c) throw new Error(name)
  return c.run(input)
}
const depth = (material: string, size: string, school: string, schedule?: string) =>
  run('insertion', { method: 'solvent-cement', material, size, school, schedule }).result.depthMm as number

describe('ISO 727-1:2002, socket depth of plain metric sockets, minimum (from memory)', () => {
  it.each([
    ['d16', 14],
    ['d20', 16],
    ['d25', 18.5],
    ['d32', 22],
    ['d40', 26],
    ['d50', 31],
    ['d63', 37.5],
    ['d75', 43.5],
    ['d90', 51],
    ['d110', 61],
    ['d125', 68.5],
    ['d140', 76],
    ['d160', 86],
    ['d180', 96],
    ['d200', 106],
    ['d225', 118.5],
    ['d250', 131],
    ['d280', 146],
    ['d315', 163.5],
  ])('%s: %p mm', (size, mm) => expect(depth('pvc-u', size, 'metric')).toBeCloseTo(mm, 9))
})

describe('ASTM D2466, Sch 40 socket length, minimum, inches (from memory)', () => {
  it.each([
    ['1/2', 0.688],
    ['3/4', 0.719],
    ['1', 0.875],
    ['1-1/4', 0.938],
    ['1-1/2', 1.094],
    ['2', 1.156],
    ['2-1/2', 1.75],
    ['3', 1.875],
    ['4', 2],
    ['6', 3],
    ['8', 4],
  ])('NPS %s: %p in', (n, inch) => expect(depth('pvc', `NPS ${n}`, 'inch', '40') / 25.4).toBeCloseTo(inch, 9))
  it('ends at 8 in', () => expect(() => depth('pvc', 'NPS 10', 'inch', '40')).toThrow(/No socket depth/))
})

describe('ASTM D2467, Sch 80 socket length, minimum, inches (from memory)', () => {
  it.each([
    ['1/2', 0.875],
    ['3/4', 1],
    ['1', 1.125],
    ['1-1/4', 1.25],
    ['1-1/2', 1.375],
    ['2', 1.5],
    ['2-1/2', 1.75],
    ['3', 1.875],
    ['4', 2.25],
    ['6', 3],
    ['8', 4],
    ['10', 5],
    ['12', 6],
  ])('NPS %s: %p in', (n, inch) => expect(depth('pvc', `NPS ${n}`, 'inch', '80') / 25.4).toBeCloseTo(inch, 9))
  it('ends at 12 in', () => expect(() => depth('pvc', 'NPS 14', 'inch', '80')).toThrow(/No socket depth/))
})

const f = (fahrenheit: number) => ((fahrenheit - 32) * 5) / 9
const psi = (p: number) => p * 0.0689475729317831
const MIN = 60
const H = 3600
const D = 86400
const cure = (size: string, tF: number, p: number, table: string, rh = 50) =>
  run('cure', {
    method: 'solvent-cement',
    material: 'pvc',
    size,
    school: 'inch',
    schedule: '80',
    testPressureBar: psi(p),
    relativeHumidityPct: rh,
    temperatureC: f(tF),
    mode: 'coldest',
    table,
  }).result as { setS: number | null; cureS: number }

describe('ASTM D2855, current handbook form: set, cure to 160 psi, cure to 370/315 psi (from memory)', () => {
  // size, °F, set, low class, high class
  it.each([
    ['NPS 1/2', 70, 2 * MIN, 15 * MIN, 6 * H],
    ['NPS 1-1/4', 50, 5 * MIN, 20 * MIN, 12 * H],
    ['NPS 1', 20, 10 * MIN, 30 * MIN, 48 * H],
    ['NPS 1-1/2', 100, 5 * MIN, 30 * MIN, 12 * H],
    ['NPS 2', 50, 10 * MIN, 45 * MIN, 24 * H],
    ['NPS 2', 10, 15 * MIN, 1 * H, 96 * H],
    ['NPS 2-1/2', 75, 30 * MIN, 1.5 * H, 24 * H],
    ['NPS 4', 46, 2 * H, 4 * H, 48 * H],
    ['NPS 8', 35, 12 * H, 72 * H, 8 * D],
  ])('%s at %p °F', (size, tF, set, low, high) => {
    expect(cure(size, tF, 100, 'current')).toEqual({ setS: set, cureS: low })
    expect(cure(size, tF, 250, 'current').cureS).toBe(high)
  })
  it.each([
    ['NPS 10', 70, 2 * H, 48 * H],
    ['NPS 14', 50, 8 * H, 96 * H],
    ['NPS 12', 30, 24 * H, 8 * D],
    ['NPS 16', 70, 4 * H, 72 * H],
    ['NPS 24', 50, 16 * H, 6 * D],
    ['NPS 18', 30, 48 * H, 14 * D],
  ])('%s at %p °F, to 100 psi', (size, tF, set, c) => {
    expect(cure(size, tF, 100, 'current')).toEqual({ setS: set, cureS: c })
    expect(() => cure(size, tF, 101, 'current')).toThrow(/ends lower/)
  })
  it('a value on an edge belongs to the colder band', () => {
    expect(cure('NPS 4', 60, 100, 'current').cureS).toBe(4 * H)
    expect(cure('NPS 4', 40, 100, 'current').cureS).toBe(72 * H)
    expect(cure('NPS 4', 60.1, 100, 'current').cureS).toBe(1.5 * H)
  })
  it('ends at 0 and 100 °F and above its pressure classes', () => {
    expect(cure('NPS 2', 0, 100, 'current').cureS).toBe(1 * H)
    expect(() => cure('NPS 2', -0.1, 100, 'current')).toThrow(/No figure/)
    expect(() => cure('NPS 2', 100.1, 100, 'current')).toThrow(/No figure/)
    expect(cure('NPS 1', 70, 370, 'current').cureS).toBe(6 * H)
    expect(() => cure('NPS 1', 70, 371, 'current')).toThrow(/ends lower/)
    expect(() => cure('NPS 2', 70, 316, 'current')).toThrow(/ends lower/)
    expect(cure('NPS 2', 70, 160, 'current').cureS).toBe(12 * H)
  })
  it('half again above 60 % humidity, on cure and not on set', () => {
    expect(cure('NPS 4', 50, 100, 'current', 60).cureS).toBe(4 * H)
    expect(cure('NPS 4', 50, 100, 'current', 60.1)).toEqual({ setS: 2 * H, cureS: 6 * H })
  })
})

describe('ASTM D2855-96, appendix: cure to 180 psi; set periods of its text (from memory)', () => {
  it.each([
    ['NPS 1', 70, 30 * MIN, 1 * H],
    ['NPS 1', 50, 1 * H, 2 * H],
    ['NPS 1', 30, 2 * H, 8 * H],
    ['NPS 3', 70, 30 * MIN, 2 * H],
    ['NPS 3', 50, 1 * H, 4 * H],
    ['NPS 3', 15, 4 * H, 16 * H],
    ['NPS 6', 70, 30 * MIN, 6 * H],
    ['NPS 6', 50, 1 * H, 12 * H],
    ['NPS 6', 30, 2 * H, 48 * H],
  ])('%s at %p °F', (size, tF, set, c) =>
    expect(cure(size, tF, 100, 'd2855-96')).toEqual({ setS: set, cureS: c }),
  )
  it('has nothing above 180 psi, 8 in, or below 10 °F', () => {
    expect(() => cure('NPS 3', 70, 181, 'd2855-96')).toThrow(/ends lower/)
    expect(() => cure('NPS 10', 70, 50, 'd2855-96')).toThrow(/No figure/)
    expect(() => cure('NPS 3', 5, 50, 'd2855-96')).toThrow(/No figure/)
  })
})
