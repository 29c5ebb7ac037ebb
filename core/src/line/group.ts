import type { Item } from '../log/state.js'
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
    if (item.run !== run) {
      if (item.run !== undefined && byId.get(item.run)?.run === run) out.push('branch')
      else
        for (let at = run; at !== undefined && at !== item.run; at = byId.get(at)?.run) {
          out.push('..')
          if (!byId.has(at)) break
        }
      run = item.run
    }
    out.push(entryText(item, reader, { size, way }))
    way = item.way
    size = item.type === 'fitting' && item.size2 === null && !item.ends ? item.size : null
  }
  return out
}
