import { DateTime } from 'luxon'
import { codeSaid, foldJob, itemCoded, leftOf, methodOf, shelfOf, shoppingCsv } from '../src/index.js'
import { type Log, T0, joint, lineJob } from './make-job.js'
import { TIN, TODAY, dayIn, putLot } from './store-help.js'

const QUART_L = 0.946352946
/**
 * Joints to a quart of cement, as handbooks print them for planning (common practice, from memory): read at the next
 * larger inch size, by outside diameter.
 */
const HANDBOOK = [
  ['pvc', 'NPS 1/2', 'inch', 300],
  ['pvc', 'NPS 1-1/4', 'inch', 90],
  ['pvc', 'NPS 2', 'inch', 60],
  ['pvc', 'NPS 4', 'inch', 30],
  ['pvc', 'NPS 12', 'inch', 1],
  ['cpvc', 'CTS 3/4', 'inch', 200],
  ['pvc-u', 'd32', 'metric', 125],
  ['pvc-u', 'd63', 'metric', 50],
  ['pvc-u', 'd110', 'metric', 30],
  ['pvc-u', 'd160', 'metric', 10],
] as const
const needs = (material: string, size: string, school: string) => {
  const method = methodOf('solvent-cement')
  const read = method?.parse({ material, size, school, checkOffsetMm: 50, pressureService: true })
  if (!method || !read?.ok) throw new Error(`${material} ${size}`)
  return new Map(method.consumables(read.spec).map((need) => [need.item, need]))
}

describe('what a joint takes of a tin', () => {
  it.each(HANDBOOK)('%s %s, %s: %d joints to a quart', (material, size, school, joints) => {
    const own = needs(material, size, school)
    const cement = own.get('cement')?.qty
    expect(cement?.value).toBeCloseTo(QUART_L / joints, 6)
    expect(cement).toMatchObject({ source: 'cp-joints-per-quart' })
    // Of primer a quart makes twice as many; a cleaner is not counted.
    if (own.has('primer')) expect(own.get('primer')?.qty.value).toBeCloseTo(QUART_L / joints / 2, 6)
    else expect(own.get('cleaner')?.qty.value).toBeNull()
  })
  it('larger than any row there is no figure, and none is made up', () => {
    expect(needs('pvc', 'NPS 16', 'inch').get('cement')?.qty.value).toBeNull()
  })
})

describe('what is left in a tin', () => {
  const perJointL = QUART_L / 50
  const used = (log: Log, n: number, atS: number): string =>
    log.put('step-done', { life: 1, step: 'fit', readings: {}, tinId: TIN }, { jointId: joint(n), atS })
  const left = (log: Log) => {
    const state = foldJob(log.events)
    const item = state.store.get(TIN)
    if (!item) throw new Error('not there')
    return leftOf(state, item)
  }
  it('goes down by what its joints took since it was put in, cut out again or not', () => {
    const log = lineJob(3)
    putLot(log, { amount: 0.5, unit: 'l' })
    expect(left(log)).toMatchObject({ value: 0.5, joints: 0, makes: [{ size: 'd63', joints: 26 }] })
    used(log, 1, T0 + 60)
    used(log, 2, T0 + 120)
    expect(left(log)?.value).toBeCloseTo(0.5 - 2 * perJointL, 6)
    log.put('cut-out', { life: 1, reason: 'x' }, { jointId: joint(1), atS: T0 + 200 })
    expect(left(log)).toMatchObject({ joints: 2, source: 'cp-joints-per-quart' })
    expect(left(log)?.value).toBeCloseTo(0.5 - 2 * perJointL, 6)
  })
  it('is counted anew from a new amount, not from the same one said with another date', () => {
    const log = lineJob(3)
    putLot(log, { amount: 0.5, unit: 'l' })
    used(log, 1, T0 + 60)
    log.put(
      'lot-set',
      { ...log.events.findLast(({ kind }) => kind === 'lot-set')?.data, expiresOn: dayIn(90) },
      { atS: T0 + 90 },
    )
    expect(left(log)?.joints).toBe(1)
    log.put(
      'lot-set',
      { ...log.events.findLast(({ kind }) => kind === 'lot-set')?.data, amount: 0.4 },
      { atS: T0 + 100 },
    )
    expect(left(log)).toMatchObject({ value: 0.4, joints: 0 })
  })
  it('said to be empty there is none; never less than none; of a tin nobody measured nothing is said', () => {
    const log = lineJob(3)
    putLot(log)
    expect(left(log)).toBeNull()
    putLot(log, { amount: 0.01, unit: 'l' })
    used(log, 1, T0 + 60)
    expect(left(log)).toMatchObject({ value: 0, makes: [{ size: 'd63', joints: 0 }] })
    putLot(log, { amount: 2, unit: 'l' })
    log.put('store-state', { itemId: TIN, state: 'empty' }, { atS: T0 + 70 })
    expect(left(log)?.value).toBe(0)
  })
  it('a tin said by weight is not counted in litres, and says so', () => {
    const log = lineJob(3)
    putLot(log, { amount: 1, unit: 'kg' })
    used(log, 1, T0 + 60)
    expect(left(log)).toMatchObject({ value: 1, joints: 1, uncounted: 1, makes: [], source: null })
  })
  it('too little for what is planned is short, and stands on the list in the reader’s own unit, rather too much', () => {
    const log = lineJob(3)
    putLot(log, { amount: 5 * perJointL, unit: 'l' })
    const { wanted } = shelfOf(foldJob(log.events), T0)
    const row = wanted.find(({ need }) => need.item === 'cement')
    expect(row).toMatchObject({ short: true })
    expect(row?.qty).toBeCloseTo(6 * perJointL, 6)
    expect(shoppingCsv(wanted, { units: 'inch' })).toMatch(/^cement,.*,0\.12,qt,0\.1,/m)
    expect(shoppingCsv(wanted, { units: 'metric' })).toMatch(/^cement,.*,0\.12,l,0\.1,/m)
  })
})

