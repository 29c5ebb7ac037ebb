import { type Role, asRole, leads, mayWrite } from '@jugalis/core'
import { type Ref, computed } from 'vue'
import type { NewEntry } from './drafts'
import { useSession } from './session'

/** What whoever is here is on the open job, and what they may write. Where it is not known yet, the server says. */
export function useOwnRole(roles: Ref<ReadonlyMap<string, string>>) {
  const session = useSession()
  const mine = computed(() => roles.value.get(session.person?.personId ?? ''))
  const role = computed<Role | null>(() => asRole(mine.value))
  const may = (kind: string): boolean => mine.value === undefined || mayWrite(role.value, kind)
  /** Whether this person leads the job. */
  const leading = computed(() => mine.value === undefined || leads(mine.value))
  const mayAll = (entries: readonly NewEntry[]): boolean => entries.every(({ kind }) => may(kind))
  return { role, may, mayAll, leading }
}
