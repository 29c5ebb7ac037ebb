import { dayOf } from '../units/zone.js'

/** What a printed code tells of the thing it stands on; empty texts where it tells nothing. */
export interface CodeSaid {
  /** What it is called by: its serial number, else its batch, else the number of its kind, else the code itself. */
  name: string
  batch: string
  /** Last good day, YYYY-MM-DD. */
  expiresOn: string
}

/** Ends a part of a code whose length is not fixed. */
const SEPARATOR = '\u001d'
/** What a scanner may send before a code that is made of such parts. */
const BEFORE = /^\](?:C1|d2|Q3|e0)/
/** Parts that are read here or passed over, by their identifiers: how long the fixed ones are. Source: `gs1-general`. */
const FIXED: Readonly<Record<string, number>> = {
  '01': 14,
  '02': 14,
  '11': 6,
  '12': 6,
  '13': 6,
  '15': 6,
  '16': 6,
  '17': 6,
  '20': 2,
}
const FREE: Readonly<Record<string, number>> = {
  '10': 20,
  '21': 20,
  '22': 20,
  '30': 8,
  '37': 8,
  '240': 30,
  '241': 30,
  '250': 30,
}

/** Is the last digit the check digit of the others? */
function checks(digits: string): boolean {
  const sum = [...digits].reverse().reduce((all, digit, i) => all + Number(digit) * (i % 2 ? 3 : 1), 0)
  return /^\d+$/.test(digits) && sum % 10 === 0
}
/** A day as such codes have it, YYMMDD: of the century nearest to today; day 00 is the last of its month. */
function dayIn(text: string, today: string): string | null {
  const [, yy, mm, dd] = /^(\d\d)(\d\d)(\d\d)$/.exec(text) ?? []
  if (!yy || !mm || !dd) return null
  const now = Number(today.slice(0, 4))
  const ahead = Number(yy) - (now % 100)
  const century = Math.floor(now / 100) + (ahead >= 51 ? -1 : ahead <= -50 ? 1 : 0)
  const year = century * 100 + Number(yy)
  const month = Number(mm)
  // The nought of the month after is the last day of this one.
  const at = dd === '00' ? Date.UTC(year, month, 0) : Date.UTC(year, month - 1, Number(dd))
  const day = dayOf(at / 1000, 'UTC')
  const asked = dd === '00' ? day.slice(0, 7) : day
  return asked === [year, mm, ...(dd === '00' ? [] : [dd])].join('-') ? day : null
}
/** The parts of a code by their identifiers; null where it is not made of such parts. */
function partsOf(code: string): ReadonlyMap<string, string> | null {
  const shown = [...code.matchAll(/\((\d{2,4})\)([^(]*)/g)]
  if (shown.length && shown.map(([all]) => all).join('') === code)
    return new Map(shown.map(([, id = '', value = '']) => [id, value.trim()]))
  const announced = BEFORE.test(code) || code.includes(SEPARATOR)
  let rest = code.replace(BEFORE, '').replace(new RegExp(`^${SEPARATOR}`), '')
  if (!announced && !(rest.startsWith('01') && checks(rest.slice(2, 16)))) return null
  const parts = new Map<string, string>()
  while (rest) {
    const id = [2, 3].map((n) => rest.slice(0, n)).find((one) => FIXED[one] ?? FREE[one])
    if (!id) return null
    const after = rest.slice(id.length)
    const fixed = FIXED[id]
    const end = fixed ?? (after.includes(SEPARATOR) ? after.indexOf(SEPARATOR) : after.length)
    const value = after.slice(0, end)
    if (!value || value.length < (fixed ?? 1) || value.length > (fixed ?? FREE[id] ?? 0)) return null
    parts.set(id, value)
    rest = after.slice(end).replace(new RegExp(`^${SEPARATOR}`), '')
  }
  return parts
}

/**
 * What tells one thing from another in a code: its serial number, its batch, the code itself, in lower case.
 * @example namesIn('(10)L-7(21)0042') // ['0042', 'l-7', '(10)l-7(21)0042']
 */
export function namesIn(code: string): readonly string[] {
  const text = code.trim()
  const parts = partsOf(text)
  return [parts?.get('21'), parts?.get('10'), text].flatMap((name) => (name ? [name.toLowerCase()] : []))
}

/**
 * Reads a scanned or typed code. A code of parts with identifiers (number of its kind, batch, last day, serial number)
 * tells them; any other is the name as it stands. Source: `gs1-general`.
 * @param today YYYY-MM-DD where the job is: a code has two figures for its year.
 * @example codeSaid('(01)04012345678901(17)271231(10)L-7', '2026-11-29').expiresOn // '2027-12-31'
 */
export function codeSaid(code: string, today: string): CodeSaid {
  const text = code.trim()
  const parts = partsOf(text)
  if (!parts?.size) return { name: text, batch: '', expiresOn: '' }
  const batch = parts.get('10') ?? ''
  return {
    name: parts.get('21') ?? (batch || (parts.get('01') ?? text)),
    batch,
    expiresOn: dayIn(parts.get('17') ?? parts.get('15') ?? '', today) ?? '',
  }
}
