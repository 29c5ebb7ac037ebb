import 'fake-indexeddb/auto'
import { jest } from '@jest/globals'
import { createPinia, setActivePinia } from 'pinia'

/** As much of a browser as the stores touch: what is kept, who listens, what the page was told to do. */
class Shelf {
  private readonly kept = new Map<string, string>()
  /** A full or closed store. */
  broken = false
  private open(): Map<string, string> {
    if (this.broken) throw new Error('no store')
    return this.kept
  }
  getItem(key: string): string | null {
    return this.open().get(key) ?? null
  }
  setItem(key: string, text: string): void {
    this.open().set(key, text)
  }
  removeItem(key: string): void {
    this.open().delete(key)
  }
}
export const device = new Shelf()
export const visit = new Shelf()
export const reload = jest.fn<() => void>()
let listeners = new EventTarget()
export const html = { dataset: {} as Record<string, string>, lang: 'en', dir: 'ltr' }

/** A page's clock ticks for as long as the page is there: no reason for a run of tests to wait. */
const every = globalThis.setInterval
Object.assign(globalThis, {
  setInterval: (...how: Parameters<typeof every>) => every(...how).unref(),
  navigator: {},
  window: globalThis,
  localStorage: device,
  sessionStorage: visit,
  location: { reload },
  document: { documentElement: html },
  matchMedia: () => ({ matches: false, addEventListener: () => undefined }),
  addEventListener: (type: string, listener: EventListener) => listeners.addEventListener(type, listener),
})
/** What another tab kept is heard here. */
export const heardFromOtherTab = (key: string): void =>
  void listeners.dispatchEvent(Object.assign(new Event('storage'), { key }))

/** A page loaded anew: stores begin again, what the device keeps stays. */
export function newPage(): void {
  listeners = new EventTarget()
  setActivePinia(createPinia())
}

type Answer = { status?: number; body?: unknown } | 'no signal'
/** What the server was asked, and what it answers: by method and path, the newest rule first. */
export function server() {
  const asked: { method: string; path: string; body: unknown }[] = []
  const rules: { at: string; answer: (body: unknown) => Answer | Promise<Answer> }[] = []
  globalThis.fetch = (async (url: string, init: RequestInit = {}) => {
    const { method = 'GET' } = init
    const path = url.replace(/^\/api/, '')
    const body: unknown = typeof init.body === 'string' ? JSON.parse(init.body) : init.body
    asked.push({ method, path, body })
    const rule = rules.findLast((r) => `${method} ${path}`.startsWith(r.at))
    const answer = await (rule?.answer(body) ?? { status: 404, body: {} })
    if (answer === 'no signal') throw new TypeError('fetch failed')
    const { status = 200 } = answer
    return new Response(status === 204 ? null : JSON.stringify(answer.body ?? {}), { status })
  }) as typeof fetch
  return {
    asked,
    /** @param at method and the beginning of a path. */
    answers: (at: string, answer: Answer | ((body: unknown) => Answer | Promise<Answer>)): void =>
      void rules.push({ at, answer: typeof answer === 'function' ? answer : () => answer }),
    count: (at: string): number => asked.filter((a) => `${a.method} ${a.path}`.startsWith(at)).length,
  }
}

/** Lets all that is under way come to its end. */
export async function settled(): Promise<void> {
  for (let i = 0; i < 30; i++) await new Promise((done) => setImmediate(done))
}
