import {
  type School,
  allMethods,
  foldJob,
  jointFacts,
  lineSeriesChoices,
  parseSize,
  wallMm,
} from '../src/index.js'
import { Log, PLACE, T0, joint, uuid } from './make-job.js'

/** One joint of a line of this pipe and series, from the record up. */
function factsOf(method: string, material: string, school: School, size: string, series: string) {
  const log = new Log()
  log.put('job-set', { name: 'J', zone: 'UTC', school, table: 'current', checkOffsetMm: 50 })
  log.put('place-set', { placeId: PLACE, name: 'P' })
  const lineId = uuid(11)
  const line = { lineId, tag: 'L', name: 'L', method, material, school, placeId: PLACE, series }
  const details = { socketDepthMm: 30, bolts: 8, dryTorqueNm: 40, rods: 'limit', extensionMm: 10 }
  log.put('line-set', { ...line, details })
  const put = (n: number, item: Record<string, unknown>) =>
    log.put('item-put', { lineId, itemId: uuid(n), item: { size, ...item } })
  put(20, { type: 'fitting', tag: 'F1', fitting: 'tee' })
  const tags = { jointA: joint(1), jointB: joint(2), tagA: 'L-1', tagB: 'L-2' }
  put(21, { type: 'piece', tag: 'P1', measure: 'centre-centre', measuredMm: 900, ...tags })
  put(22, { type: 'fitting', tag: 'F2', fitting: 'tee' })
  return jointFacts(foldJob(log.events), joint(1), 'coldest', T0)
}
const LINES = allMethods().flatMap((m) =>
  (['metric', 'inch'] as const).flatMap((school) =>
    (m.fields.find((f) => f.key === 'material')?.options ?? []).flatMap((material) => {
      const series = lineSeriesChoices(m.id, material, school)
      // A size that this school joins, and that its first series has a wall for.
      const size = m.sizes(material).find((text) => {
        const parsed = series[0] && parseSize(text)
        return (
          parsed &&
          wallMm(material, parsed, series[0]).value !== null &&
          factsOf(m.id, material, school, text, series[0] ?? '')?.spec
        )
      })
      return series.length > 1 && size ? [{ id: m.id, material, school, size, series }] : []
    }),
  ),
)

describe('a joint is drawn with the wall of its line', () => {
  it('lines of several walls are met', () => expect(LINES.length).toBeGreaterThan(8))
  it.each(LINES)('$id, $material, $school', ({ id, material, school, size, series }) => {
    const walls = new Set<number>()
    for (const s of series) {
      const facts = factsOf(id, material, school, size, s)
      if (!facts?.method || facts.spec === null) continue
      const parsed = parseSize(size)
      const wall = parsed && wallMm(material, parsed, s).value
      if (wall === null) continue
      walls.add(wall)
      const pipes = facts.method.section(facts.spec, null, facts.ctx).filter((x) => x.kind === 'pipe')
      expect(pipes.length).toBeGreaterThan(0)
      for (const p of pipes) expect([s, p.wallMm]).toEqual([s, wall])
    }
    expect(walls.size).toBeGreaterThan(0)
  })
})
