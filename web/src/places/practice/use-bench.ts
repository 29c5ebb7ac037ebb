import {
  type Act,
  type OnBench,
  type PracticeAnswer,
  type PracticeSite,
  PRACTICE_SITES,
  type School,
  type Step,
  allMethods,
  laidOn,
  methodOf,
  practiceRun,
  usualActs,
} from '@jugalis/core'
import { computed, reactive, ref, watch } from 'vue'
import { keepJson, readJson } from '../../stored'

/** What lies on the bench. */
export interface Lying {
  method: string
  material: string
  size: string
  school: School
  site: PracticeSite
  seed: number
  details: Record<string, string | boolean | number>
}
/** A step as it was done here: only what was done otherwise is said. */
interface DoneHere {
  step: string
  waitS: number
  how: Record<string, number | string>
  spoil: { fault: string; amount: number }[]
}
const KEY = 'jugalis-practice-bench'

/** A joint of a method as it is usual in a school. */
export function usualJoint(
  method: string,
  school: School,
): Pick<Lying, 'material' | 'size' | 'school' | 'details'> {
  const examples = methodOf(method)?.examples ?? []
  const example = examples.find((e) => e.school === school) ?? examples[0]
  const { material, size, ...rest } = example?.spec ?? { material: '', size: '' }
  const details = Object.fromEntries(
    Object.entries(rest).filter((entry): entry is [string, string | number | boolean] =>
      ['string', 'number', 'boolean'].includes(typeof entry[1]),
    ),
  )
  return { material, size, school: example?.school ?? school, details }
}
/** What lay there last, where it can still be read. */
function kept(school: School): Lying {
  const had = readJson<Partial<Lying>>(KEY)
  const known = had?.method !== undefined && methodOf(had.method) && had.site && had.site in PRACTICE_SITES
  if (known && had.material && had.size && had.school) return { seed: 1, details: {}, ...had } as Lying
  const method = allMethods()[0]?.id as string
  return { method, site: 'plant-room', seed: 1, ...usualJoint(method, school) }
}

/** What was done, as it is played. Times follow from what was waited, and from how long each step took. */
function actsOf(on: OnBench, done: readonly DoneHere[]): Act[] {
  const usual = new Map(usualActs(on.play).map((act) => [act.step, act.how]))
  let atS = 0
  return done.map((one, i) => {
    if (i) atS += one.waitS
    const how = { ...usual.get(one.step), ...one.how }
    const act = { step: one.step, atS, how }
    const takes = on.method.bench.takes?.[one.step]
    if (takes !== undefined) atS += Number(how[takes] ?? 0)
    return act
  })
}

/** Steps that come before one; all of them where it is none of theirs. */
function idsBefore(steps: readonly Step[], id: string): ReadonlySet<string> {
  const ids = steps.map((step) => step.id)
  return new Set(ids.includes(id) ? ids.slice(0, ids.indexOf(id)) : ids)
}

/** The free bench: what lies there, what was done to it so far, and what became of it. */
export function useBench(school: School) {
  const lying = reactive<Lying>(kept(school))
  const done = ref<DoneHere[]>([])
  const answer = ref<PracticeAnswer | null>(null)
  const left = ref<ReadonlySet<string>>(new Set())
  const laid = computed((): { laid: OnBench | null; why: string } => {
    const method = methodOf(lying.method)
    if (!method) return { laid: null, why: '' }
    const found = laidOn(method, { ...lying, site: PRACTICE_SITES[lying.site] })
    return found.ok ? { laid: found.laid, why: '' } : { laid: null, why: found.errors[0]?.code ?? '' }
  })
  const steps = computed((): readonly Step[] =>
    laid.value.laid ? laid.value.laid.method.steps(laid.value.laid.spec, laid.value.laid.ctx) : [],
  )
  const at = computed(() => done.value.length + left.value.size)
  const step = computed(() => (answer.value ? null : (steps.value[at.value] ?? null)))
  function begin(): void {
    done.value = []
    left.value = new Set()
    answer.value = null
  }
  watch(
    () => JSON.stringify(lying),
    () => {
      keepJson(KEY, { ...lying })
      begin()
    },
  )
  function finish(): void {
    const on = laid.value.laid
    if (!on || at.value < steps.value.length) return
    const question = {
      ...lying,
      site: PRACTICE_SITES[lying.site],
      did: actsOf(on, done.value),
      spoil: done.value.flatMap((one) => one.spoil),
    }
    answer.value = practiceRun(on, question)
  }
  function doStep(one: DoneHere): void {
    done.value = [...done.value, one]
    finish()
  }
  function leaveOut(id: string): void {
    left.value = new Set([...left.value, id])
    finish()
  }
  /** Back to a step, which is done again and everything after it; what came before it stays. */
  function backTo(id: string): void {
    const before = idsBefore(steps.value, id)
    answer.value = null
    done.value = done.value.filter((one) => before.has(one.step))
    left.value = new Set([...left.value].filter((one) => before.has(one)))
  }
  const back = (): void => backTo(steps.value[at.value - 1]?.id ?? '')
  return { lying, laid, steps, step, at, done, left, answer, begin, doStep, leaveOut, back, backTo }
}
