/** Where a line begins in the building: at a level, or at what has a name. */
export interface Stands {
  /** Of its first centre or end, where that is not at something with a name; it lies at x = y = 0. */
  levelMm?: number
  /** A measured point, or a part of this job by its tag. */
  name?: string
  /** It leaves that part by its branch. */
  branch?: true
  /** The way it goes, as it was said. */
  heading?: string
  /** As in an item. */
  falls?: number
  /** What it carries, where that asks for a fall. */
  carries?: Carries
  /** Which way it flows in the main run: as the line was set out, or back. */
  flows?: Flows
  /** Round its pipes, thick; and how much is to be free between it and others. */
  insulationMm?: number
  clearMm?: number
}
export type Flows = 'on' | 'back'
export type Carries = 'drain' | 'condensate'
