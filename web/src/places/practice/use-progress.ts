import { computed, ref } from 'vue'
import { keepJson, keepText, readJson } from '../../stored'
import { useSession } from '../../stores/session'
import { type Kept, dueAt, entriesOf, keptFrom, withAnswer } from './progress'

/**
 * What a learner got right and missed, and when it is due again: by FSRS (Ye 2022), a published schedule, as its own
 * package has it. Kept on this device with the person.
 */
export function useProgress() {
  const key = `jugalis-practice-${useSession().person?.personId ?? 'nobody'}`
  const kept = ref<Kept>(keptFrom(readJson(key)))
  function answered(method: string, what: string, right: boolean): void {
    kept.value = withAnswer(kept.value, `${method} ${what}`, right, new Date())
    keepJson(key, kept.value)
  }
  function forget(): void {
    kept.value = {}
    keepText(key, null)
  }
  const entries = computed(() => entriesOf(kept.value))
  const due = computed(() => dueAt(kept.value, new Date()))
  return { answered, entries, due, forget }
}
