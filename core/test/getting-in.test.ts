import {
  type PieceCut,
  closingFinding,
  fig,
  growthMm,
  hangerSpacingMm,
  msg,
  noFig,
  sagSpanMm,
} from '../src/index.js'

/** A piece by how far each of its ends goes in, mm; null: not known; none: nothing is joined there. */
type End = number | null | 'none'
const piece = (
  ends: readonly [End, End],
  fittings: readonly [string, string] = ['elbow 90', 'tee'],
): PieceCut =>
  ({
    ends: ends.map((depth, i) => ({
      jointId: depth === 'none' ? null : `j${i}`,
      fitting: { fitting: fittings[i] },
      depthMm: depth === null ? noFig(msg('nothing-inserted')) : fig(depth === 'none' ? 0 : depth, 'given'),
    })),
  }) as unknown as PieceCut
const said = (p: PieceCut) => {
  const found = closingFinding(p)
  return found && [found.level, found.code, found.params.backMm]
}

describe('can the last piece be got in', () => {
  it('one end has to stand back by the shallower of its two insertions', () => {
    expect(said(piece([40, 35]))).toEqual(['warn', 'closing-draw-back', 35])
    expect(said(piece([22, 35]))).toEqual(['warn', 'closing-draw-back', 22])
  })
  it('an end that goes into nothing lets it slip in', () => {
    expect(said(piece([40, 0]))).toEqual(['note', 'closing-slips-in', undefined])
    expect(said(piece(['none', 35]))).toEqual(['note', 'closing-slips-in', undefined])
  })
  it('beside a fitting that opens, at either end, it can always be got in', () => {
    for (const opens of ['union', 'flange', 'slip coupling']) {
      expect(said(piece([40, null], [opens, 'tee']))?.[1]).toBe('closing-opens')
      expect(said(piece([40, 35], ['tee', opens]))?.[1]).toBe('closing-opens')
    }
  })
  it('while a depth is not known nothing is said', () => {
    expect(said(piece([40, null]))).toBeNull()
    expect(said(piece([null, 0]))).toBeNull()
  })
})

describe('where there is no figure for laying, that is said', () => {
  const pvc = { material: 'pvc', size: 'NPS 2', series: 'Sch 40' } as never
  it('hangers: warmer than the table goes, and on its edge', () => {
    // The code’s table (`ipc-308-5`) gives plastics a warmest wall; beyond it there is no spacing.
    const edges = Array.from({ length: 120 }, (_, c) => hangerSpacingMm(pvc, c).value !== null)
    const last = edges.lastIndexOf(true)
    expect([edges[0], last > 20, edges.slice(0, last + 1).every(Boolean), edges[last + 1]]).toEqual([
      true,
      true,
      true,
      false,
    ])
  })
  it('sag: a fuller pipe spans less; too warm, or of a material nobody gave a stiffness, none', () => {
    const water = sagSpanMm(pvc, 20).value ?? NaN
    const brine = sagSpanMm(pvc, 20, 1200).value ?? NaN
    expect(brine).toBeLessThan(water)
    // Load under the cube root: a tenth more of it all takes some three per cent off.
    expect(brine / water).toBeGreaterThan(0.9)
    expect(sagSpanMm(pvc, 25).value).not.toBeNull()
    expect(sagSpanMm(pvc, 26).value).toBeNull()
    expect(sagSpanMm({ material: 'nobody-knows', size: 'NPS 2', series: null } as never, 20).value).toBeNull()
  })
  it('growth: shorter where it is colder than it was laid, none where it is as warm', () => {
    const warm = growthMm('pvc-u', 10_000, 10, 30).value ?? NaN
    expect(growthMm('pvc-u', 10_000, 30, 10).value).toBeCloseTo(-warm, 9)
    expect(growthMm('pvc-u', 10_000, 15, 15).value).toBe(0)
    expect(growthMm('nobody-knows', 10_000, 10, 30).value).toBeNull()
  })
})
