import { type Certificate, type Laid, type Reader, fmt, openStages, unitOf } from '@jugalis/core'
import { CHART_MOST_MM, LINE_MM, chart, lineDrawing } from './certificate-drawings'
import { Flow, RIGHT_MM } from './flow'
import { MARGIN_MM, book, sheetOf } from './sheet'
import { named, word } from '../words/word'

export interface CertificateWords {
  say(m: { code: string; params: Record<string, string | number> }): string
  name(personId: string): string
  when(s: number): string
  clock(s: number): string
  rule: string
  reader: Reader
  /** The lines of the section, laid out. */
  lines: { tag: string; laid: Laid }[]
  inside: ReadonlySet<string>
}
type Row = readonly [label: string, text: string]
/** Height of the place where two people sign by hand. */
const INK_MM = 24
/** The chart is drawn no lower than this on the first page; less room, and it goes to the record. */
const CHART_LEAST_MM = 34

const fineOf =
  (w: CertificateWords) =>
  (bar: number | null): string =>
    bar === null ? word('ui-not-known') : fmt.pressureFine(bar, w.reader)

/** What the readings come to over the hold, in the certificate's words. */
function fallRows(c: Certificate, w: CertificateWords): Row[] {
  const fine = fineOf(w)
  const { test, judgement: j } = c
  const { ended } = test
  // What was seen for less than the hold is reckoned up to it, and says so.
  const seen =
    j.seenS < test.holdS ? ` ${word('paper-seen-for-reckoned-for', { max: Math.max(0, j.seenS) })}` : ''
  const moved = (dropBar: number | null): string =>
    dropBar === null
      ? word('ui-not-known')
      : word('paper-moved', { way: dropBar < 0 ? 'up' : 'down', bar: fine(Math.abs(dropBar)) })
  const doubt = `\u00b1 ${fine(ended?.uncertaintyBar ?? j.uncertaintyBar)} (95 %)`
  return [
    [
      word('paper-as-read'),
      word('paper-over-the-hold-may', {
        moved: moved(ended?.rawDropBar ?? j.rawDropBar),
        seen,
        fine: fine(test.allowedDropBar),
      }),
    ],
    [
      word('paper-corrected'),
      word('paper-with-the-temperatures-share', {
        moved: moved(ended?.dropBar ?? j.correctedDropBar),
        doubt,
      }),
    ],
  ]
}
/** What the first page says in rows: what was done, by what rule, on which gauge. */
function factRows(c: Certificate, w: CertificateWords): Row[] {
  const fine = fineOf(w)
  const { test } = c
  const { ended } = test
  return [
    [word('ui-rule'), w.rule],
    [
      word('ui-pressure'),
      word('paper-at-the-gauge-with', {
        test: fine(test.bar),
        medium: test.medium,
        working: fine(c.workingBar),
      }),
    ],
    [word('paper-hold'), word('paper-after-to-settle', { holdS: test.holdS, stabiliseS: test.stabiliseS })],
    [
      word('paper-begun'),
      word('paper-from-until', { begun: w.when(test.begunAtS), ended: ended ? w.when(ended.atS) : '' }),
    ],
    ...fallRows(c, w),
    [word('paper-tester'), test.tester],
    [
      word('ui-gauge'),
      word('paper-reads-to-may-drift', {
        gauge: test.gauge || word('ui-not-named'),
        resolution: fine(test.resolutionBar),
        drift: fine(test.sensorErrorBar),
        gaugeDueOn: test.gaugeDueOn,
        isGaugeDueOn: test.gaugeDueOn ? 'yes' : 'no',
      }),
    ],
  ]
}
/** Stages that were done, and those that nobody signed. */
function stageRows(c: Certificate, w: CertificateWords): Row[] {
  const fine = fineOf(w)
  const { test } = c
  const done = test.stagesDone.flatMap((d): Row[] => {
    const stage = test.stages[d.stage]
    if (!stage) return []
    const says = {
      stage: named(stage.name),
      bar: fine(stage.bar),
      note: d.note,
      when: w.when(d.atS),
      by: w.name(d.by),
    }
    return [[word('paper-stage', { stage: d.stage + 1 }), word('paper-stage-done', says)]]
  })
  const open = openStages(test).map((s): Row => [
    word('paper-not-signed'),
    word('paper-stage-at', { stage: named(s.name), bar: fine(s.bar) }),
  ])
  return [...done, ...open]
}
/** What was seen at the pipe, and what of the readings was set aside. */
function seenRows(c: Certificate, w: CertificateWords): Row[] {
  const { test, judgement } = c
  const rate = test.ended?.leakRateLPerH ?? null
  const lost = (test.ended?.verdict ?? judgement.verdict) === 'lost'
  const leakRate = (litresPerH: number): Row => [
    word('paper-leak-rate'),
    word('paper-about', { rate: fmt.print(litresPerH, 'leak', w.reader) }),
  ]
  return [
    ...test.setAside.map((s): Row => [
      word('paper-set-aside'),
      word('paper-reason', { say: w.say({ code: `aside-${s.code}`, params: {} }), reason: s.reason }),
    ]),
    ...test.leaks.map((l): Row => [word('paper-leak-seen'), `${l.where}, ${w.when(l.atS)}, ${w.name(l.by)}`]),
    ...(rate !== null && lost ? [leakRate(rate)] : []),
  ]
}
function physicsRows({ test }: Certificate, w: CertificateWords): Row[] {
  const { physics } = test
  if (!physics) return []
  const figure = (mm: number | null): string => (mm === null ? '?' : fmt.figureOf(mm, 'thickness', w.reader))
  const says = word('paper-x-air-temperatures-of', {
    pipeMaterial: named(physics.pipeMaterial),
    figure: figure(physics.odMm),
    figure2: figure(physics.wallMm),
    unitOf: unitOf('thickness', w.reader),
    isOdMm: physics.odMm === null && physics.wallMm === null ? 'yes' : 'no',
    axial: physics.axial ?? word('paper-not-said-whether-held'),
    airPct: physics.airPct,
    isAirPct: physics.airPct === null ? 'yes' : 'no',
    temperatureOf: test.temperatureOf,
  })
  return [[word('paper-reckoned-with'), says]]
}
/** The rest of the record: where the rule's figures come from, stages, what was set aside, what was seen. */
function recordRows(c: Certificate, w: CertificateWords): Row[] {
  const fine = fineOf(w)
  const rows: Row[] = []
  if (c.rule.reference) rows.push([word('ui-source'), `${c.rule.reference}. ${c.rule.note ?? ''}`])
  if (c.weakest)
    rows.push([
      word('ui-weakest-part'),
      word('paper-the-gauge-may-show', {
        name: c.weakest.name,
        rating: fine(c.weakest.ratingBar),
        atGauge: fine(c.weakest.atGaugeBar),
      }),
    ])
  const joints = c.joints.map((x) => word('paper-joint-row', { tag: x.tag, size: x.size, life: x.lives }))
  return [
    ...rows,
    ...stageRows(c, w),
    ...seenRows(c, w),
    ...physicsRows(c, w),
    [word('paper-joints'), joints.join(', ')],
  ]
}

