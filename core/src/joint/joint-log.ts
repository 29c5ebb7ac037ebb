import { MARKS_APART } from '../methods/kit/marks-meet.js'
import type { Field, Life, Step } from '../methods/method.js'
import * as fmt from '../units/format.js'
import { type Reader, unitOf } from '../units/quantity.js'
import { tagOrder } from '../units/tag-order.js'
import { answerSaid, isWorded, say } from '../words/words.js'
import { type JointFacts, jointFacts } from './assess.js'
import { jointPlaces } from './lookup.js'
import type { JobState } from '../log/state.js'

/** A table with its headings. */
export interface Table {
  columns: string[]
  rows: string[][]
}
const clocks = new Map<string, Intl.DateTimeFormat>()
/** `2026-11-27 14:05` in a zone: sorts as it reads. */
function stamp(atS: number, zone: string): string {
  let format = clocks.get(zone)
  if (!format)
    clocks.set(
      zone,
      (format = new Intl.DateTimeFormat('sv-SE', {
        timeZone: zone,
        dateStyle: 'short',
        timeStyle: 'short',
      })),
    )
  return format.format(atS * 1000)
}
/** What stands behind a figure that is counted, the same in both schools. */
const COUNTED: Partial<Record<NonNullable<Field['unit']>, string>> = { deg: '°', pct: ' %' }
/** A figure of this size is said in the unit of its kind that heads the column. */
const WHOLE = 100
/** Wider than this a thing is measured with a tape, not gauged, mm. */
const GAUGED_MM = 25
/** Is this length gauged with a feeler or a caliper, to hundredths, rather than measured with a tape? */
export const isGauged = (field: Field): boolean =>
  field.gauged === true || (field.max ?? Infinity) <= GAUGED_MM
function figureOf(field: Field, value: number, reader: Reader): string {
  switch (field.unit) {
    case 'mm':
      return isGauged(field) ? fmt.thickness(value, reader) : fmt.length(value, reader)
    case 'C':
      return fmt.temperature(value, reader)
    case 'Nm':
      return fmt.torque(value, reader)
    case 'bar':
      return fmt.pressure(value, reader)
    case 'turns':
      return say({ code: 'reading-turns', params: { turns: Math.round(value * 100) / 100 } }, reader)
    default:
      return `${fmt.number(value, 2)}${COUNTED[field.unit ?? 'none'] ?? ''}`
  }
}
/** A reading as people write it down: the figure in the reader's units, or the answer; empty for a drawing or nothing. */
export function readingSaid(field: Field, value: unknown, reader: Reader): string {
  if (typeof value === 'number') return figureOf(field, value, reader)
  if (typeof value !== 'string') return ''
  const own = `${field.key}-${value}`
  // Where a finding has the name of the answer, the answer is the short one.
  const code = [`${own}-short`, own].find(isWorded)
  return code ? say({ code, params: {} }, reader) : answerSaid(field.key, value)
}
/** The same with what was read before it. */
function readingOf(field: Field, value: unknown, reader: Reader): string {
  const said = readingSaid(field, value, reader)
  return said ? `${say(field.label, reader)}: ${said}` : ''
}
const lastOf = (life: Life, steps: readonly Step[], reaches: Step['reaches']) =>
  life.done.findLast((d) => steps.find((s) => s.id === d.step)?.reaches === reaches)

