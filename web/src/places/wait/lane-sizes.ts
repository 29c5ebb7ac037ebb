/** Sizes that the lanes and their axis share, px. */
export const LEFT = 178
export const COLUMN = 92
export const RIGHT = 2 * COLUMN + 8
export const ROW = 31
export const SLOT = 9
