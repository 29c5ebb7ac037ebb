import type { Method } from '@jugalis/core'
import type { Page } from '@playwright/test'

/** A window shorter than this is caught by a hand that waits over the button, not by one that looks round first, s. */
const HURRY_S = 60

type Spec = Parameters<Method['steps']>[0]
type Ctx = Parameters<Method['steps']>[1]

/** Places of the steps that end a window of seconds: together while the plastic is hot. */
export function hurriedSteps(method: Method, spec: Spec, ctx: Ctx): number[] {
  const steps = method.steps(spec, ctx)
  return steps.flatMap((_, at) => {
    const done = steps.slice(0, at).map((step) => ({
      eventId: step.id,
      step: step.id,
      earliestS: 0,
      latestS: 0,
      readings: {},
      by: 'p',
    }))
    const running = method
      .clocks(spec, { no: 1, done, interrupted: [] }, ctx)
      .filter((c) => c.stoppedAtS === undefined && c.untilS.value !== null)
    const heldS = Math.max(0, ...running.map((c) => (c.shows === 'hold' ? (c.untilS.value ?? 0) : 0)))
    const hurry = running.some((c) => c.kind === 'window' && (c.untilS.value ?? 0) - heldS < HURRY_S)
    return hurry ? [at] : []
  })
}

/**
 * A finger that lies on the button and taps in the moment in which it may: it lives in the page, since on a busy machine
 * a tap sent from outside takes longer than plastic stays hot.
 */
export const tapAtOnce = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((done) => {
        const look = (): void => {
          const button = document.querySelector<HTMLButtonElement>('.action')
          if (!button || button.disabled) return void requestAnimationFrame(look)
          button.click()
          done()
        }
        look()
      }),
  )
