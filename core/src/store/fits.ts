import type { StoreItem } from '../log/state.js'
import { plasticOf } from '../methods/joinable.js'
import type { Need } from '../methods/method.js'

/**
 * Does a thing fit what a joint needs? What is not said of it is not held against it; two names of one plastic are the
 * same.
 */
export const fitsNeed = (
  item: Pick<StoreItem, 'kind' | 'matches'>,
  need: Pick<Need, 'item' | 'matches'>,
): boolean =>
  item.kind === need.item &&
  Object.entries(need.matches).every(([key, wants]) => {
    const has = item.matches[key]
    return has === undefined || plasticOf(has) === plasticOf(wants)
  })
