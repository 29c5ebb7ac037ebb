import {
  type CareTask,
  type JointFacts,
  certificateOf,
  dayOf,
  layOut,
  methodOf,
  ruleSource,
  sourceOf,
  upkeepOf,
} from '@jugalis/core'
import { drawCertificate } from '../certificate'
import { certificateWords } from '../certificate-words'
import { lineDrawing, lineMm } from '../certificate-drawings'
import type { Flow } from '../flow'
import { standing } from '../../places/handbook/figure-text'
import { ruleName } from '../../places/prove/rule-names'
import { byWhom, howOften, ofWhat, standsSaid } from '../../places/upkeep/said'
import { dayText, onPaper } from '../../when'
import { listed, named, told, within, word } from '../../words/word'
import type { Heard, Pack } from './pack'

/** The lines as they were built, to scale along the page; joints that are made are filled. */
export function drawLines(flow: Flow, pack: Pack): void {
  if (!pack.lines.length) return
  flow.room(60)
  flow.y += 4
  flow.say(word('paper-pack-lines'), 4.2, true, 'H2')
  flow.say(word('paper-pack-lines-say'))
  const made = new Set(pack.joints.filter((facts) => facts.homeAtS !== null).map(({ id }) => id))
  for (const line of pack.lines) {
    const laid = layOut(pack.state, line)
    flow.room(lineMm(laid))
    lineDrawing(flow.paper, laid, line.tag, flow.y, made)
    flow.y += lineMm(laid)
  }
}

/** Every test that has ended, as its certificate. */
export function drawTests(flow: Flow, pack: Pack, heard: Heard): void {
  pack.tests.forEach((test, i) => {
    heard('tests', i, pack.tests.length)
    const certificate = certificateOf(pack.state, test.id, pack.head)
    if (!certificate) return
    flow.turn()
    drawCertificate(flow, certificate, certificateWords(pack, test.sectionId, certificate.rule.id))
  })
}

/** What was put up or taken out for a test, and whether it is back. */
export function drawTags(flow: Flow, { tags, state, name }: Pack): void {
  if (!tags.length) return
  const at = (atS: number): string => onPaper(atS, state.job.zone)
  flow.head(word('paper-pack-blanks'))
  flow.rows(
    tags.map((tag) => [
      named(tag.kind),
      word('paper-pack-blank', {
        where: tag.where,
        section: state.sections.get(tag.sectionId)?.tag,
        name: name(tag.by),
        when: at(tag.atS),
        isBack: tag.back ? 'yes' : 'no',
        backBy: tag.back ? name(tag.back.by) : '',
        backAt: tag.back ? at(tag.back.atS) : '',
        how: tag.back?.how,
      }),
    ]),
  )
}
/** What papers say that those who made these joints may make. */
export function drawPapers(flow: Flow, { state, joints, name }: Pack): void {
  const makers = new Set(joints.flatMap(({ life }) => (life?.done ?? []).map(({ by }) => by)))
  const papers = [...state.qualifications.values()].filter(({ personId }) => makers.has(personId))
  if (!papers.length) return
  flow.head(word('about-qualified'))
  flow.rows(
    papers.map(({ personId, methods, covers, paper, untilOn }) => [
      name(personId),
      word('paper-pack-paper', {
        methods: listed(
          methods.map((id) => told(methodOf(id)?.name ?? { code: '', params: {} })),
          20,
        ),
        covers,
        paper,
        until: untilOn === null ? '' : dayText(untilOn),
      }),
    ]),
  )
}
/** Upkeep of what a pack is about, what is due first standing first. */
export const caresOf = ({ state, facts, sections }: Pack): CareTask[] =>
  upkeepOf(state, facts).filter((task) => sections.some(({ section }) => section.id === task.section.id))
export function drawUpkeep(flow: Flow, pack: Pack): void {
  const tasks = caresOf(pack)
  if (!tasks.length) return
  const today = dayOf(pack.nowS, pack.state.job.zone)
  flow.head(word('paper-pack-upkeep'))
  flow.rows(
    tasks.map((task) => [
      standsSaid(task, today),
      `${told(task.does.does)}: ${ofWhat(task)}, ${within(howOften(task))} (${byWhom(task)})`,
    ]),
  )
}

/** One joint of each way of joining and size: the others have their figures from the same sources. */
const oneOfEach = (joints: readonly JointFacts[]): JointFacts[] => [
  ...new Map(joints.map((facts) => [`${facts.place.way.key} ${facts.place.way.size}`, facts])).values(),
]
function sourceIds(pack: Pack): string[] {
  const ids = new Set<string>()
  for (const { method, spec, ctx, life, movable } of oneOfEach(pack.joints)) {
    if (!method || spec === null) continue
    for (const { fig } of method.figures(spec, ctx)) if (fig.value !== null) ids.add(fig.source)
    if (life) for (const ramp of method.pressure(spec, life, ctx)) ids.add(ramp.source)
    if (movable.value !== null) ids.add(movable.source)
  }
  return [...ids].sort()
}
/** Where figures come from, and how sure each is. */
export function drawSources(flow: Flow, pack: Pack): void {
  const ids = sourceIds(pack)
  const rules = [...new Set(pack.tests.map(({ rule }) => rule))].flatMap((rule) => {
    const source = ruleSource(rule)
    return source ? [[ruleName(rule), source.reference] as const] : []
  })
  if (!ids.length && !rules.length) return
  flow.head(word('paper-pack-sources'))
  flow.rows(rules)
  for (const id of ids) {
    const { reference, edition } = sourceOf(id)
    flow.say(`\u2013 ${reference}${edition ? `, ${edition}` : ''} (${standing(id, pack.state.checked)})`)
  }
}
