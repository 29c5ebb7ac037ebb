import { contentsOf, foldJob, limitsOf } from '../src/index.js'
import { Bench } from './line-bench.js'
import { type Log, SECTION, lineJob } from './make-job.js'

function sectionOf(how: Record<string, unknown>, size: string, plan: Record<string, unknown> = {}) {
  const log: Log = lineJob(2, { size })
  const line = log.events.find((e) => e.kind === 'line-set')
  if (line) line.data = { ...line.data, ...how }
  if (Object.keys(plan).length) log.put('section-plan', { sectionId: SECTION, ...plan })
  const state = foldJob(log.events)
  const section = state.sections.get(SECTION)
  if (!section) throw new Error('no section')
  return { limits: limitsOf(state, section), contents: contentsOf(state, section) }
}
const PSI = 0.0689475729
const NAMES = (limits: readonly { name: string; ratingBar: number }[]): [string, number][] =>
  limits.map((l) => [l.name, Math.round(l.ratingBar / PSI)])

describe('what the pipe itself may take', () => {
  it('counts where the series of its walls was said, at the temperature of the test', () => {
    const pvc = { material: 'pvc', school: 'inch', schedule: '40', series: 'SDR 21' }
    const cool = sectionOf(pvc, 'NPS 2').limits
    expect(cool.map((l) => l.name)).toEqual(['Pipe NPS 2 SDR 21'])
    expect((cool[0]?.ratingBar ?? NaN) / PSI).toBeCloseTo(200, 4)
    // 100 °F: 0.62 of it.
    const warm = sectionOf(pvc, 'NPS 2', { temperatureC: 37.7 }).limits
    expect((warm[0]?.ratingBar ?? NaN) / PSI).toBeCloseTo(124, 4)
    expect(warm[0]?.factor).toBeCloseTo(0.62, 9)
    // Nothing was said of the walls: nothing is guessed.
    expect(sectionOf({ ...pvc, series: undefined }, 'NPS 2').limits).toEqual([])
  })
  it('stands beside what was said of the line: the weaker counts; steel of which there is no figure is left out', () => {
    const thin = sectionOf({ series: 'SDR 41', ratingBar: 10 }, 'd63').limits
    expect(thin.map((l) => [l.name, l.ratingBar])).toEqual([
      ['Pipe d63 SDR 41', 5],
      ['Line Q', 10],
    ])
    const steel = { method: 'press', material: 'stainless', school: 'inch', series: 'Sch 5S' }
    expect(sectionOf(steel, 'NPS 2').limits).toEqual([])
  })
  it('a test by DVS 2210-1 may go 5 bar above PN', () => {
    const limits = sectionOf({ series: 'SDR 21' }, 'd63', { rule: 'dvs2210-hydro', designBar: 10 }).limits
    expect(limits[0]).toMatchObject({ name: 'Pipe d63 SDR 21', ratingBar: 15 })
  })
  it('too hot for any figure is no pressure at all, for the line as for its pipe', () => {
    const hot = sectionOf({ series: 'SDR 21', ratingBar: 10 }, 'd63', { temperatureC: 70 }).limits
    expect(hot.map((l) => l.ratingBar)).toEqual([0, 0])
  })
  it('walls follow the series in what the section holds', () => {
    const bore = (series: string | undefined): number | null =>
      sectionOf({ method: 'solder', material: 'copper', school: 'metric', series }, 'd28').contents
        .narrowestBoreMm
    expect([bore(undefined), bore('Table X'), bore('Table Y')]).toEqual([25, 26.2, 25.6])
  })
  // ASTM D1785: Sch 80 pipe of NPS 1 bears 630 psi at 73 °F, threaded half of that; Sch 40 (450 psi) is not threaded.
  it.each([
    [
      'Sch 80',
      ['adapter 1 x 1 mip', 'coupling 1 fip of brass'],
      [
        ['Thread NPS 1 Sch 80', 315],
        ['Pipe NPS 1 Sch 80', 630],
      ],
    ],
    [
      'Sch 40',
      ['adapter 1 x 1 mip', 'coupling 1 fip of brass'],
      [
        ['Thread NPS 1 Sch 40', 225],
        ['Pipe NPS 1 Sch 40', 450],
      ],
    ],
    [
      'Sch 80',
      ['valve 1 fip of brass'],
      [
        ['Thread NPS 1 Sch 80', 315],
        ['Pipe NPS 1 Sch 80', 630],
      ],
    ],
    [
      'Sch 40',
      ['valve 1 fip of brass'],
      [
        ['Thread NPS 1 Sch 40', 0],
        ['Pipe NPS 1 Sch 40', 450],
      ],
    ],
  ] as const)('threaded plastic takes half: %s, %j', (series, entries, limits) => {
    const b = new Bench({ method: 'solvent-cement', material: 'pvc', school: 'inch', series })
    for (const entry of ['elbow 90 1', '20', ...entries])
      expect([entry, b.type(entry)]).toEqual([entry, 'ok'])
    const jointIds = b.line.items.flatMap((i) => i.joints).filter((id) => id !== null)
    b.log.put('section-set', { sectionId: SECTION, tag: 'S', jointIds })
    const section = b.state.sections.get(SECTION)
    expect(section && NAMES(limitsOf(b.state, section))).toEqual(limits)
  })
})
