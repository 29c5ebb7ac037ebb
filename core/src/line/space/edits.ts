import type { Item, JobState, Line } from '../../log/state.js'
import { linesWith } from '../../parts/met.js'
import { namesSaid, partMeant } from '../../log/names.js'
import { type Msg, msg } from '../../sources/source.js'
import { append } from '../../units/extent.js'
import { unitOf } from '../../units/quantity.js'
import { standAt } from '../beginning.js'
import { type Edit, type Edited, type Shop, settle } from '../settle.js'
import { type LineInSpace, lineInSpace } from './in-job.js'
import type { SpaceFault } from './walked.js'

/** The job with a line as it would be. */
const jobWith = (state: JobState, line: Line): JobState => ({
  ...state,
  lines: new Map(state.lines).set(line.id, line),
})
const keyOf = ({ item, code }: SpaceFault): string => `${item.id} ${code}`

/**
 * An edit of a line, with what follows from where lines lie: refused where something of it could not be; pieces that reach
 * a level are made as long as it takes; who named a part by its tag names it by the new one.
 */
export function withSpace(state: JobState, line: Line, edited: Edited, shop: Shop): Edited {
  if (!edited.ok) return edited
  const tags = newTags(line, edited.items)
  const named = edited.items.map((item) => meetsRenamed(item, tags, line.tag))
  const stands = edited.stands ?? line.stands
  const space = stands && placed(state, line, { ...line, items: named, stands })
  if (space && 'ok' in space) return space
  if (!space && lostWithoutPlace(line, named))
    return { ok: false, why: msg('space-not-begun', { unit: unitOf('distance', { units: line.school }) }) }
  const items = space ? levelled(space, named) : named
  const asIs = items.every((item, at) => item === edited.items[at])
  const settled = asIs ? edited : resettled(line, edited, items, shop)
  if (!settled.ok) return settled
  const others = elsewhere(
    state,
    { ...line, items: settled.items, ...(stands ? { stands } : {}) },
    tags,
    shop,
  )
  if (!others.ok) return others
  return others.edits.length ? { ...settled, edits: [...settled.edits, ...others.edits] } : settled
}
const resettled = (line: Line, { stands }: Edited & { ok: true }, items: Item[], shop: Shop): Edited =>
  stands ? standAt(line, stands, items, shop) : settle(line, items, shop)
/** The line where it would lie, or why it cannot. */
function placed(state: JobState, line: Line, next: Line): LineInSpace | (Edited & { ok: false }) {
  const after = lineInSpace(jobWith(state, next), next)
  return newlyWrong(lineInSpace(state, line), after) ?? after
}
/** Tags that parts had, in small letters, and what they are now. */
function newTags(line: Line, items: readonly Item[]): Map<string, string> {
  const was = new Map(line.items.map((item) => [item.id, item.tag]))
  return new Map(
    items.flatMap(({ id, tag }) => {
      const had = was.get(id)
      return had !== undefined && had !== tag ? [[had.toLowerCase(), tag] as const] : []
    }),
  )
}
function meetsRenamed(item: Item, tags: ReadonlyMap<string, string>, lineTag: string): Item {
  if (item.meets === undefined) return item
  const part = partMeant(item.meets)
  const said = part.toLowerCase()
  const tag = tags.get(said) ?? tags.get(`${lineTag.toLowerCase()}/${said}`)
  return tag === undefined ? item : { ...item, meets: tag + item.meets.slice(part.length) }
}
/**
 * What follows for lines that begin at a part of one, or come to it: they name it by its new tag, and are joined to it or
 * no more. Refused where a joint of theirs is begun that would no longer be what it is.
 */
function elsewhere(
  state: JobState,
  line: Line,
  tags: ReadonlyMap<string, string>,
  shop: Shop,
): { ok: true; edits: Edit[] } | { ok: false; why: Msg } {
  const within: Shop = { ...shop, lines: linesWith(state, line), were: state }
  // Under the names that parts had and have.
  const named = new Set([
    ...tags.keys(),
    ...[...line.items, ...(state.lines.get(line.id)?.items ?? [])].map(({ tag }) => tag.toLowerCase()),
  ])
  const edits: Edit[] = []
  for (const other of state.lines.values()) {
    if (other.id === line.id || !namesSaid(other).some((name) => named.has(name))) continue
    const items = other.items.map((item) => meetsRenamed(item, tags, other.tag))
    const name = tags.get(other.stands?.name?.toLowerCase() ?? '')
    const settled =
      name === undefined || !other.stands
        ? settle(other, items, within)
        : standAt(other, { ...other.stands, name }, items, within)
    if (!settled.ok) return settled
    append(
      edits,
      settled.edits.map((edit) => ofLine(other.id, edit)),
    )
  }
  return { ok: true, edits }
}
const ofLine = (lineId: string, edit: Edit): Edit =>
  edit.kind === 'line-stands'
    ? { kind: edit.kind, data: { ...edit.data, lineId } }
    : { kind: edit.kind, data: { ...edit.data, lineId } }
/** A piece to a level, and an end that meets something, need a place to begin at. */
const lostWithoutPlace = (line: Line, items: readonly Item[]): boolean => {
  const had = new Map(line.items.map((item) => [item.id, item]))
  return items.some((item) => {
    const was = had.get(item.id)
    return (item.toLevelMm !== was?.toLevelMm && item.toLevelMm !== undefined) || (item.meets && !was?.meets)
  })
}
/**
 * What cannot be of the parts that an edit makes or changes. What it makes impossible elsewhere is not refused, since the
 * next edit may mend it: the line says so.
 */
function newlyWrong(before: LineInSpace, after: LineInSpace): (Edited & { ok: false }) | null {
  if (after.nowhere && after.line.stands !== before.line.stands) return { ok: false, why: after.nowhere }
  const had = new Set(before.all.map(keyOf))
  const [was, fresh] = [saidOf(before.line), saidOf(after.line)]
  const fault = after.all.find(
    (one) => one.stops && !had.has(keyOf(one)) && fresh.get(one.item.id) !== was.get(one.item.id),
  )
  return fault ? { ok: false, why: fault } : null
}
/** What was said of each part and where it lies. */
const saidOf = (line: Line): Map<string, string> =>
  new Map(
    line.items.map(({ id, fitting, heading, falls, branchFalls, meets, toLevelMm, bend, held }) => [
      id,
      JSON.stringify([fitting, heading, falls, branchFalls, meets, toLevelMm, bend, held]),
    ]),
  )
/** Difference that nobody cuts, mm. */
const ALIKE_MM = 0.05
/** Uncut pieces to a level with the length that it takes; the same list where all are so already. */
function levelled(space: LineInSpace, items: readonly Item[]): Item[] {
  const takes = new Map(
    space.legs.flatMap(({ item, lengthMm, known, toLevel }) =>
      item && toLevel && known && !item.cut && Math.abs((item.measuredMm ?? 0) - lengthMm) > ALIKE_MM
        ? [[item.id, lengthMm] as const]
        : [],
    ),
  )
  return takes.size
    ? items.map((item) => {
        const measuredMm = takes.get(item.id)
        return measuredMm === undefined ? item : { ...item, measuredMm }
      })
    : (items as Item[])
}
