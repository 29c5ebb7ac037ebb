import { SIZE_SOURCES } from './dimensions.js'
import { JOINING_SOURCES } from './joining.js'
import { LAYING_SOURCES } from './laying.js'
import { SOLVENT_SOURCES } from './solvent.js'
import { TESTING_SOURCES } from './testing.js'

/** Every source that core's own tables and rules name. */
export const KNOWN_SOURCES = [
  ...SOLVENT_SOURCES,
  ...SIZE_SOURCES,
  ...JOINING_SOURCES,
  ...LAYING_SOURCES,
  ...TESTING_SOURCES,
] as const
/** The name of one of them. */
export type KnownSource = (typeof KNOWN_SOURCES)[number]['id']
