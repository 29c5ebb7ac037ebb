import { BOLTED } from './bolted.js'
import { BOND } from './bond.js'
import { CLAMP } from './clamp.js'
import { COMPRESSION } from './compression.js'
import { FLARE } from './flare.js'
import { FUSION } from './fusion.js'
import { PRESS } from './press.js'
import { SHARED } from './shared.js'
import { SOLDER } from './solder.js'

/** Words of every method but the first, which has its own files. */
export const METHOD_WORDS = {
  ...SHARED,
  ...PRESS,
  ...SOLDER,
  ...COMPRESSION,
  ...CLAMP,
  ...FLARE,
  ...FUSION,
  ...BOND,
  ...BOLTED,
}
