import { type OrderPlan, type PlanAsk, type PlanWish, type Stuck, askPlan } from '@jugalis/core'
import { onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import type { PlanAsked, PlanReply } from '../../workers/plan-reply'

/** A plan that was found, and what was asked for it. */
export interface Found {
  jobId: string
  ask: PlanAsk
  /** Which of the questions it answers. */
  at: number
  plan: OrderPlan
  wish: PlanWish
}
type Before = PlanAsked['before']

/** One worker, one question at a time: a newer one ends what is being looked for. */
export function usePlanner() {
  let worker: Worker | null = null
  let turn = 0
  const part = ref<number | null>(null)
  function stop(): void {
    turn++
    if (part.value !== null) {
      worker?.terminate()
      worker = null
    }
    part.value = null
  }
  function ask(asked: PlanAsk['asked'], before?: Before): Promise<{ plan: OrderPlan; at: number }> {
    stop()
    const mine = ++turn
    part.value = 0
    worker ??= new Worker(new URL('../../workers/plan.worker.ts', import.meta.url), { type: 'module' })
    const running = worker
    return new Promise((resolve, reject) => {
      const end = (): void => {
        if (mine === turn) part.value = null
      }
      running.onmessage = ({ data }: MessageEvent<PlanReply>) => {
        if (data.turn !== mine) return
        if ('part' in data) {
          if (mine === turn) part.value = data.part
          return
        }
        end()
        if ('plan' in data) resolve(data)
        else reject(new Error(data.failed))
      }
      running.onerror = (event) => {
        end()
        reject(new Error(event.message))
      }
      running.postMessage({ turn: mine, asked, ...(before ? { before } : {}) } satisfies PlanAsked)
    })
  }
  onBeforeUnmount(() => {
    stop()
    worker?.terminate()
  })
  return { ask, stop, part }
}

/** How long after the last entry a plan is looked for anew, ms. */
const SETTLED_MS = 500
/** The plan of the open job: looked for again whenever what it rests on changes, from the one before. */
export function usePlan(wish: () => PlanWish) {
  const job = useJob()
  const view = useView()
  const planner = usePlanner()
  const found = shallowRef<Found | null>(null)
  const stuck = shallowRef<Stuck | null>(null)
  const failed = ref('')
  const stopped = ref(false)
  let settling: ReturnType<typeof setTimeout> | undefined

  async function look(): Promise<void> {
    const { jobId } = job
    const own = wish()
    failed.value = ''
    stopped.value = false
    const asked = askPlan(view.judged, view.facts, view.nowS, own)
    stuck.value = asked.ok ? null : asked.stuck
    if (!asked.ok) {
      planner.stop()
      found.value = null
      return
    }
    const { pinned } = job.state.plan
    const before: Before =
      found.value?.jobId === jobId
        ? found.value.plan.plan
        : pinned?.joints.map((joint) => ({ id: joint.jointId, startS: joint.startS, people: joint.crew }))
    try {
      const { plan, at } = await planner.ask(asked.ask.asked, before)
      if (job.jobId === jobId) found.value = { jobId: jobId ?? '', ask: asked.ask, at, plan, wish: own }
    } catch (error) {
      failed.value = (error as Error).message
    }
  }
  const soon = (): void => {
    clearTimeout(settling)
    settling = setTimeout(() => void look(), SETTLED_MS)
  }
  watch(() => view.judged, soon)
  watch(wish, () => void look(), { deep: true })
  onBeforeUnmount(() => clearTimeout(settling))
  function stop(): void {
    stopped.value = true
    planner.stop()
  }
  void look()
  return { found, stuck, failed, stopped, part: planner.part, look, stop }
}
