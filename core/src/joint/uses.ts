import type { JobState } from '../log/state.js'
import { once } from '../units/memo.js'

/** One life of a joint that was made with a thing of the store. */
export interface Use {
  jointId: string
  life: number
  /** First and last step with it, epoch s. */
  fromS: number
  toS: number
  /** Who did those steps. */
  by: readonly string[]
  cutOutAtS: number | null
}

/** Everything that joints were made with, by its id, each with the lives it went into, the earliest first. */
export const usesOf = once((state: JobState): ReadonlyMap<string, readonly Use[]> => {
  const all = new Map<string, Use[]>()
  for (const joint of state.joints.values())
    for (const life of joint.lives) {
      const own = new Map<string, Use>()
      for (const done of life.done)
        for (const id of done.tools ?? []) {
          const had = own.get(id)
          own.set(id, {
            jointId: joint.id,
            life: life.no,
            fromS: Math.min(had?.fromS ?? Infinity, done.earliestS),
            toS: Math.max(had?.toS ?? -Infinity, done.latestS),
            by: [...new Set([...(had?.by ?? []), done.by])],
            cutOutAtS: life.cutOutAtS ?? null,
          })
        }
      for (const [id, use] of own) {
        const uses = all.get(id)
        if (uses) uses.push(use)
        else all.set(id, [use])
      }
    }
  for (const uses of all.values()) uses.sort((a, b) => a.fromS - b.fromS)
  return all
})
