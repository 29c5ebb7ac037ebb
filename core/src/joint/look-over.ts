import type { LifeState } from '../log/state.js'

/**
 * Does somebody else still have to look at a joint? An apprentice's joint wants the eye of another, and one that was
 * found wrong is not good until it was found so. Source: common practice.
 */
export function wantsLook(life: LifeState | null): boolean {
  const last = life?.looks?.at(-1)
  return last ? last.found === 'wrong' : life?.byApprentice !== undefined
}
