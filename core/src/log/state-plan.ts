/** Somebody who makes joints on a job, and when they are there; minutes are of the day, on the job's clocks. */
export interface CrewMember {
  id: string
  name: string
  /** 1 Monday to 7 Sunday. */
  days: readonly number[]
  fromMin: number
  untilMin: number
  breakFromMin?: number
  breakUntilMin?: number
  /** Ways of joining they may make; absent: all of the job's. */
  makes?: readonly string[]
}
/** What a plan was when it was pinned, and who pinned it. */
export interface PinnedPlan {
  aim: PlanAim
  joints: readonly { jointId: string; startS: number; endS: number; crew: readonly string[] }[]
  valueS: number
  boundS: number
  by: string
  atS: number
}
/** What is asked of a plan: all sections soonest by their mean, the last one soonest, or one before the others. */
export type PlanAim = 'each' | 'last'
export interface PlanState {
  crew: readonly CrewMember[]
  /** Minutes from one line to another; absent where nobody said. */
  walkMin?: number
  /** Minutes a joint takes, by method; absent: ours, or measured. */
  works: ReadonlyMap<string, number>
  /** Joints that somebody gave a person, or a time, or both. */
  fixed: ReadonlyMap<string, { crew: readonly string[]; startS: number | null }>
  pinned: PinnedPlan | null
}
