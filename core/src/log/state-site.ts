/** Leave for hot work, or for whatever else wants it, between two times. */
export interface Permit {
  what: string
  number: string
  fromS: number
  untilS: number
  by: string
}
