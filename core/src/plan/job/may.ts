import type { JointFacts } from '../../joint/assess.js'
import type { Shutdown } from '../../log/state-plan.js'
import type { JobState } from '../../log/state.js'
import type { OrderPlan, ShiftSpan } from '../order/question.js'

/** Beyond this nothing is planned, s. */
const FAR_S = 90 * 86_400

/** Does a joint ask for a permit of hot work? */
export const isHotWork = ({ method, spec, ctx }: JointFacts): boolean =>
  method !== null &&
  spec !== null &&
  method.selection(spec, { hotWorkPermit: false }, ctx).some(({ source }) => source === 'cp-hot-work')

/**
 * When hot work may be done: inside its permits, and after the last of them, for which another is to be had. Null: none
 * that is written down reaches beyond `startS`.
 */
export function hotWorkSpans({ permits }: Pick<JobState, 'permits'>, startS: number): ShiftSpan[] | null {
  const own = permits
    .filter(({ what, untilS }) => what === 'hot-work' && untilS > startS)
    .sort((one, other) => one.fromS - other.fromS)
  if (!own.length) return null
  const out: { fromS: number; untilS: number }[] = []
  for (const { fromS, untilS } of own) {
    const last = out.at(-1)
    if (last && fromS <= last.untilS) last.untilS = Math.max(last.untilS, untilS)
    else out.push({ fromS, untilS })
  }
  const last = out.at(-1) as ShiftSpan
  return [...out, { fromS: last.untilS, untilS: last.untilS + FAR_S }].map(({ fromS, untilS }) => ({
    fromS: Math.ceil(fromS),
    untilS: Math.floor(untilS),
  }))
}

/** From when on joints of a section that is shut down may be made, epoch s. */
export const shutFromS = ({ fromS, beforeMin }: Shutdown): number => Math.ceil(fromS + beforeMin * 60)

/** What a plan comes to for a section that is shut down; all times epoch s. */
export interface ShutdownSeen {
  sectionId: string
  /** Isolated and drained: work on it begins. */
  beginS: number
  /** Its joints take the test pressure. */
  readyAtS: number
  /** Tested, filled and back in service. */
  doneS: number
  untilS: number
  /** What is in hand before it must be back, s; below nought: it is so much too long. */
  marginS: number
  heldBy: string
}
/** How plans fit into the shutdowns of a job, those of sections of which something is still to be made. */
export function shutdownsSeen(
  shutdowns: ReadonlyMap<string, Shutdown>,
  { plan, sections }: OrderPlan,
  sectionOf: (jointId: string) => string | null,
): ShutdownSeen[] {
  return [...shutdowns].flatMap(([sectionId, shutdown]): ShutdownSeen[] => {
    const own = sections.find(({ id }) => id === sectionId)
    if (!own || !plan.some(({ id }) => sectionOf(id) === sectionId)) return []
    const { readyAtS, heldBy } = own
    const doneS = readyAtS + shutdown.afterMin * 60
    const { untilS } = shutdown
    return [
      { sectionId, beginS: shutFromS(shutdown), readyAtS, doneS, untilS, marginS: untilS - doneS, heldBy },
    ]
  })
}
