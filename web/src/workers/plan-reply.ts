import type { JobQuestion, OrderPlan } from '@jugalis/core'

/** The question of a plan, by number: what an earlier one still says is not listened to. */
export interface PlanAsked {
  turn: number
  asked: readonly JobQuestion[]
  before?: readonly { id: string; startS: number; people: readonly string[] }[]
}
export type PlanReply =
  | { turn: number; part: number }
  | { turn: number; plan: OrderPlan; at: number }
  | { turn: number; failed: string }
