import express from 'express'
import { NO_TEXT, TOO_DEEP } from './errors.js'

/** Nothing that we read is nested deeper; what is would be walked level by level by whatever looks at it. */
const MOST_LEVELS = 64
const [QUOTE, BACKSLASH, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [
  0x22, 0x5c, 0x5b, 0x5d, 0x7b, 0x7d,
]
const LETTER_U = 0x75

/** The unit of text that an escape names, from its backslash on; null where it is another escape. */
function unitAt(bytes: Uint8Array, at: number): number | null {
  if (bytes[at] !== BACKSLASH || bytes[at + 1] !== LETTER_U) return null
  const unit = Number.parseInt(Buffer.from(bytes.subarray(at + 2, at + 6)).toString('latin1'), 16)
  return Number.isNaN(unit) ? null : unit
}
const isFirstHalf = (unit: number | null): boolean => unit !== null && unit >= 0xd800 && unit < 0xdc00
const isSecondHalf = (unit: number | null): boolean => unit !== null && unit >= 0xdc00 && unit < 0xe000

/**
 * What JSON comes to before anything parses it, by its bytes: how deep it is nested, and whether a text in it holds what
 * is no text: a NUL, half of a character. It stops at the first of what is too much.
 * @param most levels.
 */
export function lookedThrough(bytes: Uint8Array, most: number): 'fine' | 'too-deep' | 'no-text' {
  let [level, inText] = [0, false]
  for (let i = 0; i < bytes.length; i++) {
    const byte = bytes[i]
    if (!inText) {
      if (byte === QUOTE) inText = true
      else if (byte === OPEN_LIST || byte === OPEN_OBJECT) {
        if (++level > most) return 'too-deep'
      } else if (byte === CLOSE_LIST || byte === CLOSE_OBJECT) level--
      continue
    }
    if (byte === QUOTE) inText = false
    if (byte !== BACKSLASH) continue
    const unit = unitAt(bytes, i)
    if (unit === 0 || isSecondHalf(unit)) return 'no-text'
    if (isFirstHalf(unit)) {
      if (!isSecondHalf(unitAt(bytes, i + 6))) return 'no-text'
      i += 6
    }
    i += unit === null ? 1 : 5
  }
  return 'fine'
}
const SAYS = { 'too-deep': TOO_DEEP, 'no-text': NO_TEXT } as const
/** Reads a body of JSON of some size at most, not deeper than anything of ours, with texts that are texts. */
export const jsonBody = (
  limit: string,
  more: Omit<NonNullable<Parameters<typeof express.json>[0]>, 'limit' | 'verify'> = {},
): ReturnType<typeof express.json> =>
  express.json({
    ...more,
    limit,
    verify(_req, _res, bytes) {
      const found = lookedThrough(bytes, MOST_LEVELS)
      if (found !== 'fine') throw Object.assign(new Error(found), { type: SAYS[found] })
    },
  })
