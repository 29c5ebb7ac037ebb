import { nameKey } from './names.js'
import { type Item, type JobState, type Line, lifeKey } from './state.js'

/** Items of other lines that say a part of this one by its name: they may be joined to it. */
function itemsNaming(state: JobState, line: Line): Item[] {
  const tags = new Set(line.items.map((item) => item.tag.toLowerCase()))
  const names = (said: string | undefined): boolean => said !== undefined && tags.has(nameKey(said))
  return [...state.lines.values()].flatMap((other) => {
    if (other.id === line.id) return []
    const named = other.items.filter((item) => names(item.meets))
    const first = names(other.stands?.name) ? other.items.find((item) => item.run === undefined) : undefined
    return first ? [first, ...named] : named
  })
}
/** Lives of a line's joints, and of those of other lines with it, that are begun and not cut out. */
export const begunIn = (state: JobState, line: Line): string[] =>
  [...line.items, ...itemsNaming(state, line)]
    .flatMap((item) => item.joints)
    .flatMap((id) => {
      const life = id === null ? undefined : state.joints.get(id)?.lives.at(-1)
      return id && life && life.cutOutAtS === undefined ? [lifeKey(id, life.no)] : []
    })
