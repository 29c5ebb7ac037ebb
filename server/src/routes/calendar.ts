import { createHash, createHmac, timingSafeEqual } from 'node:crypto'
import {
  type AnyMsg,
  FIRST_HASH,
  type JointFacts,
  allFacts,
  say,
  type JobState,
  type Reader,
  foldJob,
  greatest,
  isUuid,
  readToFold,
  sectionAnswer,
  upkeepOf,
} from '@jugalis/core'
import { type Request, Router } from 'express'
import ical, { ICalAlarmType, ICalEventStatus, ICalEventTransparency } from 'ical-generator'
import { eq } from 'drizzle-orm'
import type pg from 'pg'
import { on, secondsOf } from '../db/connect.js'
import { event } from '../db/schema.js'
import { requireMember } from '../db/jobs.js'
import { HttpError } from '../errors.js'
import { readerOf } from '../people.js'
import type { Reads } from '../reads.js'
import { type CalendarCode, refusal } from '../words.js'

/** A calendar program can't sign in: the address itself is the key, made for one person and one job. */
const macOf = (secret: string, jobId: string, personId: string): string =>
  createHmac('sha256', `calendar ${secret}`).update(`${jobId} ${personId}`).digest('base64url').slice(0, 32)
const same = (a: string, b: string): boolean =>
  a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b))
const MARK_S = 300
/** What has been for longer than this is gone from the feed. */
const KEPT_S = 30 * 86400

/** Where a job's log stands: what a calendar program compares an entry's age with. */
export interface LogEnd {
  seq: number
  recordedAtS: number
  hash: string
}

/** What entries are made from, and the way to put one in. */
interface Book {
  state: JobState
  nowS: number
  facts: ReadonlyMap<string, JointFacts>
  tell(code: CalendarCode, params?: AnyMsg['params']): string
  /** What core says. */
  told(message: AnyMsg): string
  /**
   * @param atS when it may be, null = nobody stands for a time. @param sinceS when the wait began: where an entry
   * without a time stands, crossed out.
   */
  put(id: string, atS: number | null, sinceS: number, summary: string, description: string): void
  /** One for a whole day. */
  putDay(id: string, on: string, summary: string, description: string): void
}
function putJoints({ facts, tell, put }: Book): void {
  for (const joint of facts.values())
    if (joint.homeAtS !== null)
      put(
        `move-${joint.id}`,
        joint.movable.value,
        joint.homeAtS,
        tell('calendar-may-be-moved', { tag: joint.tag }),
        tell('calendar-by-its-rule'),
      )
}
/** What joints and devices in use ask for, each on its day: the same entry moves on once it is done. */
function putUpkeep({ state, facts, tell, told, putDay }: Book): void {
  for (const { key, section, does, device, items, dueOn } of upkeepOf(state, facts)) {
    if (dueOn === null) continue
    const summary = tell('calendar-care', {
      does: told(does.does),
      what: device ? 'device' : 'joint',
      device: device?.name ?? '',
      count: items.filter((item) => item.dueOn === dueOn).length,
      tag: section.tag,
    })
    const on = state.upkeep.get(section.id)?.inUseOn ?? ''
    putDay(`care-${key.replaceAll(' ', '-')}`, dueOn, summary, tell('calendar-care-why', { on }))
  }
}
function putSections({ state, nowS, facts, tell, put }: Book): void {
  for (const id of state.sections.keys()) {
    const answer = sectionAnswer(state, id, nowS, 'coldest', facts)
    if (!answer || answer.proved) continue
    const says = (tag: string): string => tell('calendar-may-take', { tag, bar: answer.section.testBar })
    const homes = answer.joints.flatMap((j) => (j.facts.homeAtS === null ? [] : [j.facts.homeAtS]))
    for (const joint of answer.joints)
      if (joint.facts.homeAtS !== null)
        put(
          `joint-${joint.facts.id}-${id}`,
          joint.readyAtS,
          joint.facts.homeAtS,
          says(joint.facts.tag),
          tell('calendar-by-its-rule'),
        )
    if (!homes.length || homes.length < answer.joints.length) continue
    const why = answer.holdsBack
      ? tell('calendar-held-back', { tag: answer.holdsBack.facts.tag })
      : tell('calendar-by-its-rule')
    put(`ready-${id}`, answer.readyAtS, greatest(homes), says(answer.section.tag), why)
  }
}

