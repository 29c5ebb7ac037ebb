import { foldJob, methodOf, pieceCut, type Line } from '../src/index.js'
import { grooveOf, largestGap, mostDeflection } from '../src/methods/grooved-coupling/rules.js'
import { parseSize, type Size } from '../src/sizes/size.js'
import { LINE, lineJob } from './make-job.js'

const size = (text: string): Size => parseSize(text) as Size

// ANSI/AWWA C606, standard roll groove for iron-pipe sizes (from memory): diameters in the groove and their tolerance.
it.each([
  ['NPS 2', 2.25, 2.235],
  ['NPS 4', 4.334, 4.314],
  ['NPS 6', 6.455, 6.433],
  ['NPS 12', 12.531, 12.501],
])('%s: the groove measures %d to %d in', (text, most, least) => {
  const groove = grooveOf(size(text))
  expect((groove?.mostMm ?? 0) / 25.4).toBeCloseTo(most, 6)
  expect((groove?.leastMm ?? 0) / 25.4).toBeCloseTo(least, 6)
})
it('every size it joins has a groove', () => {
  const sizes = methodOf('grooved-coupling')?.sizes('carbon-steel') ?? []
  expect(sizes).toHaveLength(12)
  expect(sizes.filter((text) => grooveOf(size(text)) === null)).toEqual([])
})
// Geometry: 1/8 in over 4.5 in is 1.59 degrees, 1/16 in over 2.375 in is 1.51.
it.each([
  ['NPS 4', 1.591],
  ['NPS 2', 1.507],
])('a flexible coupling of %s takes %d degrees', (text, degrees) =>
  expect(mostDeflection(size(text), largestGap(size(text)).value ?? 0).value).toBeCloseTo(degrees, 2),
)
it('what its maker leaves between the ends comes off the cut, and a gap typed for the piece goes before it', () => {
  const cutOf = (details: Record<string, unknown>, gapMm?: number): number | null => {
    const log = lineJob(2, { size: 'NPS 4' })
    for (const e of log.events) {
      if (e.kind === 'line-set')
        e.data = { ...e.data, method: 'grooved-coupling', material: 'carbon-steel', details }
      const item = e.data.item as { type?: string } | undefined
      if (item?.type === 'piece')
        e.data = {
          ...e.data,
          item: { ...item, measure: 'end-end', measuredMm: 900, ...(gapMm === undefined ? {} : { gapMm }) },
        }
    }
    const state = foldJob(log.events)
    const line = state.lines.get(LINE) as Line
    const piece = line.items.find((i) => i.type === 'piece')
    return piece ? pieceCut(state, line, piece).cutMm.value : null
  }
  const touching = cutOf({}) as number
  const joined = cutOf({ leaveMm: 3 }) as number
  expect(touching - joined).toBeCloseTo(6, 9)
  expect(cutOf({ leaveMm: 3 }, 0)).toBeCloseTo(touching, 9)
  expect(cutOf({ leaveMm: 3 }, 1)).toBeCloseTo(touching - 2, 9)
})
