import type { JobEvent } from '@jugalis/core'
import fc from 'fast-check'
import { useActs } from '../../src/stores/acts'
import { draftsOf, type NewEntry } from '../../src/stores/drafts'

/** A log that numbers what is kept in it. */
function log() {
  const entries: (NewEntry & { id: string })[] = []
  const keep = async (fresh: NewEntry[]): Promise<string[]> => {
    const numbered = fresh.map((entry, i) => ({ ...entry, id: `e${entries.length + i}` }))
    entries.push(...numbered)
    return numbered.map((entry) => entry.id)
  }
  /** Ids of what stands: not taken back, or its taking back taken back. */
  const standing = (): string[] => {
    const off = new Set<string>()
    for (const entry of entries.toReversed())
      if (entry.kind === 'correction' && !off.has(entry.id)) off.add(entry.data.target as string)
    return entries.filter((e) => e.kind !== 'correction' && !off.has(e.id)).map((e) => e.id)
  }
  return { entries, keep, standing }
}
const noted: NewEntry = { kind: 'note', data: {} }

describe('what one did is taken back and done again', () => {
  it('whatever is done, taken back and done again, what stands is what the list says', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.constantFrom('do', 'undo', 'redo'), { maxLength: 40 }), async (course) => {
        const { keep, standing } = log()
        const { acts, undo, redo, remember } = useActs(keep)
        const done: string[][] = []
        const back: string[][] = []
        for (const what of course)
          if (what === 'do') {
            const ids = await keep([noted, noted])
            remember(ids, 'two notes')
            done.push(ids)
            back.length = 0
          } else if (what === 'undo') {
            await undo()
            const last = done.pop()
            if (last) back.push(last)
          } else {
            await redo()
            const last = back.pop()
            if (last) done.push(last)
          }
        expect(acts.value.map((act) => act.ids)).toEqual(done)
        expect(standing()).toEqual(done.flat().sort((a, b) => Number(a.slice(1)) - Number(b.slice(1))))
      }),
    )
  })
  it('nothing is unwritten: each way back is an entry of its own', async () => {
    const { entries, keep } = log()
    const { remember, undo, redo } = useActs(keep)
    remember(await keep([noted]), 'a note')
    await undo()
    await redo()
    expect(entries.map((e) => [e.kind, e.data.target])).toEqual([
      ['note', undefined],
      ['correction', 'e0'],
      ['correction', 'e1'],
    ])
  })
  it('a verdict is told and stands: neither it nor what was done before it is taken back', async () => {
    const { keep } = log()
    const { lastAct, acts, remember, undo } = useActs(keep)
    remember(await keep([noted]), 'a note', ['note'])
    remember(await keep([noted]), 'held', ['test-ended'])
    expect([lastAct.value?.says, lastAct.value?.stands]).toEqual(['held', true])
    await undo()
    expect(lastAct.value?.says).toBe('held')
    expect(acts.value).toEqual([])
    remember(await keep([noted]), 'a note', ['note'])
    await undo()
    expect(lastAct.value?.takenBackBy).toHaveLength(1)
  })
  it('the strip speaks of what was done, or taken back, last; another job forgets all', async () => {
    const { keep } = log()
    const { lastAct, acts, takenBack, remember, undo, forget } = useActs(keep)
    remember(await keep([noted]), 'first')
    remember(await keep([noted]), 'second')
    await undo()
    expect([lastAct.value?.says, lastAct.value?.takenBackBy]).toEqual(['second', ['e2']])
    await undo()
    expect(lastAct.value?.says).toBe('first')
    await undo()
    expect(lastAct.value?.says).toBe('first')
    forget()
    expect([acts.value, takenBack.value, lastAct.value]).toEqual([[], [], null])
  })
  it('two hundred are remembered, the oldest forgotten', async () => {
    const { keep } = log()
    const { acts, remember } = useActs(keep)
    for (let i = 0; i < 205; i++) remember(await keep([noted]), String(i))
    expect([acts.value.length, acts.value[0]?.says]).toEqual([200, '5'])
  })
})

describe('what was written becomes an entry', () => {
  const seen = [
    { id: 'a', jointId: 'j1' },
    { id: 'b', jointId: 'j2' },
    { id: 'c', jointId: null },
  ] as unknown as JobEvent[]
  const at = { wallS: 1000, offsetS: 5 }
  it('made now, it follows the last of all and the last of its joint', () => {
    const [entry] = draftsOf([{ kind: 'step-done', data: {}, jointId: 'j1' }], seen, at)
    expect([entry?.after, entry?.atDeviceS, entry?.jointId]).toEqual([['c', 'a'], 1000, 'j1'])
  })
  it('of a joint that is last, it follows that once', () => {
    expect(draftsOf([{ kind: 'x', data: {}, jointId: 'j2' }], seen.slice(0, 2), at)[0]?.after).toEqual(['b'])
  })
  it('what lies in the past follows nothing, and stands by this device\u2019s own clock', () => {
    const [entry] = draftsOf([{ kind: 'step-done', data: {}, jointId: 'j1', atS: 905 }], seen, at)
    expect([entry?.after, entry?.atDeviceS]).toEqual([[], 900])
  })
  it('it is of the newest version of its kind, each with an id of its own', () => {
    const all = draftsOf(
      [
        { kind: 'step-done', data: {} },
        { kind: 'nobody-knows', data: {} },
      ],
      [],
      at,
    )
    expect(all.map((e) => e.v)).toEqual([2, 1])
    expect(new Set(all.map((e) => e.id)).size).toBe(2)
  })
})
