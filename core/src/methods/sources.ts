import { SHARED_SOURCES } from '../sources/known.js'
import { MEMORY, type Source } from '../sources/records.js'
import { allMethods } from './registry.js'

/** The record of every source that core's own tables and rules name: those that are shared, and each method's own. */
export const allRecords = (): readonly Source[] => [
  ...SHARED_SOURCES,
  ...allMethods().flatMap((m) => m.sources),
]

/**
 * The source record of an id, charts' and computed ones too. Ids come from code: an unknown one is a fault of ours and
 * throws.
 * @example recordOf('iso-727-1').id // 'iso-727-1'
 */
export function recordOf(id: string): Source {
  const known = allRecords().find((s) => s.id === id)
  if (known) return known
  if (id.startsWith('chart:'))
    return {
      id,
      kind: 'chart',
      reference: id.slice('chart:'.length),
      verified: false,
      note: 'A chart that was loaded: it wins over generic figures.',
    }
  if (id.includes('+')) {
    const parts = id.split('+').map((part) => recordOf(part))
    return {
      id,
      kind: 'computed',
      reference: `The slower of: ${parts.map((p) => p.reference).join('; and ')}`,
      verified: false,
      note: MEMORY,
      from: parts.map((p) => p.id),
    }
  }
  throw new Error(`no source ${id}`)
}
