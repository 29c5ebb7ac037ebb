import type { StoreItem } from '../../log/state.js'
import type { Need } from '../../methods/method.js'
import { fitsNeed } from '../../store/fits.js'

/** Nobody said that it may not be used. */
const isGood = ({ proofs, states }: StoreItem): boolean =>
  proofs.at(-1)?.good !== false && !['condemned', 'empty'].includes(states.at(-1)?.state ?? '')
/** Tools that joints must share: those of which the Store has some that fit. */
export class Tools {
  readonly counts = new Map<string, number>()
  readonly lacking = new Set<string>()
  constructor(private readonly store: readonly StoreItem[]) {}
  /** Names of the tools a joint takes of those there are few of. */
  of(needs: readonly Need[]): string[] {
    return needs.flatMap((need) => {
      if (!need.lasts) return []
      const own = this.store.filter((item) => item.kind === need.item)
      if (!own.length) return []
      const fit = own.filter((item) => fitsNeed(item, need) && isGood(item)).length
      if (!fit) {
        this.lacking.add(need.item)
        return []
      }
      const name = JSON.stringify([need.item, ...Object.entries(need.matches).flat()])
      this.counts.set(name, fit)
      return [name]
    })
  }
}
