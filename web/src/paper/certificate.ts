import type { Certificate } from '@jugalis/core'
import { CHART_MOST_MM, chart, lineDrawing, lineMm } from './certificate-drawings'
import { type CertificateWords, factRows, recordRows } from './certificate-rows'
import { Flow } from './flow'
import { book, sheetOf } from './sheet'
import { INK_MM, signatures, signerTold } from './signatures'
import { word } from '../words/word'

/** Between what the chart says of itself and what follows. */
const UNDER_CHART_MM = 3
/** The chart is drawn no lower than this on the first page; less room, and it goes to the record. */
const CHART_LEAST_MM = 34

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
  for (const reason of certificate.judgement.reasons)
    flow.say(words.say({ code: `reading-${reason.code}`, params: { count: reason.count } }), 2.5)
  for (const flag of certificate.flags) flow.say(word('paper-flag', { flag: words.say(flag) }), 2.8, true)
}
function drawLines(flow: Flow, lines: CertificateWords['lines'], inside: CertificateWords['inside']): void {
  for (const line of lines) {
    flow.room(lineMm(line.laid))
    lineDrawing(flow.paper, line.laid, line.tag, flow.y, inside)
    flow.y += lineMm(line.laid)
  }
}
/** How many of these lines, one below the other, a height holds. */
function asManyAs(highMm: number, lines: CertificateWords['lines']): number {
  let left = highMm
  const over = lines.findIndex(({ laid }) => (left -= lineMm(laid)) < 0)
  return over < 0 ? lines.length : over
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
  const firstMm = words.lines[0] ? lineMm(words.lines[0].laid) : 0
  const chartMm = hasChart ? Math.min(left - firstMm, CHART_MOST_MM) : 0
  const chartHere = hasChart && chartMm >= CHART_LEAST_MM
  const count = asManyAs(left - 9 - (chartHere ? CHART_LEAST_MM : 0), words.lines)
  const here = words.lines.slice(0, count)
  if (here.length) {
    flow.head(word('paper-section'))
    drawLines(flow, here, words.inside)
  }
  if (chartHere) {
    const high = Math.min(flow.bottom - signedMm - UNDER_CHART_MM - flow.y, CHART_MOST_MM)
    chart(flow.paper, certificate, flow.y, high, words)
    flow.y += high
  }
  flow.y = Math.max(flow.y, flow.bottom - signedMm)
  const signed = certificate.signed.map((one) => [signerTold(one, words.name), words.when(one.atS)] as const)
  signatures(flow, signed, words.head, word('paper-by-this-rule-with'))
  return { lines: words.lines.slice(count), chart: hasChart && !chartHere }
}
function sayGates(flow: Flow, certificate: Certificate, words: CertificateWords): void {
  flow.head(word('ui-gates'))
  flow.rows(
    certificate.gates.map((gate) => [
      word('paper-gate-is', { open: gate.open ? 'yes' : 'no' }),
      `${words.say(gate.says)}${gate.by ? ` ${words.name(gate.by)}, ${words.when(gate.atS ?? 0)}, ${gate.how ?? ''}` : ''}`,
    ]),
  )
}

/** Draws a certificate from the page on that stands open: the first for the wall, the record on those that follow. */
export function drawCertificate(flow: Flow, certificate: Certificate, words: CertificateWords): void {
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
    flow.rows(
      certificate.signed.map((s) => [signerTold(s, words.name), `${words.when(s.atS)}: ${s.statement}`]),
    )
  }
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
  const title = word('paper-pressure-test', { job: certificate.job, section: certificate.section })
  const feed = await book(title, sheet)
  const { head } = certificate
  const flow = new Flow(feed, sheet, word('paper-log-head', { seq: head.seq, hash: head.hash }))
  drawCertificate(flow, certificate, words)
  return feed.bytes(true)
}
