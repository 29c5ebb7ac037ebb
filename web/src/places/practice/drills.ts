/** What is asked of a joint, or in the head. */
export type DrillKind = 'judge' | 'fault' | 'order' | 'sum'
/** A question of a drill as it was answered, in words. */
export interface Asked {
  kind: DrillKind
  joint: string
  /** What was right. */
  was: string
  said: string
  right: boolean
  /** A bad joint that every reading calls good. */
  hidden: boolean
}
/** What a drill consists of, in order. */
export const DRILLS = {
  find: Array.from({ length: 10 }, (): DrillKind => 'fault'),
  judge: Array.from({ length: 10 }, (): DrillKind => 'judge'),
  order: Array.from({ length: 5 }, (): DrillKind => 'order'),
  sums: Array.from({ length: 12 }, (): DrillKind => 'sum'),
  // A trade test: forty, of every kind.
  test: Array.from({ length: 8 }, (): DrillKind[] => ['judge', 'fault', 'sum', 'judge', 'order']).flat(),
} as const
export type DrillName = keyof typeof DRILLS
