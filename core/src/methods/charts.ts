import Papa from 'papaparse'
import { type Msg, msg, type SourceId } from '../sources/source.js'
import type { Code } from '../sources/wording.js'
import { fToC, inLbfToNm, inchToMm, psiToBar } from '../units/units.js'
import type { Field } from './method.js'
import { joinable, methodOf } from './registry.js'

/** First line of a chart as CSV. */
export const CHART_HEADER = ['method', 'material', 'size', 'figure', 'value', 'unit', 'reference'] as const
/** Figures that a chart may give, and the fields of a specification that take them, first that the method has. */
export const CHART_FIGURES: Readonly<Record<string, readonly string[]>> = {
  depth: ['socketDepthMm'],
  wall: ['wallMm'],
  torque: ['dryTorqueNm', 'torqueNm', 'minTorqueNm'],
  heat: ['heatS'],
  cool: ['coolS'],
  turns: ['ownTurns'],
  'tool-room': ['toolRoomMm'],
  'gap-min': ['gapFromMm'],
  'gap-max': ['gapToMm'],
}
/** Besides those: times by wall temperature, `set from 10 C`, and by pressure too, `cure from 50 F to 160 psi`. */
export const CHART_TIMES = ['set from 10 C', 'cure from 10 C to 6 bar'] as const
const TIMED = /^(set|cure) from (-?\d+(?:[.,]\d+)?) ?(C|F)(?: to (\d+(?:[.,]\d+)?) ?(bar|psi))?$/i
const LONGEST_TIME_S = 30 * 24 * 3600
const UNITS: Readonly<Record<string, Readonly<Record<string, (v: number) => number>>>> = {
  mm: { mm: (v) => v, in: inchToMm },
  Nm: { Nm: (v) => v, 'in-lbf': inLbfToNm, 'ft-lbf': (v) => inLbfToNm(v * 12) },
  s: { s: (v) => v, min: (v) => v * 60, h: (v) => v * 3600 },
  turns: { turns: (v) => v, flats: (v) => v / 6 },
}

/** In place of a method: a figure of a fitting, however it is joined. */
export const ANY_METHOD = '*'

/** One figure of a maker's chart, in core's units. */
export interface ChartRow {
  method: string
  material: string
  size: string
  /** Field of the specification that it fills. */
  field: string
  value: number
  /** For times: the wall temperature it counts from, and the pressure up to which. */
  fromC?: number
  toBar?: number
  reference: string
}
export interface ChartFault {
  /** Line of the file, the header being 1. */
  line: number
  column: string
  says: Msg
}
export type ChartRead = { ok: true; rows: ChartRow[] } | { ok: false; faults: ChartFault[] }

/**
 * Reads a chart. Every bad row is named by its line; one is enough for nothing to be taken.
 * @example readChart('').ok // false
 */
export function readChart(csv: string): ChartRead {
  const table = Papa.parse<string[]>(csv.trim(), { skipEmptyLines: true }).data
  const faults: ChartFault[] = []
  const head = (table[0] ?? []).map((h) => h.trim().toLowerCase())
  if (CHART_HEADER.some((h, i) => head[i] !== h) || head.length !== CHART_HEADER.length)
    return {
      ok: false,
      faults: [{ line: 1, column: '', says: msg('chart-header', { header: CHART_HEADER.join(',') }) }],
    }
  const rows: ChartRow[] = []
  const seen = new Map<string, number>()
  table.slice(1).forEach((cells, i) => {
    const line = i + 2
    const read = readRow(cells.map((c) => c.trim()))
    if ('column' in read) return void faults.push({ line, ...read })
    const key = [read.method, read.material, read.size, read.field, read.fromC, read.toBar].join('~')
    const before = seen.get(key)
    if (before !== undefined)
      return void faults.push({ line, column: 'figure', says: msg('chart-twice', { before }) })
    seen.set(key, line)
    rows.push(read)
  })
  if (!rows.length && !faults.length) faults.push({ line: 2, column: '', says: msg('chart-empty') })
  return faults.length ? { ok: false, faults } : { ok: true, rows }
}

function readRow(cells: string[]): ChartRow | { column: string; says: Msg } {
  const bad = (column: string, code: Code, params: Record<string, string | number> = {}) => ({
    column,
    says: msg(code, params),
  })
  const [method = '', material = '', size = '', figure = '', value = '', unit = '', reference = ''] = cells
  if (cells.length !== CHART_HEADER.length)
    return bad('', 'chart-columns', { columns: cells.length, wanted: CHART_HEADER.length })
  const known = methodOf(method)
  if (!known) return bad('method', 'chart-method', { method })
  const schools = (['metric', 'inch'] as const).map((s) => joinable(method, material, size, s))
  const fits = schools.find((s) => s.ok) ?? schools[0]
  if (fits && !fits.ok) return bad(fits.field, fits.why.code, fits.why.params)
  const timed = TIMED.exec(figure)
  const isSet = timed?.[1]?.toLowerCase() === 'set'
  const field: Field | undefined =
    timed && known.cures && (timed[4] === undefined) === isSet
      ? { ...TIME_FIELD, key: isSet ? 'setTime' : 'cureTime' }
      : known.fields.find((f) => CHART_FIGURES[figure]?.includes(f.key))
  if (!field) return bad('figure', 'chart-figure', { figure, method })
  const convert = UNITS[field.unit ?? '']?.[unit]
  if (!convert)
    return bad('unit', 'chart-unit', { unit, units: Object.keys(UNITS[field.unit ?? ''] ?? {}).join(', ') })
  const typed = decimal(value)
  const figureValue = convert(typed)
  if (value === '' || !Number.isFinite(typed) || !inRange(field, figureValue))
    return bad('value', 'chart-value', {
      value,
      min: field.min ?? 0,
      max: field.max ?? 0,
      unit: field.unit ?? '',
    })
  if (!reference) return bad('reference', 'chart-reference')
  return {
    method,
    material,
    size,
    field: field.key,
    value: figureValue,
    ...(timed ? bandOf(timed) : {}),
    reference,
  }
}
const decimal = (s: string): number => Number(s.replace(',', '.'))
function bandOf(timed: RegExpExecArray): { fromC: number; toBar?: number } {
  const [, , time = '', scale = '', pressure, unit] = timed
  const fromC = scale.toUpperCase() === 'F' ? fToC(decimal(time)) : decimal(time)
  if (pressure === undefined) return { fromC }
  return { fromC, toBar: unit?.toLowerCase() === 'psi' ? psiToBar(decimal(pressure)) : decimal(pressure) }
}
const TIME_FIELD: Omit<Field, 'key'> = {
  label: msg('field-cure'),
  needed: false,
  unit: 's',
  min: 1,
  max: LONGEST_TIME_S,
  control: 'turns',
}
const inRange = (f: Field, v: number): boolean => v > 0 && v >= (f.min ?? 0) && v <= (f.max ?? Infinity)

/**
 * Source of a figure out of a chart: the chart's name and the row's own reference.
 * @example chartSource('c1', 'sheet 4') // 'chart:c1, sheet 4'
 */
export const chartSource = (chart: string, reference: string): SourceId => `chart:${chart}, ${reference}`
