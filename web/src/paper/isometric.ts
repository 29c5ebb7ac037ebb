import {
  type JobState,
  type LineDrawn,
  type Item,
  type LinesAsOne,
  type Line,
  type Reader,
  type View,
  type Writing,
  drawLines,
  entryText,
  fmt,
  pieceCut,
  shortTag,
  standsText,
  tagsOf,
} from '@jugalis/core'
import { named, word } from '../words/word'
import { MARGIN_MM, type DrawingPaper, SHEETS, book, heightWithin, shortened } from './sheet'

/** What is put on the sheet, and how it is looked at. */
export interface IsometricAsked {
  state: JobState
  space: LinesAsOne
  view: View
  scaled: boolean
  writing: Writing
  reader: Reader
  /** Joints that are made. */
  made: ReadonlySet<string>
  sheet: keyof typeof SHEETS
  on: string
}
/** Width of a drawing unit on paper, mm: texts come out at the height that is read at arm's length. */
const UNIT_MM = 0.2
const BILL_MM = 74
const TITLE_MM = 16
const ROW_MM = 5
/** Below the frame the number of the sheet stands. */
const FOOT_MM = 4

/** The isometric of a line, or of lines that hang together, in a frame, the bill of its pieces beside it; what has no room there on sheets behind it. */
export async function isometricPaper(asked: IsometricAsked): Promise<Uint8Array> {
  const { space, sheet } = asked
  const size = SHEETS[sheet]
  const title = word('paper-isometric', { tag: tagsOf(space), name: asked.view.name })
  const made = await book(`${asked.state.job.name}: ${title}`, size, true)
  const [wide, high] = [size.long - 2 * MARGIN_MM, size.short - 2 * MARGIN_MM - FOOT_MM]
  const rows = billOf(asked)
  const perSheet = Math.floor((high - TITLE_MM - 12) / ROW_MM)
  for (let from = 0; from === 0 || from < rows.length; from += perSheet) {
    const paper = made.page()
    const first = from === 0
    frame(paper, asked, title, wide, high, first)
    if (first) paper.figure(title, () => drawing(paper, asked, wide - BILL_MM, high - TITLE_MM))
    bill(paper, rows.slice(from, from + perSheet), MARGIN_MM + wide - BILL_MM + 3, first)
  }
  return made.bytes(true)
}

function frame(
  paper: DrawingPaper,
  { state, space, reader, on }: IsometricAsked,
  title: string,
  wide: number,
  high: number,
  first: boolean,
): void {
  const foot = MARGIN_MM + high - TITLE_MM
  paper.box(MARGIN_MM, MARGIN_MM, wide, high)
  paper.line(MARGIN_MM, foot, MARGIN_MM + wide, foot, 0.5)
  paper.line(MARGIN_MM + wide - BILL_MM, MARGIN_MM, MARGIN_MM + wide - BILL_MM, foot)
  const put = (): void =>
    paper.text(shortened(paper, title, 4, wide / 2, true), MARGIN_MM + 4, foot + 7, 4, {
      bold: true,
      foot: !first,
    })
  if (first) paper.as('H1', put)
  else put()
  const { line } = space
  const what = [
    state.job.name,
    line.name,
    `${named(line.material)} ${line.items[0]?.size ?? ''}`,
    ...(line.stands ? [standsText(line.stands, { ...reader, units: line.school })] : []),
  ].join(', ')
  paper.text(shortened(paper, what, 2.6, wide * 0.7), MARGIN_MM + 4, foot + 13, 2.6, { foot: !first })
  paper.text(on, MARGIN_MM + wide - 4, foot + 7, 2.6, { end: true, foot: true })
}