/** Where people sign: who did in the app, and two lines for ink. */
function signatures(f: Flow, c: Certificate, w: CertificateWords): void {
  f.head(word('paper-signed'))
  if (c.signed.length) f.rows(c.signed.map((s) => [w.name(s.by), w.when(s.atS)]))
  const { p } = f
  const y = f.y + 9
  p.line(MARGIN_MM, y, MARGIN_MM + 70, y)
  p.line(RIGHT_MM - 70, y, RIGHT_MM, y)
  p.text(word('paper-tester'), MARGIN_MM, y + 4, 2.2)
  p.text(word('paper-witness'), RIGHT_MM - 70, y + 4, 2.2)
  f.y = y + 9
  f.say(word('paper-by-this-rule-with'), 2.2)
}

/** The answer in words: what the readings come to, and what a person wrote down where the two differ. */
function sayAnswer(f: Flow, c: Certificate, w: CertificateWords): void {
  const { ended } = c.test
  f.say(word('paper-pressure-test-of', { section: c.section }), 5, true, 'H1')
  f.say(c.job, 3)
  f.y += 2
  f.say(w.say(c.heading), 4.2, true)
  if (ended && ended.verdict !== c.judgement.verdict) {
    const by = {
      verdict: ended.verdict,
      name: w.name(ended.by),
      when: w.when(ended.atS),
      note: ended.note || word('paper-no-reason-given'),
    }
    f.say(word('paper-recorded-as-by', by), 2.8, true)
  }
  for (const r of c.judgement.reasons)
    f.say(w.say({ code: `reading-${r.code}`, params: { count: r.count } }), 2.5)
  for (const flag of c.flags) f.say(word('paper-flag', { flag: w.say(flag) }), 2.8, true)
}
function drawLines(f: Flow, lines: CertificateWords['lines'], inside: CertificateWords['inside']): void {
  for (const l of lines) {
    f.room(LINE_MM)
    lineDrawing(f.p, l.laid, l.tag, f.y, inside)
    f.y += LINE_MM
  }
}
/** Lines and chart as far as the first page holds them above its signatures. Gives what is left for the record. */
function drawFirstPage(
  f: Flow,
  c: Certificate,
  w: CertificateWords,
): { lines: CertificateWords['lines']; chart: boolean } {
  const signedMm = 9 + Math.max(1, c.signed.length) * 5.6 + INK_MM
  const left = f.bottom - signedMm - f.y
  const hasChart = c.test.readings.length > 1
  const chartMm = hasChart ? Math.min(left - LINE_MM * Math.min(1, w.lines.length), CHART_MOST_MM) : 0
  const chartHere = hasChart && chartMm >= CHART_LEAST_MM
  const count = Math.max(0, Math.floor((left - 9 - (chartHere ? CHART_LEAST_MM : 0)) / LINE_MM))
  const here = w.lines.slice(0, count)
  if (here.length) {
    f.head(word('paper-section'))
    drawLines(f, here, w.inside)
  }
  if (chartHere) {
    const high = Math.min(f.bottom - signedMm - f.y, CHART_MOST_MM)
    chart(f.p, c, f.y, high, w)
    f.y += high
  }
  f.y = Math.max(f.y, f.bottom - signedMm)
  signatures(f, c, w)
  return { lines: w.lines.slice(count), chart: hasChart && !chartHere }
}
function sayGates(f: Flow, c: Certificate, w: CertificateWords): void {
  f.head(word('ui-gates'))
  f.rows(
    c.gates.map((g) => [
      word('paper-gate-is', { open: g.open ? 'yes' : 'no' }),
      `${w.say(g.says)}${g.by ? ` ${w.name(g.by)}, ${w.when(g.atS ?? 0)}, ${g.how ?? ''}` : ''}`,
    ]),
  )
}

