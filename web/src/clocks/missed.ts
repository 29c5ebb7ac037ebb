import { defineStore } from 'pinia'
import { ref } from 'vue'

export interface Rung {
  key: string
  jointId: string
  kind: 'before' | 'until'
  endedS: number
}

/** What ended while the screen was dark: shown first on waking, until somebody has seen it. */
export const useMissed = defineStore('missed', () => {
  const all = ref<Rung[]>([])
  /** What loses something stands first. */
  function add(more: readonly Rung[]): void {
    const fresh = more.filter((r) => !all.value.some((x) => x.key === r.key))
    all.value = [...all.value, ...fresh].sort(
      (a, b) => (a.kind === b.kind ? 0 : a.kind === 'before' ? -1 : 1) || a.endedS - b.endedS,
    )
  }
  const clear = (): void => void (all.value = [])
  return { all, add, clear }
})
