import type { Clock, Done, JointFacts } from '@jugalis/core'
import { ref } from 'vue'
import type { useJoint } from './use-joint'

/** The large action. A tap just after a limit is asked about: the window it was for, and the entry it made. */
export function useAct(
  here: Readonly<{ facts: JointFacts }>,
  joint: ReturnType<typeof useJoint>,
  write: () => Promise<void>,
) {
  const asked = ref<{ clock: Clock; done: Done } | null>(null)
  async function act(): Promise<void> {
    const limit = joint.open.value
    const passed = joint.phase.value === 'window' && limit !== null && joint.left(limit) < 0
    await write()
    const done = here.facts.life?.done.at(-1)
    const runs = here.facts.clocks.some((c) => c.id === limit?.id && c.stoppedAtS === undefined)
    if (passed && limit && done && !runs) asked.value = { clock: limit, done }
  }
  return { asked, act }
}
