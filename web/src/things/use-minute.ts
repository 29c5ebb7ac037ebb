import { computed } from 'vue'
import { useClock } from '../stores/clock'

const MINUTE_S = 60
/** The time to the minute: things of the store change by the day, and many are looked at at once. Epoch s. */
export function useMinute() {
  const clock = useClock()
  return computed(() => Math.floor(clock.nowS / MINUTE_S) * MINUTE_S)
}
