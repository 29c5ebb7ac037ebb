import type { DoneSaid } from '@jugalis/core'

/** What somebody says of one joint or device; torques in Nm, null where nothing is typed, NaN where it can't be read. */
export interface RowSaid {
  good: 'yes' | 'no' | null
  foundNm: number | null
  leftNm: number | null
  says: string
}
/** Nothing is said. */
export const emptyRow = (): RowSaid => ({ good: null, foundNm: null, leftNm: null, says: '' })
/** Is anything said of it? */
export const isSaid = (row: RowSaid): boolean =>
  row.good !== null || row.foundNm !== null || row.leftNm !== null || row.says.trim() !== ''
const read = (nm: number | null): number | null => (nm === null || Number.isNaN(nm) ? null : nm)
/** As an entry has it: readings alone say that it is good. */
export const rowSaid = (row: RowSaid, more: Pick<DoneSaid, 'renewed' | 'lotId'>): DoneSaid => ({
  good: row.good !== 'no',
  foundNm: read(row.foundNm),
  leftNm: read(row.leftNm),
  says: row.says,
  ...more,
})
