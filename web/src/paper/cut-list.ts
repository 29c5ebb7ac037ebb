import { type PieceCut, type Reader, fmt, pipeOf, shortTag, systemOf, tapsOf } from '@jugalis/core'
import { A4, MARGIN_MM, type Paper, book, heightWithin, sheetOf, shortened } from './sheet'
import { named, word } from '../words/word'

const ROW_MM = 7
/** The columns begin below this. */
const HEAD_MM = 26
/** Drawn to the width of the narrower paper. */
const WIDE_MM = A4.short - 2 * MARGIN_MM
/** Where each column begins (or ends, for figures), and how wide it may be, mm. */
const COLUMNS = {
  piece: { name: 'ui-piece', x: 0, wide: 26 },
  pipe: { name: 'paper-pipe', x: 28, wide: 36 },
  measured: { name: 'paper-measured', x: 88, wide: 22 },
  cut: { name: 'paper-cut', x: 110, wide: 20 },
  first: { name: 'paper-marks-first-end', x: 113, wide: 32 },
  second: { name: 'paper-second-end', x: 147, wide: 26 },
  by: { name: 'paper-cut-by', x: 175, wide: 15 },
} as const
/** Columns whose figures end where the column does. */
const ENDS: ReadonlySet<string> = new Set(['measured', 'cut'])

/** Columns of figures: cut off, they would be other figures. */
const FIGURES: ReadonlySet<string> = new Set(['measured', 'cut', 'first', 'second'])

/** A piece's row in words, as it stands on paper, in CSV and in a workbook. */
export interface CutRow {
  piece: string
  pipe: string
  between: string
  measuredMm: number | null
  cutMm: number | null
  depthAMm: number | null
  checkAMm: number | null
  depthBMm: number | null
  checkBMm: number | null
  /** Where each bend begins on the straight tube, and its turn. */
  bends: readonly { atMm: number; turnDeg: number }[]
  /** Where each hole for a saddle comes from the first end, null where that is not known, and for which. */
  holes: readonly { atMm: number | null; tag: string }[]
  state: 'cut' | 'to-cut' | 'not-known'
}
export const cutRows = (pieces: readonly PieceCut[]): CutRow[] =>
  pieces.map((piece) => {
    const [a, b] = piece.ends
    return {
      piece: piece.item.tag,
      pipe: `${named(pipeOf(piece.line, piece.item).material)} ${piece.item.size}`,
      between: word('paper-between', {
        a: a.fitting?.fitting ? named(a.fitting.fitting) : word('ui-free-end'),
        b: b.fitting?.fitting ? named(b.fitting.fitting) : word('ui-free-end'),
      }),
      measuredMm: piece.item.measuredMm,
      cutMm: piece.cutMm.value,
      depthAMm: a.depthMm?.value ?? null,
      checkAMm: a.checkMarkMm?.value ?? null,
      depthBMm: b.depthMm?.value ?? null,
      checkBMm: b.checkMarkMm?.value ?? null,
      bends: piece.bends.map((x) => ({ atMm: x.atMm, turnDeg: x.turnDeg })),
      holes: tapsOf(piece).map(({ saddle, fromEndMm }) => ({
        atMm: fromEndMm.value,
        tag: shortTag(piece.line.tag, saddle.tag),
      })),
      state: piece.isCut ? 'cut' : piece.cutMm.value === null ? 'not-known' : 'to-cut',
    }
  })

/** Where the bends of a piece begin, as read: `120: 90°; 400: -45°`. */
export const bendsText = (row: CutRow, reader: Reader): string =>
  row.bends.map((x) => `${fmt.lengthFigure(x.atMm, reader)}: ${x.turnDeg}°`).join('; ')

/** Where the holes of a piece come, as read: `941: F05; ?: F07`. */
export const holesText = (row: CutRow, reader: Reader): string =>
  row.holes
    .map(({ atMm, tag }) => `${atMm === null ? '?' : fmt.lengthFigure(atMm, reader)}: ${tag}`)
    .join('; ')
/** What is said of a piece below its row. */
const belowRow = (row: CutRow, reader: Reader): string[] => [
  ...(row.bends.length ? [word('paper-bends-from', { bendsText: bendsText(row, reader) })] : []),
  ...(row.holes.length ? [word('paper-holes-at', { holes: holesText(row, reader) })] : []),
]

