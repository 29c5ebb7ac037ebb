import type { StockPlan } from '@jugalis/core'

export type StockReply =
  | { progress: { newMm: number; boundMm: number | null; share: number } }
  | { plan: StockPlan }
  | { failed: string }
