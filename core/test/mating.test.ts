import { type End, type Item, allMethods, joinable, mate } from '../src/index.js'
import { metalsMeet } from '../src/parts/mating.js'

const item = (type: Item['type'] = 'fitting'): Item => ({ id: 'x', tag: 'F1', type }) as Item
const end = (kind: string, material: string, size = 'NPS 2', type: Item['type'] = 'fitting'): End => ({
  item: item(type),
  at: 0,
  kind,
  usual: false,
  size,
  material,
})
const KINDS = [
  'plain',
  'closed',
  'open',
  'hose',
  'wall',
  ...allMethods().flatMap((m) => m.ends.map((e) => e.kind)),
]
const MATERIALS = [...new Set([...allMethods().flatMap((m) => Object.keys(m.joins)), 'cast-iron'])]

/** The trade's table, written here by hand: which kinds go on which, and how they are joined. */
const GOES_ON: Readonly<Record<string, string>> = {
  'bond-socket+plain': 'adhesive-bond',
  'cement-socket+plain': 'solvent-cement',
  'clamp-ferrule+clamp-ferrule': 'sanitary-clamp',
  'compression-nut+plain': 'compression',
  'flange+flange': 'flange',
  'flange+rubber-flange': 'expansion-joint',
  'flare-nose+plain': 'flare',
  'fusion-socket+plain': 'socket-fusion',
  'groove+groove': 'grooved-coupling',
  'iso-7-female+iso-7-male': 'threaded',
  'npt-female+npt-male': 'threaded',
  'plain+press-end': 'press',
  'plain+solder-cup': 'solder',
  'ringed-end+ringed-end': 'split-coupling',
  'saddle+wall': 'pipe-saddle',
}
const PLASTIC = ['pvc-u', 'pvc', 'cpvc', 'abs', 'pp-r', 'pp-r-layered', 'pfa', 'pe', 'pex']

const STUCK = (one: string, other: string): boolean =>
  one === other ||
  [one, other].sort().join() === 'pvc,pvc-u' ||
  [one, other].sort().join() === 'pp-r,pp-r-layered'

describe('every pair of kinds of ends', () => {
  const pairs = KINDS.flatMap((a, i) => KINDS.slice(i).map((b) => [a, b] as const))
  it('is in the table or is refused, with what would go between', () => {
    for (const [a, b] of pairs) {
      const named = [a, b].sort().join('+')
      const ways = MATERIALS.flatMap((material) =>
        ['NPS 2', 'CTS 2', 'd63', 'OD 1/4', 'BPE 2', 'd54', 'd16'].map((size) => {
          const mating = mate(end(a, material, size), end(b, material, size), 'inch')
          return mating.ok ? mating.method : mating.why.code.startsWith('mate-') ? null : 'not this pipe'
        }),
      )
      const found = [...new Set(ways)].filter((way) => way !== 'not this pipe')
      expect([named, found]).toEqual([named, [GOES_ON[named] ?? null]])
    }
  })
  it('and of materials: joined only where the method joins one of the two', () => {
    for (const [a, b] of pairs)
      for (const one of MATERIALS)
        for (const other of MATERIALS) {
          const mating = mate(end(a, one), end(b, other), 'inch')
          if (!mating.ok) continue
          expect([one, other]).toContain(mating.material)
          // What is cemented, fused or bonded is of one material.
          if (['solvent-cement', 'socket-fusion', 'adhesive-bond'].includes(mating.method))
            expect([one, other, STUCK(one, other)]).toEqual([one, other, true])
          expect(joinable(mating.method, mating.material, 'NPS 2', 'inch').ok).toBe(true)
          expect(mate(end(b, other), end(a, one), 'inch')).toEqual(mating)
        }
  })
})

