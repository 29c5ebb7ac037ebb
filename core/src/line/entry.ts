import type { Held } from '../log/held.js'
import type { Msg } from '../methods/method.js'
import { msg } from '../sources/source.js'
import { type Reader, inchFraction, systemOf } from '../units/quantity.js'
import { parseLength, parseQuantity, unusualHere } from '../units/parse.js'
import { USUAL } from '../units/usual.js'
import { MM_PER_INCH } from '../units/units.js'
import type { Bend, Item, PartWay } from '../log/state.js'
import { methodOf } from '../methods/registry.js'
import { hasBranch } from '../parts/ends.js'
import { partIn, partNamed } from '../parts/vocabulary.js'
import { type EntryReader, type FittingEntry, fittingEntry, fittingText, suffixOf } from './fitting-entry.js'
import { type SpaceEntry, fallText, levelText, spaceEntry, withoutHeading } from './space/said.js'
import { parseRun } from './bends.js'
import { sizeFor } from './size-entry.js'
import type { Code } from '../sources/wording.js'

export const MEASURE_WORDS = {
  'centre-centre': 'c-c',
  'centre-face': 'c-f',
  'face-face': 'f-f',
  'end-end': 'e-e',
} as const
/** What a piece can be measured between. */
export const MEASURE_NAMES = Object.keys(MEASURE_WORDS) as (keyof typeof MEASURE_WORDS)[]
export const MEASURES: Readonly<Record<string, Item['measure']>> = {
  'c-c': 'centre-centre',
  cc: 'centre-centre',
  'c-f': 'centre-face',
  cf: 'centre-face',
  'f-f': 'face-face',
  ff: 'face-face',
  'e-e': 'end-end',
  ee: 'end-end',
}
export const LONGEST_MM = 100_000
/** Nobody leaves more than this free at a stop. */
const WIDEST_GAP_MM = 100

export type Entry =
  | FittingEntry
  /** `measuredMm` is null for a piece that is still to be measured. */
  | {
      ok: true
      type: 'piece'
      measure: Item['measure']
      measuredMm: number | null
      bend?: Bend
      gapMm?: number
      way?: PartWay
      /** Of a bent tube, where its first turn goes. */
      heading?: string
    }
  | SpaceEntry
  | { ok: true; type: 'repeat'; times: number }
  /** The second: the other one of a cross. */
  | { ok: true; type: 'branch'; second: boolean }
  | { ok: true; type: 'back' }
  | { ok: false; why: Msg }

/**
 * Reads one typed entry: `tee 110`, `elbow 90 63`, `reducer 110 63`, `valve 63 tag V2`, `1250 c-c`, `?` for a piece
 * still to be measured, `1250 c-c gap 3` where each end stays off its stop, `bent 400 90 500 -45 350 r 76`, `x3`,
 * `branch` into the tee and `..` back to the run; and where it lies: `from +2.400 east`, `elbow 90 up`, `tee 110 branch
 * down`, `fall 1:80`, `to +3.150`, `to Q1/F07`; what holds it: `anchor`, `guide 600`; and what sits on a pipe that stays
 * whole: `saddle 3/4 at 400`.
 * @example parseEntry('tee 50', { units: 'metric' }).ok // true
 */
export function parseEntry(text: string, reader: EntryReader, offered: readonly string[] = []): Entry {
  const words = text.trim().toLowerCase().replace(/\s+/g, ' ')
  const no = (code: Code, params: Record<string, string | number> = {}): { ok: false; why: Msg } => ({
    ok: false,
    why: msg(code, { text: text.trim(), school: reader.units, ...params }),
  })
  const repeat = /^x(\d{1,2})$/.exec(words)
  if (repeat && Number(repeat[1]) > 0) return { ok: true, type: 'repeat', times: Number(repeat[1]) }
  if (words === 'branch' || words === 'branch 2')
    return { ok: true, type: 'branch', second: words.endsWith('2') }
  if (words === '..') return { ok: true, type: 'back' }
  const space = spaceEntry(text, reader)
  if (space) return space
  if (/^(?:bent |\?|pipe(?: |$)|[-\d])/.test(words)) {
    const suffix = suffixOf(words, reader)
    if ('ok' in suffix) return suffix
    const piece = pieceSaid(suffix.rest, reader, no)
    return piece.ok && suffix.way ? { ...piece, way: suffix.way } : piece
  }
  const tag = / tag (\S+)$/i.exec(text.trim())?.[1] ?? null
  const { rest, heading } = withoutHeading(words.replace(/ tag \S+$/, ''))
  const placed = / at (\S.*)$/.exec(rest)
  const own = placed ? rest.slice(0, placed.index) : rest
  const body = heading === undefined ? own : withAngle(own, reader, offered)
  const entry = fittingEntry(body, reader, offered, tag) ?? no('entry-not-understood')
  if (!entry.ok) return entry
  const part = entry.own ?? partNamed(entry.fitting)
  const sits = part !== null && 'sits' in part && part.sits === true
  if (!sits && placed) return no('entry-not-understood')
  const alongMm = placed && parseLength(placed[1] as string, reader)
  if (sits && !placed) return no('entry-saddle-where', { fitting: entry.fitting })
  if (placed && !(alongMm !== null && alongMm > 0 && alongMm <= LONGEST_MM)) return no('entry-not-a-length')
  const along = alongMm === null ? {} : { alongMm }
  if (heading === undefined) return { ...entry, ...along }
  // Only what turns, or what something leaves by, has a way of its own.
  const form = sits ? 'turn' : part?.form
  return form === 'turn' || form === 'tee' || form === 'cross'
    ? { ...entry, ...along, heading }
    : no('space-does-not-turn', { fitting: entry.fitting })
}

