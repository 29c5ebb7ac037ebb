import type { School } from '../methods/joinable.js'
import { allMethods, joinable } from '../methods/registry.js'
import { parseSize } from '../sizes/size.js'
import { type Around, DEFAULT_AROUND, type Entry, type HandbookFigure, figuresOf } from './figures.js'
import { type Query, parseQuery } from './query.js'

export interface Hit {
  entry: Entry
  figure: HandbookFigure
}
export interface Found {
  query: Query
  around: Around
  hits: Hit[]
  /** Joints that fit the question; only the first ones are worked out. */
  joints: number
}
const MOST_JOINTS = 24

let index: Entry[] | null = null
/** Every joint the Handbook can be opened at. Worked out once. */
export function allEntries(): readonly Entry[] {
  index ??= allMethods().flatMap((method) =>
    (method.fields.find((f) => f.key === 'material')?.options ?? []).flatMap((material) =>
      method.sizes(material).flatMap((size): Entry[] => {
        const metric = /^d|^DN/.test(size)
        const schools: School[] = metric ? ['metric', 'inch'] : ['inch', 'metric']
        const school = schools.find((s) => joinable(method.id, material, size, s).ok)
        if (!school) return []
        const base = { method: method.id, material, size, school }
        const scheduled = method.fields.some((f) => f.key === 'schedule') && size.startsWith('NPS')
        return scheduled
          ? (['40', '80'] as const).map((schedule) => ({ ...base, schedule }))
          : [{ ...base, schedule: null }]
      }),
    ),
  )
  return index
}

function sizeFits(text: string, query: Query): boolean {
  if (!query.sizeTexts.length && query.inch === null && query.mm === null) return true
  if (query.sizeTexts.includes(text)) return true
  const size = parseSize(text)
  if (!size) return false
  const metric = size.family === 'd' || size.family === 'DN'
  return metric ? size.nominal === query.mm : size.nominal === query.inch
}

/** Stems as keys begin or end with them: `depth` finds depthMm and cupDepthMm. */
const figureFits = (key: string, stems: readonly string[]): boolean =>
  !stems.length || stems.some((s) => key.toLowerCase().includes(s))

/**
 * Answers a question in words. Order: as the methods are listed, sizes ascending.
 * @param details what is known of a joint besides: a job's charts, for one.
 */
export function searchHandbook(
  text: string,
  details: (e: Entry) => Readonly<Record<string, unknown>> = () => ({}),
): Found {
  const query = parseQuery(text)
  const around: Around = {
    ...DEFAULT_AROUND,
    ...(query.temperatureC !== null ? { temperatureC: query.temperatureC } : {}),
    ...(query.humidityPct !== null ? { humidityPct: query.humidityPct } : {}),
  }
  const named = query.methods.length > 0 || query.materials.length > 0 || query.figures.length > 0
  const sized = query.sizeTexts.length > 0 || query.inch !== null || query.mm !== null
  if (!named && !sized && query.schedule === null) return { query, around, hits: [], joints: 0 }
  const entries = allEntries().filter(
    (entry) =>
      sizeFits(entry.size, query) &&
      (!query.methods.length || query.methods.includes(entry.method)) &&
      (!query.materials.length || query.materials.includes(entry.material)) &&
      (query.schedule === null || entry.schedule === query.schedule),
  )
  const hits: Hit[] = []
  let worked = 0
  for (const entry of entries) {
    if (worked >= MOST_JOINTS) break
    const figures = figuresOf(entry, around, details(entry)).filter(
      (figure) =>
        figureFits(figure.key, query.figures) &&
        (query.bar === null ||
          figure.toBar === undefined ||
          figure.toBar === null ||
          figure.toBar >= query.bar - 0.0005),
    )
    if (!figures.length) continue
    worked += 1
    for (const figure of figures) hits.push({ entry, figure })
  }
  // What is known comes before what is not.
  const known = (h: Hit): number => (h.figure.fig.value === null ? 1 : 0)
  hits.sort((a, b) => known(a) - known(b))
  return { query, around, hits, joints: entries.length }
}