/**
 * What changes by itself, as entries of a calendar: joints that may be moved, sections that take pressure. An entry is
 * the same one (UID) for ever: when a colder reading moves it, it comes with a higher SEQUENCE; when its time is taken
 * away, it stays and is cancelled, so that no calendar goes on showing a time that nobody stands for.
 * @param reader whose calendar it is. @param end the last entry of the log: two answers from one log are the same text.
 */
export function calendarOf(
  state: JobState,
  jobId: string,
  nowS: number,
  end: LogEnd,
  reader: Reader,
): string {
  const tell = (code: CalendarCode, params: AnyMsg['params'] = {}): string => say({ code, params }, reader)
  const told = (message: AnyMsg): string => say(message, reader)
  const feed = ical({
    name: state.job.name,
    // Kept outside, the head shows a log that was written anew.
    description: tell('calendar-head', { seq: end.seq, head: end.hash }),
    ttl: 900,
    prodId: { company: 'Jugalis', product: 'Wait' },
  })
  const stamp = new Date(end.recordedAtS * 1000)
  const put: Book['put'] = (id, atS, sinceS, summary, description) => {
    const at = atS ?? sinceS
    if (at < nowS - KEPT_S) return
    const start = new Date(Math.ceil(at / 60) * 60_000)
    feed.createEvent({
      id: `${id}@${jobId}`,
      sequence: end.seq,
      status: atS === null ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
      // A wait keeps nobody busy.
      transparency: ICalEventTransparency.TRANSPARENT,
      start,
      end: new Date(start.getTime() + MARK_S * 1000),
      summary,
      description: atS === null ? tell('calendar-taken-back') : description,
      stamp,
      alarms: atS === null ? [] : [{ type: ICalAlarmType.display, trigger: 0 }],
    })
  }
  const putDay: Book['putDay'] = (id, on, summary, description) =>
    void feed.createEvent({
      id: `${id}@${jobId}`,
      sequence: end.seq,
      status: ICalEventStatus.CONFIRMED,
      transparency: ICalEventTransparency.TRANSPARENT,
      start: new Date(`${on}T00:00:00Z`),
      allDay: true,
      summary,
      description,
      stamp,
    })
  const book: Book = { state, nowS, facts: allFacts(state, nowS), tell, told, put, putDay }
  putJoints(book)
  putSections(book)
  putUpkeep(book)
  // RFC 5545: the last line ends like every other.
  return `${feed.toString().trimEnd()}\r\n`
}

/** Where a person's feed of a job is. */
export const calendarPath = (secret: string, jobId: string, personId: string): string =>
  `/api/calendar/${jobId}/${personId}/${macOf(secret, jobId, personId)}.ics`

/** A person's feed of a job as it stands: a calendar as text. */
export async function calendarText(
  pool: pg.Pool,
  jobId: string,
  personId: string,
  nowS: number,
): Promise<string> {
  const rows = await on(pool)
    .select({ body: event.body, seq: event.seq, recordedAt: event.recordedAt, hash: event.hash })
    .from(event)
    .where(eq(event.jobId, jobId))
    .orderBy(event.seq)
  const state = foldJob(readToFold(rows.map((row) => row.body)))
  const last = rows.at(-1)
  const end = {
    seq: last?.seq ?? 0,
    recordedAtS: last ? secondsOf(last.recordedAt) : 0,
    hash: last?.hash.toString('hex') ?? FIRST_HASH,
  }
  return calendarOf(state, jobId, nowS, end, await readerOf(pool, personId, state.job.school))
}

export function calendarRoutes(pool: pg.Pool, secret: string, nowS: () => number, reads: Reads): Router {
  const routes = Router()
  routes.get('/:jobId/:personId/:file', async (req: Request, res) => {
    const [jobId, personId] = [String(req.params.jobId), String(req.params.personId)]
    const gone = new HttpError(404, 'not-found', refusal('refused-there-is-no-such-calendar'))
    if (!isUuid(jobId) || !isUuid(personId)) throw gone
    if (!same(String(req.params.file), `${macOf(secret, jobId, personId)}.ics`)) throw gone
    await requireMember(pool, jobId, personId)
    const text = await reads.tell('calendar', { jobId, personId, nowS: nowS() })
    const tag = `"${createHash('sha256').update(text).digest('base64url')}"`
    res.set({ 'cache-control': 'no-cache', etag: tag })
    if (req.headers['if-none-match'] === tag) return void res.status(304).end()
    res.type('text/calendar').send(text)
  })
  return routes
}
