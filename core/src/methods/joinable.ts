import { type Size, parseSize, suggestSize } from '../sizes/size.js'
import { type Msg, msg } from '../sources/source.js'
import { WHAT_JOINS } from './what-joins.js'

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

export type Joinable =
  | { ok: true; size: Size; school: School }
  | { ok: false; code: 'unknown-size' | 'not-joinable'; field: string; why: Msg }

/** Can this method join this material in this size, by this school? Says which of the three is in the way. */
export function joinable(method: string, material: string, sizeText: string, school: School): Joinable {
  const size = parseSize(sizeText)
  if (!size)
    return {
      ok: false,
      code: 'unknown-size',
      field: 'size',
      why: msg('size-unreadable', { size: sizeText, suggestion: suggestSize(sizeText) }),
    }
  const rows = WHAT_JOINS[method]?.[material]
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
  const row = families.find((r) => r.school === undefined || r.school === school)
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