describe('what goes between', () => {
  const why = (a: End, b: End) => {
    const mating = mate(a, b, 'inch')
    return mating.ok ? mating.method : mating.why.code
  }
  it.each([
    ['solder-cup', 'solder-cup', 'mate-two-sockets'],
    ['solder-cup', 'press-end', 'mate-two-sockets'],
    ['plain', 'plain', 'mate-two-plain'],
    ['npt-male', 'npt-male', 'mate-alike'],
    ['npt-female', 'npt-female', 'mate-alike'],
    ['npt-male', 'iso-7-female', 'mate-standards'],
    ['flange', 'npt-male', 'mate-kinds'],
    ['closed', 'plain', 'mate-shut'],
  ] as const)('%s on %s: %s', (a, b, code) => expect(why(end(a, 'copper'), end(b, 'copper'))).toBe(code))
  it('other sizes want a reducer', () =>
    expect(why(end('flange', 'carbon-steel', 'NPS 3'), end('flange', 'carbon-steel', 'NPS 2'))).toBe(
      'mate-sizes',
    ))
  it('a male thread of metal never goes into a female one of plastic; the other way round it does', () => {
    for (const plastic of PLASTIC.slice(0, 4)) {
      expect(why(end('npt-female', plastic, 'NPS 1'), end('npt-male', 'brass', 'NPS 1'))).toBe(
        'mate-plastic-female',
      )
      expect(why(end('npt-female', 'brass', 'NPS 1'), end('npt-male', plastic, 'NPS 1'))).toBe('threaded')
    }
  })
  it('a plain pipe is threaded or grooved where it is steel, and never where it is copper tube', () => {
    const pipe = (material: string, size: string) => end('plain', material, size, 'piece')
    expect(why(end('npt-female', 'brass'), pipe('carbon-steel', 'NPS 2'))).toBe('threaded')
    expect(why(end('groove', 'carbon-steel'), pipe('carbon-steel', 'NPS 2'))).toBe('grooved-coupling')
    expect(why(end('npt-male', 'brass'), pipe('carbon-steel', 'NPS 2'))).toBe('mate-kinds')
    expect(why(end('flange', 'carbon-steel'), pipe('carbon-steel', 'NPS 2'))).toBe('mate-kinds')
    expect(why(end('npt-female', 'brass', 'CTS 2'), pipe('copper', 'CTS 2'))).not.toBe('threaded')
    // A fitting's plain end is made to go into a socket and is never threaded on site.
    expect(why(end('npt-female', 'brass'), end('plain', 'carbon-steel'))).toBe('mate-kinds')
  })
  it('copper touching steel is said; brass or stainless between the two is not', () => {
    const told = (a: string, b: string) => metalsMeet(end('flange', a), end('flange', b))?.code ?? null
    expect(told('copper', 'carbon-steel')).toBe('mate-metals')
    expect(told('cast-iron', 'copper')).toBe('mate-metals')
    expect([told('brass', 'carbon-steel'), told('copper', 'brass'), told('copper', 'copper')]).toEqual([
      null,
      null,
      null,
    ])
  })
  it('a pipe of another material does not go into a socket', () => {
    expect(why(end('cement-socket', 'pvc'), end('plain', 'cpvc'))).toBe('mate-materials')
    expect(why(end('press-end', 'stainless'), end('plain', 'copper'))).toBe('mate-materials')
    expect(why(end('solder-cup', 'brass', 'CTS 2'), end('plain', 'copper', 'CTS 2'))).toBe('solder')
    expect(why(end('compression-nut', 'brass', 'CTS 1'), end('plain', 'pe', 'CTS 1'))).toBe('compression')
  })
  it('a joint of threads tells its standard, its material and what it goes into', () => {
    expect(
      mate(end('iso-7-female', 'brass', 'NPS 1'), end('iso-7-male', 'pvc-u', 'NPS 1'), 'metric'),
    ).toEqual({
      ok: true,
      method: 'threaded',
      material: 'pvc-u',
      size: 'NPS 1',
      into: 'brass',
      says: { standard: 'iso-7', cutOn: 'fitting' },
    })
  })
})
