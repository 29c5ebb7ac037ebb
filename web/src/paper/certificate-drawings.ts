import { type Certificate, type Laid, type Reader, fmt, greatest, unitOf } from '@jugalis/core'
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
export function chart(
  paper: Paper,
  certificate: Certificate,
  y: number,
  highMm: number,
  reader: Readers,
): void {
  const [first, last] = [certificate.test.readings[0], certificate.test.readings.at(-1)]
  if (!first || !last) return
  const said = fmt.pressureFine
  paper.figure(
    word('paper-chart-of-readings-at', {
      readings: certificate.test.readings.length,
      said: said(first.bar, reader.reader),
      clock: reader.clock(first.atS),
      said2: said(last.bar, reader.reader),
      clock2: reader.clock(last.atS),
    }),
    () => drawChart(paper, certificate, y + OVER_MM, highMm - OVER_MM - UNDER_MM, reader),
  )
}
/** The chart's frame, times across and a value's height by its scale. */
interface Axes {
  top: number
  high: number
  right: number
  x(atS: number): number
  y(value: number, scale: RoundScale): number
}
function axesOf(fromS: number, toS: number, top: number, high: number): Axes {
  const right = RIGHT_MM - 12
  return {
    top,
    high,
    right,
    x: (atS) => LEFT_MM + ((atS - fromS) / (toS - fromS || 1)) * (right - LEFT_MM),
    y: (value, scale) => top + high - ((value - scale.min) / (scale.max - scale.min)) * high,
  }
}
type Points = readonly (readonly [atS: number, value: number])[]
/** So many points of a curve are drawn at most. */
const MOST_POINTS = 300
function drawCurve(
  paper: Paper,
  { x, y }: Axes,
  points: Points,
  scale: RoundScale,
  mm: number,
  dash?: number[],
): void {
  const every = Math.max(1, Math.ceil(points.length / MOST_POINTS))
  const few = points.filter((_, i) => i % every === 0)
  few.slice(1).forEach(([atS, value], i) => {
    const [beforeS, before] = few[i] as readonly [number, number]
    paper.line(x(beforeS), y(before, scale), x(atS), y(value, scale), mm, dash)
  })
}
/** Figures of a scale, its unit above them. */
function drawScale(
  paper: Paper,
  axes: Axes,
  scale: RoundScale,
  { at, end, unit }: { at: number; end: boolean; unit: string },
  reader: Readers,
): void {
  for (let k = 0; k <= Math.round((scale.max - scale.min) / scale.interval); k++) {
    const value = scale.min + k * scale.interval
    paper.text(fmt.number(value, scale.places, reader.reader.decimal), at, axes.y(value, scale) + 1, 2, {
      end,
    })
  }
  paper.text(unit, at, axes.top - 1.5, 2, { end })
}
function drawChart(paper: Paper, certificate: Certificate, top: number, high: number, reader: Readers): void {
  const { readings } = certificate.test
  const first = readings[0] as (typeof readings)[number]
  const holdS = first.atS + certificate.test.stabiliseS
  const hold = { fromS: holdS, toS: holdS + certificate.test.holdS }
  const endS = Math.max(hold.toS, readings.at(-1)?.atS ?? 0)
  const allowed =
    (readings.find((r) => r.atS >= holdS)?.bar ?? certificate.test.bar) - certificate.test.allowedDropBar
  // In round numbers of the reader's unit, as on the screen.
  const own = (as: 'fine' | 'temperature') => (v: number) => fmt.inUnits(v, as, reader.reader)
  const [pressure, degrees] = [own('fine'), own('temperature')]
  const read = readings.map((r) => [r.atS, pressure(r.bar)] as const)
  const corrected = certificate.corrected.map((r) => [r.atS, pressure(r.bar)] as const)
  const warm = readings.flatMap((reading) =>
    reading.temperatureC === null ? [] : [[reading.atS, degrees(reading.temperatureC)] as const],
  )
  const values = [...read, ...corrected].map(([, v]) => v)
  const bars = roundScale([...values, pressure(allowed), pressure(certificate.test.bar)], 4)
  const axes = axesOf(first.atS, endS, top, high)
  paper.box(LEFT_MM, top, axes.right - LEFT_MM, high)
  drawCurve(paper, axes, read, bars, 0.2)
  drawCurve(paper, axes, corrected, bars, 0.5)
  if (warm.length) {
    const scale = roundScale(
      warm.map(([, v]) => v),
      4,
      LEAST_DEGREES,
    )
    drawCurve(paper, axes, warm, scale, 0.2, [0.4, 0.8])
    drawScale(
      paper,
      axes,
      scale,
      { at: axes.right + 1, end: false, unit: unitOf('temperature', reader.reader) },
      reader,
    )
  }
  const limit = axes.y(pressure(allowed), bars)
  paper.line(LEFT_MM, limit, axes.right, limit, 0.3, [2, 1.4])
  paper.text(word('paper-allowed'), axes.right - 1, limit - 0.8, 2, { end: true })
  for (const atS of [hold.fromS, hold.toS]) paper.line(axes.x(atS), top, axes.x(atS), top + high, 0.3)
  drawScale(paper, axes, bars, { at: LEFT_MM - 1, end: true, unit: unitOf('fine', reader.reader) }, reader)
  const under = top + high + 3.5
  paper.text(reader.clock(first.atS), LEFT_MM, under, 2)
  paper.text(
    word('paper-hold-from-to', { from: reader.clock(hold.fromS), to: reader.clock(hold.toS) }),
    (LEFT_MM + axes.right) / 2 - 14,
    under,
    2,
  )
  paper.text(reader.clock(endS), axes.right, under, 2, { end: true })
  paper.text(word('paper-thin-as-read-thick'), LEFT_MM, top + high + 7.5, 2)
}

