import type { Item } from '../log/state.js'
import type { Entry } from './entry.js'

/** A part with nothing said of it yet but its size. */
export const blankItem = (id: string, type: Item['type'], size: string): Item => ({
  id,
  type,
  tag: '',
  size,
  size2: null,
  fitting: null,
  measure: null,
  measuredMm: null,
  joints: [null, null],
  jointTags: [null, null],
  cut: null,
})

/** What a piece was measured, as its entry says. */
export function measureOf(
  entry: Entry & { ok: true; type: 'piece' | 'to-level' },
): Pick<Item, 'measure' | 'measuredMm' | 'bend' | 'gapMm' | 'heading' | 'toLevelMm'> {
  if (entry.type === 'to-level')
    return { measure: 'centre-centre', measuredMm: null, toLevelMm: entry.levelMm }
  const { measure, measuredMm, bend, gapMm, heading } = entry
  return {
    measure,
    measuredMm,
    ...(bend ? { bend } : {}),
    ...(gapMm === undefined ? {} : { gapMm }),
    ...(heading ? { heading } : {}),
  }
}
