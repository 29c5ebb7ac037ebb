import { ANY_METHOD, type ChartRow, chartSource } from '../methods/charts.js'
import { methodOf } from '../methods/registry.js'
import type { ChartCure } from '../methods/cure/chart-rule.js'
import type { SourceId } from '../sources/source.js'
import { type Met, metBy } from '../parts/met.js'
import { isBranch } from '../parts/neighbours.js'
import { type Way, askedOf, wayOf } from './way.js'
import { type Item, type JobState, type Line, lifeKey, withHead } from '../log/state.js'
import { once, onceEach, onceForAll } from '../units/memo.js'

/** Where a joint sits: its line, the part whose end it is, which end, and the fitting that this end meets. */
export interface JointPlace {
  jointId: string
  tag: string
  line: Line
  /** A piece, or a fitting that stands on the one before it. */
  part: Item
  end: 0 | 1
  fitting: Item | null
  /** The fitting with the end that is met, and its line, which may be another one. */
  met: Met | null
  /** It goes into the fitting's branch, not its run. */
  branch: boolean
  /** How it is made. */
  way: Way
}

/** Lives in a list, looked up for each joint of a line that may have thousands. */
const livesOf = once((begun: readonly string[]): ReadonlySet<string> => new Set(begun))
/** Which of the changes of a line since came after a joint's life had begun; -1: none of them. */
function changedSince(state: Pick<JobState, 'joints'>, line: Line, jointId: string): number {
  const life = line.before && state.joints.get(jointId)?.lives.at(-1)
  const key = life && life.cutOutAtS === undefined ? lifeKey(jointId, life.no) : null
  return key === null ? -1 : (line.before?.findIndex(({ begun }) => livesOf(begun).has(key)) ?? -1)
}
/** What is met, its line as it was then. */
function metThen(state: Pick<JobState, 'joints'>, jointId: string, met: Met): Met {
  const was = met.line.before?.[changedSince(state, met.line, jointId)]
  return was ? { ...met, line: withHead(met.line, was.head) } : met
}
/** How a joint is made: as the line was when its life in the line began, else as it is. */
function wayThen(
  state: Pick<JobState, 'joints'>,
  line: Line,
  jointId: string,
  [part, end, meets]: [part: Item, end: 0 | 1, met: Met | null],
): Way {
  const at = changedSince(state, line, jointId)
  const was = line.before?.[at]
  const met = meets && meets.line.id !== line.id ? metThen(state, jointId, meets) : meets
  if (!was) return wayOf(line, part, end, met)
  // What nobody had said then may have been said since, the first time counts; what was said then stands.
  const since = [...(line.before ?? []).slice(at).map(({ head }) => head), line]
  const series = since.find(
    (head) => head.series !== undefined && head.material === was.head.material,
  )?.series
  const then = wayOf(withHead(line, series ? { ...was.head, series } : was.head), part, end, met)
  const asked = since.toReversed().map((head) => askedOf(head, then.method))
  return {
    ...then,
    details: Object.assign({}, ...asked, then.details) as Way['details'],
    key: `${then.key} before ${at}`,
  }
}

type Lines = JobState['lines']
const NO_LIVES: JobState['joints'] = new Map()
/** Was any line changed after it was begun? */
const anyChanged = once((lines: Lines) => [...lines.values()].some((line) => line.before))
/**
 * Every joint that the lines define. Worked out once while the lines are the same, and, where one was changed after it
 * was begun, while the joints are.
 */
export const jointPlaces = (state: Pick<JobState, 'lines' | 'joints'>): ReadonlyMap<string, JointPlace> =>
  placesOf([state.lines, anyChanged(state.lines) ? state.joints : NO_LIVES])
const placesOf = onceForAll(() => '', readPlaces)
function readPlaces([lines, joints]: [Lines, JobState['joints']]): ReadonlyMap<string, JointPlace> {
  const state = { lines, joints }
  const index = new Map<string, JointPlace>()
  for (const line of state.lines.values())
    for (const part of line.items)
      for (const end of [0, 1] as const) {
        const jointId = part.joints[end]
        if (!jointId) continue
        const met = metBy(state, line, part, end)
        index.set(jointId, {
          jointId,
          tag: part.jointTags[end] ?? '',
          line,
          part,
          end,
          fitting: met?.fitting ?? null,
          met,
          branch: met !== null && isBranch(met.at),
          way: wayThen(state, line, jointId, [part, end, met]),
        })
      }
  return index
}

/** A row of a chart, with the chart's name. */
interface Charted {
  chart: string
  row: ChartRow
}
type ChartIndex = ReadonlyMap<string, Charted[]>
const rowKey = (method: string, material: string, size: string): string => `${method} ${material} ${size}`
/** Times stand in several rows, one for each band; a later chart takes the place of them all. */
const sameFigure = (a: Charted, b: Charted): boolean =>
  a.row.field === b.row.field && !(a.row.fromC !== undefined && a.chart === b.chart)

