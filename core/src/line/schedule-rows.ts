import { methodOf } from '../methods/registry.js'
import { type Msg, msg } from '../sources/source.js'
import { parseLength } from '../units/parse.js'
import { LOOSE } from '../parts/neighbours.js'
import type { Item, Line } from '../log/state.js'
import { LONGEST_MM, MEASURES, parseEntry } from './entry.js'
import { endedItem } from './fitting-item.js'
import { blankItem } from './blank.js'
import { isMade, sizeFor } from './size-entry.js'
import { endOf } from '../parts/ends.js'
import type { FittingEntry } from './fitting-entry.js'
import type { ReadLine, RowFault, ScheduleAsk, ScheduleField } from './schedule.js'
import { itemPrefix, tagsAfter } from './tags.js'

interface Building extends ReadLine {
  /** The fitting that the next piece starts in, by its text. */
  end: { text: string; item: Item } | null
  run: string | undefined
  runs: number
  tagFor: Record<Item['type'], () => string>
}

/** Reads one row after another into the lines they make. */
export class RowReader {
  private readonly byTag = new Map<string | null, Building>()
  private readonly seen = new Map<string, number>()
  private readonly pieces = new Map<string, { line: Building; item: Item; joints: number }>()
  private readonly made = new Map<string, boolean>()
  private readonly offered: readonly string[]
  constructor(
    private readonly ask: ScheduleAsk,
    private readonly like: Line,
    private readonly newId: () => string,
    private readonly faults: RowFault[],
  ) {
    this.offered = methodOf(like.method)?.sizes(like.material) ?? []
    for (const item of like.items)
      for (const tag of [item.tag, ...item.jointTags]) if (tag) this.seen.set(tag, 0)
  }
  lines = (): ReadLine[] => [...this.byTag.values()].map(({ tag, items }) => ({ tag, items }))

  row(cells: readonly (string | null)[], row: number): void {
    const get = (field: ScheduleField): string => {
      const at = this.ask.columns[field]
      return at === undefined ? '' : (cells[at] ?? '').trim()
    }
    const had = this.faults.length
    const bad = (field: ScheduleField, says: Msg): null => {
      this.faults.push({ row, field, says })
      return null
    }
    const lineTag = get('line')
    if (lineTag && !/^[A-Za-z0-9]{1,12}$/.test(lineTag))
      return void bad('line', msg('schedule-line-tag', { text: lineTag }))
    const line = this.line(lineTag && lineTag !== this.like.tag ? lineTag : null)
    const size = this.size(get('size'), 'size', bad)
    if (this.ask.mode === 'parts') {
      const what = get('what').toLowerCase()
      if (what === 'pipe' || what === 'piece' || (!what && get('length'))) {
        const piece = this.piece(size, get, bad)
        if (piece && this.faults.length === had) this.put(line, piece, row, 'tag', get('tag'))
      } else {
        const size2 = get('size2') ? this.size(get('size2'), 'size2', bad) : null
        const fitting = this.fitting(line, what, size, size2, 'what', bad)
        if (fitting && this.faults.length === had) this.put(line, fitting, row, 'tag', get('tag'))
      }
    } else if (this.ask.mode === 'pieces') this.pieceRow(line, size, get, bad, row, had)
    else this.jointRow(line, size, get, bad, row, had)
  }

  private pieceRow(line: Building, size: string | null, get: Get, bad: Bad, row: number, had: number): void {
    const piece = this.piece(size, get, bad)
    const [from, to] = [get('from'), get('to')]
    const first = from && from !== line.end?.text ? this.fitting(line, from, size, null, 'from', bad) : null
    const last = to ? this.fitting(line, to, size, null, 'to', bad) : null
    if (!piece || this.faults.length > had) return
    if (this.isSawList()) line.run = LOOSE
    else if (first || (!from && !line.end)) this.newRun(line)
    if (first) this.put(line, first, row, 'from', '')
    for (const [end, field] of [
      [0, 'jointA'],
      [1, 'jointB'],
    ] as const)
      if (get(field) && this.unique(get(field), row, field)) {
        piece.joints[end] = this.newId()
        piece.jointTags[end] = get(field)
      }
    this.put(line, piece, row, 'tag', get('tag'))
    if (last) this.put(line, last, row, 'to', '')
    line.end = last && { text: to, item: last }
  }

  /** A joint: its piece is the one named, or one of its own that is still to be measured. */
  private jointRow(line: Building, size: string | null, get: Get, bad: Bad, row: number, had: number): void {
    const text = get('fitting')
    const fitting = this.fitting(line, text, size, null, 'fitting', bad)
    const name = get('piece')
    const known = name ? this.pieces.get(`${line.tag} ${name}`) : undefined
    if (known && known.joints === 2) return void bad('piece', msg('schedule-three-joints', { piece: name }))
    const piece = known ? known.item : this.piece(size, get, bad)
    if (!fitting || !piece || this.faults.length > had) return
    if (!this.unique(get('joint'), row, 'joint')) return
    const end = known ? 1 : 0
    piece.joints[end] = this.newId()
    piece.jointTags[end] = get('joint')
    if (known) {
      known.joints = 2
      this.put(line, fitting, row, 'fitting', '')
      line.end = { text, item: fitting }
      return
    }
    if (text !== line.end?.text) {
      this.newRun(line)
      this.put(line, fitting, row, 'fitting', '')
    }
    this.put(line, piece, row, 'piece', name)
    if (name) this.pieces.set(`${line.tag} ${name}`, { line, item: piece, joints: 1 })
    line.end = null
  }

