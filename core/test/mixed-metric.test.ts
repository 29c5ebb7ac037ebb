import { entryText } from '../src/index.js'
import { line, refused, ways } from './mixed-help.js'

describe('a metric line of mixed joints', () => {
  const METRIC = { method: 'solder', material: 'copper', school: 'metric' } as const
  it('threads go by their inches, tube by its millimetres', () => {
    const b = line(
      METRIC,
      'union 22',
      '500',
      'adapter 22 x 3/4 male',
      'valve 3/4 female',
      'nipple',
      'dielectric union 22 x 3/4 female',
      '300',
      'valve 22 press',
      '200',
      'male adapter 22 x 3/4',
    )
    expect(ways(b)).toEqual([
      'P01>F01 solder copper d22',
      'P01>F02 solder copper d22',
      'F03>F02 threaded brass NPS 3/4',
      'F04>F03 threaded brass NPS 3/4',
      'F05>F04 threaded brass NPS 3/4',
      'P02>F05 solder copper d22',
      'P02>F06 press copper d22',
      'P03>F06 press copper d22',
      'P03>F07 solder copper d22',
    ])
    const texts = b.line.items.map((i) => entryText(i, { units: 'metric' }, { offered: ['d22'] }))
    expect(texts.filter((t) => t.includes('3/4'))).toEqual([
      'adapter 22 x 3/4 male',
      'valve 3/4 female',
      'nipple 3/4',
      'dielectric union 3/4 female x 22',
      'male adapter 22 3/4',
    ])
  })
  it.each([
    [['union 22', '500'], 'male adapter 22', 'entry-no-end-size'],
    [['union 22', '500', 'male adapter 22 x 3/4'], 'dielectric union 3/4', 'entry-size-unknown'],
    [['union 22', '500'], 'valve 3/4', 'entry-size-unknown'],
  ] as const)('%j then %s: %s, and no tube of the other system is put in', (first, last, code) =>
    expect(refused(METRIC, [...first], last)).toBe(code),
  )
  it('plastic: flanged at a valve, threaded into brass', () => {
    const pvc = { method: 'solvent-cement', material: 'pvc-u', school: 'metric' } as const
    const b = line(
      pvc,
      'tee 63',
      '500',
      'flange',
      'butterfly valve 63 flanged',
      'flange 63',
      '400',
      'adapter 63 x 2 male',
      'gate valve 2 female of brass',
    )
    expect(ways(b).slice(2)).toEqual([
      'F03>F02 flange pvc-u d63',
      'F04>F03 flange pvc-u d63',
      'P02>F04 solvent-cement pvc-u d63',
      'P02>F05 solvent-cement pvc-u d63',
      'F06>F05 threaded pvc-u NPS 2',
    ])
  })
})
