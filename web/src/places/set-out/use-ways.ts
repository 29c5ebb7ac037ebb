import { type Line, jointPlaces, methodOf } from '@jugalis/core'
import { type Ref, computed, ref } from 'vue'
import { askedFields } from '../../asked-fields'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** One way of joining in a line. */
export interface LineWay {
  method: string
  name: string
  joints: number
  /** It asks something of the line, and that was answered. */
  asks: boolean
  said: boolean
}
/** Ways of joining in a line: how many joints each has, and what it asks of the line. */
export function useWays(line: Ref<Line | null>) {
  const job = useJob()
  const nameOf = (method: string): string => {
    const known = methodOf(method)
    return known ? job.t(known.name) : method
  }
  /** How many joints are made by each method, the commonest first. */
  function counted(ids: Iterable<string>): [method: string, joints: number][] {
    const places = jointPlaces(job.state)
    const counts = new Map<string, number>()
    for (const id of ids) {
      const method = places.get(id)?.way.method
      if (method !== undefined) counts.set(method, (counts.get(method) ?? 0) + 1)
    }
    return [...counts].sort((a, b) => b[1] - a[1])
  }
  const ways = computed((): LineWay[] => {
    const own = line.value
    if (!own) return []
    const ids = own.items.flatMap((i) => i.joints).filter((id): id is string => id !== null)
    return counted(ids).map(([method, joints]) => ({
      method,
      name: nameOf(method),
      joints,
      // The usual way's own questions stand in the line's sheet.
      asks: method !== own.method && askedFields(method, false).length > 0,
      said: own.ways?.[method] !== undefined,
    }))
  })
  /** Ways of joining in a list of joints, in words; nothing where they are all of one. */
  function waysIn(ids: readonly string[]): string {
    const all = counted(ids)
    if (all.length < 2) return ''
    return `${all.map(([method, joints]) => word('set-out-joints-by', { way: nameOf(method), joints })).join(', ')}.`
  }
  return { ways, waysIn, asking: ref<string | null>(null) }
}
