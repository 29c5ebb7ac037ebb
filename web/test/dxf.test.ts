import { asOne, lineInSpace } from '@jugalis/core'
import DxfParser, { type ILineEntity } from 'dxf-parser'
import { bench } from '../../core/test/line-bench'
import { spaceDxf } from '../src/space/dxf'

describe('a line in space as DXF', () => {
  it('read back by another package (dxf-parser), its lines end where the parts are', () => {
    const b = bench(
      'from +2.400 east',
      'elbow 90 63 north',
      'fall 1:80',
      '2000',
      'elbow 45 up',
      '500',
      'tee branch east',
      'branch',
      '?',
      'cap',
    )
    const space = lineInSpace(b.state, b.line)
    const file = new DxfParser().parseSync(spaceDxf(asOne(space)))
    const lines = (file?.entities ?? []).filter((one): one is ILineEntity => one.type === 'LINE')
    expect(lines).toHaveLength(3)
    lines.forEach((line, i) => {
      const leg = space.legs[i]
      const [from, to] = [space.nodes[leg?.from ?? -1]?.atMm, space.nodes[leg?.to ?? -1]?.atMm]
      const [a, b] = line.vertices
      expect([a?.x, a?.y, a?.z]).toEqual(from?.map((mm) => expect.closeTo(mm, 6)))
      expect([b?.x, b?.y, b?.z]).toEqual(to?.map((mm) => expect.closeTo(mm, 6)))
    })
    expect(lines.map((line) => line.layer)).toEqual(['pipe', 'pipe', 'not-known'])
    expect(file?.entities.filter((one) => one.type === 'TEXT')).toHaveLength(4)
  })
})
