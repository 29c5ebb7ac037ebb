import { signatures, signerTold } from '../signatures'
import type { Flow } from '../flow'
import { handOverHead } from '../../places/hand-over/missing'
import { answerHead } from '../../places/wait/answer-said'
import { onPaper } from '../../when'
import { word } from '../../words/word'
import type { Pack } from './pack'

/** The answer first: is it whole, what of it is proved, what is missing; who signed. */
export function drawSummary(flow: Flow, pack: Pack): void {
  const { state, sections, joints, missing } = pack
  const { job } = state
  const at = (atS: number): string => onPaper(atS, job.zone)
  const [only] = pack.sectionId === null ? [] : sections
  flow.say(word('paper-pack-of', { job: job.name, section: only?.section.tag ?? '' }), 5, true, 'H1')
  flow.y += 1
  flow.say(handOverHead(joints, sections, missing), 4.2, true)
  flow.y += 2
  flow.rows(
    (
      [
        [word('paper-pack-site'), job.site],
        [word('paper-pack-customer'), job.customer],
        [word('paper-pack-drawings'), job.drawings],
        [word('paper-pack-as-of'), at(pack.nowS)],
        [
          word('paper-pack-record'),
          word('paper-pack-record-ends', { seq: pack.head.seq, head: pack.head.short }),
        ],
      ] as const
    ).flatMap(([label, text]) => (text ? [[label, text] as const] : [])),
  )
  if (pack.waiting) flow.say(word('paper-pack-waiting', { waiting: pack.waiting }), 2.5, true)
  if (sections.length) {
    flow.head(word('paper-pack-sections'))
    flow.rows(
      sections.map((answer) => [
        answer.section.tag,
        `${word('paper-pack-section-made', {
          joints: answer.joints.length,
          made: answer.joints.filter(({ facts }) => facts.homeAtS !== null).length,
          good: answer.joints.filter(({ facts }) => facts.inspection?.verdict === 'pass').length,
        })} ${answerHead(answer, at)}`,
      ]),
    )
  }
  const loose = joints.filter(({ id }) => !sections.some(({ section }) => section.jointIds.includes(id)))
  if (missing.length || loose.length) {
    flow.head(word('paper-pack-open'))
    for (const { says } of missing) flow.say(`\u2013 ${says}`)
    if (loose.length)
      flow.say(
        `\u2013 ${word('paper-pack-loose', { count: loose.length, first: loose[0]?.tag, last: loose.at(-1)?.tag })}`,
      )
  }
  const signed = state.signed.filter(
    ({ what, refId }) =>
      what === 'job' || (what === 'section' && sections.some((a) => a.section.id === refId)),
  )
  const rows = signed.map((one) => [signerTold(one, pack.name), `${at(one.atS)}: ${one.statement}`] as const)
  signatures(flow, rows, pack.head, word('paper-pack-shows'))
}
