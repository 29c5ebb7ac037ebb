import { type Size, parseSize, suggestSize } from '../sizes/size.js'
import { type Msg, msg } from '../sources/source.js'

export type School = 'inch' | 'metric'
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

/** Sizes that are made, and whose practice they belong to where only one school has them. */
export interface Row {
  school?: School
  sizes: readonly string[]
}
/** What a method joins: materials, and the sizes of each, smallest first within a family. */
export type Joins = Readonly<Partial<Record<Material, readonly Row[]>>>

/** What is joined of a material by its name, which may be one that no method knows. */
export const rowsOf = (joins: Joins, material: string): readonly Row[] =>
  (joins as Readonly<Partial<Record<string, readonly Row[]>>>)[material] ?? []

export type Joinable =
  | { ok: true; size: Size; school: School }
  | { ok: false; code: 'unknown-size' | 'not-joinable'; field: string; why: Msg }

/** Does a method join this material in this size, by this school? Says which of the three is in the way. */
export function joined(
  method: { readonly id: string; readonly joins: Joins },
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
  const rows = rowsOf(method.joins, material)
  if (!rows.length)
    return {
      ok: false,
      code: 'not-joinable',
      field: 'material',
      why: msg('material-not-joined', { method: method.id, material }),
    }
  const families = rows.filter((r) => r.sizes.some((s) => s.startsWith(size.family)))
  if (!families.length)
    return {
      ok: false,
      code: 'not-joinable',
      field: 'size',
      why: msg('family-not-joined', { material, size: sizeText }),
    }
  const own = families.filter((r) => r.school === undefined || r.school === school)
  if (!own.length)
    return {
      ok: false,
      code: 'not-joinable',
      field: 'school',
      why: msg('school-not-joined', { material, size: sizeText, school }),
    }
  return own.some((r) => r.sizes.includes(sizeText))
    ? { ok: true, size, school }
    : {
        ok: false,
        code: 'unknown-size',
        field: 'size',
        why: msg('size-not-made', { material, size: sizeText, method: method.id }),
      }
}
