import { isLive } from '../prove/test-plan/live.js'
import { tagOrder } from '../units/tag-order.js'
import type { JointFacts } from '../joint/assess.js'
import { isUnfixed } from '../joint/look.js'
import type { JobState, Section, StoreItem } from '../log/state.js'

/** What the next shift must know in two minutes: only what is not done with. */
export interface Shift {
  /** Begun and not home: what was last done, and by when something is lost. */
  halfMade: { facts: JointFacts; lastStep: string; lastAtS: number; byS: number | null }[]
  unfixed: JointFacts[]
  /** Not to be touched yet; null = no figure when it may. */
  dontTouch: { facts: JointFacts; untilS: number | null }[]
  failed: JointFacts[]
  toLookAt: JointFacts[]
  sections: Section[]
  blanketsOn: { tool: StoreItem; sinceS: number }[]
  permits: { number: string; untilS: number }[]
  toolsNotGood: StoreItem[]
}
const byTag = (a: JointFacts, b: JointFacts): number => tagOrder(a.tag, b.tag)

/** What the next shift must know: what is under pressure, half made, not to be touched, in doubt. */
export function shiftOf(state: JobState, facts: Iterable<JointFacts>, nowS: number): Shift {
  const all = [...facts].sort(byTag)
  const halfMade = all.flatMap((facts) => {
    const last = facts.life?.done.at(-1)
    if (!last || facts.homeAtS !== null || isUnfixed(facts)) return []
    const open = facts.clocks.find((c) => c.kind === 'window' && c.stoppedAtS === undefined)
    return [{ facts: facts, lastStep: last.step, lastAtS: last.latestS, byS: open?.untilS.value ?? null }]
  })
  const waits = (facts: JointFacts): boolean =>
    facts.homeAtS !== null &&
    facts.inspection?.verdict !== 'fail' &&
    (facts.movable.value === null ? facts.method?.cures === true : facts.movable.value > nowS)
  return {
    halfMade,
    unfixed: all.filter(isUnfixed),
    dontTouch: all
      .filter(waits)
      .map((f) => ({ facts: f, untilS: f.movable.value }))
      .sort((a, b) => (a.untilS ?? Infinity) - (b.untilS ?? Infinity)),
    failed: all.filter((f) => f.inspection?.verdict === 'fail'),
    toLookAt: all.filter((f) => f.homeAtS !== null && f.inspection?.verdict === 'unknown' && !f.nextStep),
    sections: [...state.sections.values()]
      .filter((s) => isLive(state, s))
      .sort((a, b) => tagOrder(a.tag, b.tag)),
    blanketsOn: [...state.store.values()].flatMap((tool) => {
      const last = tool.said.filter((x) => x.what === 'blanket').at(-1)
      return last?.result === 'on' ? [{ tool, sinceS: last.atS }] : []
    }),
    permits: state.permits.filter((p) => p.fromS <= nowS && nowS <= p.untilS),
    toolsNotGood: [...state.store.values()].filter((t) => t.proofs.at(-1)?.good === false),
  }
}
