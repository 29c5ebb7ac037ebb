import { type Certificate, type Laid, type Reader, fmt, openStages, unitOf } from '@jugalis/core'
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
  /** Where the log ended: an address for a code, and its hash as people read it out. */
  head: { address: string; short: string }
}
type Row = readonly [label: string, text: string]

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
export function factRows(certificate: Certificate, words: CertificateWords): Row[] {
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
    ...(test.ended?.reason
      ? [[word('paper-ended-by'), `${words.name(test.ended.by)}: ${test.ended.reason}`] as const]
      : []),
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
  const done = test.stagesDone.flatMap((done): Row[] => {
    const stage = test.stages[done.stage]
    if (!stage) return []
    const says = {
      stage: named(stage.name),
      bar: fine(stage.bar),
      note: done.note,
      when: words.when(done.atS),
      by: words.name(done.by),
    }
    return [[word('paper-stage', { stage: done.stage + 1 }), word('paper-stage-done', says)]]
  })
  const open = openStages(test).map((stage): Row => [
    word('paper-not-signed'),
    word('paper-stage-at', { stage: named(stage.name), bar: fine(stage.bar) }),
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
    ...test.setAside.map((aside): Row => [
      word('paper-set-aside'),
      word('paper-reason', {
        say: words.say({ code: `aside-${aside.code}`, params: {} }),
        reason: aside.reason,
      }),
    ]),
    ...test.leaks.map((leak): Row => [
      word('paper-leak-seen'),
      `${leak.where}, ${words.when(leak.atS)}, ${words.name(leak.by)}`,
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
export function recordRows(certificate: Certificate, words: CertificateWords): Row[] {
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
