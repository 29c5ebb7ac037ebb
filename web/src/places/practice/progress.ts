import { type Card, Rating, createEmptyCard, fsrs } from 'ts-fsrs'

/** What was asked of one fault of a method, or of sound work of it (`sound`). */
export interface AskedOf {
  card: Card
  right: number
  all: number
}
/** By method and fault: `press not-pressed`. */
export type Kept = Readonly<Record<string, AskedOf>>
const NAMED = /^[a-z-]+ [a-z-]+$/
const schedule = fsrs({ enable_fuzz: false })

/** A kept card, with its times as times again; null where it is none. */
function cardOf(raw: unknown): Card | null {
  if (typeof raw !== 'object' || raw === null) return null
  const card = raw as Partial<Record<keyof Card, unknown>>
  const due = new Date(String(card.due))
  const counts = [card.stability, card.difficulty, card.reps, card.lapses, card.state, card.learning_steps]
  if (Number.isNaN(due.getTime()) || !counts.every((x) => typeof x === 'number' && Number.isFinite(x)))
    return null
  const last = card.last_review ? { last_review: new Date(String(card.last_review)) } : {}
  return { ...createEmptyCard(due), ...(raw as Card), due, ...last }
}
const count = (raw: unknown): number => (typeof raw === 'number' && raw >= 0 ? Math.floor(raw) : 0)
/** What was kept, read again: what cannot be read is left out, the rest stays. */
export function keptFrom(raw: unknown): Kept {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return {}
  return Object.fromEntries(
    Object.entries(raw as Record<string, Partial<AskedOf> | null>).flatMap(([name, one]) => {
      const card = cardOf(one?.card)
      return card && NAMED.test(name)
        ? [[name, { card, right: count(one?.right), all: count(one?.all) }]]
        : []
    }),
  )
}
/** With one more answer: what was missed is due again soon, what was right later and later. */
export function withAnswer(kept: Kept, name: string, right: boolean, at: Date): Kept {
  const had = kept[name]
  const { card } = schedule.next(had?.card ?? createEmptyCard(at), at, right ? Rating.Good : Rating.Again)
  return { ...kept, [name]: { card, right: (had?.right ?? 0) + Number(right), all: (had?.all ?? 0) + 1 } }
}
/** What is due, the longest overdue first. */
export const dueAt = (kept: Kept, at: Date): (AskedOf & { method: string; what: string })[] =>
  entriesOf(kept)
    .filter((one) => one.card.due <= at)
    .sort((a, b) => a.card.due.getTime() - b.card.due.getTime())
export const entriesOf = (kept: Kept): (AskedOf & { method: string; what: string })[] =>
  Object.entries(kept).map(([name, one]) => {
    const [method = '', what = ''] = name.split(' ')
    return { method, what, ...one }
  })
