/** What a paper says that somebody may make, as written by them or by who leads the job. */
export interface Qualification {
  id: string
  personId: string
  /** Ways of joining it is for, by their ids. */
  methods: readonly string[]
  /** Sizes and materials, in the words of the paper. */
  covers: string
  /** The paper: its standard and number. */
  paper: string
  /** Its last day, YYYY-MM-DD; null: it says none. */
  untilOn: string | null
  by: string
  atS: number
}
