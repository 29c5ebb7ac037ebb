import type { Finding } from '@jugalis/core'
import { type ComputedRef, computed, ref } from 'vue'

const KEY = 'jugalis-seen'
const seen = ref<ReadonlySet<string>>(new Set(JSON.parse(sessionStorage.getItem(KEY) ?? '[]') as string[]))

/** Cautions of a step: one at a time wants its tap the first time in a session; once seen they stand in one line. */
export function useCautions(cautions: ComputedRef<readonly Finding[]>) {
  const unseen = computed(() => cautions.value.find((c) => !seen.value.has(c.code)) ?? null)
  function markSeen(code: string): void {
    seen.value = new Set([...seen.value, code])
    sessionStorage.setItem(KEY, JSON.stringify([...seen.value]))
  }
  return { unseen, markSeen }
}
