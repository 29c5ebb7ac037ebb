import {
  type Certificate,
  type JointLook,
  type Laid,
  type Reader,
  fmt,
  unitOf,
  openStages,
  named,
} from '@jugalis/core'
import { type RoundScale, roundScale } from '../tapes/ticks'
import { A4, MARGIN_MM, type Paper, book, sheetOf } from './sheet'

export interface CertificateWords {
  say(m: { code: string; params: Record<string, string | number> }): string
  name(personId: string): string
  when(s: number): string
  clock(s: number): string
  rule: string
  reader: Reader
  /** The lines of the section, laid out, with the look of each joint. */
  lines: { tag: string; laid: Laid }[]
  looks: ReadonlyMap<string, JointLook>
  inside: ReadonlySet<string>
}
/** Drawn to the width of the narrower paper. */
const RIGHT = A4.short - MARGIN_MM
const LEAD = 5.2
const LABEL_MM = 42

/** Breaks words over lines of a width. */
function broken(p: Paper, text: string, heightMm: number, wideMm: number, bold = false): string[] {
  const out: string[] = []
  let line = ''
  for (const word of text.split(' ')) {
    const next = line ? `${line} ${word}` : word
    if (line && p.widthOf(next, heightMm, bold) > wideMm) {
      out.push(line)
      line = word
    } else line = next
  }
  if (line) out.push(line)
  return out
}

