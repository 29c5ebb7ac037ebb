import type { Section, SectionPlan } from '../../log/state.js'

export const NO_PLAN: SectionPlan = {
  rule: null,
  designBar: null,
  medium: 'water',
  temperatureC: null,
  gaugeM: null,
  lowM: null,
  highM: null,
  axial: null,
  airPct: null,
  stressRatio: null,
  valve: null,
  keep: null,
}
/** The plan of a section's test; nothing chosen where it has none yet. */
export const planOf = (section: Section): SectionPlan => section.plan ?? NO_PLAN
