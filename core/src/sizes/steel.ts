import { tableOf } from '../sources/table.js'
import B36_10_FILE from './tables/b36-10-walls.json' with { type: 'json' }
import B36_19_FILE from './tables/b36-19-walls.json' with { type: 'json' }
import PRESS_TUBE_FILE from './tables/press-tube-walls.json' with { type: 'json' }

/** Walls of carbon steel pipe in mm by schedule. Source: ASME B36.10M. */
export const B36_10 = tableOf(B36_10_FILE, 'asme-b36-10')
/** Walls of stainless pipe in mm by schedule. Source: ASME B36.19M. */
export const B36_19 = tableOf(B36_19_FILE, 'asme-b36-19')
/** Usual walls of press tube in mm by material. Source: `cp-press-tube`. */
export const PRESS_TUBE = tableOf(PRESS_TUBE_FILE, 'cp-press-tube')
