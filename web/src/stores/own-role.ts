import { type JobEvent, type Role, asRole, leads, mayCorrect, mayWrite } from '@jugalis/core'
import { type Ref, computed } from 'vue'
import { word } from '../words/word'
import type { NewEntry } from './drafts'
import { useSession } from './session'

/**
 * What whoever is here is on the open job, and what they may write. Where it is not known yet, the server says.
 * @param seen all entries that are known here.
 */
export function useOwnRole(roles: Ref<ReadonlyMap<string, string>>, seen: () => readonly JobEvent[]) {
  const session = useSession()
  const me = computed(() => session.person?.personId ?? '')
  const mine = computed(() => roles.value.get(me.value))
  const role = computed<Role | null>(() => asRole(mine.value))
  const may = (kind: string): boolean => mine.value === undefined || mayWrite(role.value, kind)
  /** Whether this person leads the job. */
  const leading = computed(() => mine.value === undefined || leads(mine.value))

  /** Whether this person corrects by themselves what somebody wrote; else they propose it. */
  const corrects = (author: string): boolean =>
    may('correction') &&
    (mine.value === undefined ||
      mayCorrect(author, roles.value.get(author) ?? '', { personId: me.value, role: mine.value }))
  /** Who wrote what corrections among these speak of. */
  function authorsOf(entries: readonly NewEntry[]): string[] {
    const targets = new Set(entries.flatMap(({ kind, data }) => (kind === 'correction' ? [data.target] : [])))
    return targets.size ? seen().flatMap(({ id, actorId }) => (targets.has(id) ? [actorId] : [])) : []
  }
  /** Why entries are not written by whoever is here, in a sentence; nothing where they may be. */
  function whyNot(entries: readonly NewEntry[]): string {
    if (mine.value === undefined) return ''
    if (!entries.every(({ kind }) => may(kind)))
      return word('frame-not-your-part', { role: role.value ?? '' })
    return authorsOf(entries).every(corrects) ? '' : word('frame-not-yours')
  }
  return { role, may, leading, corrects, whyNot }
}
