import { jest } from '@jest/globals'
import { settled } from './browser'
import { followJob } from '../../src/sync/live'

/** A stream as a browser opens it; the test speaks for the server. */
class Stream extends EventTarget {
  static readonly OPEN = 1
  static readonly CLOSED = 2
  static all: Stream[] = []
  static get open(): Stream[] {
    return Stream.all.filter((s) => s.readyState !== Stream.CLOSED)
  }
  readyState = Stream.OPEN
  onopen: (() => void) | null = null
  onerror: (() => void) | null = null
  constructor(readonly url: string) {
    super()
    Stream.all.push(this)
  }
  head(seq: number): void {
    this.dispatchEvent(Object.assign(new Event('head'), { data: String(seq) }))
  }
  close(): void {
    this.readyState = Stream.CLOSED
  }
}
/** Locks as a browser has them: one holder of a name, the others wait. */
class Locks {
  private readonly held = new Map<string, Promise<unknown>>()
  async request(name: string, { signal }: { signal: AbortSignal }, work: () => Promise<void>): Promise<void> {
    const before = this.held.get(name) ?? Promise.resolve()
    const mine = before.then(() => (signal.aborted ? undefined : work()))
    this.held.set(name, mine)
    await mine
  }
}
const withLocks = (locks: Locks | undefined): void =>
  void Object.defineProperty(globalThis, 'navigator', { value: { locks }, configurable: true })
/** A message between tabs takes its way through the event loop. */
const passed = async (): Promise<void> => {
  await settled()
  await new Promise((done) => setTimeout(done, 20))
}
const following: ReturnType<typeof followJob>[] = []
function follow(job: string): { heard: number[]; tab: ReturnType<typeof followJob> } {
  const heard: number[] = []
  const tab = followJob(job, (seq) => heard.push(seq))
  following.push(tab)
  return { heard, tab }
}
beforeEach(() => {
  Stream.all = []
  Object.assign(globalThis, { EventSource: Stream })
  withLocks(new Locks())
})
afterEach(() => {
  for (const tab of following.splice(0)) tab.stop()
  jest.restoreAllMocks()
})

it('two tabs share one stream, and both hear what it tells', async () => {
  const [a, b] = [follow('j'), follow('j')]
  await passed()
  expect(Stream.all.map((s) => s.url)).toEqual(['/api/jobs/j/live'])
  Stream.all[0]?.head(7)
  await passed()
  expect([a.heard, b.heard]).toEqual([[7], [7]])
})
it('when the tab that holds it goes, the next one opens its own', async () => {
  const [a, b] = [follow('j'), follow('j')]
  await passed()
  a.tab.stop()
  await passed()
  expect([Stream.all.length, Stream.open.length]).toEqual([2, 1])
  Stream.open[0]?.head(9)
  await passed()
  expect([a.heard, b.heard]).toEqual([[], [9]])
})
it('a tab that goes while it waits for its turn opens none', async () => {
  const [a, b] = [follow('j'), follow('j')]
  await passed()
  b.tab.stop()
  a.tab.stop()
  await passed()
  expect([Stream.all.length, Stream.open.length]).toEqual([1, 0])
})
it('what is told of another job wakes nobody here', async () => {
  const [a, b] = [follow('j'), follow('k')]
  await passed()
  expect(Stream.all.map((s) => s.url).sort()).toEqual(['/api/jobs/j/live', '/api/jobs/k/live'])
  Stream.all.find((s) => s.url.includes('/j/'))?.head(3)
  await passed()
  expect([a.heard, b.heard]).toEqual([[3], []])
})
it('opened again, it has the log read: something may have been written meanwhile', async () => {
  const { heard } = follow('j')
  await passed()
  Stream.all[0]?.onopen?.()
  expect(heard).toEqual([Infinity])
})
it('it listens while something is heard, and no more after three quarters of a minute', async () => {
  const { tab } = follow('j')
  await passed()
  expect(tab.alive()).toBe(false)
  Stream.all[0]?.head(1)
  expect(tab.alive()).toBe(true)
  const now = Date.now()
  jest.spyOn(Date, 'now').mockReturnValue(now + 44_000)
  expect(tab.alive()).toBe(true)
  jest.spyOn(Date, 'now').mockReturnValue(now + 46_000)
  expect(tab.alive()).toBe(false)
})
it('refused for good, it is known at once not to listen', async () => {
  const { tab } = follow('j')
  await passed()
  const [stream] = Stream.all
  stream?.head(1)
  stream?.onerror?.()
  expect(tab.alive()).toBe(true)
  stream?.close()
  stream?.onerror?.()
  expect(tab.alive()).toBe(false)
})
it('without locks every tab has a stream of its own', async () => {
  withLocks(undefined)
  follow('j')
  follow('j')
  await passed()
  expect(Stream.open.length).toBe(2)
})