/**
 * A certificate of one test. The first page is for the wall: the answer, what was tested and how, the section, the chart,
 * who signed. The record follows: where the figures come from, what was seen, the gates.
 */
export async function certificatePaper(c: Certificate, w: CertificateWords): Promise<Uint8Array> {
  const sheet = sheetOf(w.reader)
  const b = await book(word('paper-pressure-test', { job: c.job, section: c.section }), sheet)
  const f = new Flow(b, sheet, word('paper-log-head', { seq: c.head.seq, hash: c.head.hash }))
  sayAnswer(f, c, w)
  f.y += 1
  f.rows(factRows(c, w))
  const left = drawFirstPage(f, c, w)

  f.turn()
  f.say(word('paper-the-record'), 4.2, true, 'H2')
  f.rows(recordRows(c, w))
  drawLines(f, left.lines, w.inside)
  if (left.chart) {
    f.room(CHART_MOST_MM)
    chart(f.p, c, f.y, CHART_MOST_MM, w)
    f.y += CHART_MOST_MM
  }
  sayGates(f, c, w)
  if (c.signed.length) {
    f.head(word('paper-what-was-signed'))
    f.rows(c.signed.map((s) => [w.name(s.by), `${w.when(s.atS)}: ${s.statement}`]))
  }
  return b.bytes(true)
}
