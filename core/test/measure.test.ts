import fc from 'fast-check'
import {
  NO_LINES,
  END,
  type Item,
  type Line,
  entryText,
  foldJob,
  pieceCut,
  placeTexts,
} from '../src/index.js'
import { LINE, Log, uuid } from './make-job.js'

const MEASURES = ['c-c', 'c-f', 'f-f', 'e-e'] as const
interface Ask {
  measure: (typeof MEASURES)[number]
  mm: number
  takeOffs: [number, number]
  to: ['face' | 'stop', 'face' | 'stop']
  gap: number
}
function cutOf(a: Ask) {
  const log = new Log()
  const head = { tag: 'Q2', name: 'n', method: 'solvent-cement', material: 'pvc-u', school: 'metric' }
  log.put('line-set', { lineId: LINE, ...head, placeId: uuid(1) })
  ;['tee', 'elbow 90'].forEach((fitting, i) =>
    log.put('take-off', { fitting, size: 'd63', takeOffMm: a.takeOffs[i], takeOffTo: a.to[i] }),
  )
  let n = 80_000
  const shop = { begun: new Set<string>(), newId: () => uuid(n++), lines: NO_LINES }
  const texts = ['tee 63', `${a.mm} ${a.measure}${a.gap ? ` gap ${a.gap}` : ''}`, 'elbow 90']
  const placed = placeTexts(foldJob(log.events).lines.get(LINE) as Line, texts, END, shop, {
    units: 'metric',
  })
  if (!placed.ok) throw new Error(placed.why.code)
  for (const e of placed.edits) log.put(e.kind, { lineId: LINE, ...e.data })
  const state = foldJob(log.events)
  const line = state.lines.get(LINE) as Line
  return { item: line.items[1] as Item, cut: pieceCut(state, line, line.items[1] as Item) }
}

describe('a measure and its cut', () => {
  it('cut length, insertions, take-offs and gaps give back the measure, however it was taken', () => {
    const side = fc.constantFrom('face' as const, 'stop' as const)
    fc.assert(
      fc.property(
        fc.record({
          measure: fc.constantFrom(...MEASURES),
          mm: fc.integer({ min: 400, max: 20_000 }),
          takeOffs: fc.tuple(fc.integer({ min: 10, max: 150 }), fc.integer({ min: 10, max: 150 })),
          to: fc.tuple(side, side),
          gap: fc.integer({ min: 0, max: 20 }),
        }),
        (a) => {
          const { cut, item } = cutOf(a)
          // From the pieces on the bench: pipe, what of it lies in each socket, and the way from there to the centre.
          const centres =
            a.measure === 'c-c' ? [true, true] : a.measure === 'c-f' ? [true, false] : [false, false]
          const back = ([0, 1] as const).reduce((sum, e) => {
            const inside =
              a.measure === 'e-e' || (centres[e] && a.to[e] === 'stop')
                ? 0
                : (cut.ends[e].depthMm?.value as number)
            return sum - inside + (centres[e] ? a.takeOffs[e] : 0) + a.gap
          }, cut.cutMm.value as number)
          expect(back).toBeCloseTo(a.mm, 6)
          expect(entryText(item, { units: 'metric' })).toBe(
            `${a.mm} ${a.measure}${a.gap ? ` gap ${a.gap}` : ''}`,
          )
        },
      ),
      { numRuns: 200 },
    )
  })
})
