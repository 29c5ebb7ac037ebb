/** States that somebody says a thing is in. What is in use is known from the joints made with it. */
export const ITEM_STATES = ['opened', 'empty', 'condemned', 'back'] as const
export type ItemState = (typeof ITEM_STATES)[number]
/** What amounts of what is used up are kept in. */
export const AMOUNT_UNITS = ['count', 'mm', 'l', 'kg'] as const
export type AmountUnit = (typeof AMOUNT_UNITS)[number]

/**
 * A thing of the store: a tool or gauge, or a lot of what is used up; what it fits, its dates, what was said of it and
 * what it reported by itself. Days are YYYY-MM-DD, null where nobody said.
 */
export interface StoreItem {
  id: string
  /** As what a joint needs is called: press-tool, jaw, cement, gasket … */
  kind: string
  name: string
  /** Used up, as cement and gaskets are; a tool stays. */
  lot: boolean
  /** Size, profile, plastic, rubber …, compared with what a joint needs. */
  matches: Readonly<Record<string, string>>
  /** Batch or lot as it stands on it. */
  batch: string | null
  /** Next service or calibration. */
  dueOn: string | null
  /** Last service or calibration, and the number of its paper. */
  checkedOn: string | null
  certificate: string | null
  boughtOn: string | null
  /** Last good day, unopened. */
  expiresOn: string | null
  /** Days it keeps once opened, as its maker prints on it. */
  openDays: number | null
  /** What there was, and since when that was said, epoch s: joints made later have taken of it. */
  amount: { value: number; unit: AmountUnit; atS: number } | null
  proofs: { atS: number; good: boolean; how: string; by: string }[]
  /** `still`: nobody said that it was right again by then. */
  found: { fromS: number; toS: number; still: boolean; says: string; atS: number; by: string }[]
  states: { state: ItemState; atS: number; says: string; by: string }[]
  said: {
    eventId: string
    what: string
    result: string
    atS: number
    value: number | null
    jaw: string | null
    profile: string | null
  }[]
}
