import { isWorded, longestGapS } from '@jugalis/core'
import { type Device, silences } from '../src/instruments'

const T0 = 1_790_000_000
const logger = (more: Partial<Device> = {}): Device => ({
  deviceId: 'd',
  name: 'LG-1',
  kind: 'pressure-logger',
  placeId: null,
  toolId: null,
  sectionId: 's',
  standIn: null,
  revoked: false,
  createdAtS: T0 - 1000,
  lastAtS: null,
  silent: null,
  ...more,
})
const HOLD_S = 3600
const GAP_S = longestGapS(HOLD_S)
const codes = (d: Device, atS: number): string[] =>
  silences([d], { sectionId: 's', begunAtS: T0 }, GAP_S, T0 + atS).map((m) => m.code)

describe('a logger that says nothing', () => {
  it('is given a moment, then it is told', () => {
    expect(codes(logger(), 10)).toEqual([])
    expect(codes(logger(), 20)).toEqual(['logger-nothing-yet'])
    // What it said before this test does not count.
    expect(codes(logger({ lastAtS: T0 - 50 }), 20)).toEqual(['logger-nothing-yet'])
    expect(codes(logger({ createdAtS: T0 + 100 }), 110)).toEqual([])
  })
  it('one that stops is told before its gap decides the test', () => {
    expect(codes(logger({ lastAtS: T0 + 60 }), 60 + GAP_S / 2 - 1)).toEqual([])
    expect(codes(logger({ lastAtS: T0 + 60 }), 60 + GAP_S / 2 + 1)).toEqual(['logger-stopped'])
  })
  it('one that the server can\u2019t read is told at once, with the reason', () => {
    for (const why of [
      'refused',
      'no-answer',
      'short-answer',
      'no-number',
      'not-allowed',
      'other',
    ] as const) {
      expect(codes(logger({ silent: { why, sinceS: T0 } }), 1)).toEqual([`logger-${why}`])
      expect(isWorded(`logger-${why}`)).toBe(true)
    }
  })
  it('others are not spoken of: taken down, on another section, no logger', () => {
    for (const more of [{ revoked: true }, { sectionId: 'x' }, { kind: 'probe' }])
      expect(codes(logger(more), 500)).toEqual([])
  })
})
