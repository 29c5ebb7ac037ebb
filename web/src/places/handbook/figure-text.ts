import {
  type HandbookFigure,
  type Msg,
  type Reader,
  allSources,
  fmt,
  sourceOf,
  systemOf,
} from '@jugalis/core'
import { word } from '../../words/word'

/** Inch joints read in inches, metric ones in millimetres, whatever the job's units: tables are written so. */
export const readerFor = (school: string, own: Reader): Reader => ({
  ...own,
  own: {},
  units: school === 'inch' ? 'inch' : 'metric',
})
/** Tables hold thousandths of an inch: a fraction is written only where it says the same. */
const SAME_INCH = 0.003
function lengthText(mm: number, reader: Reader): string {
  if (systemOf(reader, 'length') === 'metric') return fmt.thickness(mm, reader)
  const inch = mm / 25.4
  const sixteenths = Math.round(inch * 16) / 16
  return sixteenths > 0 && Math.abs(inch - sixteenths) <= SAME_INCH
    ? fmt.length(mm, reader)
    : fmt.thickness(mm, reader)
}
const OTHER = { inch: 'metric', metric: 'inch' } as const
/** The same figure the other way round, where units differ. */
export function otherText(figure: HandbookFigure, reader: Reader, say: (m: Msg) => string): string {
  if (figure.fig.value === null || (figure.unit !== 'mm' && figure.unit !== 'C')) return ''
  return figureText(figure, { ...reader, own: {}, units: OTHER[reader.units] }, say)
}

/** A figure as the trade writes it, in the reader's units; the reason where there is none. */
export function figureText(
  figure: Pick<HandbookFigure, 'fig' | 'unit' | 'gauged'>,
  reader: Reader,
  say: (m: Msg) => string,
): string {
  const value = figure.fig.value
  if (value === null) return say(figure.fig.why)
  switch (figure.unit) {
    case 'mm':
      return figure.gauged ? fmt.thickness(value, reader) : lengthText(value, reader)
    case 's':
      return fmt.duration(value)
    case 'C':
      return fmt.temperature(value, reader)
    case 'deg':
      return `${fmt.number(value, 1)}°`
    case 'pct':
      return `${fmt.number(value, 0)} %`
    case 'Nm':
      return fmt.torque(value, reader)
    case 'turns':
      return `${fmt.inchFraction(value)}`
    default:
      return fmt.number(value, 2)
  }
}
export const figureName = (figure: HandbookFigure): Msg =>
  figure.toBar === undefined
    ? { code: `figure-${figure.key}`, params: {} }
    : figure.toBar === null
      ? { code: 'figure-cure-any', params: {} }
      : { code: 'figure-cure-to', params: { bar: figure.toBar } }

type Checked = ReadonlyMap<string, { edition: string; on: string }>
const KIND = {
  published: 'handbook-published-from-memory',
  'common-practice': 'handbook-common-practice',
  chart: 'handbook-your-chart',
  measured: 'handbook-measured',
  computed: 'handbook-ours-computed',
} as const
/** How well a source stands: published and checked, from memory, common practice, ours. */
export function standing(id: string, checked: Checked): string {
  const source = sourceOf(id)
  const seen = checked.get(id)
  if (seen) return word('handbook-checked-against', { edition: seen.edition, on: seen.on })
  return word(KIND[source.kind])
}
/** Published sources that nobody has compared with a copy, and practices that have none to compare with. */
export const unverified = (checked: Checked) =>
  allSources().filter((s) => s.kind !== 'measured' && s.id !== 'given' && !checked.has(s.id))
