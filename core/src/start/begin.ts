import { END, placeTexts } from '../line/place.js'
import type { Draft } from '../log/events.js'
import { type Line, type LineHead, lineHead } from '../log/state.js'
import type { School } from '../methods/joinable.js'
import { lineSeriesChoices } from '../methods/line-series.js'
import { NO_LINES } from '../parts/met.js'
import type { Msg } from '../sources/source.js'
import type { TemplateCarries, TemplateLine } from './templates.js'

type Entry = Pick<Draft, 'kind' | 'data'>
export interface Begun {
  /** The lines as they will stand, to be drawn before they are begun. */
  lines: readonly Line[]
  /** What is written for them, in this order. */
  entries: readonly Entry[]
}

/**
 * The lines of a template as a job of a school begins with them: parts in a row, read as they would be typed, and no
 * piece measured. Nothing of it where one part of it cannot be had in that school: then the sentence why.
 * @param template its lines, as TEMPLATE_LINES has them. @param school whose pipe it is. @param placeId where its lines run.
 * @param named what a line carries, in the reader's words. @param newId gives ids that nothing has.
 */
export function beginFrom(
  template: readonly TemplateLine[],
  school: School,
  {
    placeId,
    named,
    newId,
  }: { placeId: string; named: (carries: TemplateCarries) => string; newId: () => string },
): ({ ok: true } & Begun) | { ok: false; why: Msg } {
  const begun = template.map((planned) =>
    lineOf(planned, school, headOf(planned, school, placeId, named), newId),
  )
  const fault = begun.find((one) => !one.ok)
  if (fault && !fault.ok) return fault
  const made = begun.flatMap((one) => (one.ok ? [one] : []))
  return { ok: true, lines: made.map(({ line }) => line), entries: made.flatMap(({ entries }) => entries) }
}

function headOf(
  { tag, carries, joined }: TemplateLine,
  school: School,
  placeId: string,
  named: (carries: TemplateCarries) => string,
): LineHead {
  const { method, material, schedule = null, details = {} } = joined[school]
  const [series] = lineSeriesChoices(method, material, school)
  return {
    tag,
    name: named(carries),
    method,
    material,
    school,
    schedule,
    ...(series ? { series } : {}),
    details,
    placeId,
    ratingBar: null,
    insideOf: null,
  }
}

function lineOf(
  { entries: typed, falls, joined }: TemplateLine,
  school: School,
  head: LineHead,
  newId: () => string,
): { ok: true; line: Line; entries: Entry[] } | { ok: false; why: Msg } {
  const [size, small = size] = joined[school].sizes
  const lineId = newId()
  const empty: Line = { id: lineId, items: [], ...head, ...(falls ? { stands: { carries: falls } } : {}) }
  const text = typed.replaceAll('{size}', size).replaceAll('{small}', small)
  const placed = placeTexts(
    empty,
    [text],
    END,
    { begun: new Set(), newId, lines: NO_LINES },
    { units: school },
  )
  if (!placed.ok) return placed
  const { details, ...rest } = lineHead(empty)
  return {
    ok: true,
    line: { ...empty, items: placed.items },
    entries: [
      {
        kind: 'line-set',
        data: { lineId, ...rest, ...(Object.keys(details).length ? { details } : {}) },
      },
      ...(falls
        ? [
            { kind: 'line-stands', data: { lineId, stands: { carries: falls } } },
            { kind: 'around-said', data: { lineId, said: { service: 'drain' } } },
          ]
        : []),
      ...placed.edits.map(({ kind, data }) => ({ kind, data: { lineId, ...data } })),
    ],
  }
}
