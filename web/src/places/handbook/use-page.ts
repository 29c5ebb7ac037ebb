import { type Entry, allEntries } from '@jugalis/core'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useJob } from '../../stores/job'

/** A joint as it stands in an address. */
export const keyOf = (entry: Entry): string =>
  [entry.method, entry.material, entry.size, entry.school, entry.schedule ?? ''].join('~')
export function entryOf(key: unknown): Entry | null {
  if (typeof key !== 'string') return null
  const [method, material, size, school, schedule] = key.split('~')
  return (
    allEntries().find(
      (entry) =>
        entry.method === method &&
        entry.material === material &&
        entry.size === size &&
        (entry.schedule ?? '') === (schedule ?? '') &&
        (entry.school === school || school === undefined),
    ) ?? null
  )
}
const STEADY_C = 20
const PAGES = ['unverified', 'charts', 'tube'] as const

/** What is open in the Handbook stands in the address: a page can be sent, and Back works. */
export function usePage() {
  const job = useJob()
  const route = useRoute()
  const router = useRouter()
  const at = computed(() => entryOf(route.query.at))
  const beside = computed(() => entryOf(route.query.beside))
  const page = computed(() => PAGES.find((p) => p === route.query.page) ?? null)
  const temperatureC = computed(() => Number(route.query.t ?? STEADY_C))
  function show(query: Record<string, string | undefined>): void {
    void router.push({ name: 'handbook', params: { jobId: job.jobId as string }, query })
  }
  /** Changes one thing of what is open. */
  const change = (query: Record<string, string>): void =>
    show({ ...(route.query as Record<string, string>), ...query })
  return { at, beside, page, temperatureC, show, change }
}
