import { CALCULATIONS, Refusal, solverFrom, usePlanner } from '@jugalis/core'
import loadHighs from 'highs'
import { parentPort } from 'node:worker_threads'

/** A thread of its own for calculations that take seconds. One question at a time; answers as they come. */
const highs = await loadHighs()
usePlanner({ solve: solverFrom(highs as never), clock: () => performance.now() })
parentPort?.on('message', ({ name, body }: { name: string; body: unknown }) => {
  try {
    parentPort?.postMessage({ answer: CALCULATIONS.get(name)?.run(body) })
  } catch (error) {
    if (error instanceof Refusal)
      parentPort?.postMessage({ refusal: { code: error.code, message: error.message, field: error.field } })
    else parentPort?.postMessage({ failed: String(error) })
  }
})
