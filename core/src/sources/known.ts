import { SIZE_SOURCES } from './dimensions.js'
import { GENERAL_SOURCES } from './general.js'
import { JOINING_SOURCES } from './joining.js'
import { LAYING_SOURCES } from './laying.js'
import { TESTING_SOURCES } from './testing.js'
import { UPKEEP_SOURCES } from './upkeep.js'

/** Sources that no single joining method owns. */
export const SHARED_SOURCES = [
  ...GENERAL_SOURCES,
  ...SIZE_SOURCES,
  ...JOINING_SOURCES,
  ...LAYING_SOURCES,
  ...TESTING_SOURCES,
  ...UPKEEP_SOURCES,
] as const
declare module './source.js' {
  interface SourceBook {
    shared: typeof SHARED_SOURCES
  }
}
