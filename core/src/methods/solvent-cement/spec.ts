import { type Size, outsideDiameterMm } from '../../sizes/size.js'
import { solventSocketDepth } from '../../sizes/sockets.js'
import { type Fig, type Finding, type SourceId, fig, finding, msg } from '../../sources/source.js'
import { type Joins, type School, joined } from '../joinable.js'
import { cts, metric, nps } from '../kit/joins.js'
import { baseFields } from '../kit/spec.js'
import { type ChartCure, chartCureOf } from '../cure/chart-rule.js'
import type { Field } from '../method.js'
import type { Code } from '../../sources/wording.js'

export interface SolventSpec {
  material: string
  size: string
  school: School
  schedule: string | null
  /** Measured on the fitting in hand: wins over the published minimum. */
  socketDepthMm: number | null
  /** From the socket face to the check mark once the pipe is home. */
  checkOffsetMm: number
  pressureService: boolean
  /** Where figures in it come from that were not measured. */
  from?: Readonly<Record<string, SourceId>>
  /** A maker's own set and cure times. */
  chartCure?: ChartCure
  /** Wall of the pipe, for the drawing only; else that of its series. */
  wallMm: number | null
  wallSeries?: string
}

export const JOINS: Joins = {
  'pvc-u': [{ school: 'metric', sizes: metric(16, 315) }],
  pvc: [{ school: 'inch', sizes: nps('1/2', '24') }],
  cpvc: [
    { school: 'inch', sizes: [...nps('1/2', '24'), ...cts('1/2', '3/4', '1', '1-1/4', '1-1/2', '2')] },
    { school: 'metric', sizes: metric(16, 160) },
  ],
  abs: [
    { school: 'metric', sizes: metric(16, 225) },
    { school: 'inch', sizes: nps('1-1/4', '12') },
  ],
}
const SELF = { id: 'solvent-cement', joins: JOINS } as const

export const LONGEST_SOCKET_MM = 500
export const fields: readonly Field[] = [
  ...baseFields(JOINS),
  { key: 'schedule', label: msg('field-schedule'), needed: false, control: 'choice', options: ['40', '80'] },
  {
    key: 'socketDepthMm',
    label: msg('field-socket-depth'),
    needed: false,
    unit: 'mm',
    min: 5,
    max: LONGEST_SOCKET_MM,
    control: 'length',
  },
  {
    key: 'checkOffsetMm',
    label: msg('field-check-offset'),
    needed: true,
    unit: 'mm',
    min: 10,
    max: 300,
    control: 'length',
  },
  { key: 'pressureService', label: msg('field-pressure-service'), needed: true, control: 'yes-no' },
  {
    key: 'wallMm',
    label: msg('field-wall'),
    needed: false,
    unit: 'mm',
    min: 0.5,
    max: 50,
    control: 'length',
  },
]

/** Reads a stored or typed specification. Never throws; every fault names its field. */
export function parse(raw: unknown): { ok: true; spec: SolventSpec } | { ok: false; errors: Finding[] } {
  const errors: Finding[] = []
  const given = (typeof raw === 'object' && raw !== null ? raw : {}) as Record<string, unknown>
  const say = (code: Code, field: string): void => {
    errors.push(finding('stop', code, 'given', { field }, field))
  }
  const text = (k: string): string => (typeof given[k] === 'string' ? (given[k] as string) : '')
  const positive = (k: string): number | null => {
    const value = given[k]
    if (value === undefined || value === null) return null
    if (typeof value !== 'number' || !Number.isFinite(value) || value <= 0) {
      say('not-a-positive-number', k)
      return null
    }
    return value
  }
  const school = text('school')
  if (school !== 'inch' && school !== 'metric') say('school-unknown', 'school')
  const fits = joined(SELF, text('material'), text('size'), school as School)
  if (!fits.ok) errors.push({ ...finding('stop', fits.why.code, 'given', fits.why.params, fits.field) })
  const socketDepthMm = positive('socketDepthMm')
  if (socketDepthMm !== null && socketDepthMm > LONGEST_SOCKET_MM) say('socket-too-deep', 'socketDepthMm')
  const checkOffsetMm = positive('checkOffsetMm')
  if (checkOffsetMm === null && !errors.some((e) => e.field === 'checkOffsetMm'))
    say('missing', 'checkOffsetMm')
  if (errors.length) return { ok: false, errors }
  const chartCure = chartCureOf(given.chartCure)
  return {
    ok: true,
    spec: {
      material: text('material'),
      size: text('size'),
      school: school as School,
      schedule: text('schedule') || null,
      socketDepthMm,
      checkOffsetMm: checkOffsetMm as number,
      pressureService: given.pressureService !== false,
      wallMm: positive('wallMm'),
      ...(chartCure ? { chartCure } : {}),
      ...(typeof given.wallSeries === 'string' ? { wallSeries: given.wallSeries } : {}),
      ...(typeof given.from === 'object' && given.from !== null
        ? { from: given.from as Record<string, SourceId> }
        : {}),
    },
  }
}

/** The parsed size of a spec; specs only exist for sizes that are made. */
export function sizeOf(spec: Pick<SolventSpec, 'material' | 'size' | 'school'>): Size {
  const fits = joined(SELF, spec.material, spec.size, spec.school)
  if (!fits.ok) throw new Error(fits.why.code)
  return fits.size
}
/** Outside diameter, mm, by the material's own series. Throws for a size that was never parsed. */
export const odMm = (spec: Pick<SolventSpec, 'material' | 'size' | 'school'>): number =>
  outsideDiameterMm(sizeOf(spec)) as number

/** Insertion depth in mm: the socket in the hand, else the published minimum. */
export const depthOf = (spec: SolventSpec): Fig =>
  spec.socketDepthMm !== null
    ? fig(spec.socketDepthMm, spec.from?.socketDepthMm ?? 'measured')
    : solventSocketDepth(spec.material, sizeOf(spec), spec.schedule)