const TURNING = /^((?:street )?(?:elbow|ell|bend|knee)) (\d+(?:\.\d+)?)(?= |$)/
/** No elbow turns less, degrees: a smaller figure is a size that is not made. */
const LEAST_TURN = 10
/** The figure after an elbow that is given a direction is its angle, where no pipe is made in it as a size. */
function withAngle(said: string, reader: EntryReader, offered: readonly string[]): string {
  const [all, name, figure] = TURNING.exec(said) ?? []
  if (!all || !figure || Number(figure) < LEAST_TURN || partIn(said)?.rest === said.slice(all.length).trim())
    return said
  return offered.includes(sizeFor(figure, reader, offered))
    ? said
    : `${name} ${figure}°${said.slice(all.length)}`
}

type PieceEntry = Extract<Entry, { type: 'piece' }> | { ok: false; why: Msg }
function pieceSaid(words: string, reader: Reader, no: No): PieceEntry {
  if (words.startsWith('bent ')) return bentEntry(words, reader, no)
  const unmeasured = /^(\?|pipe)(?: (\S+))?$/.exec(words)
  if (!unmeasured) return pieceEntry(words, reader, no)
  const measure = MEASURES[unmeasured[2] ?? 'c-c']
  return measure ? { ok: true, type: 'piece', measure, measuredMm: null } : no('entry-not-understood')
}
function pieceEntry(typed: string, reader: Reader, no: No): PieceEntry {
  const gap = / gap (.+)$/.exec(typed)
  const rest = gap ? typed.slice(0, gap.index) : typed
  const gapMm = gap ? parseLength(gap[1] as string, reader) : undefined
  if (gapMm === null || (gapMm ?? 0) > WIDEST_GAP_MM) return no('entry-gap')
  const match = /^(.*?)\s*(c-c|cc|c-f|cf|f-f|ff|e-e|ee)?$/.exec(rest)
  const measuredMm = parseLength(match?.[1] ?? '', reader)
  if (measuredMm === null || measuredMm <= 0) return no('entry-not-a-length')
  if (measuredMm > LONGEST_MM) return no('entry-too-long', { mm: measuredMm })
  const measure = MEASURES[match?.[2] ?? 'c-c'] ?? 'centre-centre'
  return { ok: true, type: 'piece', measure, measuredMm, ...(gapMm === undefined ? {} : { gapMm }) }
}

/**
 * A length typed without a unit that no piece has, and that one would have in the other system: both ways to say it,
 * so
 * that the person may be asked before it is set out. Null where nothing speaks for it.
 * @example doubtfulLength('8', { units: 'metric' }) // { own: '8 mm', other: '8 in' }
 */
export function doubtfulLength(text: string, reader: Reader): { own: string; other: string } | null {
  const match = /^(\S+)(?: ?(c-c|cc|c-f|cf|f-f|ff|e-e|ee))?$/i.exec(text.trim())
  const typed = match && parseQuantity(match[1] as string, 'length', reader)
  if (!match || !typed || unusualHere(typed, 'length', reader, USUAL.piece) === null) return null
  const [own, other] = systemOf(reader, 'length') === 'inch' ? ['in', 'mm'] : ['mm', 'in']
  const as = (unit: string): string => `${match[1]} ${unit}${match[2] ? ` ${match[2]}` : ''}`
  return { own: as(own as string), other: as(other as string) }
}

