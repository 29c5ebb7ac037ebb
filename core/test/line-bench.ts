import {
  type Cursor,
  END,
  type Edited,
  type Item,
  type JobState,
  type Line,
  type LineEntry,
  foldJob,
  jointPlaces,
  parseEntry,
  placeTexts,
  withSpace,
} from '../src/index.js'
import { LINE, Log, uuid } from './make-job.js'

/** A line on the bench: entries and edits are written as events and read back through the fold. */
export class Bench {
  readonly log: Log
  readonly lineId: string
  private n: number
  readonly begun = new Set<string>()
  readonly newId = (): string => uuid(this.n++)
  cursor: Cursor = END
  /** @param head what differs from a metric line of cemented PVC-U. @param beside a bench in whose job it is, if any. */
  constructor(
    head: {
      tag?: string
      method?: string
      material?: string
      school?: 'inch' | 'metric'
      series?: string
      details?: object
    } = {},
    beside?: Bench,
  ) {
    this.log = beside?.log ?? new Log()
    this.n = beside ? beside.n + 1_000 : 50_000
    this.lineId = beside ? uuid(this.n - 1) : LINE
    const usual = { tag: 'Q2', name: 'n', method: 'solvent-cement', material: 'pvc-u', school: 'metric' }
    this.log.put('line-set', { lineId: this.lineId, ...usual, ...head, placeId: uuid(1) })
  }
  get state(): JobState {
    return foldJob(this.log.events)
  }
  get line(): Line {
    return this.state.lines.get(this.lineId) as Line
  }
  get shop() {
    return { begun: this.begun, newId: this.newId, lines: this.state }
  }
  take(asked: Edited): string {
    const edited = withSpace(this.state, this.line, asked, this.shop)
    if (!edited.ok) return edited.why.code
    for (const e of edited.edits) this.log.put(e.kind, { lineId: this.lineId, ...e.data })
    // What the edit says it made is what the log gives back.
    expect(this.line.items).toEqual(edited.items)
    return 'ok'
  }
  type(...texts: string[]): string {
    const placed = placeTexts(this.line, texts, this.cursor, this.shop, { units: this.line.school })
    if (placed.ok) this.cursor = placed.cursor
    return this.take(placed)
  }
  item(tag: string): Item {
    const item = this.line.items.find((i) => i.tag === tag)
    if (!item) throw new Error(`no ${tag} in ${this.tags()}`)
    return item
  }
  ids = (...tags: string[]): Set<string> => new Set(tags.map((t) => this.item(t).id))
  tags = (): string => this.line.items.map((i) => i.tag.replace('Q2/', '')).join(' ')
  /** Joints as `tag:piece>fitting`, in order. */
  joints = (): string[] =>
    [...jointPlaces(this.state).values()].map((p) =>
      `${p.tag}:${p.part.tag}>${p.fitting?.tag ?? '-'}${p.branch ? ' branch' : ''}`.replaceAll('Q2/', ''),
    )
}
export const bench = (...texts: string[]): Bench => {
  const b = new Bench()
  if (texts.length) expect(b.type(...texts)).toBe('ok')
  return b
}
export const entry = (text: string): LineEntry & { ok: true } => {
  const e = parseEntry(text, { units: 'metric' })
  if (!e.ok) throw new Error(e.why.code)
  return e
}
