import { type Certificate, type Laid, type Reader, fmt, unitOf } from '@jugalis/core'
import { type RoundScale, roundScale } from '../tapes/ticks'
import { RIGHT_MM } from './flow'
import { MARGIN_MM, type Paper } from './sheet'
import { word } from '../words/word'

/** Who reads, and how a clock is written. */
interface Readers {
  reader: Reader
  clock(s: number): string
}
/** A hundredth of a degree is no swing: the scale spans two degrees at least. */
const LEAST_DEGREES = 2
const LEFT_MM = MARGIN_MM + 14
/** Above and below the frame stand its units, clocks and key. */
const [OVER_MM, UNDER_MM] = [5, 9]
export const CHART_MOST_MM = 104
/** Pressure as read (thin) and corrected (thick), the fall allowed dashed, the temperature dotted on its own scale. */
export function chart(p: Paper, c: Certificate, y: number, highMm: number, w: Readers): void {
  const [first, last] = [c.test.readings[0], c.test.readings.at(-1)]
  if (!first || !last) return
  const said = fmt.pressureFine
  p.figure(
    word('paper-chart-of-readings-at', {
      readings: c.test.readings.length,
      said: said(first.bar, w.reader),
      clock: w.clock(first.atS),
      said2: said(last.bar, w.reader),
      clock2: w.clock(last.atS),
    }),
    () => drawChart(p, c, y + OVER_MM, highMm - OVER_MM - UNDER_MM, w),
  )
}
function drawChart(p: Paper, c: Certificate, top: number, high: number, w: Readers): void {
  const { readings } = c.test
  const first = readings[0] as (typeof readings)[number]
  const holdS = first.atS + c.test.stabiliseS
  const endS = Math.max(holdS + c.test.holdS, readings.at(-1)?.atS ?? 0)
  const allowed = (readings.find((r) => r.atS >= holdS)?.bar ?? c.test.bar) - c.test.allowedDropBar
  const bars = [...readings.map((r) => r.bar), ...c.corrected.map((r) => r.bar), allowed]
  const temps = readings.flatMap((r) => (r.temperatureC === null ? [] : [r.temperatureC]))
  // In round numbers of the reader's unit, as on the screen.
  const own = (as: 'fine' | 'temperature') => (v: number) => fmt.inUnits(v, as, w.reader)
  const [pressure, degrees] = [own('fine'), own('temperature')]
  const sp = roundScale([...bars, c.test.bar].map(pressure), 4)
  const st = temps.length ? roundScale(temps.map(degrees), 4, LEAST_DEGREES) : null
  const right = RIGHT_MM - 12
  const X = (s: number): number => LEFT_MM + ((s - first.atS) / (endS - first.atS || 1)) * (right - LEFT_MM)
  const Y = (v: number, s: RoundScale): number => top + high - ((v - s.min) / (s.max - s.min)) * high
  p.box(LEFT_MM, top, right - LEFT_MM, high)
  const curve = (pts: readonly (readonly [number, number])[], s: RoundScale, mm: number, dash?: number[]) => {
    const every = Math.max(1, Math.ceil(pts.length / 300))
    const few = pts.filter((_, i) => i % every === 0)
    few.slice(1).forEach((q, i) => {
      const o = few[i] as readonly [number, number]
      p.line(X(o[0]), Y(o[1], s), X(q[0]), Y(q[1], s), mm, dash)
    })
  }
  curve(
    readings.map((r) => [r.atS, pressure(r.bar)] as const),
    sp,
    0.2,
  )
  curve(
    c.corrected.map((r) => [r.atS, pressure(r.bar)] as const),
    sp,
    0.5,
  )
  if (st)
    curve(
      readings.flatMap((r) => (r.temperatureC === null ? [] : [[r.atS, degrees(r.temperatureC)] as const])),
      st,
      0.2,
      [0.4, 0.8],
    )
  const limit = Y(pressure(allowed), sp)
  p.line(LEFT_MM, limit, right, limit, 0.3, [2, 1.4])
  p.text(word('paper-allowed'), right - 1, limit - 0.8, 2, { end: true })
  for (const s of [holdS, holdS + c.test.holdS]) p.line(X(s), top, X(s), top + high, 0.3)
  const numerals = (s: RoundScale, x: number, end: boolean): void => {
    for (let k = 0; k <= Math.round((s.max - s.min) / s.interval); k++) {
      const v = s.min + k * s.interval
      p.text(fmt.number(v, s.places, w.reader.decimal), x, Y(v, s) + 1, 2, { end })
    }
  }
  numerals(sp, LEFT_MM - 1, true)
  if (st) numerals(st, right + 1, false)
  p.text(unitOf('fine', w.reader), LEFT_MM - 1, top - 1.5, 2, { end: true })
  if (st) p.text(unitOf('temperature', w.reader), right + 1, top - 1.5, 2)
  p.text(w.clock(first.atS), LEFT_MM, top + high + 3.5, 2)
  p.text(
    word('paper-hold-from-to', { from: w.clock(holdS), to: w.clock(holdS + c.test.holdS) }),
    (LEFT_MM + right) / 2 - 14,
    top + high + 3.5,
    2,
  )
  p.text(w.clock(endS), right, top + high + 3.5, 2, { end: true })
  p.text(word('paper-thin-as-read-thick'), LEFT_MM, top + high + 7.5, 2)
}

/** Height of a line's drawing. */
export const LINE_MM = 20
/** A line to scale along the page; joints inside the section as filled marks, others open. */
export function lineDrawing(p: Paper, laid: Laid, tag: string, y: number, inside: ReadonlySet<string>): void {
  const joints = laid.joints.filter((j) => inside.has(j.id)).map((j) => j.tag)
  p.figure(word('paper-line-joints-in-this', { tag, joints: joints.join(', ') }), () =>
    drawLine(p, laid, tag, y, inside),
  )
}
function drawLine(p: Paper, laid: Laid, tag: string, y: number, inside: ReadonlySet<string>): void {
  const left = MARGIN_MM + 16
  const scale = (RIGHT_MM - left) / Math.max(1, laid.totalMm)
  p.text(tag, MARGIN_MM, y + 6, 2.5, { bold: true })
  const lane = (n: number): number => y + 5 + n * 5
  for (const part of laid.parts) {
    const high = part.item.type === 'fitting' ? 2.6 : 1.4
    p.box(
      left + part.fromMm * scale,
      lane(part.lane) - high / 2,
      Math.max(0.3, (part.toMm - part.fromMm) * scale),
      high,
    )
  }
  let lastX = -Infinity
  for (const j of [...laid.joints].sort((a, b) => a.atMm - b.atMm)) {
    const x = left + j.atMm * scale
    p.box(x - 0.6, lane(j.lane) - 1.8, 1.2, 3.6, inside.has(j.id))
    const wide = p.widthOf(j.tag, 1.8)
    if (x - wide / 2 > lastX + 1) {
      p.text(j.tag, Math.min(x - wide / 2, RIGHT_MM - wide), y + 13, 1.8)
      lastX = x + wide / 2
    }
  }
}
