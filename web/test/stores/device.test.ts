import { server } from './browser'
import * as store from '../../src/sync/device'
import * as photos from '../../src/stores/photos'

const draft = (id: string) => ({ id, kind: 'note', v: 1, jointId: null, atDeviceS: 1, after: [], data: {} })
const made = { at: { wallS: 1, steadyS: 1, life: 'l' }, before: null }
const ids = async (job: string, person: string): Promise<string[]> =>
  (await store.waiting(job, person)).map((w) => w.draft.id)

describe('what waits on this device', () => {
  it('is numbered in one order over all jobs, also what does not wait', async () => {
    const [a, b] = await store.keep('j1', 'wren', [draft('a'), draft('b')], made)
    const own = await store.nextSeq()
    const [c] = await store.keep('j2', 'wren', [draft('c')], made)
    expect([a, b, c].map((w) => w?.draft.deviceSeq)).toEqual([1, 2, 4])
    expect(own).toBe(3)
  })
  it('is of one job and one person: nobody sends what another wrote', async () => {
    await store.keep('j1', 'teal', [draft('t')], made)
    expect([await ids('j1', 'wren'), await ids('j1', 'teal'), await ids('j2', 'wren')]).toEqual([
      ['a', 'b'],
      ['t'],
      ['c'],
    ])
    expect(await store.waitingHere('wren')).toEqual({ mine: 3, others: 1 })
  })
  it('what the server has, waits no more', async () => {
    await store.sent(['a', 'nobody'])
    expect(await ids('j1', 'wren')).toEqual(['b'])
  })
  it('what is refused lies in the tray with its reason, until it is put away', async () => {
    const [b] = await store.waiting('j1', 'wren')
    await store.giveBack('j1', 'wren', b ? [b.draft] : [], 'no such line')
    expect(await ids('j1', 'wren')).toEqual([])
    expect((await store.tray('j1', 'wren')).map((r) => [r.draft.id, r.why])).toEqual([['b', 'no such line']])
    expect(await store.tray('j1', 'teal')).toEqual([])
    await store.clearTray('b')
    expect(await store.tray('j1', 'wren')).toEqual([])
  })
  it('the device goes by one id', async () => {
    expect(await store.deviceId()).toBe(await store.deviceId())
  })
})

describe('pictures', () => {
  it('what the server did not take goes the next time; what it has, does not go again', async () => {
    const { openDB } = await import('idb')
    await photos.send('j')
    const db = await openDB('jugalis-photos', 1)
    for (const hash of ['aa', 'bb'])
      await db.put('photos', { hash, jobId: 'j', bytes: new Blob(['x'], { type: 'image/jpeg' }), sent: 0 })
    const at = server()
    at.answers('PUT /jobs/j/photos/aa', 'no signal')
    at.answers('PUT /jobs/j/photos/bb', { status: 204 })
    expect(await photos.send('j')).toBe(1)
    at.answers('PUT /jobs/j/photos/aa', { status: 204 })
    expect(await photos.send('j')).toBe(0)
    expect(at.asked.map((a) => a.path.split('/').at(-1))).toEqual(['aa', 'bb', 'aa'])
    expect(await photos.send('another job')).toBe(0)
  })
  it('one that is nowhere on this device is shown from the server', async () => {
    expect(await photos.addressOf('j', 'zz')).toBe('/api/jobs/j/photos/zz')
  })
})
