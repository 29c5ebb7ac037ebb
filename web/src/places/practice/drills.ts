import type { Drill } from '@jugalis/core'

export type DrillKind = 'judge' | 'fault' | 'order'
/** A question of a drill, and what was answered. */
export interface Asked {
  kind: DrillKind
  drill: Drill
  said: string
  right: boolean
}
/** What a drill consists of, in order. */
export const DRILLS = {
  find: Array.from({ length: 10 }, (): DrillKind => 'fault'),
  judge: Array.from({ length: 10 }, (): DrillKind => 'judge'),
  order: Array.from({ length: 5 }, (): DrillKind => 'order'),
  // A trade test: forty, of every kind.
  test: Array.from(
    { length: 40 },
    (_, i): DrillKind => (['judge', 'fault', 'judge', 'fault', 'order'] as const)[i % 5] as DrillKind,
  ),
} as const
export type DrillName = keyof typeof DRILLS
