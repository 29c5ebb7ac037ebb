import {
  type AllFacts,
  type JobEvent,
  type SectionAnswer,
  answerOn,
  factsOn,
  foldFrom,
  foldOn,
} from '../core/src/index.js'
import { hospitalLog } from './lib/hospital-log.js'

/** npm run bench -- scale: how the work of a screen grows with its job, by the core alone. */
const NOW_S = 1_796_000_000
const AGAIN = 9

const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1] ?? 0
function timed<T>(work: () => T): { ms: number; value: T } {
  const began = performance.now()
  const value = work()
  return { ms: performance.now() - began, value }
}
/** What a page does when it opens a job, when an entry or a reading comes from elsewhere, and as time passes. */
function screen(joints: number): Record<string, number> {
  const events = hospitalLog(joints, NOW_S)
  const fold = timed(() => foldFrom(events))
  const facts = timed(() => factsOn(null, fold.value.state, 'coldest', NOW_S))
  const sections = [...fold.value.state.sections.values()]
  const [shown] = sections
  if (!shown) throw new Error('no section')
  const answer = timed(() => answerOn(null, fold.value.state, shown, NOW_S, 'coldest', facts.value.all))
  const all = timed(() =>
    sections.map((section) => answerOn(null, fold.value.state, section, NOW_S, 'coldest', facts.value.all)),
  )
  let [folded, known, seen] = [fold.value, facts.value, answer.value] as [
    typeof fold.value,
    AllFacts,
    SectionAnswer,
  ]
  let nowS = NOW_S
  const comes = (of: (n: number) => Partial<JobEvent>): number =>
    median(
      Array.from({ length: AGAIN }, (_, n) => {
        nowS += 30
        const event = {
          ...(events.at(-1) as JobEvent),
          id: `${String(n).padStart(8, '0')}-0000-4000-8000-${String(nowS).padStart(12, '0')}`,
          occurredAtS: nowS,
          atDeviceS: nowS,
          ...of(n),
        }
        return timed(() => {
          folded = foldOn(folded, [event]) ?? foldFrom([...events, event])
          known = factsOn(known, folded.state, 'coldest', nowS)
          seen = answerOn(seen, folded.state, shown, nowS, 'coldest', known.all)
        }).ms
      }),
    )
  const step = (n: number) => ({
    kind: 'step-done',
    v: 2,
    jointId: shown.jointIds[n] ?? null,
    data: { life: 2, step: 'fit', readings: {}, shown: [] },
  })
  const placeId = [...fold.value.state.places.keys()][0]
  const reading = () => ({
    kind: 'reading',
    v: 1,
    data: { placeId, what: 'wall', basis: 'measured', atS: nowS, value: 14 },
  })
  const entry = comes(step)
  const read = comes(reading)
  const tick = median(
    Array.from({ length: AGAIN }, () => {
      nowS += 5
      return timed(() => {
        known = factsOn(known, folded.state, 'coldest', nowS)
        seen = answerOn(seen, folded.state, shown, nowS, 'coldest', known.all)
      }).ms
    }),
  )
  return {
    entries: events.length,
    fold: fold.ms,
    facts: facts.ms,
    answer: answer.ms,
    all: all.ms,
    entry,
    read,
    tick,
  }
}

const joints = Number(process.argv[2] ?? 10_000)
const { entries, ...took } = screen(joints)
const said = Object.entries(took).map(
  ([what, ms]) => `${what} ${ms < 10 ? ms.toFixed(1) : Math.round(ms)} ms`,
)
console.log(
  JSON.stringify({
    what: `${joints} joints, ${entries} entries, by the core alone: the log folded, facts of all joints, the answer of one section and of all; then an entry, a reading, five seconds`,
    measured: said.join(', '),
    target: 'no part faster than the job',
  }),
)
