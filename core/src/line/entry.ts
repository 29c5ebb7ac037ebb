import type { Msg } from '../methods/method.js'
import { msg } from '../sources/source.js'
import { type Reader, type System, inchFraction, systemOf } from '../units/quantity.js'
import { parseLength, parseQuantity, unusualHere } from '../units/parse.js'
import { USUAL } from '../units/usual.js'
import { MM_PER_INCH } from '../units/units.js'
import type { Bend, Item } from '../log/state.js'
import { parseRun } from './bends.js'
import type { Code } from '../sources/wording.js'

/** Fittings the entry line knows; the first of each pair is what is stored. */
export const FITTINGS: readonly (readonly [string, readonly string[]])[] = [
  ['elbow 90', ['elbow 90', 'elbow', 'ell']],
  ['elbow 45', ['elbow 45']],
  ['tee', ['tee', 't']],
  ['reducer', ['reducer', 'red']],
  ['coupling', ['coupling', 'socket', 'coup']],
  ['slip coupling', ['slip coupling', 'slip']],
  ['union', ['union']],
  ['valve', ['valve', 'ball valve']],
  ['gate valve', ['gate valve', 'gate']],
  ['butterfly valve', ['butterfly valve', 'butterfly']],
  ['flange', ['flange']],
  ['cap', ['cap', 'end cap']],
  ['tank adapter', ['tank adapter', 'tank']],
]
export const MEASURE_WORDS = {
  'centre-centre': 'c-c',
  'centre-face': 'c-f',
  'face-face': 'f-f',
  'end-end': 'e-e',
} as const
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
  | { ok: true; type: 'fitting'; fitting: string; sizes: string[]; tag: string | null }
  /** `measuredMm` is null for a piece that is still to be measured. */
  | {
      ok: true
      type: 'piece'
      measure: Item['measure']
      measuredMm: number | null
      bend?: Bend
      gapMm?: number
    }
  | { ok: true; type: 'repeat'; times: number }
  | { ok: true; type: 'branch' }
  | { ok: true; type: 'back' }
  | { ok: false; why: Msg }

/**
 * Reads one typed entry: `tee 110`, `elbow 90 63`, `reducer 110 63`, `valve 63 tag V2`, `1250 c-c`, `?` for a piece
 * still to be measured, `1250 c-c gap 3` where each end stays off its stop, `bent 400 90 500 -45 350 r 76`, `x3`,
 * `branch` into the tee and `..` back to the run.
 * @example parseEntry('tee 50', { units: 'metric' }).ok // true
 */
export function parseEntry(text: string, reader: Reader, offered: readonly string[] = []): Entry {
  const words = text.trim().toLowerCase().replace(/\s+/g, ' ')
  const no = (code: Code, params: Record<string, string | number> = {}): Entry => ({
    ok: false,
    why: msg(code, { text: text.trim(), ...params }),
  })
  const repeat = /^x(\d{1,2})$/.exec(words)
  if (repeat && Number(repeat[1]) > 0) return { ok: true, type: 'repeat', times: Number(repeat[1]) }
  if (words === 'branch') return { ok: true, type: 'branch' }
  if (words === '..') return { ok: true, type: 'back' }
  if (words.startsWith('bent ')) return bentEntry(words, reader, no)
  const unmeasured = /^(\?|pipe)(?: (\S+))?$/.exec(words)
  if (unmeasured) {
    const measure = MEASURES[unmeasured[2] ?? 'c-c']
    return measure ? { ok: true, type: 'piece', measure, measuredMm: null } : no('entry-not-understood')
  }
  if (/^[-\d]/.test(words)) return pieceEntry(words, reader, no)
  const tag = / tag (\S+)$/i.exec(text.trim())?.[1] ?? null
  const body = words.replace(/ tag \S+$/, '')
  const names = FITTINGS.flatMap(([name, words]) => words.map((w) => ({ name, w }))).sort(
    (a, b) => b.w.length - a.w.length,
  )
  const hit = names.find(({ w }) => body === w || body.startsWith(`${w} `))
  if (!hit) return no('entry-not-understood')
  const rest = body.slice(hit.w.length).trim()
  const sizes = rest ? rest.split(/(?<!dn|nps|cts|od|bpe)[ x]+/).map((s) => sizeFor(s, reader, offered)) : []
  return { ok: true, type: 'fitting', fitting: hit.name, sizes, tag }
}

