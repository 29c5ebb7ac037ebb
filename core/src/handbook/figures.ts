import { HUMID_ABOVE_PCT } from '../conditions/humidity.js'
import type { School } from '../methods/joinable.js'
import type { Ctx, Curing, Figure, Method } from '../methods/method.js'
import { methodOf } from '../methods/registry.js'
import { CURE_TABLES } from '../methods/cure/rule.js'
import { odSource, outsideDiameterMm, parseSize } from '../sizes/size.js'
import { wallMm } from '../sizes/walls.js'
import { type Fig, type Finding, fig, msg, noFig } from '../sources/source.js'

/** One joint that the Handbook can be opened at. */
export interface Entry {
  method: string
  material: string
  size: string
  school: School
  schedule: '40' | '80' | null
}
/** What is assumed around it where the question does not say. */
export interface Around {
  temperatureC: number
  humidityPct: number
  table: string
}
export const DEFAULT_AROUND: Around = { temperatureC: 20, humidityPct: 50, table: 'current' }

export interface HandbookFigure extends Figure {
  /** Highest pressure of a cure class, bar; null = the rule sets no ceiling. Absent for the rest. */
  toBar?: number | null
  /** The same figure by other published rules, where it differs. */
  others?: readonly Fig[]
}

/** The conditions asked about as a joint's context: a steady wall, air and humidity. */
export const contextOf = (entry: Entry, around: Around): Ctx => ({
  school: entry.school,
  pin: { rules: 1, chart: null, school: entry.school, table: around.table },
  wall: [],
  airC: around.temperatureC,
  wallC: around.temperatureC,
  humidityPct: around.humidityPct,
  mode: 'coldest',
})

/** A specification for a page of the Handbook; what a method asks besides is left open, or taken from `details`. */
export function specOf(
  method: Method,
  entry: Entry,
  details: Readonly<Record<string, unknown>> = {},
): { spec: unknown } | { why: Finding } {
  // A check mark as each school likes it: two inches, or 50 mm.
  const checkOffsetMm = entry.school === 'inch' ? 50.8 : 50
  const parsed = method.parse({
    ...details,
    ...entry,
    wallSeries: entry.schedule,
    checkOffsetMm,
    pressureService: true,
  })
  return parsed.ok ? { spec: parsed.spec } : { why: parsed.errors[0] as Finding }
}

/** Set and cure of a joint at one steady temperature and humidity: one figure for each pressure class. */
function curingFigures(curing: Curing, around: Around): HandbookFigure[] {
  if (curing.by === 'nothing') return []
  if (curing.by === 'no-figure') return [{ key: 'cureS', fig: noFig(curing.why), unit: 's' }]
  const { rule } = curing
  const temperatureC = around.temperatureC
  const humid = around.humidityPct > HUMID_ABOVE_PCT
  const set = rule.setS(temperatureC)
  // Where only the hours for each bar count, one figure says it all.
  const perBar =
    rule.perBarS !== null && rule.classes.every((c) => c.requiredS(temperatureC, humid) === 0)
      ? rule.perBarS
      : null
  return [
    {
      key: 'setS',
      unit: 's',
      fig: set === null ? noFig(msg('no-set-time', { size: '' })) : fig(set, rule.setSource),
    },
    ...(perBar !== null
      ? [{ key: 'cureEachBarS' as const, unit: 's' as const, fig: fig(perBar, rule.sourceAt(temperatureC)) }]
      : rule.classes.map((cureClass): HandbookFigure => {
          const need = cureClass.requiredS(temperatureC, humid)
          const whole =
            need === null || rule.perBarS === null
              ? need
              : Math.max(need, rule.perBarS * (cureClass.toBar ?? 0))
          return {
            key: 'cureS',
            unit: 's',
            toBar: cureClass.toBar,
            fig: whole === null ? noFig(msg('no-cure-temperature')) : fig(whole, rule.sourceAt(temperatureC)),
          }
        })),
  ]
}

/** The same figure, of the same pressure class, where another rule has another value for it. */
const othersOf = (figure: HandbookFigure, elsewhere: readonly HandbookFigure[]): Fig[] =>
  elsewhere
    .filter(
      (other) =>
        other.key === figure.key &&
        other.toBar === figure.toBar &&
        other.fig.value !== null &&
        other.fig.value !== figure.fig.value,
    )
    .map((o) => o.fig)

/** Every figure of one joint, with its source: dimensions, what its method knows, set and cure. */
export function figuresOf(
  entry: Entry,
  around: Around = DEFAULT_AROUND,
  details: Readonly<Record<string, unknown>> = {},
): HandbookFigure[] {
  const method = methodOf(entry.method)
  const size = parseSize(entry.size)
  if (!method || !size) return []
  const od = outsideDiameterMm(size)
  const wall = wallMm(entry.material, size, entry.schedule)
  const dimensions: HandbookFigure[] = [
    ...(od === null
      ? []
      : [{ key: 'diameterMm' as const, unit: 'mm' as const, fig: fig(od, odSource(size, entry.material)) }]),
    { key: 'pipeWallMm', unit: 'mm', fig: wall },
  ]
  const read = specOf(method, entry, details)
  if ('why' in read) return [...dimensions, { key: 'depthMm', unit: 'mm', fig: noFig(read.why) }]
  const own = method.figures(read.spec, contextOf(entry, around)).map(({ otherSchools: _, ...own }) => own)
  const curingBy = (table: string): Curing => method.curing(read.spec, { table })
  const curing = curingBy(around.table)
  const elsewhere = CURE_TABLES.filter((table) => table !== around.table).flatMap((table) =>
    curingFigures(curingBy(table), around),
  )
  // A cure that the method names itself is not said twice.
  const cures = curingFigures(curing, around)
    .filter((f) => !own.some((o) => o.key === f.key))
    .map((f) => ({ ...f, others: othersOf(f, elsewhere) }))
  return [...dimensions, ...own, ...cures]
}
