import {
  type ItemSaid,
  NOTHING_SAID,
  type JobState,
  foldJob,
  itemEntry,
  itemFaults,
  itemSaid,
  readStore,
  storeCsv,
} from '../src/index.js'
import { lineJob, uuid } from './make-job.js'
import { TIN, TODAY, dayIn, putLot, putTool } from './store-help.js'

const SAID: ItemSaid = {
  ...NOTHING_SAID,
  kind: 'cement',
  name: 'T-8',
  matches: { plastic: 'abs' },
  expiresOn: '2027-01-31',
}

describe('put in', () => {
  const state = (): JobState => {
    const log = lineJob(1)
    putLot(log)
    return foldJob(log.events)
  }
  it.each<[Partial<ItemSaid>, string, string]>([
    [{ kind: 'magic' }, 'kind', 'store-no-such-kind'],
    [{ name: ' ' }, 'name', 'store-name'],
    [{ name: ' t-7' }, 'name', 'store-there-already'],
    [{ matches: {} }, 'plastic', 'store-which-plastic'],
    [{ expiresOn: '' }, 'expiresOn', 'store-last-day'],
    [{ expiresOn: '2027-02-29' }, 'expiresOn', 'not-a-date'],
    [{ boughtOn: dayIn(1) }, 'boughtOn', 'store-day-to-come'],
    [{ openDays: '1.5' }, 'openDays', 'store-whole-days'],
    [{ amount: '-1', unit: 'l' }, 'amount', 'store-amount'],
    [{ amount: '5', unit: 'pints' }, 'unit', 'store-unit'],
    [{ kind: 'jaw', matches: { size: '22' } }, 'size', 'store-size'],
    [
      { kind: 'gauge', boughtOn: dayIn(-5), checkedOn: dayIn(-6) },
      'checkedOn',
      'store-checked-before-bought',
    ],
    [{ kind: 'gauge', checkedOn: dayIn(-6), dueOn: dayIn(-6) }, 'dueOn', 'store-due-before-checked'],
    [{ kind: 'gauge', checkedOn: dayIn(2) }, 'checkedOn', 'store-day-to-come'],
  ])('%j is refused at %s', (said, field, code) => {
    expect(itemFaults(state(), { ...SAID, ...said }, TODAY)).toMatchObject([{ field, says: { code } }])
  })
  it('what is good is written as it is read back', () => {
    const lot = {
      ...SAID,
      matches: { plastic: 'abs' },
      expiresOn: dayIn(0),
      openDays: '30',
      amount: '0,5',
      unit: 'l',
    }
    const tool = {
      ...SAID,
      kind: 'gauge',
      name: 'G-2',
      matches: {},
      expiresOn: '',
      boughtOn: dayIn(-5),
      checkedOn: dayIn(-5),
      dueOn: dayIn(9),
      certificate: 'C 1',
    }
    for (const said of [lot, tool]) {
      expect(itemFaults(state(), said, TODAY)).toEqual([])
      const log = lineJob(1)
      const { kind, data } = itemEntry(said, TIN)
      log.put(kind, data)
      const item = foldJob(log.events).store.get(TIN)
      expect(item && itemSaid(item)).toEqual({ ...said, amount: said.amount.replace(',', '.') })
      // Changed, it is no twin of its own.
      expect(itemFaults(foldJob(log.events), said, TODAY, TIN)).toEqual([])
    }
  })
})

describe('a store as CSV', () => {
  it('written and read into another job it is the same store', () => {
    const log = lineJob(1)
    putLot(log, { batch: 'B=1', expiresOn: dayIn(100), amount: 500, unit: 'l', openDays: 90 })
    putTool(log, { dueOn: dayIn(50), checkedOn: dayIn(-10), certificate: '=C-9' })
    log.put('tool-set', {
      toolId: uuid(702),
      kind: 'jaw',
      name: 'J-1',
      matches: { size: 'd22', profile: 'K' },
    })
    const csv = storeCsv(foldJob(log.events))
    const read = readStore(csv.replaceAll("'=C-9", '=C-9'), foldJob(lineJob(1).events), TODAY)
    if (!read.ok) throw new Error(JSON.stringify(read.faults))
    const other = lineJob(1)
    read.items.forEach((said, i) => {
      const { kind, data } = itemEntry(said, uuid(900 + i))
      other.put(kind, data)
    })
    const plain = (state: JobState) => [...state.store.values()].map(itemSaid)
    expect(plain(foldJob(other.events))).toEqual(plain(foldJob(log.events)))
  })
  it('five thousand rows with three bad ones: the three are named, and nothing is taken', () => {
    const [head] = storeCsv(foldJob(lineJob(1).events)).split('\r\n')
    const rows = Array.from({ length: 5000 }, (_, i) => `cement,T-${i},,plastic=abs,,2027-01-01,,,,,,`)
    rows[10] = 'cement,T-9,,plastic=abs,,2027-01-01,,,,,,'
    rows[2000] = 'cement,X,,plastic,,2027-01-01,,,,,,'
    rows[4999] = 'cement,Y,,plastic=abs,,2027-02-30,,,,,,'
    const read = readStore([head, ...rows].join('\n'), foldJob(lineJob(1).events), TODAY)
    expect(read).toMatchObject({
      ok: false,
      faults: [
        { line: 12, column: 'name', says: { code: 'chart-twice' } },
        { line: 2002, column: 'fits', says: { code: 'store-fits' } },
        { line: 5001, column: 'good until', says: { code: 'not-a-date' } },
      ],
    })
  })
  it('another first line, too few cells, nothing at all', () => {
    const state = foldJob(lineJob(1).events)
    expect(readStore('a,b', state, TODAY)).toMatchObject({ ok: false, faults: [{ line: 1 }] })
    const [head] = storeCsv(state).split('\r\n')
    expect(readStore(`${head}\ncement,T`, state, TODAY)).toMatchObject({
      faults: [{ says: { code: 'chart-columns' } }],
    })
    expect(readStore(`${head}`, state, TODAY)).toMatchObject({ faults: [{ says: { code: 'chart-empty' } }] })
  })
})