/** A certificate of one test: what was tested, by what rule, on which gauge, what was read, what it comes to, who signed. */
export async function certificatePaper(c: Certificate, w: CertificateWords): Promise<Uint8Array> {
  const sheet = sheetOf(w.reader)
  const bottom = sheet.long - MARGIN_MM - 8
  const b = await book(`${c.job}: ${c.section}, pressure test`, sheet)
  let p = b.page()
  let y = MARGIN_MM + 8
  const foot = (): void => {
    p.line(MARGIN_MM, sheet.long - MARGIN_MM - 4, RIGHT, sheet.long - MARGIN_MM - 4)
    p.text(`Log ${c.head.seq}, head ${c.head.hash}`, MARGIN_MM, sheet.long - MARGIN_MM, 1.9)
  }
  const room = (mm: number): void => {
    if (y + mm <= bottom) return
    foot()
    p = b.page()
    y = MARGIN_MM + 8
  }
  const say = (text: string, heightMm = 2.5, o: { bold?: boolean; x?: number } = {}): void => {
    const x = o.x ?? MARGIN_MM
    for (const line of broken(p, text, heightMm, RIGHT - x, o.bold)) {
      room(heightMm * 2)
      p.text(line, x, y, heightMm, { bold: o.bold ?? false })
      y += heightMm * 2
    }
  }
  const row = (label: string, text: string): void => {
    room(LEAD)
    p.text(label, MARGIN_MM, y, 2.5)
    say(text, 2.5, { bold: true, x: MARGIN_MM + LABEL_MM })
    y += 0.6
  }
  const head = (text: string): void => {
    room(16)
    y += 3
    p.text(text, MARGIN_MM, y, 3.4, { bold: true })
    y += 6
  }
  const fine = (bar: number | null): string => (bar === null ? 'not known' : fmt.pressureFine(bar, w.reader))
  const figure = (mm: number | null): string => (mm === null ? '?' : fmt.figureOf(mm, 'thickness', w.reader))
  const { test, judgement: j } = c
  const ended = test.ended
  say(`Pressure test of ${c.section}`, 5, { bold: true })
  say(c.job, 3)
  y += 2
  const verdict = ended ? j.verdict : 'not ended'
  say(w.say(c.heading), 4.2, { bold: true })
  // What a person wrote down stands beside what the readings come to, where the two differ.
  if (ended && ended.verdict !== j.verdict)
    say(
      `Recorded as ${ended.verdict} by ${w.name(ended.by)}, ${w.when(ended.atS)}: ${ended.note || 'no reason given'}`,
      2.8,
      { bold: true },
    )
  for (const r of j.reasons) say(w.say({ code: `reading-${r.code}`, params: { count: r.count } }), 2.5)
  for (const f of c.flags) say(`FLAG: ${w.say(f)}`, 2.8, { bold: true })
  head('Test')
  row('Rule', w.rule)
  if (c.rule.reference) row('Source', `${c.rule.reference}. ${c.rule.note ?? ''}`)
  row(
    'Pressure',
    `${fine(test.bar)} at the gauge, with ${test.medium}; working pressure ${fine(c.workingBar)}`,
  )
  row(
    'Hold',
    `${fmt.duration(test.holdS)}, after ${fmt.duration(test.stabiliseS)} to settle; ${fine(test.allowedDropBar)} may be lost`,
  )
  row('Begun', `${w.when(test.begunAtS)}${ended ? `, ended ${w.when(ended.atS)}` : ''}`)
  row('Tester', test.tester)
  row(
    'Gauge',
    `${test.gauge || 'not named'}, reads to ${fine(test.resolutionBar)}, may drift ${fine(test.sensorErrorBar)}${test.gaugeDueOn ? `, in date until ${test.gaugeDueOn}` : ''}`,
  )
  if (c.weakest)
    row(
      'Weakest part',
      `${c.weakest.name}, ${fine(c.weakest.ratingBar)}; the gauge may show ${fine(c.weakest.atGaugeBar)}`,
    )
  for (const d of test.stagesDone) {
    const s = test.stages[d.stage]
    if (s)
      row(`Stage ${d.stage + 1}`, `${s.name} at ${fine(s.bar)}: ${d.note}, ${w.when(d.atS)}, ${w.name(d.by)}`)
  }
  for (const s of openStages(test)) row('Not signed', `${s.name} at ${fine(s.bar)}`)
  for (const s of test.setAside)
    row('Set aside', `${w.say({ code: `aside-${s.code}`, params: {} })} Reason: ${s.reason}`)
  for (const l of test.leaks) row('Leak seen', `${l.where}, ${w.when(l.atS)}, ${w.name(l.by)}`)
  head('Judgement')
  // What was seen for less than the hold is reckoned up to it, and says so.
  const seen =
    j.seenS < test.holdS ? ` (seen for ${fmt.duration(Math.max(0, j.seenS))}, reckoned for the hold)` : ''
  const moved = (dropBar: number | null): string =>
    dropBar === null ? 'not known' : `${dropBar < 0 ? 'rose' : 'fell'} ${fine(Math.abs(dropBar))}`
  row('As read', `${moved(ended?.rawDropBar ?? j.rawDropBar)} over the hold${seen}`)
  row('Corrected', `${moved(ended?.dropBar ?? j.correctedDropBar)} with the temperature's share taken out`)
  row('Doubt', `± ${fine(ended?.uncertaintyBar ?? j.uncertaintyBar)} (95 %)`)
  const rate = ended?.leakRateLPerH ?? null
  if (rate !== null && verdict === 'lost') row('Leak rate', `about ${fmt.print(rate, 'leak', w.reader)}`)
  const physics = test.physics
  if (physics)
    row(
      'Reckoned with',
      `${named(physics.pipeMaterial)}, ${figure(physics.odMm)} x ${figure(physics.wallMm)}${physics.odMm === null && physics.wallMm === null ? '' : ` ${unitOf('thickness', w.reader)}`}, ${physics.axial ?? 'not said whether held along'}, air ${physics.airPct === null ? 'not known' : `${physics.airPct} %`}, temperatures of the ${test.temperatureOf}`,
    )
  if (test.readings.length > 1) {
    room(74)
    chart(p, c, y + 2, w)
    y += 72
  }
  head('Section')
  for (const l of w.lines) {
    room(22)
    lineDrawing(p, l.laid, l.tag, y, w)
    y += 20
  }
  row(
    'Joints',
    c.joints.map((x) => `${x.tag} ${x.size}${x.lives > 1 ? ` (life ${x.lives})` : ''}`).join(', '),
  )
  head('Gates')
  for (const g of c.gates)
    row(
      g.open ? 'open' : 'closed',
      `${w.say(g.says)}${g.by ? ` ${w.name(g.by)}, ${w.when(g.atS ?? 0)}, ${g.how ?? ''}` : ''}`,
    )
  head('Signatures')
  for (const s of c.signed) row(w.name(s.by), `${w.when(s.atS)}: ${s.statement}`)
  room(20)
  y += 12
  p.line(MARGIN_MM, y, MARGIN_MM + 70, y)
  p.line(RIGHT - 70, y, RIGHT, y)
  p.text('Tester', MARGIN_MM, y + 4, 2.2)
  p.text('Witness', RIGHT - 70, y + 4, 2.2)
  y += 10
  say('By this rule, with these readings. Local code and the engineer decide.', 2.2)
  foot()
  return b.bytes(true)
}

