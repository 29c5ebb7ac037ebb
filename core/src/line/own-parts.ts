import Papa from 'papaparse'
import { FIGURES_OF, FORMS, type OwnShape, SIGN_REACH } from '../log/own-form.js'
import { type Item, type JobState, type TakeOff, takeOffKey } from '../log/state.js'
import { endKindSaid, endKindWritten, endSize, partOf } from '../parts/ends.js'
import type { EndAt } from '../parts/neighbours.js'
import { ENDS_OF, type OwnPart, type OwnTakeOff } from '../parts/own-part.js'
import { isShut, partIn } from '../parts/vocabulary.js'
import { parseSize } from '../sizes/size.js'
import type { Code } from '../sources/wording.js'
import { type Msg, msg } from '../sources/source.js'
import { once } from '../units/memo.js'
import { type TakeOffFault, takeOffCells } from './library.js'
import { takeOffFor } from './piece.js'

/** A part of a house's own as a line has it: without its take-offs, which are the job's. */
export const ownPartIn = (item: Item): OwnPart => ({
  name: item.fitting ?? '',
  form: item.own?.form ?? 'through',
  ...(item.own?.turnDeg === undefined ? {} : { turnDeg: item.own.turnDeg }),
  shapes: item.own?.shapes ?? [],
  ends: partOf(item).ends.map((_, at) => {
    const kind = item.ends?.[at]?.kind
    return kind === undefined ? 'usual' : endKindWritten(kind)
  }),
  takeOffs: [],
})
/** Parts of a house's own that stand in a job's lines: they are known there whatever became of them since. */
export const ownPartsIn = once((state: JobState): readonly OwnPart[] => {
  const out = new Map<string, OwnPart>()
  for (const line of state.lines.values())
    for (const item of line.items)
      if (item.own && item.fitting && !out.has(item.fitting)) out.set(item.fitting, ownPartIn(item))
  return [...out.values()]
})
/** Parts that may be typed in a job: those of the house as they are now, and those that stand there already. */
export const partsToType = (state: JobState, house: readonly OwnPart[]): OwnPart[] => {
  const named = new Set(house.map(({ name }) => name))
  return [...house, ...ownPartsIn(state).filter(({ name }) => !named.has(name))]
}

/** Take-offs that a part brings along into a job that has none of them yet, as the data of their events. */
export function takeOffsBrought(
  state: JobState,
  items: readonly Item[],
  house: readonly OwnPart[],
): {
  fitting: string
  size: string
  size2: string | null
  takeOffMm: number
  takeOffTo: TakeOff['takeOffTo']
}[] {
  const had = new Set(state.takeOffs.keys())
  return items.flatMap((item) => {
    const part = item.own && house.find(({ name }) => name === item.fitting)
    const turned = part && isTurned(item, part)
    return (part?.takeOffs ?? []).flatMap(({ end: said, size, mm, to }) => {
      const end = turned && said < 2 ? 1 - said : said
      if (endSize(item, end as EndAt) !== size) return []
      const at = takeOffFor(item, end as EndAt)
      const key = takeOffKey(at.name, at.size, at.size2)
      if (had.has(key)) return []
      had.add(key)
      return [{ fitting: at.name, size: at.size, size2: at.size2, takeOffMm: mm, takeOffTo: to }]
    })
  })
}

/** Does a part of two unlike ends stand the other way round in its line? */
function isTurned(item: Item, { ends }: OwnPart): boolean {
  const kind = item.ends?.[0]?.kind
  const isFirst = (word: string | undefined): boolean =>
    word === 'usual'
      ? kind === undefined
      : (['inch', 'metric'] as const).some((school) => endKindSaid(word ?? '', school) === kind)
  return ends.length === 2 && !isFirst(ends[0]) && isFirst(ends[1])
}

