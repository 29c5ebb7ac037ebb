/** From when on a joint whose end falls here is ready so many seconds later; until the next row. */
export interface ReadyRow {
  fromS: number
  readyAfterS: number
}
/** Staffed time, without a break. */
export interface ShiftSpan {
  fromS: number
  untilS: number
}
export interface OrderPerson {
  id: string
  /** Ascending; they may touch, and no work goes over from one to the next. */
  shifts: readonly ShiftSpan[]
  /** Kinds of joint; absent: any. */
  mayMake?: readonly string[] | null
}
export interface OrderThing {
  kind: string
  count: number
}
/** Whole seconds. Work, set, keep and readyAfter are durations, all else instants on one clock. */
export interface OrderJoint {
  id: string
  kind?: string | null
  workS: number
  hands?: number | null
  /** Only these may make it. */
  people?: readonly string[] | null
  /** One of each, from its start until its end and `keepS`. */
  things?: readonly string[] | null
  keepS?: number | null
  /** Have ended before it begins. */
  after?: readonly string[] | null
  /** Have ended and set before it begins. */
  still?: readonly string[] | null
  setS?: number | null
  /** One of the two. */
  readyAfterS?: number | null
  readyByEnd?: string | readonly ReadyRow[] | null
  section?: string | null
  notBeforeS?: number | null
  /** It lies whole in one of these, ascending and apart; absent: at any time. */
  within?: readonly ShiftSpan[] | null
  endByS?: number | null
  /** Fixed. */
  startS?: number | null
  /** Joints of one group lie beside each other: between two groups time is lost on the way. */
  group?: string | null
  /** Home: takes nobody. */
  doneAtS?: number | null
}
export interface OrderSection {
  id: string
  weight?: number | null
  byS?: number | null
}
export type OrderAim = 'last-ready' | 'weighted'
export interface OrderQuestion {
  startS: number
  people: readonly OrderPerson[]
  things?: readonly OrderThing[] | null
  tables?: Readonly<Record<string, readonly ReadyRow[]>> | null
  joints: readonly OrderJoint[]
  sections?: readonly OrderSection[] | null
  aim?: OrderAim | null
  /** Joints of no section are made when they can: what is aimed at does not count them. */
  aside?: boolean | null
  /** Time lost from one group of joints to another, seconds. */
  walkS?: number | null
  /** Counts steps of the search, so that the same question has the same answer. */
  effortS?: number | null
}
export interface PlannedJoint {
  id: string
  startS: number
  endS: number
  people: string[]
  readyAtS: number
}
export interface OrderReason {
  code: string
  level: 'stop' | 'note'
  message: string
  joint: string | null
  section: string | null
  mend: string[]
}
export interface OrderPlan {
  plan: PlannedJoint[]
  sections: { id: string | null; readyAtS: number; heldBy: string }[]
  valueS: number | null
  /** No plan has a lower value; null where there is none. */
  boundS: number | null
  proven: boolean
  status: 'optimal' | 'feasible' | 'infeasible' | 'none-found'
  reasons: OrderReason[]
}
