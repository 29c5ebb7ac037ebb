import { type LogColumns, logTable, readLog } from '../src/index.js'

describe('a logger\u2019s file', () => {
  const columns: LogColumns = {
    time: 0,
    pressure: 1,
    temperature: 2,
    pressureUnit: 'bar',
    temperatureUnit: 'C',
  }
  it('guesses columns and units from the header', () => {
    const t = logTable('Date time;Pressure (psi);Temp °F\n2026-01-05 10:00:00;130,5;59\n')
    expect(t.guess).toEqual({
      time: 0,
      pressure: 1,
      temperature: 2,
      pressureUnit: 'psi',
      temperatureUnit: 'F',
    })
    const read = readLog(t.body, t.guess, 'UTC', null)
    expect(read.ok && read.rows[0]?.bar).toBeCloseTo(130.5 * 0.0689476, 5)
    expect(read.ok && read.rows[0]?.temperatureC).toBeCloseTo(15, 9)
  })
  it('names the line of each fault, and takes nothing', () => {
    const rows = [
      ['2026-01-05 10:00:00', '9', '15'],
      ['2026-01-05 09:59:00', '9', '15'],
      ['yesterday', '9', '15'],
      ['2026-01-05 10:02:00', '9000', '15'],
      ['2026-01-05 10:03:00', '9', '400'],
    ]
    const read = readLog(rows, columns, 'UTC', null)
    expect(read.ok ? [] : read.faults.map((f) => [f.line, f.says.code])).toEqual([
      [3, 'log-backwards'],
      [4, 'log-time'],
      [5, 'log-pressure-range'],
      [6, 'log-temperature'],
    ])
  })
  it('asks which of the two hours is meant when the clocks go back, and then reads on', () => {
    // Clocks in Berlin go back on 2026-10-25 at 03:00.
    const rows = ['02:30', '02:50', '02:10', '02:40', '03:10'].map((t) => [`2026-10-25 ${t}`, '9', '15'])
    const asked = readLog(rows, columns, 'Europe/Berlin', null)
    expect(asked.ok && asked.repeatedFromLine).toBe(4)
    const read = readLog(rows, columns, 'Europe/Berlin', true)
    expect(read.ok && read.rows.map((r) => r.atS - (read.rows[0]?.atS ?? 0))).toEqual([
      0, 1200, 2400, 4200, 6000,
    ])
    // A time with its own offset needs no asking.
    const own = readLog(
      [
        ['2026-10-25T02:30:00+02:00', '9', ''],
        ['2026-10-25T02:10:00+01:00', '9', ''],
      ],
      columns,
      'Europe/Berlin',
      null,
    )
    expect(own.ok && own.rows.map((r) => r.temperatureC)).toEqual([null, null])
  })

  it.each([
    ['time,p', { pressure: 1, temperature: null, pressureUnit: 'bar' }],
    ['Zeit;Druck mbar;T', { time: 0, pressure: 1, temperature: 2, pressureUnit: 'mbar' }],
    ['t;when;kPa', { temperature: 0, time: 0, pressure: 2, pressureUnit: 'kPa' }],
    ['a,b', { time: 0, pressure: 1, temperature: null, pressureUnit: 'bar', temperatureUnit: 'C' }],
    ['press °C,date', { time: 1, pressure: 0, temperature: null }],
    ['date,bar,temp F', { temperature: 2, temperatureUnit: 'F' }],
  ])('guesses %s', (head, guess) => {
    const row = head.replace(/[^,;]+/g, '1')
    expect(logTable(`${head}\n${row}\n${row}`).guess).toMatchObject(guess)
  })
  const one = (when: string, bar = '9', warm = '15', how: Partial<LogColumns> = {}, zone = 'UTC') => {
    const read = readLog([[when, bar, warm]], { ...columns, ...how }, zone, null)
    return read.ok ? read.rows[0] : read.faults[0]?.says.code
  }
  const at = (when: string, zone = 'UTC') => {
    const read = one(when, '9', '15', {}, zone)
    return typeof read === 'object' ? read.atS : read
  }
  const NOON = Date.UTC(2026, 0, 5, 12) / 1000
  it.each([
    ['2026-01-05 12:00', NOON],
    ['2026-01-05T12:00:07', NOON + 7],
    ['2026-01-05 12:00:07.25', NOON + 7.25],
    ['2026-01-05 12:00:07,5', NOON + 7.5],
    ['2026-01-05 9:05', NOON - 3 * 3600 + 300],
    ['2026-01-05T12:00Z', NOON],
    ['2026-01-05T12:00:30.5Z', NOON + 30.5],
    ['2026-01-05 12:00 +0200', NOON - 7200],
    ['2026-01-05T12:00:00-05:00', NOON + 5 * 3600],
    [String(NOON), NOON],
    [`${NOON}.5`, NOON + 0.5],
    [`${NOON}000`, NOON],
  ])('reads the time %s', (text, atS) => expect(at(text)).toBe(atS))
  it.each([
    '2026-01-05 12:60',
    '2026-01-05 12:00:60',
    '2026-13-05 12:00',
    '2026-13-05T12:00Z',
    '05.01.2026 12:00',
    'x2026-01-05 12:00',
    '2026-01-05 12:00 sharp',
    '12345678',
    '1790000000x',
    '',
  ])('%p is no time', (text) => expect(at(text)).toBe('log-time'))
  it('times without an offset are on the clocks of the zone', () => {
    expect(at('2026-01-05 12:00', 'Europe/Berlin')).toBe(NOON - 3600)
    expect(at('2026-07-05 12:00', 'Europe/Berlin')).toBe(Date.UTC(2026, 6, 5, 10) / 1000)
  })
  it.each([
    ['psi', '100', 6.894757],
    ['kPa', '600', 6],
    ['mbar', '6000', 6],
    ['bar', '6,25', 6.25],
    ['bar', '-1.1', -1.1],
    ['bar', '1000', 1000],
  ] as const)('pressure in %s: %s', (pressureUnit, text, bar) => {
    const read = one('2026-01-05 12:00', text, '', { pressureUnit })
    expect(typeof read === 'object' ? read.bar : read).toBeCloseTo(bar, 5)
  })
  it('what no gauge and no thermometer shows is a fault, on each side', () => {
    expect(one('2026-01-05 12:00', '-1.2')).toBe('log-pressure-range')
    expect(one('2026-01-05 12:00', '1000.5')).toBe('log-pressure-range')
    expect(one('2026-01-05 12:00', 'high')).toBe('log-pressure')
    expect(one('2026-01-05 12:00', '')).toBe('log-pressure')
    expect(one('2026-01-05 12:00', '9', '-60')).toBe('log-temperature')
    expect(one('2026-01-05 12:00', '9', '150')).toBe('log-temperature')
    expect(one('2026-01-05 12:00', '9', 'warm')).toBe('log-temperature')
    expect(one('2026-01-05 12:00', '9', '-59.9')).toMatchObject({ temperatureC: -59.9 })
    expect(one('2026-01-05 12:00', '9', '149,5')).toMatchObject({ temperatureC: 149.5 })
    expect(one('2026-01-05 12:00', '9', '50', { temperatureUnit: 'F' })).toMatchObject({ temperatureC: 10 })
    expect(one('2026-01-05 12:00', '9', '400', { temperature: null })).toMatchObject({ temperatureC: null })
  })
  it('a time that comes twice, or an hour back on any other night, runs backwards', () => {
    const twice = (first: string, second: string) => {
      const read = readLog(
        [first, second].map((t) => [t, '9', '']),
        columns,
        'Europe/Berlin',
        true,
      )
      return read.ok ? 'ok' : read.faults.map((f) => [f.line, f.says.code])
    }
    expect(twice('2026-01-05 12:00', '2026-01-05 12:00')).toEqual([[3, 'log-backwards']])
    expect(twice('2026-06-05 02:50', '2026-06-05 02:10')).toEqual([[3, 'log-backwards']])
    // On the night itself: not twice over, and not by more than the hour.
    expect(twice('2026-10-25 02:50', '2026-10-25 02:10')).toBe('ok')
    expect(twice('2026-10-25 04:30', '2026-10-25 02:10')).toEqual([[3, 'log-backwards']])
  })
  it('an empty file, and one of too many rows, are said so; of many faults the first twenty', () => {
    const codes = (rows: string[][]) => {
      const read = readLog(rows, columns, 'UTC', null)
      return read.ok ? [] : read.faults.map((f) => f.says.code)
    }
    expect(codes([])).toEqual(['log-empty'])
    expect(codes(Array<string[]>(500_001).fill(['x', '', '']))).toEqual(['log-many'])
    expect(codes(Array<string[]>(40).fill(['x', '', '']))).toHaveLength(20)
  })
  it('a mark at the head of the file, blank lines and spaces are no readings', () => {
    const table = logTable('\uFEFF time , bar \n\n2026-01-05 12:00, 9 \n\n')
    expect([table.head, table.body.length]).toEqual([['time', 'bar'], 1])
  })
})
