import type { Finding } from '@jugalis/core'
import { type ComputedRef, computed, ref } from 'vue'
import { keepJson, readJson } from '../../stored'

const KEY = 'jugalis-seen'
const seen = ref<ReadonlySet<string>>(new Set(readJson<string[]>(KEY, 'visit') ?? []))

/** Cautions of a step: one at a time wants its tap the first time in a session; once seen they stand in one line. */
export function useCautions(cautions: ComputedRef<readonly Finding[]>) {
  const unseen = computed(() => cautions.value.find((c) => !seen.value.has(c.code)) ?? null)
  function markSeen(code: string): void {
    seen.value = new Set([...seen.value, code])
    keepJson(KEY, [...seen.value], 'visit')
  }
  return { unseen, markSeen }
}
