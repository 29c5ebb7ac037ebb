import {
  DEFAULT_AROUND,
  type Line,
  charted,
  contextOf,
  foldJob,
  jointFacts,
  methodOf,
  pieceCut,
  readChart,
  sourceOf,
} from '../src/index.js'
import { requiredFor } from '../src/methods/cure/rule.js'
import { cureRule } from '../src/methods/solvent-cement/rule.js'
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
  it('what this box measures is pinned like any chart, and a later chart of the maker does not beat it', () => {
    const log = lineJob(1)
    log.put('socket-measured', { material: 'pvc-u', size: 'd63', depthMm: 38.2 }, { atS: T0 - 50 })
    load(log, 1, T0 - 40, CHART)
    expect(depthOf(log)[0]).toEqual({ value: 38.2, source: 'measured' })
    expect(foldJob(log.events).charts.map((c) => c.rows.length)).toEqual([1, 1])
    const pin = { rules: 1, chart: uuid(901), school: 'metric', table: 'current' }
    const data = { life: 1, step: 'fit', readings: {}, shown: [], pin }
    log.put('step-done', data, { atS: T0, jointId: joint(1) })
    log.put('socket-measured', { material: 'pvc-u', size: 'd63', depthMm: 44 }, { atS: T0 + 10 })
    const depth = (n: number) => {
      const f = jointFacts(foldJob(log.events), joint(n), 'coldest', T0 + 20)
      return f?.method?.insertion(f.spec, f.ctx).depthMm.value
    }
    expect([depth(1), depth(2)]).toEqual([38.2, 44])
  })
  it('a chart under an id that is there already changes nothing', () => {
    const log = lineJob(1)
    load(log, 1, T0 - 100, CHART)
    load(log, 1, T0 - 50, CHART.replace(',39,', ',50,'))
    expect(depthOf(log)[0]?.value).toBe(39)
  })
})

describe('a maker\u2019s own times, turns and gaps', () => {
  const H = 3600
  const TIMES = [
    'solvent-cement,pvc,NPS 2,set from 10 C,20,min,sheet 9',
    'solvent-cement,pvc,NPS 2,set from 20 C,10,min,sheet 9',
    'solvent-cement,pvc,NPS 2,cure from 10 C to 6 bar,8,h,sheet 9',
    'solvent-cement,pvc,NPS 2,cure from 20 C to 6 bar,4,h,sheet 9',
    'solvent-cement,pvc,NPS 2,cure from 50 F to 160 psi,16,h,sheet 9',
  ]
  const ruleWith = (...lines: string[]) => {
    const log = lineJob(1)
    const r = read(...lines)
    if (!r.ok) throw new Error(JSON.stringify(r.faults))
    log.put('chart-loaded', { chartId: uuid(901), name: 'Maker A', rows: r.rows })
    const joint = { method: 'solvent-cement', material: 'pvc', size: 'NPS 2' }
    const known = charted(foldJob(log.events), joint)
    const method = methodOf('solvent-cement')
    const raw = { ...joint, ...known, school: 'inch', schedule: '80', checkOffsetMm: 50.8 }
    const parsed = method?.parse(raw)
    if (!method || !parsed?.ok) throw new Error('no spec')
    const c = method.curing(parsed.spec, { table: 'current' })
    if (c.by !== 'rule') throw new Error('no rule')
    return c.rule
  }
  it('cure by temperature and pressure: the colder band on an edge, nothing below the coldest or above the pressure', () => {
    const rule = ruleWith(...TIMES)
    const need = (bar: number, t: number) => requiredFor(rule, bar)?.(t, true) ?? null
    expect([need(5, 25), need(5, 20), need(5, 15), need(5, 10), need(5, 9.9)]).toEqual([
      4 * H,
      8 * H,
      8 * H,
      8 * H,
      null,
    ])
    // 160 psi = 11.03 bar.
    expect([need(8, 15), need(11, 15), need(11.1, 15)]).toEqual([16 * H, 16 * H, null])
    expect([rule.setS(25), rule.setS(20), rule.setS(9)]).toEqual([600, 1200, null])
    expect(rule.sourceAt(20)).toBe('chart:Maker A, sheet 9')
  })
  it('set times stay those of the usual rule where the chart gives none', () => {
    const rule = ruleWith(...TIMES.slice(2))
    const usual = cureRule({ material: 'pvc', size: 'NPS 2', school: 'inch' }, 'current')
    expect(usual.ok && [rule.setS(25), rule.setSource]).toEqual(
      usual.ok && [usual.rule.setS(25), usual.rule.setSource],
    )
  })
  it.each([
    ['cure without a pressure', 'solvent-cement,pvc,NPS 2,cure from 10 C,8,h,x', 'chart-figure'],
    ['set with a pressure', 'solvent-cement,pvc,NPS 2,set from 10 C to 6 bar,8,h,x', 'chart-figure'],
    ['cure of what cures not', 'press,copper,d22,cure from 10 C to 6 bar,8,h,x', 'chart-figure'],
    ['a year', 'solvent-cement,pvc,NPS 2,cure from 10 C to 6 bar,8760,h,x', 'chart-value'],
  ])('%s is refused by its line', (_what, line, code) => {
    const r = read(line)
    expect(!r.ok && r.faults.map((f) => [f.line, f.says.code])).toEqual([[2, code]])
  })
  const judged = (method: string, raw: Record<string, unknown>, readings: Record<string, unknown>) => {
    const m = methodOf(method)
    const parsed = m?.parse({ school: 'inch', ...raw })
    if (!m || !parsed?.ok) throw new Error(JSON.stringify(parsed))
    const ctx = contextOf({ method, material: '', size: '', school: 'inch', schedule: null }, DEFAULT_AROUND)
    const steps = m.steps(parsed.spec, ctx)
    const done = steps.map((s, i) => {
      const r = s.reads.length ? readings : {}
      return { eventId: `${i}`, step: s.id, earliestS: i, latestS: i, readings: r, by: 'a' }
    })
    return m.inspection(parsed.spec, { no: 1, done, interrupted: [] }, ctx).findings.map((f) => f.code)
  }
  it('turns of the maker are what turns are judged by', () => {
    const r = read('compression,copper,OD 1/4,turns,1,turns,s', 'compression,copper,OD 3/8,turns,9,flats,s')
    expect(r.ok && r.rows.map((x) => [x.field, x.value])).toEqual([
      ['ownTurns', 1],
      ['ownTurns', 1.5],
    ])
    const raw = { material: 'copper', size: 'OD 1/4', kind: 'twin-ferrule' }
    expect(judged('compression', raw, { turns: 1.25 })).not.toContain('turns-over')
    expect(judged('compression', { ...raw, ownTurns: 1 }, { turns: 1.25 })).toContain('turns-over')
  })
  it('gaps of the maker are what gaps are judged by', () => {
    const raw = { material: 'pfa', size: 'OD 1/2' }
    const wide = { gapMinMm: 4, gapMaxMm: 5 }
    const own = judged('flare', { ...raw, gapFromMm: 3.5, gapToMm: 5.5 }, wide)
    expect(own.filter((c) => c.startsWith('flare-'))).toEqual([])
    expect(judged('flare', raw, wide).some((c) => c.startsWith('flare-'))).toBe(true)
  })
})
