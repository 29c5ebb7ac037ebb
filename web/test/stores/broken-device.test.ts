import './browser'
import * as store from '../../src/sync/device'

/** A browser whose store cannot be opened: a private window, a full disk. */
Object.assign(globalThis, {
  indexedDB: {
    open() {
      throw new Error('no store')
    },
  },
})
const draft = (id: string) => ({ id, kind: 'note', v: 1, jointId: null, atDeviceS: 1, after: [], data: {} })
const made = { at: { wallS: 1, steadyS: 1, life: 'l' }, before: null }

it('what cannot be kept waits in this page, in order, and it is said how much', async () => {
  const first = await store.keep('j', 'wren', [draft('a'), draft('b')], made)
  const next = await store.nextSeq()
  const [c] = await store.keep('j', 'wren', [draft('c')], made)
  const numbers = [...first.map((w) => w.draft.deviceSeq), next, c?.draft.deviceSeq ?? 0]
  expect(numbers).toEqual([...numbers].sort((x, y) => x - y))
  expect(new Set(numbers).size).toBe(4)
  expect((await store.waiting('j', 'wren')).map((w) => w.draft.id)).toEqual(['a', 'b', 'c'])
  expect([store.unkept.value, await store.waitingHere('wren')]).toEqual([3, { mine: 3, others: 0 }])
  expect(await store.deviceId()).toBe(await store.deviceId())
})
it('sent or refused, it waits no more; what is refused is shown while the page is open', async () => {
  await store.sent(['a'])
  const [b] = await store.waiting('j', 'wren')
  await store.giveBack('j', 'wren', b ? [b.draft] : [], 'no')
  expect([(await store.waiting('j', 'wren')).map((w) => w.draft.id), store.unkept.value]).toEqual([['c'], 1])
  expect((await store.tray('j', 'wren')).map((r) => r.draft.id)).toEqual(['b'])
  expect(await store.tray('j', 'teal')).toEqual([])
  await store.clearTray('b')
  expect(await store.tray('j', 'wren')).toEqual([])
})
