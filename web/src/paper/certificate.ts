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
  (words: CertificateWords) =>
  (bar: number | null): string =>
    bar === null ? word('ui-not-known') : fmt.pressureFine(bar, words.reader)

/** What the readings come to over the hold, in the certificate's words. */
function fallRows(certificate: Certificate, words: CertificateWords): Row[] {
  const fine = fineOf(words)
  const { test, judgement: judgement } = certificate
  const { ended } = test
  // What was seen for less than the hold is reckoned up to it, and says so.
  const seen =
    judgement.seenS < test.holdS
      ? ` ${word('paper-seen-for-reckoned-for', { max: Math.max(0, judgement.seenS) })}`
      : ''
  const moved = (dropBar: number | null): string =>
    dropBar === null
      ? word('ui-not-known')
      : word('paper-moved', { way: dropBar < 0 ? 'up' : 'down', bar: fine(Math.abs(dropBar)) })
  const doubt = `\u00b1 ${fine(ended?.uncertaintyBar ?? judgement.uncertaintyBar)} (95 %)`
  return [
    [
      word('paper-as-read'),
      word('paper-over-the-hold-may', {
        moved: moved(ended?.rawDropBar ?? judgement.rawDropBar),
        seen,
        fine: fine(test.allowedDropBar),
      }),
    ],
    [
      word('paper-corrected'),
      word('paper-with-the-temperatures-share', {
        moved: moved(ended?.dropBar ?? judgement.correctedDropBar),
        doubt,
      }),
    ],
  ]
}
/** What the first page says in rows: what was done, by what rule, on which gauge. */
function factRows(certificate: Certificate, words: CertificateWords): Row[] {
  const fine = fineOf(words)
  const { test } = certificate
  const { ended } = test
  return [
    [word('ui-rule'), words.rule],
    [
      word('ui-pressure'),
      word('paper-at-the-gauge-with', {
        test: fine(test.bar),
        medium: test.medium,
        working: fine(certificate.workingBar),
      }),
    ],
    [word('paper-hold'), word('paper-after-to-settle', { holdS: test.holdS, stabiliseS: test.stabiliseS })],
    [
      word('paper-begun'),
      word('paper-from-until', {
        begun: words.when(test.begunAtS),
        ended: ended ? words.when(ended.atS) : '',
      }),
    ],
    ...fallRows(certificate, words),
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
function stageRows(certificate: Certificate, words: CertificateWords): Row[] {
  const fine = fineOf(words)
  const { test } = certificate
  const done = test.stagesDone.flatMap((d): Row[] => {
    const stage = test.stages[d.stage]
    if (!stage) return []
    const says = {
      stage: named(stage.name),
      bar: fine(stage.bar),
      note: d.note,
      when: words.when(d.atS),
      by: words.name(d.by),
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
function seenRows(certificate: Certificate, words: CertificateWords): Row[] {
  const { test, judgement } = certificate
  const rate = test.ended?.leakRateLPerH ?? null
  const lost = (test.ended?.verdict ?? judgement.verdict) === 'lost'
  const leakRate = (litresPerH: number): Row => [
    word('paper-leak-rate'),
    word('paper-about', { rate: fmt.print(litresPerH, 'leak', words.reader) }),
  ]
  return [
    ...test.setAside.map((s): Row => [
      word('paper-set-aside'),
      word('paper-reason', { say: words.say({ code: `aside-${s.code}`, params: {} }), reason: s.reason }),
    ]),
    ...test.leaks.map((l): Row => [
      word('paper-leak-seen'),
      `${l.where}, ${words.when(l.atS)}, ${words.name(l.by)}`,
    ]),
    ...(rate !== null && lost ? [leakRate(rate)] : []),
  ]
}
function physicsRows({ test }: Certificate, words: CertificateWords): Row[] {
  const { physics } = test
  if (!physics) return []
  const figure = (mm: number | null): string =>
    mm === null ? '?' : fmt.figureOf(mm, 'thickness', words.reader)
  const says = word('paper-x-air-temperatures-of', {
    pipeMaterial: named(physics.pipeMaterial),
    figure: figure(physics.odMm),
    figure2: figure(physics.wallMm),
    unitOf: unitOf('thickness', words.reader),
    isOdMm: physics.odMm === null && physics.wallMm === null ? 'yes' : 'no',
    axial: physics.axial ?? word('paper-not-said-whether-held'),
    airPct: physics.airPct,
    isAirPct: physics.airPct === null ? 'yes' : 'no',
    temperatureOf: test.temperatureOf,
  })
  return [[word('paper-reckoned-with'), says]]
}
/** The rest of the record: where the rule's figures come from, stages, what was set aside, what was seen. */
function recordRows(certificate: Certificate, words: CertificateWords): Row[] {
  const fine = fineOf(words)
  const rows: Row[] = []
  if (certificate.rule.reference)
    rows.push([word('ui-source'), `${certificate.rule.reference}. ${certificate.rule.note ?? ''}`])
  if (certificate.weakest)
    rows.push([
      word('ui-weakest-part'),
      word('paper-the-gauge-may-show', {
        name: certificate.weakest.name,
        rating: fine(certificate.weakest.ratingBar),
        atGauge: fine(certificate.weakest.atGaugeBar),
      }),
    ])
  const joints = certificate.joints.map((x) =>
    word('paper-joint-row', { tag: x.tag, size: x.size, life: x.lives }),
  )
  return [
    ...rows,
    ...stageRows(certificate, words),
    ...seenRows(certificate, words),
    ...physicsRows(certificate, words),
    [word('paper-joints'), joints.join(', ')],
  ]
}

/** Where people sign: who did in the app, and two lines for ink. */
function signatures(flow: Flow, certificate: Certificate, words: CertificateWords): void {
  flow.head(word('paper-signed'))
  if (certificate.signed.length)
    flow.rows(certificate.signed.map((s) => [words.name(s.by), words.when(s.atS)]))
  const { paper } = flow
  const y = flow.y + 9
  paper.line(MARGIN_MM, y, MARGIN_MM + 70, y)
  paper.line(RIGHT_MM - 70, y, RIGHT_MM, y)
  paper.text(word('paper-tester'), MARGIN_MM, y + 4, 2.2)
  paper.text(word('paper-witness'), RIGHT_MM - 70, y + 4, 2.2)
  flow.y = y + 9
  flow.say(word('paper-by-this-rule-with'), 2.2)
}

/** The answer in words: what the readings come to, and what a person wrote down where the two differ. */
function sayAnswer(flow: Flow, certificate: Certificate, words: CertificateWords): void {
  const { ended } = certificate.test
  flow.say(word('paper-pressure-test-of', { section: certificate.section }), 5, true, 'H1')
  flow.say(certificate.job, 3)
  flow.y += 2
  flow.say(words.say(certificate.heading), 4.2, true)
  if (ended && ended.verdict !== certificate.judgement.verdict) {
    const by = {
      verdict: ended.verdict,
      name: words.name(ended.by),
      when: words.when(ended.atS),
      note: ended.note || word('paper-no-reason-given'),
    }
    flow.say(word('paper-recorded-as-by', by), 2.8, true)
  }
  for (const r of certificate.judgement.reasons)
    flow.say(words.say({ code: `reading-${r.code}`, params: { count: r.count } }), 2.5)
  for (const flag of certificate.flags) flow.say(word('paper-flag', { flag: words.say(flag) }), 2.8, true)
}
function drawLines(flow: Flow, lines: CertificateWords['lines'], inside: CertificateWords['inside']): void {
  for (const l of lines) {
    flow.room(LINE_MM)
    lineDrawing(flow.paper, l.laid, l.tag, flow.y, inside)
    flow.y += LINE_MM
  }
}
/** Lines and chart as far as the first page holds them above its signatures. Gives what is left for the record. */
function drawFirstPage(
  flow: Flow,
  certificate: Certificate,
  words: CertificateWords,
): { lines: CertificateWords['lines']; chart: boolean } {
  const signedMm = 9 + Math.max(1, certificate.signed.length) * 5.6 + INK_MM
  const left = flow.bottom - signedMm - flow.y
  const hasChart = certificate.test.readings.length > 1
  const chartMm = hasChart ? Math.min(left - LINE_MM * Math.min(1, words.lines.length), CHART_MOST_MM) : 0
  const chartHere = hasChart && chartMm >= CHART_LEAST_MM
  const count = Math.max(0, Math.floor((left - 9 - (chartHere ? CHART_LEAST_MM : 0)) / LINE_MM))
  const here = words.lines.slice(0, count)
  if (here.length) {
    flow.head(word('paper-section'))
    drawLines(flow, here, words.inside)
  }
  if (chartHere) {
    const high = Math.min(flow.bottom - signedMm - flow.y, CHART_MOST_MM)
    chart(flow.paper, certificate, flow.y, high, words)
    flow.y += high
  }
  flow.y = Math.max(flow.y, flow.bottom - signedMm)
  signatures(flow, certificate, words)
  return { lines: words.lines.slice(count), chart: hasChart && !chartHere }
}
function sayGates(flow: Flow, certificate: Certificate, words: CertificateWords): void {
  flow.head(word('ui-gates'))
  flow.rows(
    certificate.gates.map((g) => [
      word('paper-gate-is', { open: g.open ? 'yes' : 'no' }),
      `${words.say(g.says)}${g.by ? ` ${words.name(g.by)}, ${words.when(g.atS ?? 0)}, ${g.how ?? ''}` : ''}`,
    ]),
  )
}

/**
 * A certificate of one test. The first page is for the wall: the answer, what was tested and how, the section, the chart,
 * who signed. The record follows: where the figures come from, what was seen, the gates.
 */
export async function certificatePaper(
  certificate: Certificate,
  words: CertificateWords,
): Promise<Uint8Array> {
  const sheet = sheetOf(words.reader)
  const feed = await book(
    word('paper-pressure-test', { job: certificate.job, section: certificate.section }),
    sheet,
  )
  const flow = new Flow(
    feed,
    sheet,
    word('paper-log-head', { seq: certificate.head.seq, hash: certificate.head.hash }),
  )
  sayAnswer(flow, certificate, words)
  flow.y += 1
  flow.rows(factRows(certificate, words))
  const left = drawFirstPage(flow, certificate, words)

  flow.turn()
  flow.say(word('paper-the-record'), 4.2, true, 'H2')
  flow.rows(recordRows(certificate, words))
  drawLines(flow, left.lines, words.inside)
  if (left.chart) {
    flow.room(CHART_MOST_MM)
    chart(flow.paper, certificate, flow.y, CHART_MOST_MM, words)
    flow.y += CHART_MOST_MM
  }
  sayGates(flow, certificate, words)
  if (certificate.signed.length) {
    flow.head(word('paper-what-was-signed'))
    flow.rows(certificate.signed.map((s) => [words.name(s.by), `${words.when(s.atS)}: ${s.statement}`]))
  }
  return feed.bytes(true)
}
