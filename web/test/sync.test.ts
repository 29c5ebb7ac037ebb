import fc from 'fast-check'
import { type Fate, World, isBad } from './sync-world'

const tick = (): Promise<void> => new Promise((done) => setImmediate(done))

type Act =
  | { do: 'write' | 'bad' | 'ask' | 'reload' }
  | { do: 'jump' | 'pass'; s: number }
  | { do: 'run'; at: number }
  | { do: 'net'; fate: Fate }
const act: fc.Arbitrary<Act> = fc.oneof(
  { weight: 6, arbitrary: fc.record({ do: fc.constant('run' as const), at: fc.nat(20) }) },
  { weight: 3, arbitrary: fc.constant({ do: 'write' as const }) },
  { weight: 1, arbitrary: fc.constant({ do: 'bad' as const }) },
  { weight: 3, arbitrary: fc.constant({ do: 'ask' as const }) },
  { weight: 1, arbitrary: fc.constant({ do: 'reload' as const }) },
  {
    weight: 1,
    arbitrary: fc.record({ do: fc.constant('jump' as const), s: fc.integer({ min: -9000, max: 9000 }) }),
  },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('pass' as const), s: fc.nat(600) }) },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant('net' as const),
      fate: fc.constantFrom<Fate[]>('comes', 'request lost', 'answer lost'),
    }),
  },
)
async function perform(w: World, a: Act): Promise<void> {
  if (a.do === 'write' || a.do === 'bad') w.write(a.do)
  if (a.do === 'ask') void w.engine.ask()
  if (a.do === 'reload') w.reload()
  if (a.do === 'jump') w.wallS += a.s
  if (a.do === 'net') w.fate = a.fate
  if (a.do === 'pass') {
    w.wallS += a.s
    w.steadyS += a.s
  }
  if (a.do === 'run' && w.queue.length) w.queue.splice(a.at % w.queue.length, 1)[0]?.()
  await tick()
  w.look()
}

it('whatever the network, the clocks and the pages do: each entry is once in the log, in order, or given back', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 5, maxLength: 80 }), async (acts) => {
      const w = new World()
      for (const a of acts) await perform(w, a)
      // Signal is back: asked now and then, everything comes to its end.
      w.fate = 'comes'
      for (let round = 0; round < 40 && (round < 2 || w.store.size || w.sync.busy); round++) {
        await perform(w, { do: 'pass', s: 3 })
        await perform(w, { do: 'ask' })
        while (w.queue.length) await perform(w, { do: 'run', at: 0 })
      }
      expect(w.wrong).toEqual([])
      expect([...w.store.keys()]).toEqual([])
      const good = w.written.filter((d) => !isBad(d)).map((d) => d.id)
      expect(w.server.log.map((e) => e.id)).toEqual(good)
      expect([...w.tray.keys()].sort()).toEqual(
        w.written
          .filter(isBad)
          .map((d) => d.id)
          .sort(),
      )
      expect(w.sync.known.map((e) => e.id)).toEqual(good)
      expect(w.sync.offline).toBe(false)
    }),
    { numRuns: 300 },
  )
})