  private line(tag: string | null): Building {
    let line = this.byTag.get(tag)
    if (!line) {
      const own = { tag: tag ?? this.like.tag }
      const taken = tag === null ? this.like.items.map((i) => i.tag) : []
      const tagFor = {
        fitting: tagsAfter(itemPrefix(own.tag, 'fitting'), taken),
        piece: tagsAfter(itemPrefix(own.tag, 'piece'), taken),
      }
      this.byTag.set(tag, (line = { tag, items: [], end: null, run: undefined, runs: 0, tagFor }))
    }
    return line
  }
  /** What follows does not depend on what came before: it stands in a run of its own. */
  private newRun(line: Building): void {
    if (line.items.length) line.run = `${LOOSE}-${++line.runs}`
  }
  /** Lengths alone, with no fittings named: they are what the saw is set to. */
  private isSawList(): boolean {
    const { columns, mode } = this.ask
    return mode === 'pieces' && columns.from === undefined && columns.to === undefined
  }
  private put(line: Building, item: Item, row: number, field: ScheduleField, tag: string): void {
    if (tag && !this.unique(tag, row, field)) return
    item.tag = tag || line.tagFor[item.type]()
    if (line.run) item.run = line.run
    line.items.push(item)
  }
  private unique(tag: string, row: number, field: ScheduleField): boolean {
    const before = this.seen.get(tag)
    if (before === undefined) {
      this.seen.set(tag, row)
      return true
    }
    this.faults.push({
      row,
      field,
      says: before ? msg('schedule-twice', { tag, row: before }) : msg('schedule-there', { tag }),
    })
    return false
  }
  private size(text: string, field: ScheduleField, bad: Bad): string | null {
    if (!text) return bad(field, msg('schedule-no-size'))
    const size = sizeFor(text.toLowerCase().replace(/\s*mm$/, ''), this.ask, this.offered)
    let ok = this.made.get(size)
    if (ok === undefined) this.made.set(size, (ok = isMade(this.like, size)))
    return ok ? size : bad(field, msg('entry-size-unknown', { size: text, material: this.like.material }))
  }
  private fitting(
    line: Building,
    text: string,
    size: string | null,
    size2: string | null,
    field: ScheduleField,
    bad: Bad,
  ): Item | null {
    const entry = parseEntry(text, this.ask, this.offered)
    if (!entry.ok || entry.type !== 'fitting') return bad(field, msg('schedule-no-fitting', { text }))
    if (size === null && !entry.ends.some((end) => end.size)) return null
    const last = line.items.at(-1)
    const like = { ...this.like, items: last ? [last] : [] }
    const ended = endedItem(like, sized(entry, size, size2), {
      end: last ? endOf(like, last, 1) : null,
      way: last?.way,
    })
    if (!ended.ok) return bad(field, ended.why)
    return { ...blankItem(this.newId(), 'fitting', ended.made.size), ...ended.made }
  }
  private piece(size: string | null, get: Get, bad: Bad): Item | null {
    const usual = this.isSawList() ? 'end-end' : 'centre-centre'
    const measure = get('measure') ? MEASURES[get('measure').toLowerCase()] : usual
    if (measure === undefined) return bad('measure', msg('schedule-measure', { text: get('measure') }))
    const measuredMm = this.length(get('length'), bad)
    if (measuredMm === undefined || size === null) return null
    return { ...blankItem(this.newId(), 'piece', size), measure, measuredMm }
  }
  /** Null: still to be measured. Undefined: a fault was named. */
  private length(text: string, bad: Bad): number | null | undefined {
    const typed = text.replace(/\u00a0|\u202f/g, ' ')
    if (!typed || typed === '?')
      return this.ask.mode === 'pieces' && !typed
        ? (bad('length', msg('schedule-no-length')), undefined)
        : null
    if (typed.startsWith('=')) return (bad('length', msg('schedule-formula')), undefined)
    const grouped = /^\d{1,3}(,\d{3})+(\.\d+)?$/.test(typed)
    if (grouped && this.ask.comma === null && !typed.includes('.'))
      return (bad('length', msg('schedule-comma', { text: typed })), undefined)
    const plain =
      grouped && (this.ask.comma === 'thousands' || typed.includes('.')) ? typed.replace(/,/g, '') : typed
    const mm = parseLength(plain, { units: this.ask.units, decimal: /,\d+$/.test(plain) ? ',' : '.' })
    if (mm === null || mm <= 0) return (bad('length', msg('entry-not-a-length', { text: typed })), undefined)
    if (mm > LONGEST_MM) return (bad('length', msg('entry-too-long', { mm })), undefined)
    return mm
  }
}
/** An entry with the sizes of its row, where it names none itself: of its run, and of the way on or the branch. */
function sized(entry: FittingEntry, size: string | null, size2: string | null): FittingEntry {
  if (size === null || entry.ends.some((end) => end.size)) return entry
  const last = entry.ends.length - 1
  return {
    ...entry,
    ends: entry.ends.map((end, at) =>
      at === 0 ? { ...end, size } : at === last && size2 ? { ...end, size: size2 } : end,
    ),
  }
}
type Get = (field: ScheduleField) => string
type Bad = (field: ScheduleField, says: Msg) => null
