import { type ChartRow, chartSource } from '../methods/charts.js'
import type { Item, JobState, Line } from './state.js'
import { socketKey } from './state.js'

/** Where a joint sits: its line, its piece, which end, and the fitting it goes into. */
export interface JointPlace {
  jointId: string
  tag: string
  line: Line
  piece: Item
  end: 0 | 1
  fitting: Item | null
}

const indexes = new WeakMap<JobState, Map<string, JointPlace>>()

/** Every joint that the lines define. Worked out once for a state. */
export function jointPlaces(state: JobState): ReadonlyMap<string, JointPlace> {
  let index = indexes.get(state)
  if (index) return index
  index = new Map()
  for (const line of state.lines.values())
    line.items.forEach((piece, i) => {
      if (piece.type !== 'piece') return
      for (const end of [0, 1] as const) {
        const jointId = piece.joints[end]
        if (!jointId) continue
        const neighbour = line.items[end === 0 ? i - 1 : i + 1]
        index?.set(jointId, {
          jointId,
          tag: piece.jointTags[end] ?? '',
          line,
          piece,
          end,
          fitting: neighbour?.type === 'fitting' ? neighbour : null,
        })
      }
    })
  indexes.set(state, index)
  return index
}

const chartIndexes = new WeakMap<
  JobState,
  Map<string, ReadonlyMap<string, { chart: string; row: ChartRow }[]>>
>()
/** Rows of all charts up to one, by joint; of a figure that stands in several the last loaded wins. */
function chartRows(
  state: JobState,
  upTo: string | null,
): ReadonlyMap<string, { chart: string; row: ChartRow }[]> {
  let byChart = chartIndexes.get(state)
  if (!byChart) chartIndexes.set(state, (byChart = new Map()))
  const key = upTo ?? ''
  let index = byChart.get(key) as Map<string, { chart: string; row: ChartRow }[]> | undefined
  if (index) return index
  index = new Map()
  const last = upTo === null ? -1 : state.charts.findIndex((c) => c.id === upTo)
  for (const c of state.charts.slice(0, last + 1))
    for (const row of c.rows) {
      const at = `${row.method} ${row.material} ${row.size}`
      index.set(at, [
        ...(index.get(at) ?? []).filter((x) => x.row.field !== row.field),
        { chart: c.name, row },
      ])
    }
  byChart.set(key, index)
  return index
}
/** The newest chart: what a joint begun now is pinned to. */
export const newestChart = (state: JobState): string | null => state.charts.at(-1)?.id ?? null

/**
 * What charts say of a joint: fields of its specification, and under `from` where each comes from.
 * @param chart the chart it is pinned to; the newest if absent.
 */
export function charted(
  state: JobState,
  joint: { method: string; material: string; size: string },
  chart: string | null = newestChart(state),
): Record<string, unknown> {
  const rows = chartRows(state, chart).get(`${joint.method} ${joint.material} ${joint.size}`)
  if (!rows) return {}
  return {
    ...Object.fromEntries(rows.map(({ row }) => [row.field, row.value])),
    from: Object.fromEntries(rows.map((x) => [x.row.field, chartSource(x.chart, x.row.reference)])),
  }
}

/**
 * The raw specification of a joint, for its method to read. What was measured on the box wins over a chart, a chart
 * over what the line says, that over tables. @param chart the chart the joint is pinned to; the newest if it is not begun.
 */
export function jointSpec(
  state: JobState,
  place: JointPlace,
  chart: string | null = newestChart(state),
): Record<string, unknown> {
  const measured = state.sockets.get(socketKey(place.line.material, place.piece.size))
  const { method, material } = place.line
  const chartSays = charted(state, { method, material, size: place.piece.size }, chart)
  const from = { ...(chartSays.from as Record<string, string> | undefined) }
  if (measured !== undefined) delete from.socketDepthMm
  return {
    ...place.line.details,
    ...chartSays,
    from,
    material: place.line.material,
    size: place.piece.size,
    school: place.line.school,
    schedule: place.line.schedule,
    socketDepthMm: measured ?? chartSays.socketDepthMm ?? place.line.details.socketDepthMm ?? null,
    checkOffsetMm: state.job.checkOffsetMm,
    pressureService: true,
  }
}
