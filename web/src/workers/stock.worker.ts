import { type StockInput, planStock, solverFrom } from '@jugalis/core'
import loadHighs from 'highs'
import wasmUrl from 'highs/runtime?url'
import type { StockReply } from './stock-reply'

/** Plans bars off the main thread; it is ended from outside when somebody stops it. */
const highs = loadHighs({ locateFile: () => wasmUrl })
const reply = (r: StockReply): void => self.postMessage(r)
self.onmessage = async (event: MessageEvent<{ input: StockInput; limitMs: number }>) => {
  const solve = solverFrom((await highs) as never)
  const clock = (): number => performance.now()
  try {
    const plan = planStock(event.data.input, {
      solve,
      clock,
      limitMs: event.data.limitMs,
      onProgress: (progress) => reply({ progress }),
    })
    reply({ plan })
  } catch (x) {
    reply({ failed: String(x) })
  }
}
