import { DateTime } from 'luxon'
import { daysAfter } from '../src/joint/standing.js'
import { type Log, T0, uuid } from './make-job.js'

/** A lot and a gauge of a store, and days about the time of the jobs in tests. */
export const TIN = uuid(700)
export const GAUGE = uuid(701)
/** 2026-09-21, as the times of these jobs have it. */
export const TODAY = DateTime.fromSeconds(T0, { zone: 'utc' }).toISODate() as string
export const dayIn = (days: number): string => daysAfter(TODAY, days)
export const putLot = (log: Log, more: object = {}): string =>
  log.put('lot-set', { lotId: TIN, kind: 'cement', name: 'T-7', matches: { plastic: 'pvc-u' }, ...more })
export const putTool = (log: Log, more: object = {}): string =>
  log.put('tool-set', { toolId: GAUGE, kind: 'gauge', name: 'G-1', matches: {}, ...more })
