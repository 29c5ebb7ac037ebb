import type { Item } from '../log/state.js'
import { endMet, rootOf } from '../parts/neighbours.js'
import type { Reader } from '../units/quantity.js'
import { entryText } from './entry.js'

/** Parts as the entries that would set them out again, with the ways into branches and back. */
export function entriesOf(items: readonly Item[], reader: Reader): string[] {
  const byId = new Map(items.map((i) => [i.id, i]))
  const out: string[] = []
  let run: string | undefined = items[0]?.run
  let size: string | null = null
  let way: Item['way']
  for (const item of items) {
    while (item.run !== run) {
      const tee = item.run === undefined ? undefined : byId.get(rootOf(item.run))
      if (tee && tee.run === run) {
        // Onto a pipe goes a saddle, by its own entry.
        if (tee.type === 'fitting') out.push(endMet(item, 0, tee) === 3 ? 'branch 2' : 'branch')
        break
      }
      // Up to where it goes on; a run that comes from elsewhere just begins.
      if (run === undefined) break
      out.push('..')
      const left = byId.get(rootOf(run))
      if (!left) break
      run = left.run
    }
    run = item.run
    // Where it met something is of that place alone.
    const { meets: _place, ...own } = item
    for (const text of entryText(own, reader, { size, way }).split('; ')) out.push(text)
    way = item.way
    size = item.type === 'fitting' && item.size2 === null && !item.ends ? item.size : null
  }
  return out
}