/** Why a part cannot be called or made so; null where it can. */
export function ownPartFault(part: OwnPart): { field: string; says: Msg } | null {
  const name = part.name.trim()
  if (!/^[a-z][a-z0-9-]*(?: [a-z0-9-]+){0,4}$/.test(name) || name.length > 40)
    return { field: 'name', says: msg('own-name', { name }) }
  if (partIn(name)?.rest === '') return { field: 'name', says: msg('own-name-taken', { name }) }
  if (RESERVED.test(name)) return { field: 'name', says: msg('own-name-reserved', { name }) }
  if (part.form === 'turn' && part.turnDeg === undefined) return { field: 'turnDeg', says: msg('own-turn') }
  if (part.ends.length !== ENDS_OF[part.form])
    return { field: 'ends', says: msg('own-ends', { ends: ENDS_OF[part.form], form: part.form }) }
  const shut = part.ends.filter(isShut).length
  if (shut !== (part.form === 'end' ? 1 : 0) || isShut(part.ends[0] as string))
    return { field: 'ends', says: msg(part.form === 'end' ? 'own-end-shuts' : 'own-end-shut') }
  const unknown = part.ends.find((end) => !isEnd(end))
  if (unknown !== undefined) return { field: 'ends', says: msg('own-end-unknown', { text: unknown }) }
  const stray = part.takeOffs.find(({ size }) => !parseSize(size))
  if (stray) return { field: 'takeOffs', says: msg('size-not-read', { text: stray.size }) }
  const over = part.takeOffs.find(({ end }) => end >= part.ends.length)
  if (over)
    return { field: 'takeOffs', says: msg('own-take-off-end', { end: over.end + 1, ends: part.ends.length }) }
  return null
}
/** How entries begin that are no fittings. */
const RESERVED =
  /^(?:(?:from|to|fall|rise|branch|anchor|guide|bent|pipe|use|tag|x\d+)\b|flow (?:on|back|off)$)/
const isEnd = (word: string): boolean =>
  word === 'usual' || isShut(word) || endKindSaid(word, 'inch') !== null

/** First line of a list of parts as CSV: a part in as many rows as it has take-offs, at least one. */
export const OWN_HEADER = [
  'name',
  'form',
  'turn',
  'ends',
  'end',
  'size',
  'take-off',
  'unit',
  'to',
  'drawing',
] as const
const ENDS_SAID: readonly string[] = ['in', 'on', 'branch', 'branch 2']

/**
 * Shapes as they are typed: `line -8 -8 8 8; circle 0 0 6 filled`. Null where they are not.
 * @example shapesSaid('circle 0 0 6') // [{ kind: 'circle', at: [0, 0, 6] }]
 */
export function shapesSaid(text: string): OwnShape[] | null {
  const out: OwnShape[] = []
  for (const one of text
    .split(';')
    .map((each) => each.trim())
    .filter(Boolean)) {
    const [kind = '', ...rest] = one.toLowerCase().split(/\s+/)
    const filled = rest.at(-1) === 'filled'
    const at = (filled ? rest.slice(0, -1) : rest).map(Number)
    const known = (Object.keys(FIGURES_OF) as OwnShape['kind'][]).find((each) => each === kind)
    if (!known || at.length !== FIGURES_OF[known] || !at.every((x) => Math.abs(x) <= SIGN_REACH)) return null
    out.push({ kind: known, at, ...(filled ? { filled } : {}) })
  }
  return out
}
/**
 * The same written.
 * @example shapesText([{ kind: 'circle', at: [0, 0, 6] }]) // 'circle 0 0 6'
 */
export const shapesText = (shapes: readonly OwnShape[]): string =>
  shapes.map(({ kind, at, filled }) => [kind, ...at, ...(filled ? ['filled'] : [])].join(' ')).join('; ')

/** Parts of a house as CSV. */
export const ownPartsCsv = (parts: readonly OwnPart[]): string =>
  Papa.unparse(
    [
      OWN_HEADER,
      ...parts.flatMap((part) => {
        const head = [part.name, part.form, part.turnDeg ?? '', part.ends.join(' x ')]
        const rows = part.takeOffs.map(({ end, size, mm, to }) => [ENDS_SAID[end], size, mm, 'mm', to])
        return (rows.length ? rows : [['', '', '', '', '']]).map((row, i) => [
          ...(i ? [part.name, '', '', ''] : head),
          ...row,
          i ? '' : shapesText(part.shapes),
        ])
      }),
    ] as unknown[][],
    { escapeFormulae: true },
  )