/** A hundredth of a degree is no swing: the scale spans two degrees at least. */
const LEAST_DEGREES = 2
const CHART = { left: MARGIN_MM + 14, high: 58 }
/** Pressure as read (thin) and corrected (thick), the fall allowed dashed, the temperature dotted on its own scale. */
function chart(p: Paper, c: Certificate, top: number, w: CertificateWords): void {
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
  const right = RIGHT - 12
  const X = (s: number): number =>
    CHART.left + ((s - first.atS) / (endS - first.atS || 1)) * (right - CHART.left)
  const Y = (v: number, s: RoundScale): number =>
    top + CHART.high - ((v - s.min) / (s.max - s.min)) * CHART.high
  p.box(CHART.left, top, right - CHART.left, CHART.high)
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
  p.line(CHART.left, limit, right, limit, 0.3, [2, 1.4])
  p.text('allowed', right - 1, limit - 0.8, 2, { end: true })
  for (const s of [holdS, holdS + c.test.holdS]) p.line(X(s), top, X(s), top + CHART.high, 0.3)
  const numerals = (s: RoundScale, x: number, end: boolean): void => {
    for (let k = 0; k <= Math.round((s.max - s.min) / s.interval); k++) {
      const v = s.min + k * s.interval
      p.text(fmt.number(v, s.places, w.reader.decimal), x, Y(v, s) + 1, 2, { end })
    }
  }
  numerals(sp, CHART.left - 1, true)
  if (st) numerals(st, right + 1, false)
  p.text(unitOf('fine', w.reader), CHART.left - 1, top - 1.5, 2, { end: true })
  if (st) p.text(unitOf('temperature', w.reader), right + 1, top - 1.5, 2)
  p.text(w.clock(first.atS), CHART.left, top + CHART.high + 3.5, 2)
  p.text(
    `hold ${w.clock(holdS)} to ${w.clock(holdS + c.test.holdS)}`,
    (CHART.left + right) / 2 - 14,
    top + CHART.high + 3.5,
    2,
  )
  p.text(w.clock(endS), right, top + CHART.high + 3.5, 2, { end: true })
  p.text(
    'Thin: as read. Thick: had the temperature stayed. Dotted: temperature.',
    CHART.left,
    top + CHART.high + 7.5,
    2,
  )
}

/** A line to scale along the page; joints inside the section as filled marks, others open. */
function lineDrawing(p: Paper, laid: Laid, tag: string, y: number, w: CertificateWords): void {
  const left = MARGIN_MM + 16
  const scale = (RIGHT - left) / Math.max(1, laid.totalMm)
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
    p.box(x - 0.6, lane(j.lane) - 1.8, 1.2, 3.6, w.inside.has(j.id))
    const wide = p.widthOf(j.tag, 1.8)
    if (x - wide / 2 > lastX + 1) {
      p.text(j.tag, Math.min(x - wide / 2, RIGHT - wide), y + 13, 1.8)
      lastX = x + wide / 2
    }
  }
}
