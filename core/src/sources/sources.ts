import { MEMORY } from './records.js'
import { JOINING_SOURCES } from './joining.js'
import { SIZE_SOURCES } from './dimensions.js'
import { LAYING_SOURCES } from './laying.js'
import { SOLVENT_SOURCES } from './solvent.js'
import { TESTING_SOURCES } from './testing.js'
import type { Source, SourceId } from './source.js'

/** Every source that core's own tables and rules name. Charts and measurements bring their own at run time. */
const LIST: readonly Source[] = [
  ...SOLVENT_SOURCES,
  ...SIZE_SOURCES,
  ...JOINING_SOURCES,
  ...LAYING_SOURCES,
  ...TESTING_SOURCES,
]
const BY_ID = new Map(LIST.map((s) => [s.id, s]))

/** The source record of an id. Ids come from code, so an unknown one is a fault of ours and throws. */
export function sourceOf(id: SourceId): Source {
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
    const parts = id.split('+').map(sourceOf)
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
export const allSources = (): readonly Source[] => LIST
