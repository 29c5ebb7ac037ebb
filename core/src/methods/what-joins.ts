import { METRIC_SERIES, NPS_OD_INCH } from '../sizes/size.js'
import type { School } from './joinable.js'

const metric = (to: number, from = 0): string[] =>
  METRIC_SERIES.filter((d) => d >= from && d <= to).map((d) => `d${d}`)
// Object keys that look like whole numbers come first, so the order is taken from the diameters.
const NPS_ORDER = Object.entries(NPS_OD_INCH)
  .sort((a, b) => a[1] - b[1])
  .map(([name]) => name)
const nps = (from: string, to: string): string[] =>
  NPS_ORDER.slice(NPS_ORDER.indexOf(from), NPS_ORDER.indexOf(to) + 1).map((n) => `NPS ${n}`)
const named = (family: string, names: string): string[] =>
  names.split(' ').map((n) => (family === 'd' ? `d${n}` : `${family} ${n}`))

const CPVC_CTS = named('CTS', '1/2 3/4 1 1-1/4 1-1/2 2')
const SOLDER_CTS = named('CTS', '1/4 3/8 1/2 5/8 3/4 1 1-1/4 1-1/2 2 2-1/2 3 3-1/2 4')
const SOLDER_MM = named('d', '6 8 10 12 14 15 16 18 22 28 35 42 54 64 66.7 76.1 88.9 108')
const PRESS_INCH = '1/2 3/4 1 1-1/4 1-1/2 2 2-1/2 3 4'
const PRESS_MM = named('d', '15 18 22 28 35 42 54 66.7 76.1 88.9 108')
const TUBE_OD = named('OD', '1/16 1/8 3/16 1/4 5/16 3/8 1/2 5/8 3/4 7/8 1 1-1/4 1-1/2 2')
const TUBE_MM = named('d', '2 3 4 5 6 8 10 12 14 15 16 18 20 22 25 28 30 32 35 38 42 50')
const SERVICE_CTS = named('CTS', '3/4 1 1-1/4 1-1/2 2')
const SERVICE_NPS = named('NPS', '3/4 1 1-1/4 1-1/2 2')
const RESIN = nps('1', '14')
const LARGE = [...nps('1', '24'), ...metric(630, 32)]

/** Sizes that are made, and whose practice they belong to where only one school has them. */
export interface Row {
  school?: School
  sizes: readonly string[]
}
const any = (...sizes: string[][]): Row[] => sizes.map((s) => ({ sizes: s }))
const LARGE_ALL = {
  'carbon-steel': any(LARGE),
  stainless: any(LARGE),
  pvc: any(LARGE),
  'pvc-u': any(LARGE),
}

/** What each method joins: materials, and the sizes of each. */
export const WHAT_JOINS: Readonly<Record<string, Readonly<Record<string, readonly Row[]>>>> = {
  'solvent-cement': {
    'pvc-u': [{ school: 'metric', sizes: metric(315) }],
    pvc: [{ school: 'inch', sizes: nps('1/2', '24') }],
    cpvc: [
      { school: 'inch', sizes: [...nps('1/2', '24'), ...CPVC_CTS] },
      { school: 'metric', sizes: metric(160) },
    ],
    abs: [
      { school: 'metric', sizes: metric(225) },
      { school: 'inch', sizes: nps('1-1/4', '12') },
    ],
  },
  'adhesive-bond': { 'epoxy-resin': any(RESIN), 'vinyl-ester-resin': any(RESIN), 'cored-resin': any(RESIN) },
  'socket-fusion': { 'pp-r': any(metric(125)), 'pp-r-layered': any(metric(125)) },
  flare: { pfa: any(named('OD', '1/4 3/8 1/2 3/4 1 1-1/4')) },
  press: {
    copper: any(named('CTS', PRESS_INCH), [...named('d', '12 14 16 64'), ...PRESS_MM]),
    stainless: any(PRESS_MM, named('NPS', PRESS_INCH)),
    'carbon-steel': any(named('NPS', PRESS_INCH), PRESS_MM),
    multilayer: any(named('d', '14 16 18 20 25 26 32 40 50 63')),
  },
  solder: { copper: any(SOLDER_CTS, SOLDER_MM) },
  compression: {
    stainless: any(TUBE_OD, TUBE_MM),
    copper: any(TUBE_OD, TUBE_MM, SERVICE_CTS),
    pfa: any(TUBE_OD, TUBE_MM),
    pe: any(SERVICE_CTS, SERVICE_NPS),
    pex: any(SERVICE_CTS),
  },
  'sanitary-clamp': {
    stainless: any(
      named('BPE', '1/4 3/8 1/2 3/4 1 1-1/2 2 2-1/2 3 4 6'),
      named('DN', '10 15 20 25 32 40 50 65 80 100'),
    ),
  },
  'split-coupling': LARGE_ALL,
  'expansion-joint': LARGE_ALL,
  flange: LARGE_ALL,
}

/** Sizes that a method joins of a material, by family. */
export const sizesOf = (method: string, material: string): readonly string[] =>
  WHAT_JOINS[method]?.[material]?.flatMap((r) => r.sizes) ?? []
