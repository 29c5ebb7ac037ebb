import type { JobEvent } from '@jugalis/core'
import { ref } from 'vue'
import { api } from '../api'
import type { KeptMember } from '../sync/kept-log'
import * as kept from '../sync/kept-log'

/** Who is on the open job, by id. Kept on this device, so that names are there without signal. */
export function useMembers() {
  const members = ref<Map<string, string>>(new Map())
  /** What each is on the job; empty until the server was asked once. */
  const roles = ref<Map<string, string>>(new Map())
  let asking: Promise<void> | null = null

  const take = (list: readonly KeptMember[]): void => {
    members.value = new Map(list.map(([id, name]) => [id, name]))
    roles.value = new Map(list.flatMap(([id, , role]) => (role ? [[id, role]] : [])))
  }
  /** Asks who is on a job. @param still says whether it is the open one still. */
  function ask(jobId: string, still: () => boolean): Promise<void> {
    return (asking ??= api<{ members: { personId: string; name: string; role: string }[] }>(
      'GET',
      `/jobs/${jobId}/members`,
    )
      .then(({ members: all }) => {
        if (!still()) return
        take(all.map((m): KeptMember => [m.personId, m.name, m.role]))
      })
      // Without signal the names that are known stand; they are asked for again with the next line.
      .catch(() => undefined)
      .finally(() => (asking = null)))
  }
  /** Keeps them on this device, with the name of the job. */
  const keep = (jobId: string, name: string): void =>
    void kept.keepAbout(jobId, {
      name,
      members: [...members.value].map(([id, of]): KeptMember => [id, of, roles.value.get(id)]),
    })
  const knowsAll = (events: readonly JobEvent[]): boolean => events.every((e) => members.value.has(e.actorId))
  const nameOf = (personId: string): string => members.value.get(personId) ?? 'someone'
  return { members, roles, take, ask, keep, knowsAll, nameOf }
}