/** What stands over the rows of a sheet; on the next ones it is only for the eye. */
function title(paper: Paper, says: string, reader: Reader, again: boolean): void {
  const inches = systemOf(reader, 'length') === 'inch'
  const put = (): void =>
    paper.text(shortened(paper, says, 4, WIDE_MM, true), MARGIN_MM, 14, 4, { bold: true, foot: again })
  if (again) put()
  else paper.as('H1', put)
  paper.text(
    word('paper-lengths-in-millimetres-marks', { isInches: inches ? 'yes' : 'no' }),
    MARGIN_MM,
    19,
    2.6,
    {
      foot: again,
    },
  )
}
function columns(paper: Paper, again: boolean): void {
  paper.line(MARGIN_MM, HEAD_MM, MARGIN_MM + WIDE_MM, HEAD_MM, 0.5)
  for (const [key, { name, x }] of Object.entries(COLUMNS)) {
    const put = (): void =>
      paper.text(word(name), MARGIN_MM + x, HEAD_MM - 2, 2.6, { end: ENDS.has(key), foot: again })
    if (again) put()
    else paper.as('TH', put)
  }
}

/** The cut list, standing: what to measure off and where to mark, with a place to sign each cut. */
export async function cutList(job: string, rows: readonly CutRow[], reader: Reader): Promise<Uint8Array> {
  const sheet = sheetOf(reader)
  const says = word('paper-cut-list', { job })
  const feed = await book(says, sheet)
  const figure = (mm: number | null): string => (mm === null ? '' : fmt.lengthFigure(mm, reader))
  const marks = (depth: number | null, check: number | null): string =>
    depth ? `${figure(depth)}${check === null ? '' : ` / ${figure(check)}`}` : ''
  const row = (paper: Paper, row: CutRow, y: number): void => {
    const put = (key: keyof typeof COLUMNS, text: string, heightMm = 3, bold = false): void => {
      const { x, wide } = COLUMNS[key]
      const whole = FIGURES.has(key)
      const high = whole && text ? heightWithin(paper, text, heightMm, wide, bold) : heightMm
      paper.as(key === 'piece' ? 'TH' : 'TD', () =>
        paper.text(whole ? text : shortened(paper, text, heightMm, wide, bold), MARGIN_MM + x, y + 5, high, {
          end: ENDS.has(key),
          bold,
        }),
      )
    }
    put('piece', row.piece, 3, true)
    put('pipe', row.pipe)
    put('measured', figure(row.measuredMm))
    put('cut', row.cutMm === null ? '?' : figure(row.cutMm), 3.4, true)
    put('first', marks(row.depthAMm, row.checkAMm))
    put('second', marks(row.depthBMm, row.checkBMm))
    put('by', row.state === 'cut' ? word('paper-is-cut') : '')
    belowRow(row, reader).forEach((text, i) => {
      const high = heightWithin(paper, text, 2.8, WIDE_MM - 28)
      paper.text(text, MARGIN_MM + 28, y + ROW_MM + 3.5 + i * (ROW_MM - 1), high)
    })
  }
  let page = feed.page()
  if (!rows.length) {
    page.text(word('paper-no-pieces-yet'), MARGIN_MM, 20)
    return feed.bytes()
  }
  title(page, says, reader, false)
  feed.as('Table', () => {
    let y = HEAD_MM
    feed.as('TR', () => columns(page, false))
    for (const item of rows) {
      const high = ROW_MM + belowRow(item, reader).length * (ROW_MM - 1)
      if (y + high > sheet.long - MARGIN_MM) {
        page = feed.page()
        title(page, says, reader, true)
        columns(page, true)
        y = HEAD_MM
      }
      feed.as('TR', () => row(page, item, y))
      y += high
      page.line(MARGIN_MM, y, MARGIN_MM + WIDE_MM, y, 0.15)
    }
  })
  return feed.bytes()
}

/** How far a piece has come, in words. */
export const stateSaid = (state: CutRow['state']): string =>
  state === 'cut'
    ? word('paper-cut-done')
    : state === 'to-cut'
      ? word('paper-to-cut')
      : word('ui-not-yet-known')