describe('codes of parts with identifiers (GS1 General Specifications)', () => {
  it('tell batch, last day and serial number, in brackets or as a scanner sends them', () => {
    const said = { name: 'L-7', batch: 'L-7', expiresOn: '2027-12-31' }
    expect(codeSaid('(01)09506000134352(17)271231(10)L-7', TODAY)).toEqual(said)
    expect(codeSaid(']C101095060001343521727123110L-7', TODAY)).toEqual(said)
    expect(codeSaid('01095060001343521727123110L-7', TODAY)).toEqual(said)
    expect(codeSaid('\u001d10L-7\u001d17271231', TODAY)).toEqual(said)
    expect(codeSaid('(10)L-7(21)0042', TODAY)).toMatchObject({ name: '0042', batch: 'L-7', expiresOn: '' })
  })
  it('any other code is the name as it stands', () => {
    for (const code of [
      '26105A',
      '0112',
      '01095060001343531727123110L',
      '(17)271231 x',
      'L (10)',
      ']C199',
      '',
    ])
      expect(codeSaid(code, TODAY)).toEqual({ name: code, batch: '', expiresOn: '' })
  })
  it('a year of two figures is the nearest one; day 00 is the last of its month, in leap years too; no such day is none', () => {
    const on = (day: string): string => codeSaid(`(17)${day}(10)x`, TODAY).expiresOn
    for (const year of [2024, 2027, 2028, 2070, 1980])
      for (const month of [1, 2, 6, 12]) {
        const day = DateTime.utc(year, month, 1)
        expect(on(day.toFormat('yyMM00'))).toBe(day.endOf('month').toISODate())
        expect(on(day.toFormat('yyMMdd'))).toBe(day.toISODate())
      }
    expect(on('270230')).toBe('')
    expect(on('271300')).toBe('')
  })
  it('finds the thing by its serial number before its batch', () => {
    const log = lineJob(1)
    putLot(log, { name: '0042', batch: 'L-7' })
    log.put('lot-set', { lotId: joint(77), kind: 'cement', name: '0043', matches: {}, batch: 'L-7' })
    const { store } = foldJob(log.events)
    expect(itemCoded(store.values(), '(10)L-7(21)0043')?.id).toBe(joint(77))
    expect(itemCoded(store.values(), '(10)L-7(21)0099')?.id).toBe(TIN)
    expect(itemCoded(store.values(), '(10)L-9')).toBeNull()
  })
})