/** What became of one making of a joint. */
export type LifeOutcome = 'cut-out' | 'good' | 'failed' | 'open'
function outcomeOf(facts: JointFacts, life: Life): LifeOutcome {
  if (life.cutOutAtS !== undefined) return 'cut-out'
  const verdict = facts.inspection?.verdict
  return verdict === 'pass' ? 'good' : verdict === 'fail' ? 'failed' : 'open'
}
/** One making of a joint, told for people. */
export interface LifeTold {
  no: number
  /** Epoch s; null where it was not made, not judged, not cut out. */
  madeAtS: number | null
  judgedAtS: number | null
  cutOutAtS: number | null
  /** Ids of whoever did a step of it. */
  by: readonly string[]
  /** Each reading by its name, in the units of who reads. */
  readings: readonly string[]
  /** What was found when it was judged, in sentences. */
  found: readonly string[]
  /** Ids of the things it was made with, its tin too. */
  tools: readonly string[]
  /** Written down afterwards, in part or whole. */
  fromMemory: boolean
  outcome: LifeOutcome
}
/** Every making of a joint, in order, those that were cut out too. @param reader whose language and units it is in. */
export function livesTold(facts: JointFacts, reader: Reader): LifeTold[] {
  const lives = facts.life ? [...facts.past, facts.life] : [...facts.past]
  return lives.map((life) => {
    const readings = facts.steps.flatMap((step) =>
      step.reads.flatMap((field) => {
        const done = life.done.findLast((d) => d.step === step.id && d.readings[field.key] !== undefined)
        return done ? readingOf(field, done.readings[field.key], reader) || [] : []
      }),
    )
    const marks = life.done.findLast((d) => d.readings[MARKS_APART.key] !== undefined)
    if (marks) readings.push(readingOf(MARKS_APART, marks.readings[MARKS_APART.key], reader))
    const found = life === facts.life ? (facts.inspection?.findings ?? []) : []
    return {
      no: life.no,
      madeAtS: lastOf(life, facts.steps, 'made')?.latestS ?? null,
      judgedAtS: lastOf(life, facts.steps, 'verified')?.latestS ?? null,
      cutOutAtS: life.cutOutAtS ?? null,
      by: [...new Set(life.done.map((d) => d.by))],
      readings,
      found: found.map((f) => say(f, reader)),
      tools: [...new Set(life.done.flatMap((d) => d.tools ?? []))],
      fromMemory: life.done.some((d) => d.fromMemory),
      outcome: outcomeOf(facts, life),
    }
  })
}
/** As it stands in the table, which machines read too. */
const IN_TABLE: Readonly<Record<LifeOutcome, string>> = {
  'cut-out': 'cut out',
  good: 'judged good',
  failed: 'judged failed',
  open: 'open',
}

/**
 * The joint log for people: a row for each life of each joint, by tag, times in the job's zone, figures in the units of
 * who reads. @param nameOf name of a person by id. @param only joints it is about; all where none are named.
 */
export function jointLog(
  state: JobState,
  nameOf: (personId: string) => string,
  reader: Reader,
  only?: ReadonlySet<string>,
): Table {
  const { zone } = state.job
  const units = (['length', 'temperature', 'torque', 'pressure'] as const).map((kind) =>
    unitOf(kind, reader, WHOLE),
  )
  const columns = [
    'line',
    'joint',
    'size',
    'joined by',
    'into',
    'life',
    `made (${zone})`,
    `judged (${zone})`,
    'by',
    `readings (${units.join(', ')})`,
    'found',
    'tools',
    'outcome',
    `cut out (${zone})`,
  ]
  const rows: string[][] = []
  const places = [...jointPlaces(state).values()].sort((a, b) => tagOrder(a.tag, b.tag))
  for (const place of places) {
    if (only && !only.has(place.jointId)) continue
    const facts = jointFacts(state, place.jointId, 'coldest', state.lastAtS)
    if (!facts) continue
    const at = (atS: number | null): string => (atS === null ? '' : stamp(atS, zone))
    for (const life of livesTold(facts, reader))
      rows.push([
        place.line.tag,
        place.tag,
        place.way.size,
        facts.method ? say(facts.method.name, reader) : place.way.method,
        [place.fitting?.fitting, place.fitting?.tag].filter(Boolean).join(' '),
        String(life.no),
        at(life.madeAtS),
        at(life.judgedAtS),
        life.by.map(nameOf).join(', '),
        life.readings.join('; '),
        life.found.join(' '),
        life.tools.map((id) => state.store.get(id)?.name ?? '').join(', '),
        IN_TABLE[life.outcome],
        at(life.cutOutAtS),
      ])
  }
  return { columns, rows }
}
