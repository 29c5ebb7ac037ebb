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
/** When a section is out of service for the work on it: it is isolated and drained in it, and tested and filled again. */
export interface Shutdown {
  /** Epoch s. */
  fromS: number
  untilS: number
  /** Minutes from its beginning until it is isolated and empty. */
  beforeMin: number
  /** Minutes from when its joints bear until it is tested, filled and back in service. */
  afterMin: number
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
  /** By section. */
  shutdowns: ReadonlyMap<string, Shutdown>
}
