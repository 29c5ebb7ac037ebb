import { randomUUID } from 'node:crypto'
import AxeBuilder from '@axe-core/playwright'
import { type JobEvent, type JobState, foldJob } from '@jugalis/core'
import { type Page, expect } from '@playwright/test'

export const PHONE = { width: 390, height: 844 }

export async function signIn(page: Page, login = 'wren'): Promise<void> {
  const r = await page.request.post('/api/session', { data: { login, password: 'tide-and-pipe' } })
  expect(r.ok()).toBe(true)
}
export async function demoJob(page: Page): Promise<string> {
  const r = (await (await page.request.get('/api/jobs')).json()) as {
    jobs: { jobId: string; name: string }[]
  }
  const job = r.jobs.find((j) => j.name.includes('quarantine'))
  if (!job) throw new Error('the demo job is not there')
  return job.jobId
}
interface Event {
  kind: string
  actorId: string
  jointId: string | null
  occurredAtS: number
  clockErrorS: number
  data: Record<string, unknown>
}
export async function eventsOf(page: Page, job: string): Promise<Event[]> {
  const r = (await (await page.request.get(`/api/jobs/${job}/events?after=0`)).json()) as {
    lines: { event: Event }[]
  }
  return r.lines.map((l) => l.event)
}
/** What the log of a job folds to. */
export const stateOf = async (page: Page, job: string): Promise<JobState> =>
  foldJob((await eventsOf(page, job)) as unknown as JobEvent[])
/**
 * Waits until a moment is certainly after the last step written: a page that hears its server slowly knows its own time to
 * within that delay only, and what a tool reports inside of it may be of the joint before.
 */
export async function afterLastStep(page: Page, job: string): Promise<number> {
  const surelyPast = async (): Promise<boolean> => {
    const last = (await eventsOf(page, job)).filter((e) => e.kind === 'step-done').at(-1)
    return last !== undefined && Date.now() / 1000 > last.occurredAtS + last.clockErrorS
  }
  await expect.poll(surelyPast).toBe(true)
  return Date.now() / 1000
}
/** Writes events as another device of the same person would, some of them long ago. */
export async function write(
  page: Page,
  job: string,
  events: { kind: string; v?: number; data: Record<string, unknown>; jointId?: string; agoS?: number }[],
): Promise<void> {
  const now = Date.now() / 1000
  const r = await page.request.post(`/api/jobs/${job}/events`, {
    data: {
      deviceId: randomUUID(),
      sentAtDeviceS: now,
      clockErrorS: 0,
      events: events.map((e, i) => ({
        id: randomUUID(),
        kind: e.kind,
        v: e.v ?? 1,
        jointId: e.jointId ?? null,
        atDeviceS: now - (e.agoS ?? 0),
        deviceSeq: i + 1,
        after: [],
        data: e.data,
      })),
    },
  })
  expect(await r.text()).toContain('seqs')
}
/** A joint made some hours ago, judged good. */
export const madeLongAgo = (jointId: string, hours: number) =>
  ['fit', 'cement', 'home', 'judge'].map((step, i) => ({
    kind: 'step-done',
    v: 2,
    jointId,
    agoS: hours * 3600 - i * 40,
    data: { life: 1, step, readings: step === 'judge' ? { checkMm: 50, bead: 'all-round' } : {}, shown: [] },
  }))
export const readings = (placeId: string, hours: number, wallC: number) =>
  Array.from({ length: hours + 1 }, (_, i) => i).flatMap((i) =>
    (
      [
        ['wall', wallC],
        ['air', wallC + 1],
        ['humidity', 55],
      ] as const
    ).map(([what, value]) => ({
      kind: 'reading',
      agoS: (hours - i) * 3600,
      data: { placeId, what, basis: 'measured', atS: Date.now() / 1000 - (hours - i) * 3600, value },
    })),
  )
/** @param part a selector: only what stands there. */
export async function noViolations(page: Page, part?: string): Promise<void> {
  const axe = new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'])
  const found = await (part ? axe.include(part) : axe).analyze()
  expect(
    found.violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 140)).join(' | ')}`),
  ).toEqual([])
}
/** How many entries lie on this device to be sent, whoever wrote them. */
export const waitingOnDevice = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((done) => {
        const open = indexedDB.open('jugalis')
        open.onsuccess = () => {
          const count = open.result.transaction('outbox').objectStore('outbox').count()
          count.onsuccess = () => done(count.result)
        }
      }),
  )
