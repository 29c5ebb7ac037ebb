import type { JobState, Section } from '../../log/state.js'

/** What every place has to know of a section, apart from all that is reckoned about it: pages that show no test load no more. */
const valveOf = (section: Section): string | null => section.plan?.valve ?? null

/** Sections that are live with this one: those behind the same valve. */
export const behindSameValve = (state: JobState, section: Section): Section[] => {
  const valve = valveOf(section)
  return valve === null
    ? []
    : [...state.sections.values()].filter((s) => s.id !== section.id && valveOf(s) === valve)
}
/**
 * What nobody sets aside where work begins: the section, or one behind the same valve, is live.
 * @example neverSetAside('section-live') // true
 */
export const neverSetAside = (code: string): boolean => code === 'section-live'
/** What a section may stand under, as it is kept. */
export const SECTION_STATES = ['drained', 'full', 'under pressure', 'under vacuum'] as const
export const UNDER_PRESSURE = 'under pressure'
const LIVE: ReadonlySet<string> = new Set([UNDER_PRESSURE, 'under vacuum'])
/** What a section stands under: what was last said of it, but under pressure while a test of it runs, whoever forgot to say so. */
export function stateNow(state: JobState, section: Section): Section['state'] {
  if (LIVE.has(section.state)) return section.state
  const runs = [...state.tests.values()].some((t) => t.sectionId === section.id && !t.ended)
  return runs ? UNDER_PRESSURE : section.state
}
/** Does a section hold pressure or vacuum, by what was last said of it? */
export const isLive = (state: JobState, section: Section): boolean => LIVE.has(stateNow(state, section))
/** What the gauge of a section under test showed last, bar; null where no test of it runs or nothing is read yet. */
export function pressureNow(state: JobState, section: Section): number | null {
  const running = [...state.tests.values()].filter((t) => t.sectionId === section.id && !t.ended)
  return running.at(-1)?.readings.at(-1)?.bar ?? null
}
/** The section that makes work on a joint dangerous: its own or one behind the same valve, under pressure or vacuum. */
export function liveSection(state: JobState, jointId: string): { section: Section; own: boolean } | null {
  for (const section of state.sections.values()) {
    if (!section.jointIds.includes(jointId)) continue
    if (isLive(state, section)) return { section, own: true }
    const near = behindSameValve(state, section).find((s) => isLive(state, s))
    if (near) return { section: near, own: false }
  }
  return null
}
