import type { JobState, Line } from '../../log/state.js'
import { nameKey } from '../../log/names.js'

/** The building itself, in which measured points stand. */
const BUILDING = 'points'

/**
 * In whose measures each line lies: lines that begin at measured points share the building's, a line that begins at another
 * has that one's, and a line that begins at a level alone has its own: how far it is from others nobody said.
 */
export function frames(state: JobState): (line: Line) => string {
  const points = new Set([...state.points.values()].map(({ name }) => name.toLowerCase()))
  const byTag = new Map<string, Line>()
  for (const line of state.lines.values())
    for (const { tag } of line.items) byTag.set(tag.toLowerCase(), line)
  return (line) => {
    let own = line
    const seen = new Set<Line>()
    for (;;) {
      const name = own.stands?.name?.toLowerCase()
      if (name === undefined || seen.has(own)) return own.id
      if (points.has(name)) return BUILDING
      seen.add(own)
      const next = byTag.get(nameKey(name))
      if (!next) return own.id
      own = next
    }
  }
}
