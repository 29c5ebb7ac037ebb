/** Minutes of the day of a time as it is typed, `7:30` or `0730`; null: it is none. */
export function minutesOf(text: string): number | null {
  const match = /^\s*(\d{1,2})[:.]?(\d{2})\s*$/.exec(text)
  if (!match) return null
  const [hour, minute] = [Number(match[1]), Number(match[2])]
  return hour < 24 && minute < 60 ? hour * 60 + minute : null
}