function drawing(paper: DrawingPaper, asked: IsometricAsked, wideMm: number, highMm: number): void {
  const drawn = drawLines(asked.space, asked.view, asked.scaled, asked.writing, {
    width: wideMm / UNIT_MM,
    height: highMm / UNIT_MM,
  })
  const { box } = drawn
  const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY]
  const unit = Math.min(UNIT_MM, wideMm / wide, highMm / high)
  const [left, top] = [MARGIN_MM + (wideMm - wide * unit) / 2, MARGIN_MM + (highMm - high * unit) / 2]
  const at = ([x, y]: readonly [number, number]): [number, number] => [
    left + (x - box.minX) * unit,
    top + (y - box.minY) * unit,
  ]
  const line = (points: readonly (readonly [number, number])[], mm: number, dash?: number[]): void =>
    points.slice(1).forEach((to, i) => paper.line(...at(points[i] as typeof to), ...at(to), mm, dash))
  pipes(paper, drawn, asked, { at, line, unit })
  for (const label of drawn.labels) {
    if (label.leader) line([label.at, label.middle], 0.1)
    written(paper, label.text, at(label.middle), label.size * unit)
  }
  if (drawn.north) northArrow(paper, drawn.north, MARGIN_MM + 12, MARGIN_MM + highMm - 12)
}
interface Pen {
  at(point: readonly [number, number]): [number, number]
  line(points: readonly (readonly [number, number])[], mm: number, dash?: number[]): void
  unit: number
}
/** Radius of a joint on paper, mm. */
const JOINT_MM = 0.9
function pipes(
  paper: DrawingPaper,
  drawn: LineDrawn,
  { made }: IsometricAsked,
  { at, line, unit }: Pen,
): void {
  for (const { triangles } of drawn.skews)
    for (const corners of triangles) line([...corners, corners[0]], 0.12, [1, 1])
  for (const string of drawn.dimensions) {
    line(string.line, 0.13)
    for (const lead of string.leads) line(lead, 0.1)
    for (const [x, y] of string.line)
      line(
        [
          [x - 4, y + 4],
          [x + 4, y - 4],
        ],
        0.25,
      )
  }
  for (const { points, known, end } of drawn.legs) {
    line(points, 0.6, known ? undefined : [1.6, 1])
    // A pipe that is seen from its end is a ring about it.
    if (end && points[0]) paper.circle(...at(points[0]), 8 * unit)
  }
  for (const { points } of drawn.falls) paper.shape(points.map(at), true)
  for (const { shapes } of [...drawn.symbols, ...drawn.holds])
    for (const shape of shapes)
      if (shape.kind === 'circle') paper.circle(...at(shape.middle), shape.radius * unit, shape.filled)
      else if (shape.closed) paper.shape(shape.points.map(at), shape.filled)
      else line(shape.points, 0.35)
  for (const joint of drawn.joints) paper.circle(...at(joint.at), JOINT_MM, made.has(joint.id))
}
/** A text on its place, the lines behind it kept off. */
function written(paper: DrawingPaper, text: string, [x, y]: readonly [number, number], sizeMm: number): void {
  const heightMm = sizeMm * 0.72
  const wide = paper.widthOf(text, heightMm)
  paper.clear(x - wide / 2 - 0.3, y - heightMm / 2 - 0.3, wide + 0.6, heightMm + 0.6)
  paper.text(text, x - wide / 2, y + heightMm / 2, heightMm)
}
function northArrow(
  paper: DrawingPaper,
  [right, down]: readonly [number, number],
  x: number,
  y: number,
): void {
  paper.line(x - right * 6, y - down * 6, x + right * 6, y + down * 6, 0.4)
  paper.shape(
    [
      [x + right * 8, y + down * 8],
      [x + right * 4 - down * 1.6, y + down * 4 + right * 1.6],
      [x + right * 4 + down * 1.6, y + down * 4 - right * 1.6],
    ],
    true,
  )
  paper.text(word('space-north'), x + right * 10.5 - 1, y + down * 10.5 + 1.2, 2.6, { bold: true })
}

interface BillRow {
  tag: string
  what: string
  cut: string
}
/** Every part of the lines: pieces with their cut length, fittings by name. */
const billOf = (asked: IsometricAsked): BillRow[] =>
  asked.space.each.flatMap(({ space: { line } }) => line.items.map((item) => billRow(asked, line, item)))
function billRow({ state, space, reader }: IsometricAsked, line: Line, item: Item): BillRow {
  const own = { ...reader, units: line.school }
  const tag = shortTag(space.line.tag, item.tag)
  if (item.type === 'fitting') return { tag, what: entryText(item, own).split(';')[0] ?? '', cut: '' }
  const { cutMm } = pieceCut(state, line, item)
  const cut = cutMm.value === null ? word('ui-not-yet-known') : fmt.lengthFigure(cutMm.value, own)
  return { tag, what: item.size, cut }
}
function bill(paper: DrawingPaper, rows: readonly BillRow[], x: number, first: boolean): void {
  const head = MARGIN_MM + 6
  const right = x + BILL_MM - 7
  const columns = (): void => {
    paper.text(word('set-out-part'), x, head, 2.6, { bold: true, foot: !first })
    paper.text(word('paper-cut'), right, head, 2.6, { bold: true, end: true, foot: !first })
  }
  paper.as('Table', () => {
    paper.as('TR', () => paper.as('TH', columns))
    rows.forEach((row, i) => {
      const y = head + (i + 1) * ROW_MM
      paper.as('TR', () => {
        paper.as('TD', () => paper.text(shortened(paper, row.tag, 2.5, 14, true), x, y, 2.5, { bold: true }))
        paper.as('TD', () => paper.text(shortened(paper, row.what, 2.5, row.cut ? 26 : 50), x + 15, y, 2.5))
        if (row.cut)
          paper.as('TD', () =>
            paper.text(row.cut, right, y, heightWithin(paper, row.cut, 2.5, 26), { end: true }),
          )
      })
    })
  })
}
