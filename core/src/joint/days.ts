const formats = new Map<string, Intl.DateTimeFormat>()
/** The date of an instant in a zone, as 2026-04-30. An unknown zone counts as UTC. */
export function dayOf(atS: number, zone: string): string {
  let f = formats.get(zone)
  if (!f) {
    const parts = { year: 'numeric', month: '2-digit', day: '2-digit' } as const
    try {
      f = new Intl.DateTimeFormat('en-CA', { timeZone: zone, ...parts })
    } catch {
      f = new Intl.DateTimeFormat('en-CA', { timeZone: 'UTC', ...parts })
    }
    formats.set(zone, f)
  }
  return Number.isFinite(atS) ? f.format(atS * 1000) : ''
}
