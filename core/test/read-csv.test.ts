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
})
