import { timeOf } from '../methods/cure/piecewise.js'
import type { Msg, Step } from '../methods/method.js'
import { msg } from '../sources/source.js'
import type { JointFacts } from './assess.js'

export const GLYPHS = [
  'planned',
  'marked',
  'prepared',
  'window',
  'unfixed',
  'hold',
  'set',
  'made',
  'cant-tell',
  'cure25',
  'cure50',
  'cure75',
  'loadable',
  'tested',
  'failed',
  'cutout',
] as const
export type GlyphId = (typeof GLYPHS)[number]

export interface JointLook {
  glyph: GlyphId
  word: Msg
  inspected: boolean
  look: boolean
  life: number
}

/** What a joint looks like at a time: one glyph, its word and its two modifiers. */
export function lookOf(facts: JointFacts, nowS: number, targetBar: number, tested: boolean): JointLook {
  const glyph = glyphOf(facts, nowS, targetBar, tested)
  const late = facts.clocks.some(
    (clock) =>
      clock.kind === 'window' &&
      clock.stoppedAtS === undefined &&
      clock.untilS.value !== null &&
      clock.untilS.value < nowS,
  )
  return {
    glyph,
    word: msg(`state-${glyph}`),
    inspected: facts.inspection?.verdict === 'pass',
    look:
      late || facts.doubtful > 0 || facts.notes.length > 0 || (facts.inspection?.findings.length ?? 0) > 0,
    life: facts.lifeNo,
  }
}

/**
 * What a joint looks like at another time, by what is known now: before it was home it was not made yet; later it is set and
 * cures as its clocks say. @param facts of now.
 */
export const lookAt = (facts: JointFacts, atS: number, targetBar: number, tested: boolean): JointLook =>
  facts.homeAtS !== null && atS < facts.homeAtS
    ? { glyph: 'planned', word: msg('state-planned'), inspected: false, look: false, life: facts.lifeNo }
    : lookOf(facts, atS, targetBar, tested)

/** How far a cure has come, the most first. */
const CURE_QUARTERS = [
  [0.75, 'cure75'],
  [0.5, 'cure50'],
  [0.25, 'cure25'],
] as const
const reached = (facts: JointFacts): (Step['reaches'] | undefined)[] =>
  (facts.life?.done ?? []).map((d) => facts.steps.find((s) => s.id === d.step)?.reaches)
/** Assembled, and not yet pressed, turned or tightened: at any time, whatever section it is in. */
export const isUnfixed = (facts: JointFacts): boolean =>
  facts.life !== null && facts.homeAtS === null && glyphOf(facts, 0, 0, false) === 'unfixed'

function glyphOf(facts: JointFacts, nowS: number, targetBar: number, tested: boolean): GlyphId {
  if (!facts.life) return 'planned'
  if (facts.inspection?.verdict === 'fail') return 'failed'
  if (facts.homeAtS === null) {
    if (facts.clocks.some((c) => c.kind === 'window' && c.stoppedAtS === undefined)) return 'window'
    const done = reached(facts)
    if (done.includes('assembled')) return 'unfixed'
    return done.includes('prepared') ? 'prepared' : done.includes('marked') ? 'marked' : 'planned'
  }
  for (const shows of ['hold', 'set'] as const) {
    const running = facts.clocks.some(
      (clock) =>
        clock.shows === shows &&
        clock.stoppedAtS === undefined &&
        (clock.untilS.value === null || clock.untilS.value > nowS),
    )
    if (running) return shows
  }
  if (tested) return 'tested'
  const judged = facts.life.done.some((d) => facts.steps.find((s) => s.id === d.step)?.reaches === 'verified')
  if (judged && facts.inspection?.verdict === 'unknown') return 'cant-tell'
  const readyS = timeOf(facts.pieces, targetBar)
  if (readyS !== null && nowS >= readyS) return 'loadable'
  const share = readyS === null ? 0 : (nowS - facts.homeAtS) / (readyS - facts.homeAtS)
  return CURE_QUARTERS.find(([from]) => share >= from)?.[1] ?? 'made'
}
