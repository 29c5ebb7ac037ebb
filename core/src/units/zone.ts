const formats = new Map<string, Intl.DateTimeFormat>()
/**
 * The date of an instant in a zone, as 2026-04-30. An unknown zone counts as UTC.
 * @example dayOf(1_795_859_000, 'Europe/London') // '2026-11-28'
 */
export function dayOf(atS: number, zone: string): string {
  let format = formats.get(zone)
  if (!format) {
    const parts = { year: 'numeric', month: '2-digit', day: '2-digit' } as const
    try {
      format = new Intl.DateTimeFormat('en-CA', { timeZone: zone, ...parts })
    } catch {
      format = new Intl.DateTimeFormat('en-CA', { timeZone: 'UTC', ...parts })
    }
    formats.set(zone, format)
  }
  return Number.isFinite(atS) ? format.format(atS * 1000) : ''
}

const clocks = new Map<string, Intl.DateTimeFormat>()
/** How far the clocks of a zone are ahead of UTC at an instant, in seconds. */
function offsetS(atS: number, zone: string): number {
  let format = clocks.get(zone)
  if (!format) {
    const parts = {
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      second: '2-digit',
    } as const
    const hours = { hourCycle: 'h23', ...parts } as const
    try {
      format = new Intl.DateTimeFormat('en-GB', { timeZone: zone, ...hours })
    } catch {
      format = new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', ...hours })
    }
    clocks.set(zone, format)
  }
  const parts = Object.fromEntries(format.formatToParts(atS * 1000).map((x) => [x.type, Number(x.value)]))
  const shown =
    Date.UTC(parts.year ?? 0, (parts.month ?? 1) - 1, parts.day, parts.hour, parts.minute, parts.second) /
    1000
  return shown - Math.floor(atS)
}
/**
 * The instant at which the clocks of a zone show a date and time (`2026-11-26`, `14:00`), epoch seconds; null if it is
 * no date and time. An hour that comes twice: its first; one that is left out: the time an hour later.
 * @example epochInZone('2026-11-28', '12:00', 'UTC') // 1_795_867_200
 */
export function epochInZone(date: string, time: string, zone: string): number | null {
  const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(date)
  const found = /^(\d{1,2}):(\d{2})(?::(\d{2}))?$/.exec(time)
  if (!match || !found) return null
  const [y, mo, day] = match.slice(1).map(Number) as [number, number, number]
  const [hour, mi, second] = [Number(found[1]), Number(found[2]), Number(found[3] ?? 0)]
  const asUtc = Date.UTC(y, mo - 1, day, hour, mi, second)
  const check = new Date(asUtc)
  if (hour > 23 || mi > 59 || second > 59 || check.getUTCDate() !== day || check.getUTCMonth() !== mo - 1)
    return null
  const wall = asUtc / 1000
  // The offset before and after a change of clocks: the first that gives back what was asked.
  const tries = [wall - 86400, wall + 86400].map((x) => wall - offsetS(x, zone)).sort((a, b) => a - b)
  return tries.find((x) => x + offsetS(x, zone) === wall) ?? (tries.at(-1) as number)
}
