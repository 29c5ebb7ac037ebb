import type { Size } from '../../sizes/size.js'
import { type Fig, type Finding, fig, finding, msg, noFig } from '../../sources/source.js'
import { tableOf } from '../../sources/table.js'
import { MM_PER_INCH } from '../../units/units.js'
import { passing } from '../kit/inspection.js'
import ISO_FILE from './iso-7-threads.json' with { type: 'json' }
import NPT_FILE from './npt-threads.json' with { type: 'json' }
import USUAL_FILE from './usual-engagement.json' with { type: 'json' }

const NPT = tableOf(NPT_FILE, 'asme-b1-20-1')
const ISO = tableOf(ISO_FILE, 'iso-7-1')
const USUAL = tableOf(USUAL_FILE, 'cp-thread-engagement')
export const TABLES = [NPT, ISO, USUAL]

export const STANDARDS = ['npt', 'iso-7'] as const
export type ThreadStandard = (typeof STANDARDS)[number]

/** A thread's pitch, mm, and how far it goes in by hand. Null for a size that is not listed. */
export function threadOf(
  standard: ThreadStandard,
  size: Size,
): { perInch: number; pitchMm: number; byHandMm: Fig; byWrenchMm: Fig } | null {
  const npt = standard === 'npt' ? NPT.at(size.text) : undefined
  const iso = standard === 'iso-7' ? ISO.at(size.text) : undefined
  const row = npt ?? iso
  if (!row) return null
  const pitchMm = MM_PER_INCH / row.perInch
  const turns = npt ? npt.wrenchThreads : (iso?.wrenchTurns ?? 0)
  const source = npt ? NPT.source : ISO.source
  return {
    perInch: row.perInch,
    pitchMm,
    byHandMm: fig(row.byHand, source),
    byWrenchMm: fig(turns * pitchMm, source),
  }
}

/**
 * How far the male thread is in when the joint is tight, mm: NPT as handbooks have it, ISO 7-1 by gauge length and turns
 * of the wrench. Sources: `cp-thread-engagement`, `thread-engagement`.
 * @example engagementMm('npt', parseSize('NPS 1/2')).value // 12.7
 */
export function engagementMm(standard: ThreadStandard, size: Size): Fig {
  const thread = threadOf(standard, size)
  const unknown = noFig(msg('thread-unlisted', { size: size.text }))
  if (!thread) return unknown
  if (standard === 'npt') {
    const row = USUAL.at(size.text)
    return row ? fig(row.engaged, USUAL.source) : unknown
  }
  return fig((thread.byHandMm.value ?? 0) + (thread.byWrenchMm.value ?? 0), 'thread-engagement')
}

/** Turns past hand tight. */
export interface Turns {
  least: Fig
  most: Fig
}
/**
 * How many turns past hand tight, by size. Sources: `cp-thread-turns`, `cp-thread-plastic`.
 * @param plastic either side is of plastic.
 * @example turnsFor(parseSize('NPS 1'), true).most.value // 2
 */
export function turnsFor(size: Size, plastic: boolean): Turns {
  const between = (least: number, most: number, source: 'cp-thread-turns' | 'cp-thread-plastic'): Turns => ({
    least: fig(least, source),
    most: fig(most, source),
  })
  if (plastic) return between(1, 2, 'cp-thread-plastic')
  if (size.nominal <= 1) return between(1.5, 3, 'cp-thread-turns')
  return size.nominal <= 2 ? between(1.5, 2.5, 'cp-thread-turns') : between(2, 2.5, 'cp-thread-turns')
}
/** How far a count of turns may lie off and still pass: a quarter (ours). */
export const TURNS_TOLERANCE = 0.25
/** Threads in sight of a tight metal joint, and what is short or too far. Source: `cp-thread-showing`. */
export const SHOWING = { least: 2, most: 3, short: 4 } as const

/**
 * Judges turns past hand tight. Too many: a plastic thread is spoilt, a metal one is looked at. Too few: a little
 * further, never back. @param turns as counted; null: not read.
 */
export function judgeTurns(asked: Turns, turns: number | null, plastic: boolean): Finding[] {
  const { least, most } = asked
  if (turns === null || least.value === null || most.value === null) return []
  if (turns > most.value + TURNS_TOLERANCE)
    return [
      plastic
        ? finding('stop', 'thread-plastic-over', most.source, { turns, most: most.value })
        : finding('warn', 'thread-turns-over', most.source, { turns, most: most.value }),
    ]
  return turns < least.value - TURNS_TOLERANCE
    ? [finding('warn', 'thread-turns-short', least.source, { turns, least: least.value })]
    : []
}
/**
 * Judges the threads left in sight of a metal joint. @param count of them; null: not read.
 * @example judgeShowing(2) // []
 */
export function judgeShowing(count: number | null): Finding[] {
  if (count === null) return []
  const say = (
    level: Finding['level'],
    code: 'thread-none-showing' | 'thread-few-showing' | 'thread-many-showing',
  ) => finding(level, code, 'cp-thread-showing', { count })
  if (count < 1) return [say('stop', 'thread-none-showing')]
  if (count < SHOWING.least) return [say('warn', 'thread-few-showing')]
  if (count > SHOWING.short) return [say('warn', 'thread-many-showing')]
  return count > SHOWING.most ? [passing(say('warn', 'thread-many-showing'))] : []
}
