import { jointPlaces } from '../../joint/lookup.js'
import { qualifiedFor } from '../../joint/qualified.js'
import type { JobState } from '../../log/state.js'
import type { CrewMember } from '../../log/state-plan.js'
import { dayOf, epochInZone } from '../../units/zone.js'
import type { ShiftSpan } from '../order/question.js'

const DAY_S = 86_400
const LONGEST_SHIFT_MIN = 16 * 60
/** `07:30` of minutes of the day. @example clockOf(450) // '07:30' */
export const clockOf = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`

/** What is wrong with somebody's hours, by field; null: nothing. */
export function hoursFault(member: CrewMember): 'days' | 'until' | 'break' | 'long' | null {
  const { fromMin, untilMin, breakFromMin, breakUntilMin } = member
  if (!member.days.length) return 'days'
  // A shift over midnight ends on the next day.
  const lastsMin = untilMin > fromMin ? untilMin - fromMin : untilMin + 1440 - fromMin
  if (untilMin === fromMin) return 'until'
  if (lastsMin > LONGEST_SHIFT_MIN) return 'long'
  if ((breakFromMin === undefined) !== (breakUntilMin === undefined)) return 'break'
  if (breakFromMin === undefined || breakUntilMin === undefined) return null
  const into = (minutes: number): number => (minutes < fromMin ? minutes + 1440 : minutes) - fromMin
  return into(breakFromMin) < into(breakUntilMin) && into(breakUntilMin) < lastsMin ? null : 'break'
}

/** Weekday of a date as written, 1 Monday to 7 Sunday. */
const weekday = (date: string): number => ((new Date(`${date}T12:00:00Z`).getUTCDay() + 6) % 7) + 1
/** When somebody is there between two instants, epoch s, in whole minutes; a break parts a shift in two. */
export function shiftsOf(member: CrewMember, fromS: number, untilS: number, zone: string): ShiftSpan[] {
  if (hoursFault(member)) return []
  const out: ShiftSpan[] = []
  for (let dayS = fromS - DAY_S; dayS <= untilS + DAY_S; dayS += DAY_S) {
    const date = dayOf(dayS, zone)
    if (!member.days.includes(weekday(date))) continue
    const at = (minutes: number): number => {
      // Hours after midnight belong to the shift that began before it.
      const next = minutes < member.fromMin
      return epochInZone(next ? dayOf(dayS + DAY_S, zone) : date, clockOf(minutes), zone) as number
    }
    const begins = at(member.fromMin)
    const ends = at(member.untilMin)
    const parts =
      member.breakFromMin === undefined || member.breakUntilMin === undefined
        ? [[begins, ends]]
        : [
            [begins, at(member.breakFromMin)],
            [at(member.breakUntilMin), ends],
          ]
    for (const [partFromS = 0, partUntilS = 0] of parts) {
      const span = { fromS: Math.max(partFromS, fromS), untilS: Math.min(partUntilS, untilS) }
      // Where clocks are put back a date comes twice.
      if (span.untilS > span.fromS && span.fromS >= (out.at(-1)?.untilS ?? -Infinity)) out.push(span)
    }
  }
  return out
}

/**
 * The crew, each with the ways of joining that papers written down on the job leave them. Whoever has no account, or of
 * whom no paper at all is written, is left as they are: nobody said. @param nowS epoch s, the day that papers go by.
 */
export function withPapers(state: JobState, nowS: number): CrewMember[] {
  const { crew } = state.plan
  const known = new Set([...state.qualifications.values()].map(({ personId }) => personId))
  if (!known.size) return [...crew]
  const on = dayOf(nowS, state.job.zone)
  const ways = new Set([...jointPlaces(state).values()].map(({ way }) => way.method))
  return crew.map((member) => {
    if (!known.has(member.id)) return member
    const may = [...ways].filter((method) => {
      const { is } = qualifiedFor(state, member.id, method, on)
      return (is === 'valid' || is === 'not-kept') && (!member.makes || member.makes.includes(method))
    })
    return { ...member, makes: may }
  })
}
