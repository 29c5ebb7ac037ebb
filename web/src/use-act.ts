import { ref } from 'vue'
import { Refused } from './api'
import { useSession } from './stores/session'

/** Why something was refused, and at which field. */
export interface Fault {
  field: string | null
  says: string
}
/** Things done with the server at once: what came of the last one, or why it was refused and at which field. */
export function useAct() {
  const session = useSession()
  const said = ref('')
  const fault = ref<Fault | null>(null)

  /** @param work gives what is to be said when it is done, if anything. */
  async function act(work: () => Promise<string | void>): Promise<void> {
    fault.value = null
    said.value = ''
    try {
      said.value = (await work()) || ''
    } catch (error) {
      session.heard(error)
      fault.value = { field: error instanceof Refused ? error.field : null, says: (error as Error).message }
    }
  }
  return { said, fault, act }
}