/** From one lane to the next: branches lie below their run. */
const LANE_MM = 5
/** Height of a line's drawing, without branches and with them. */
export const lineMm = (laid: Laid): number =>
  15 + LANE_MM * Math.max(1, greatest(laid.parts.map(({ lane }) => lane)))
/** A line to scale along the page; joints inside the section as filled marks, others open. */
export function lineDrawing(
  paper: Paper,
  laid: Laid,
  tag: string,
  y: number,
  inside: ReadonlySet<string>,
): void {
  const joints = laid.joints.filter((j) => inside.has(j.id)).map((j) => j.tag)
  paper.figure(word('paper-line-joints-in-this', { tag, joints: joints.join(', ') }), () =>
    drawLine(paper, laid, tag, y, inside),
  )
}
function drawLine(paper: Paper, laid: Laid, tag: string, y: number, inside: ReadonlySet<string>): void {
  const left = MARGIN_MM + 16
  const scale = (RIGHT_MM - left) / Math.max(1, laid.totalMm)
  paper.text(tag, MARGIN_MM, y + 6, 2.5, { bold: true })
  const lane = (of: number): number => y + 5 + of * LANE_MM
  const tagsAt = y + lineMm(laid) - 6
  for (const part of laid.parts) {
    const high = part.item.type === 'fitting' ? 2.6 : 1.4
    paper.box(
      left + part.fromMm * scale,
      lane(part.lane) - high / 2,
      Math.max(0.3, (part.toMm - part.fromMm) * scale),
      high,
    )
  }
  let lastX = -Infinity
  for (const joint of [...laid.joints].sort((a, b) => a.atMm - b.atMm)) {
    const x = left + joint.atMm * scale
    paper.box(x - 0.6, lane(joint.lane) - 1.8, 1.2, 3.6, inside.has(joint.id))
    const wide = paper.widthOf(joint.tag, 1.8)
    if (x - wide / 2 > lastX + 1) {
      paper.text(joint.tag, Math.min(x - wide / 2, RIGHT_MM - wide), tagsAt, 1.8)
      lastX = x + wide / 2
    }
  }
}