export type OwnPartsRead = { ok: true; parts: OwnPart[] } | { ok: false; faults: TakeOffFault[] }
type Row = Record<(typeof OWN_HEADER)[number], string>
/**
 * Reads a list of parts. Every bad row is named by its line; one is enough for nothing to be taken.
 * @example readOwnParts('name,form').ok // false
 */
export function readOwnParts(csv: string): OwnPartsRead {
  const table = Papa.parse<string[]>(csv.trim(), { skipEmptyLines: true }).data
  const head = (table[0] ?? []).map((cell) => cell.trim().toLowerCase())
  if (head.join() !== OWN_HEADER.join())
    return {
      ok: false,
      faults: [{ line: 1, column: '', says: msg('chart-header', { header: OWN_HEADER.join(',') }) }],
    }
  const faults: TakeOffFault[] = []
  const parts = new Map<string, OwnPart & { line: number }>()
  table.slice(1).forEach((cells, i) => {
    const line = i + 2
    const row = rowOf(cells)
    const name = 'says' in row ? '' : row.name.toLowerCase()
    const part = 'says' in row ? row : (parts.get(name) ?? partFrom(row, name))
    if ('says' in part) return void faults.push({ line, ...part })
    const own = { line, ...part }
    parts.set(name, own)
    const takeOff = takeOffFrom(row as Row)
    if (takeOff && 'says' in takeOff) return void faults.push({ line, ...takeOff })
    if (takeOff) parts.set(name, { ...own, takeOffs: [...own.takeOffs, takeOff] })
  })
  for (const { line, ...part } of parts.values()) {
    const wrong = ownPartFault(part)
    if (wrong) faults.push({ line, column: COLUMN_OF[wrong.field] ?? 'name', says: wrong.says })
  }
  if (!parts.size && !faults.length) faults.push({ line: 2, column: '', says: msg('chart-empty') })
  faults.sort((a, b) => a.line - b.line)
  return faults.length
    ? { ok: false, faults }
    : { ok: true, parts: [...parts.values()].map(({ line: _line, ...part }) => part) }
}
const COLUMN_OF: Readonly<Record<string, string>> = {
  turnDeg: 'turn',
  takeOffs: 'size',
  ends: 'ends',
}
type Bad = Omit<TakeOffFault, 'line'>
const bad = (column: string, code: Code, params: Record<string, string | number> = {}): Bad => ({
  column,
  says: msg(code, params),
})
const rowOf = (cells: readonly string[]): Row | Bad =>
  cells.length === OWN_HEADER.length
    ? (Object.fromEntries(OWN_HEADER.map((name, at) => [name, (cells[at] ?? '').trim()])) as Row)
    : bad('', 'chart-columns', { columns: cells.length, wanted: OWN_HEADER.length })
/** A part by its first row. */
function partFrom(row: Row, name: string): OwnPart | Bad {
  const form = FORMS.find((one) => one === row.form.toLowerCase())
  if (!form) return bad('form', 'own-form', { text: row.form, forms: FORMS.join(', ') })
  const turnDeg = row.turn === '' ? undefined : Number(row.turn.replace(',', '.'))
  if (turnDeg !== undefined && !(turnDeg > 0 && turnDeg < 180)) return bad('turn', 'own-turn')
  const shapes = shapesSaid(row.drawing)
  if (!shapes) return bad('drawing', 'own-drawing', { reach: SIGN_REACH })
  const ends = row.ends.toLowerCase().split(/\s+x\s+/)
  return { name, form, ...(turnDeg === undefined ? {} : { turnDeg }), shapes, ends, takeOffs: [] }
}
/** The take-off of a row; null where it has none. */
function takeOffFrom(row: Row): OwnTakeOff | Bad | null {
  if ([row.end, row.size, row['take-off'], row.to].every((cell) => cell === '')) return null
  const end = ENDS_SAID.indexOf(row.end.toLowerCase())
  if (end < 0) return bad('end', 'own-which-end', { text: row.end, ends: ENDS_SAID.join(', ') })
  if (!parseSize(row.size)) return bad('size', 'size-not-read', { text: row.size })
  const read = takeOffCells(row['take-off'], row.unit, row.to.toLowerCase())
  return 'says' in read ? read : { end, size: row.size, mm: read.takeOffMm, to: read.takeOffTo }
}
