import { type BarGroup, type StockPlan, type StockSet, stockQuestion } from '@jugalis/core'
import { computed, ref, shallowRef } from 'vue'
import type { StockReply } from '../../workers/stock-reply'

/** Longest that one pipe's bars are planned for, ms. */
const LIMIT_MS = 10_000
export interface PlannedGroup {
  group: BarGroup
  plan: StockPlan | null
  tooLong: BarGroup['pieces']
}

/** Plans stay while the page lives: going to a piece and back does not ask again. */
const planned = shallowRef<PlannedGroup[]>([])
const plannedFor = ref('')
const running = ref<{ pipe: string; done: number; of: number; share: number } | null>(null)
const failed = ref('')
let worker: Worker | null = null
/** Each start or stop is a turn; what an earlier one still says is not listened to. */
let turn = 0

const keyOf = (set: StockSet, groups: readonly BarGroup[]): string => JSON.stringify([set, groups])

function ask(set: StockSet, group: BarGroup, onShare: (share: number) => void): Promise<PlannedGroup> {
  const { input, tooLong } = stockQuestion(set, group)
  if (!input.pieces.length) return Promise.resolve({ group, plan: null, tooLong })
  worker ??= new Worker(new URL('../../workers/stock.worker.ts', import.meta.url), { type: 'module' })
  const running = worker
  return new Promise((resolve, reject) => {
    running.onmessage = (event: MessageEvent<StockReply>) => {
      if ('progress' in event.data) onShare(event.data.progress.share)
      else if ('plan' in event.data) resolve({ group, plan: event.data.plan, tooLong })
      else reject(new Error(event.data.failed))
    }
    running.onerror = () => reject(new Error('The planner could not be started.'))
    running.postMessage({ input, limitMs: LIMIT_MS })
  })
}

export function useBars() {
  async function start(set: StockSet, groups: readonly BarGroup[]): Promise<void> {
    stop()
    const mine = turn
    failed.value = ''
    const out: PlannedGroup[] = []
    try {
      for (const [done, group] of groups.entries()) {
        running.value = { pipe: group.pipe, done, of: groups.length, share: 0 }
        const one = await ask(set, group, (share) => {
          if (mine === turn && running.value) running.value = { ...running.value, share }
        })
        if (mine !== turn) return
        out.push(one)
      }
      planned.value = out
      plannedFor.value = keyOf(set, groups)
    } catch (error) {
      if (mine === turn) failed.value = error instanceof Error ? error.message : String(error)
    } finally {
      if (mine === turn) running.value = null
    }
  }
  function stop(): void {
    turn++
    if (running.value) {
      worker?.terminate()
      worker = null
    }
    running.value = null
  }
  const fits = (set: StockSet | null, groups: readonly BarGroup[]): boolean =>
    set !== null && plannedFor.value === keyOf(set, groups)
  return { planned: computed(() => planned.value), running, failed, start, stop, fits }
}