/** Families that a bare figure may mean, likeliest first. */
const BARE: Readonly<Record<System, readonly string[]>> = {
  metric: ['d', 'DN '],
  inch: ['NPS ', 'CTS ', 'OD ', 'BPE '],
}
/**
 * A typed size as sizes are written: by its own family, else by what the line's pipe is made in.
 * @example sizeFor('50', { units: 'metric' }, ['d50', 'd63']) // 'd50'
 */
export function sizeFor(typed: string, reader: Reader, offered: readonly string[]): string {
  const named = /^(dn|nps|cts|od|bpe) ?(.+)$/.exec(typed)
  if (named) return `${(named[1] as string).toUpperCase()} ${named[2]}`
  if (offered.includes(typed)) return typed
  const figure = typed.replace(/^d/, '')
  const made = BARE[reader.units].map((f) => `${f}${figure}`).find((s) => offered.includes(s))
  return made ?? `${BARE[reader.units][0]}${figure}`
}

function pieceEntry(typed: string, reader: Reader, no: No): Entry {
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

type No = (code: Code, p?: Record<string, string | number>) => Entry
/** A bent tube: legs and turns, its radius, and what the first and last leg were measured to. */
function bentEntry(said: string, reader: Reader, no: No): Entry {
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
  }
}

/** A part as the entry that sets it out. @param reader whose figures they are. @param after the size that came before it. */
export function entryText(item: Item, reader: Reader, after: string | null = null): string {
  if (item.bend) {
    const { legsMm, turnsDeg, radiusMm } = item.bend
    const run = legsMm.flatMap((legMm, i) => [
      figure(legMm, reader),
      ...(turnsDeg[i] === undefined ? [] : [String(turnsDeg[i])]),
    ])
    return `bent ${run.join(' ')} r ${figure(radiusMm, reader)} ${MEASURE_WORDS[item.measure ?? 'centre-centre']}`
  }
  if (item.type === 'piece') {
    const gap = item.gapMm !== undefined ? ` gap ${figure(item.gapMm, reader)}` : ''
    return `${item.measuredMm === null ? '?' : figure(item.measuredMm, reader)} ${MEASURE_WORDS[item.measure ?? 'centre-centre']}${gap}`
  }
  const sizes = [item.size, item.size2].filter((s): s is string => s !== null)
  const same = item.size === after && sizes.length === 1
  return [item.fitting, ...(same ? [] : sizes.map((x) => bare(x, reader)))].join(' ')
}
const figure = (mm: number, reader: Reader): string =>
  systemOf(reader, 'length') === 'inch'
    ? inchFraction(mm / MM_PER_INCH)
    : String(Math.round(mm * 10) / 10).replace('.', reader.decimal ?? '.')
/** A size as it is typed: the figure alone where the family is the first that a bare figure means. */
const bare = (size: string, reader: Reader): string =>
  size.startsWith(BARE[reader.units][0] as string)
    ? size.slice((BARE[reader.units][0] as string).length)
    : size

/**
 * What is typed to set out a group. @param name of the group.
 * @example useGroup('drop') // 'use drop'
 */
export const useGroup = (name: string): string => `use ${name}`

/**
 * Entries that go on from what is typed, likeliest first: fittings, their sizes as last used, groups.
 * @example completions('el', [], []) // ['elbow 90', 'elbow 45']
 */
export function completions(typed: string, lately: readonly string[], groups: readonly string[]): string[] {
  const said = typed.toLowerCase().replace(/^\s+/, '')
  if (!said) return []
  const words = [...lately, ...FITTINGS.map(([name]) => name), ...groups.map(useGroup), 'branch', '..']
  return [...new Set(words)]
    .filter((w) => w.toLowerCase().startsWith(said) && w.toLowerCase() !== said)
    .slice(0, 6)
}
