import { type Line, foldJob, jointFacts, pieceCut, readChart, sourceOf } from '../src/index.js'
import { LINE, T0, type Log, joint, lineJob, uuid } from './make-job.js'

const HEAD = 'method,material,size,figure,value,unit,reference'
const read = (...lines: string[]) => readChart([HEAD, ...lines].join('\n'))

describe('a maker\u2019s chart as CSV', () => {
  it('is read in the units it is written in', () => {
    const r = read(
      'press,copper,d22,depth,24,mm,sheet 4',
      'solder,copper,CTS 3/4,depth,0.8,in,"sheet 4, row 2"',
      'flange,pvc-u,d110,torque,20,ft-lbf,sheet 5',
      'socket-fusion,pp-r,d32,cool,5,min,sheet 6',
      'flare,pfa,OD 1/2,torque,10,in-lbf,sheet 7',
    )
    expect(r.ok && r.rows.map((x) => [x.field, Number(x.value.toFixed(3))])).toEqual([
      ['socketDepthMm', 24],
      ['socketDepthMm', 20.32],
      ['dryTorqueNm', 27.116],
      ['coolS', 300],
      ['minTorqueNm', 1.13],
    ])
    expect(r.ok && r.rows[1]?.reference).toBe('sheet 4, row 2')
  })
  it.each([
    ['another header', 'method;material', 1, 'chart-header'],
    ['no rows', HEAD, 2, 'chart-empty'],
    ['a method nobody knows', `${HEAD}\nglue,copper,d22,depth,24,mm,x`, 2, 'chart-method'],
    ['a size that is not made', `${HEAD}\npress,copper,d23,depth,24,mm,x`, 2, 'size-not-made'],
    ['a material it can\u2019t join', `${HEAD}\npress,pvc,d22,depth,24,mm,x`, 2, 'material-not-joined'],
    ['a figure it has not', `${HEAD}\nflange,pvc-u,d110,depth,24,mm,x`, 2, 'chart-figure'],
    ['another unit', `${HEAD}\npress,copper,d22,depth,24,Nm,x`, 2, 'chart-unit'],
    ['letters', `${HEAD}\npress,copper,d22,depth,twenty,mm,x`, 2, 'chart-value'],
    ['a negative', `${HEAD}\npress,copper,d22,depth,-24,mm,x`, 2, 'chart-value'],
    ['10 m', `${HEAD}\npress,copper,d22,depth,10000,mm,x`, 2, 'chart-value'],
    ['no reference', `${HEAD}\npress,copper,d22,depth,24,mm,`, 2, 'chart-reference'],
    ['a cell too few', `${HEAD}\npress,copper,d22,depth,24,mm`, 2, 'chart-columns'],
    [
      'the same twice',
      `${HEAD}\npress,copper,d22,depth,24,mm,x\npress,copper,d22,depth,25,mm,x`,
      3,
      'chart-twice',
    ],
  ])('%s: named by its line, nothing taken', (_what, csv, line, code) => {
    const r = readChart(csv)
    expect(r.ok).toBe(false)
    expect(!r.ok && r.faults.map((f) => [f.line, f.says.code])).toEqual([[line, code]])
  })
  it('every bad row is reported, not only the first', () => {
    const r = read('press,copper,d23,depth,1,mm,x', 'press,copper,d22,depth,24,mm,ok', 'x,y,z,depth,1,mm,x')
    expect(!r.ok && r.faults.map((f) => f.line)).toEqual([2, 4])
  })
})

describe('a chart in a job', () => {
  const load = (log: Log, n: number, atS: number, csv: string, name = 'Maker A'): void => {
    const r = readChart(csv)
    if (!r.ok) throw new Error('bad chart')
    log.put('chart-loaded', { chartId: uuid(900 + n), name, rows: r.rows }, { atS })
  }
  const depthOf = (log: Log) => {
    const state = foldJob(log.events)
    const line = state.lines.get(LINE) as Line
    return pieceCut(state, line, line.items[1] as Line['items'][number]).ends.map((e) => e.depthMm)
  }
  const CHART = `${HEAD}\nsolvent-cement,pvc-u,d63,depth,39,mm,sheet 2`
  it('wins over the table, is named as the source, and what is measured on the box wins over it', () => {
    const log = lineJob(1)
    expect(depthOf(log)[0]).toEqual({ value: 37.5, source: 'iso-727-1' })
    load(log, 1, T0 - 100, CHART)
    expect(depthOf(log)[0]).toEqual({ value: 39, source: 'chart:Maker A, sheet 2' })
    expect(sourceOf('chart:Maker A, sheet 2')).toMatchObject({ kind: 'chart', reference: 'Maker A, sheet 2' })
    log.put('socket-measured', { material: 'pvc-u', size: 'd63', depthMm: 38.2 }, { atS: T0 - 50 })
    expect(depthOf(log)[0]).toEqual({ value: 38.2, source: 'measured' })
  })
  it('a joint that was begun keeps the chart it was begun under; one not begun takes the newest', () => {
    const log = lineJob(1)
    load(log, 1, T0 - 100, CHART)
    log.put(
      'step-done',
      {
        life: 1,
        step: 'fit',
        readings: {},
        shown: [],
        pin: { rules: 1, chart: uuid(901), school: 'metric', table: 'current' },
      },
      { atS: T0, jointId: joint(1) },
    )
    load(log, 2, T0 + 100, CHART.replace(',39,', ',41,'), 'Maker A, second print')
    const depth = (n: number) => {
      const f = jointFacts(foldJob(log.events), joint(n), 'coldest', T0 + 200)
      return f?.method?.insertion(f.spec, f.ctx).depthMm
    }
    expect(depth(1)).toEqual({ value: 39, source: 'chart:Maker A, sheet 2' })
    expect(depth(2)).toEqual({ value: 41, source: 'chart:Maker A, second print, sheet 2' })
  })
  it('a chart under an id that is there already changes nothing', () => {
    const log = lineJob(1)
    load(log, 1, T0 - 100, CHART)
    load(log, 1, T0 - 50, CHART.replace(',39,', ',50,'))
    expect(depthOf(log)[0]?.value).toBe(39)
  })
})
