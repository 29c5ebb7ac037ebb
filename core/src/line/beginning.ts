import type { Item, Line, Stands } from '../log/state.js'
import type { End } from '../parts/ends.js'
import { beginningAt, endOfMet, fittingNamed } from '../parts/met.js'
import { type Msg, msg } from '../sources/source.js'
import { type Edited, type Shop, settle } from './settle.js'

/** The end of another line's part that the first part of a line is put on; null where it begins at none. */
export function beginningOf(line: Line, { lines }: Shop): End | null {
  const { name, branch } = line.stands ?? {}
  const met = name !== undefined ? beginningAt(lines, line, name, branch === true) : null
  return met && endOfMet(line, null, met)
}

/**
 * Where a line begins, as it is said anew; what it carries and the room it wants are said elsewhere, and stay. Why it
 * cannot begin there: the branch that is meant is none, or is taken.
 */
export function beginsAnew(
  line: Line,
  said: Stands,
  { lines }: Shop,
): { stands: Stands } | { ok: false; why: Msg } {
  const {
    levelMm: _level,
    name: _name,
    branch: _branch,
    heading: _way,
    falls: _falls,
    ...rest
  } = line.stands ?? {}
  const { name, branch } = said
  if (name !== undefined && branch) {
    const part = fittingNamed(lines, line, name)
    if (part && !beginningAt(lines, line, name, true))
      return { ok: false, why: msg('space-no-open-branch', { part: part.tag }) }
  }
  return { stands: { ...rest, ...said } }
}

/** A line with its beginning said anew, and its parts as they are wanted: one may now be joined to another line's. */
export function standAt(line: Line, stands: Stands, wanted: readonly Item[], shop: Shop): Edited {
  const settled = settle({ ...line, stands }, wanted, shop)
  if (!settled.ok) return settled
  return { ...settled, stands, edits: [{ kind: 'line-stands', data: { stands } }, ...settled.edits] }
}
