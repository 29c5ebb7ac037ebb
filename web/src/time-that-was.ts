import { useClock } from './stores/clock'
import { useJob } from './stores/job'
import { saidAt } from './when'

/**
 * Reads a time that somebody types of something that was: by the clock of this device, as times inside an entry are, epoch s.
 * Undefined where nothing is typed; null where it is no time, or one still to come.
 */
export function useTimeThatWas(): (text: string) => number | null | undefined {
  const clock = useClock()
  const job = useJob()
  return (text) => {
    if (!text.trim()) return undefined
    const atS = saidAt(text, clock.nowS, job.state.job.zone)
    return atS === null || atS > clock.nowS ? null : atS - clock.offsetS
  }
}
