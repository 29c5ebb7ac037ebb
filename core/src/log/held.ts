/** What keeps a part where it is: an anchor altogether, a guide but for moving along its pipe. */
export interface Held {
  as: 'anchor' | 'guide'
  /** On a pipe, how far along from the middle of what stands before it, or from its bare end. */
  atMm?: number
}
