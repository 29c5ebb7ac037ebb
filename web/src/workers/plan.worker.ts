import { bestPlan } from '@jugalis/core'
import type { PlanAsked, PlanReply } from './plan-reply'

/** Looks for plans off the main thread; it is ended from outside when somebody stops it. */
const reply = (said: PlanReply): void => self.postMessage(said)
self.onmessage = (event: MessageEvent<PlanAsked>) => {
  const { turn, asked, before } = event.data
  try {
    const found = bestPlan(asked, {
      heard: (part) => reply({ turn, part }),
      ...(before ? { before } : {}),
    })
    reply({ turn, ...found })
  } catch (error) {
    reply({ turn, failed: String(error) })
  }
}