type No = (code: Code, p?: Record<string, string | number>) => { ok: false; why: Msg }
/** A bent tube: legs and turns, its radius, and what the first and last leg were measured to. */
function bentEntry(typed: string, reader: Reader, no: No): PieceEntry {
  const { rest: said, heading } = withoutHeading(typed)
  const match = /^bent (.+?) r ?(\S+)(?: (\S+))?$/.exec(said)
  const run = match && parseRun(match[1] as string, (text) => parseLength(text, reader))
  const radiusMm = match && parseLength(match[2] as string, reader)
  const measure = MEASURES[match?.[3] ?? 'c-c']
  if (!run || !radiusMm || !measure) return no('entry-bent')
  const measuredMm = run.legs.reduce((a, b) => a + b, 0)
  if (measuredMm > LONGEST_MM) return no('entry-too-long', { mm: measuredMm })
  return {
    ok: true,
    type: 'piece',
    measure,
    measuredMm,
    bend: { radiusMm, legsMm: run.legs, turnsDeg: run.turnsDeg },
    ...(heading === undefined ? {} : { heading }),
  }
}

/** What is usual from a part on, as it is typed; nothing where that is as before it. */
function wayText(way: PartWay | undefined, before: PartWay | undefined): string {
  if (!way?.material || (way.material === before?.material && way.method === before.method)) return ''
  const said = way.method ? methodOf(way.method)?.ends[0]?.said : undefined
  const word = said?.find((one) => one === way.method) ?? said?.[0]
  return ` in ${way.material.replaceAll('-', ' ')}${word ? ` ${word}` : ''}`
}
/** What an entry is written beside: the size that it is put on, what was usual there, the sizes of the pipe here. */
interface Beside {
  size?: string | null
  way?: PartWay | undefined
  offered?: readonly string[]
}
/**
 * A part as the entry that sets it out, and, set off by semicolons, what was said of where it lies.
 * @param reader whose figures they are. @param before what need not be said again.
 */
export function entryText(item: Item, reader: Reader, before: Beside = {}): string {
  const heading = item.heading
    ? ` ${item.type === 'fitting' && hasBranch(item) ? 'branch ' : ''}${item.heading}`
    : ''
  const main =
    item.toLevelMm === undefined
      ? partText(item, reader, before) + heading
      : `to ${levelText(item.toLevelMm, reader)}`
  return [
    main,
    ...(item.meets ? [`to ${item.meets}`] : []),
    ...(item.falls === undefined ? [] : [fallText(item.falls)]),
    ...(item.branchFalls === undefined ? [] : [`branch ${fallText(item.branchFalls)}`]),
    ...(item.held ?? []).map((held) => heldText(held, reader)),
  ].join('; ')
}
const heldText = ({ as, atMm }: Held, reader: Reader): string =>
  atMm === undefined ? as : `${as} ${figure(atMm, reader)}`
function partText(item: Item, reader: Reader, before: Beside): string {
  const way = wayText(item.way, before.way)
  if (item.bend) {
    const { legsMm, turnsDeg, radiusMm } = item.bend
    const run = legsMm.flatMap((legMm, i) => [
      figure(legMm, reader),
      ...(turnsDeg[i] === undefined ? [] : [String(turnsDeg[i])]),
    ])
    return `bent ${run.join(' ')} r ${figure(radiusMm, reader)} ${MEASURE_WORDS[item.measure ?? 'centre-centre']}${way}`
  }
  if (item.type === 'piece') {
    const gap = item.gapMm !== undefined ? ` gap ${figure(item.gapMm, reader)}` : ''
    return `${item.measuredMm === null ? '?' : figure(item.measuredMm, reader)} ${MEASURE_WORDS[item.measure ?? 'centre-centre']}${gap}${way}`
  }
  const along = item.alongMm === undefined ? '' : ` at ${figure(item.alongMm, reader)}`
  return fittingText(item, reader, before.size ?? null, before.offered) + way + along
}
const figure = (mm: number, reader: Reader): string =>
  systemOf(reader, 'length') === 'inch'
    ? inchFraction(mm / MM_PER_INCH)
    : String(Math.round(mm * 10) / 10).replace('.', reader.decimal ?? '.')
/**
 * What is typed to set out a group. @param name of the group.
 * @example useGroup('drop') // 'use drop'
 */
export const useGroup = (name: string): string => `use ${name}`
