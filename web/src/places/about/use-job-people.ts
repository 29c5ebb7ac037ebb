import { type Role, asRole, leads, rolesToGive } from '@jugalis/core'
import { computed, ref } from 'vue'
import { api } from '../../api'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'

export interface Member {
  personId: string
  name: string
  role: string
}
/** Who is on the open job, and what each is there: asked of the server, once for all that show it. */
export function useJobPeople() {
  const job = useJob()
  const session = useSession()
  const all = ref<readonly Member[]>([])
  const path = (rest = ''): string => `/jobs/${job.jobId}/members${rest}`
  const me = computed(() => session.person?.personId)
  return {
    path,
    me,
    on: computed(() => all.value.filter(({ role }) => asRole(role) !== null)),
    /** No longer on it; what they wrote stays under their name. */
    went: computed(() => all.value.filter(({ role }) => role === 'left')),
    /** Roles that this person may give to a member. */
    toGive: ({ personId, role }: Member): readonly Role[] => {
      const may = rolesToGive(all.value.find((one) => one.personId === me.value)?.role ?? '')
      return personId !== me.value && may.some((one) => one === role) ? may : []
    },
    /** Whether this person leads the job. */
    leading: computed(() => leads(all.value.find((one) => one.personId === me.value)?.role ?? '')),
    /** Whether the job is this person's own. */
    owned: computed(() => all.value.some(({ personId, role }) => personId === me.value && role === 'owner')),
    async load(): Promise<void> {
      all.value = (await api<{ members: Member[] }>('GET', path())).members
    },
  }
}
export type JobPeople = ReturnType<typeof useJobPeople>