/** Rows of all charts up to one, by joint; of a figure that stands in several the last loaded wins. */
const chartRows = onceEach(
  (upTo: string | null) => upTo ?? '',
  (charts: JobState['charts'], upTo): ChartIndex => {
    const index = new Map<string, Charted[]>()
    const last = upTo === null ? -1 : charts.findIndex((c) => c.id === upTo)
    for (const chart of charts.slice(0, last + 1))
      for (const row of chart.rows) {
        const at = rowKey(row.method, row.material, row.size)
        const fresh = { chart: chart.name, row }
        index.set(at, [...(index.get(at) ?? []).filter((x) => !sameFigure(x, fresh)), fresh])
      }
    return index
  },
)
/** The newest chart: what a joint begun now is pinned to. */
export const newestChart = (state: Pick<JobState, 'charts'>): string | null => state.charts.at(-1)?.id ?? null

/**
 * What charts say of a joint: fields of its specification, and under `from` where each comes from.
 * @param chart the chart it is pinned to; the newest if absent.
 */
export function charted(
  state: Pick<JobState, 'charts'>,
  joint: { method: string; material: string; size: string },
  chart: string | null = newestChart(state),
): Record<string, unknown> {
  const index = chartRows(state.charts, chart)
  const { method, material, size } = joint
  const rows = index.get(rowKey(method, material, size)) ?? []
  // What was measured on the box wins over what a maker says of his boxes.
  const measured = index.get(rowKey(ANY_METHOD, material, size)) ?? []
  const times = rows.filter((x) => x.row.fromC !== undefined)
  const single = [...rows.filter((x) => x.row.fromC === undefined), ...measured]
  if (!rows.length && !measured.length) return {}
  const sourceFor = (chart: Charted): SourceId =>
    chart.row.method === ANY_METHOD ? 'measured' : chartSource(chart.chart, chart.row.reference)
  return {
    ...Object.fromEntries(single.map(({ row }) => [row.field, row.value])),
    ...(times.length ? { chartCure: cureOf(times) } : {}),
    from: Object.fromEntries(single.map((x) => [x.row.field, sourceFor(x)])),
  }
}
function cureOf(times: readonly Charted[]): ChartCure {
  const of = (field: string) => times.filter((x) => x.row.field === field).map((x) => x.row)
  const first = times[0] as Charted
  return {
    cure: of('cureTime').map((r) => ({ fromC: r.fromC as number, toBar: r.toBar as number, s: r.value })),
    set: of('setTime').map((r) => ({ fromC: r.fromC as number, s: r.value })),
    source: chartSource(first.chart, first.row.reference),
  }
}

/** Fields that the part a joint goes into answers by its name. */
export function saidByPart({ way, fitting, part }: JointPlace, rules: number): Record<string, string> {
  const names = [fitting?.fitting ?? '', part.fitting ?? '']
  return Object.fromEntries(
    (methodOf(way.method)?.fields ?? []).flatMap(({ key, byPart }) => {
      const says = byPart && rules >= byPart.fromRules ? byPart.says : {}
      const said = names.map((name) => says[name]).find((x) => x !== undefined)
      return said === undefined ? [] : [[key, said]]
    }),
  )
}

/**
 * The raw specification of a joint, for its method to read. What was measured on the box wins over a chart, a chart
 * over what the line says, that over tables; the part it goes into says what it is. @param chart the chart the joint is
 * pinned to; the newest if it is not begun. @param rules version of its method's rules it was begun under.
 */
export function jointSpec(
  state: Pick<JobState, 'charts' | 'job'>,
  place: JointPlace,
  chart: string | null = newestChart(state),
  rules = Infinity,
): Record<string, unknown> {
  const { method, material, size, details, pipe } = place.way
  const chartSays = charted(state, { method, material, size }, chart)
  return {
    from: {},
    ...details,
    ...saidByPart(place, rules),
    ...chartSays,
    material,
    size,
    school: place.way.school,
    schedule: place.way.schedule,
    wallSeries: pipe.series,
    socketDepthMm: chartSays.socketDepthMm ?? details.socketDepthMm ?? null,
    checkOffsetMm: state.job.checkOffsetMm,
    pressureService: place.line.said?.service !== 'drain',
  }
}

/** Joints with a life that is begun and not cut out: they stay what they are. */
export const begunJoints = once((state: JobState): ReadonlySet<string> => {
  const live = [...state.joints.values()].filter((joint) => {
    const life = joint.lives.at(-1)
    return life !== undefined && life.cutOutAtS === undefined
  })
  return new Set(live.map((j) => j.id))
})
