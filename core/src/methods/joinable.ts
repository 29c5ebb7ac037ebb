import { METRIC_SERIES, NPS_OD_INCH, type Size, parseSize, suggestSize } from '../sizes/size.js'
import { type Msg, msg } from '../sources/source.js'

export type School = 'inch' | 'metric'
export const METHODS = [
  'solvent-cement',
  'adhesive-bond',
  'socket-fusion',
  'flare',
  'press',
  'solder',
  'compression',
  'sanitary-clamp',
  'split-coupling',
  'expansion-joint',
  'flange',
] as const
export type MethodId = (typeof METHODS)[number] | (string & {})
export const MATERIALS = [
  'pvc-u',
  'pvc',
  'cpvc',
  'abs',
  'pp-r',
  'pp-r-layered',
  'pfa',
  'copper',
  'carbon-steel',
  'stainless',
  'multilayer',
  'pe',
  'pex',
  'epoxy-resin',
  'vinyl-ester-resin',
  'cored-resin',
] as const
export type Material = (typeof MATERIALS)[number]

const metric = (to: number): string[] => METRIC_SERIES.filter((d) => d <= to).map((d) => `d${d}`)
// Object keys that look like whole numbers come first, so the order is taken from the diameters.
const NPS_ORDER = Object.entries(NPS_OD_INCH)
  .sort((a, b) => a[1] - b[1])
  .map(([name]) => name)
const nps = (from: string, to: string): string[] =>
  NPS_ORDER.slice(NPS_ORDER.indexOf(from), NPS_ORDER.indexOf(to) + 1).map((n) => `NPS ${n}`)
const CTS = ['1/2', '3/4', '1', '1-1/4', '1-1/2', '2'].map((n) => `CTS ${n}`)

interface Row {
  school: School
  sizes: readonly string[]
}
/** What solvent cement joins: which sizes of which plastic, by the practice of which school. */
export const SOLVENT_SIZES: Readonly<Record<string, readonly Row[]>> = {
  'pvc-u': [{ school: 'metric', sizes: metric(315) }],
  pvc: [{ school: 'inch', sizes: nps('1/2', '24') }],
  cpvc: [
    { school: 'inch', sizes: [...nps('1/2', '24'), ...CTS] },
    { school: 'metric', sizes: metric(160) },
  ],
  abs: [
    { school: 'metric', sizes: metric(225) },
    { school: 'inch', sizes: nps('1-1/4', '12') },
  ],
}

export type Joinable =
  | { ok: true; size: Size; school: School }
  | { ok: false; code: 'unknown-size' | 'not-joinable'; field: string; why: Msg }

/** Can this method join this material in this size, by this school? Says which of the three is in the way. */
export function joinable(
  table: Readonly<Record<string, readonly Row[]>>,
  method: string,
  material: string,
  sizeText: string,
  school: School,
): Joinable {
  const size = parseSize(sizeText)
  if (!size)
    return {
      ok: false,
      code: 'unknown-size',
      field: 'size',
      why: msg('size-unreadable', { size: sizeText, suggestion: suggestSize(sizeText) }),
    }
  const rows = table[material]
  if (!rows)
    return {
      ok: false,
      code: 'not-joinable',
      field: 'material',
      why: msg('material-not-joined', { method, material }),
    }
  const families = rows.filter((r) => r.sizes.some((s) => s.startsWith(size.family)))
  if (!families.length)
    return {
      ok: false,
      code: 'not-joinable',
      field: 'size',
      why: msg('family-not-joined', { material, size: sizeText }),
    }
  const row = families.find((r) => r.school === school)
  if (!row)
    return {
      ok: false,
      code: 'not-joinable',
      field: 'school',
      why: msg('school-not-joined', { material, size: sizeText, school }),
    }
  return row.sizes.includes(sizeText)
    ? { ok: true, size, school }
    : {
        ok: false,
        code: 'unknown-size',
        field: 'size',
        why: msg('size-not-made', { material, size: sizeText, method }),
      }
}
