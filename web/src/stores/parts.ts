import { type OwnPart, partsToType } from '@jugalis/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api } from '../api'
import { keepJson, readJson } from '../stored'
import { useJob } from './job'

const KEPT = 'jugalis-own-parts'
interface Sent {
  parts: OwnPart[]
}

/** Fittings that the house names itself: as the server has them, and as last heard where there is no signal. */
export const useParts = defineStore('parts', () => {
  const house = ref<readonly OwnPart[]>(readJson<OwnPart[]>(KEPT) ?? [])
  const job = useJob()
  /** All that may be typed in the open job. */
  const known = computed(() => partsToType(job.state, house.value))
  function take({ parts }: Sent): void {
    house.value = parts
    keepJson(KEPT, parts)
  }
  const load = (): Promise<void> =>
    api<Sent>('GET', '/parts')
      .then(take)
      // Without signal those that are known stand.
      .catch(() => undefined)
  /** Puts parts in the place of those of the same names. @throws Refused, NoSignal */
  const put = async (parts: readonly OwnPart[]): Promise<void> =>
    take(await api<Sent>('POST', '/parts', { parts }))
  /** Takes one out of the list. @throws Refused, NoSignal */
  async function drop(name: string): Promise<void> {
    await api('DELETE', `/parts/${encodeURIComponent(name)}`)
    take({ parts: house.value.filter((part) => part.name !== name) })
  }
  return { house, known, load, put, drop }
})
