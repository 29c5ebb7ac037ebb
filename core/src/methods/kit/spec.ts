import { append } from '../../units/extent.js'
import { type Size, outsideDiameterMm, parseSize } from '../../sizes/size.js'
import { type Fig, type Finding, type SourceId, fig, finding, msg } from '../../sources/source.js'
import type { Code } from '../../sources/wording.js'
import { type Joins, type School, joined } from '../joinable.js'
import { type ChartCure, chartCureOf } from '../cure/chart-rule.js'
import type { Field } from '../method.js'

/** What every joint says of itself. */
export interface BaseSpec {
  material: string
  size: string
  school: School
  /** Where figures in it come from that were not measured: fields by name. */
  from?: Readonly<Record<string, SourceId>>
  /** A maker's own set and cure times. */
  chartCure?: ChartCure
  /** Series of the line's walls, where somebody said it: what it is drawn with. */
  wallSeries?: string
}
/** A figure of the specification with its source: a chart's, or measured on the part in hand. */
export function ownFig<K extends string>(
  spec: { from?: Readonly<Record<string, SourceId>> } & { readonly [k in K]: number | null },
  key: K,
  otherwise: Fig,
  source: SourceId = 'measured',
): Fig {
  const value = spec[key]
  return value === null || value === undefined ? otherwise : fig(value, spec.from?.[key] ?? source)
}

/** Fields that every method asks for; the materials are those the method joins. */
export const baseFields = (joins: Joins): readonly Field[] => [
  {
    key: 'material',
    label: msg('field-material'),
    needed: true,
    control: 'choice',
    options: Object.keys(joins),
  },
  { key: 'size', label: msg('field-size'), needed: true, control: 'size' },
  { key: 'school', label: msg('field-school'), needed: true, control: 'choice', options: ['inch', 'metric'] },
]
/**
 * Depth measured on the fitting in hand: wins over every table.
 * @example measuredDepth(120).max // 120
 */
export const measuredDepth = (maxMm: number): Field => ({
  key: 'socketDepthMm',
  label: msg('field-socket-depth'),
  needed: false,
  unit: 'mm',
  min: 1,
  max: maxMm,
  control: 'length',
})

/** Least and most of a gap that is measured in several places. */
export const gapReads = (control: 'gap-pair' | 'gap-round', max: number, acrossMm?: Fig): readonly Field[] =>
  (['gapMinMm', 'gapMaxMm'] as const).map((key) => ({
    key,
    label: msg(key === 'gapMinMm' ? 'field-gap-min' : 'field-gap-max'),
    needed: true,
    unit: 'mm',
    min: 0,
    max,
    control,
    ...(acrossMm ? { acrossMm } : {}),
  }))
/** A time from a maker's chart. */
export const seconds = (key: string, label: Code, max: number): Field => ({
  key,
  label: msg(label),
  needed: false,
  unit: 's',
  min: 1,
  max,
  control: 'turns',
})

export type Parsed<S> = { ok: true; spec: S } | { ok: false; errors: readonly Finding[] }

/** Reader of a method's specification by its fields. Never throws; every fault names its field; absent = null. */
export function specReader<S extends BaseSpec>(
  method: { readonly id: string; readonly joins: Joins; readonly fields: readonly Field[] },
  check?: (spec: S) => Finding[],
): (raw: unknown) => Parsed<S> {
  return (raw) => {
    const given = (typeof raw === 'object' && raw !== null ? raw : {}) as Record<string, unknown>
    const errors: Finding[] = []
    const spec: Record<string, unknown> = {}
    for (const field of method.fields) {
      const value = given[field.key] ?? null
      const fault = value === null ? (field.needed ? 'missing' : null) : faultOf(field, value)
      if (fault)
        errors.push(
          finding(
            'stop',
            fault,
            'given',
            { field: field.key, min: field.min ?? 0, max: field.max ?? 0 },
            field.key,
          ),
        )
      spec[field.key] = value
    }
    if (typeof given.from === 'object' && given.from !== null) spec.from = given.from
    const chartCure = chartCureOf(given.chartCure)
    if (chartCure) spec.chartCure = chartCure
    if (typeof given.wallSeries === 'string') spec.wallSeries = given.wallSeries
    const { material, size, school } = spec
    if (
      typeof material === 'string' &&
      typeof size === 'string' &&
      (school === 'inch' || school === 'metric')
    ) {
      const fits = joined(method, material, size, school)
      if (!fits.ok) errors.push(finding('stop', fits.why.code, 'given', fits.why.params, fits.field))
    }
    if (!errors.length) append(errors, check?.(spec as unknown as S) ?? [])
    return errors.length ? { ok: false, errors } : { ok: true, spec: spec as unknown as S }
  }
}

function faultOf(field: Field, value: unknown): Code | null {
  if (field.options) return field.options.includes(value as string) ? null : 'not-an-option'
  if (field.control === 'yes-no') return typeof value === 'boolean' ? null : 'not-yes-or-no'
  if (field.control === 'size' || field.control === 'scan')
    return typeof value === 'string' ? null : 'not-text'
  if (typeof value !== 'number' || !Number.isFinite(value)) return 'not-a-number'
  return value < (field.min ?? -Infinity) || value > (field.max ?? Infinity) ? 'out-of-range' : null
}

/** The parsed size of a specification; specifications only exist for sizes that are made. */
export const sizeOf = (spec: Pick<BaseSpec, 'size'>): Size => parseSize(spec.size) as Size
/** Outside diameter of a spec's size, mm. Throws for a size that was never parsed. */
export const odOf = (spec: Pick<BaseSpec, 'size'>): number => outsideDiameterMm(sizeOf(spec)) as number
