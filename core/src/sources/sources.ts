import { KNOWN_SOURCES } from './known.js'
import { MEMORY, type Source } from './records.js'

const BY_ID: ReadonlyMap<string, Source> = new Map(KNOWN_SOURCES.map((s) => [s.id, s]))

/** The source record of an id, charts' and computed ones too. Ids come from code: an unknown one is a fault of ours and throws. */
export function sourceOf(id: string): Source {
  const known = BY_ID.get(id)
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
    const parts = id.split('+').map((part) => sourceOf(part))
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
export const allSources = (): readonly Source[] => KNOWN_SOURCES
