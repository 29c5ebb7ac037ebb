import { type Size, parseSize, suggestSize } from '../sizes/size.js'
import { type Msg, msg } from '../sources/source.js'

export type School = 'inch' | 'metric'
const PLASTICS = ['pvc-u', 'pvc', 'cpvc', 'abs', 'pp-r', 'pp-r-layered', 'pfa', 'pe', 'pex'] as const
export const MATERIALS = [
  ...PLASTICS,
  'copper',
  'carbon-steel',
  'stainless',
  'brass',
  'multilayer',
  'epoxy-resin',
  'vinyl-ester-resin',
  'cored-resin',
] as const
export type Material = (typeof MATERIALS)[number]

/**
 * Is this a plastic? Its threads take half, are turned less, and are split by a male one of metal.
 * @example isPlastic('cpvc') // true
 */
export const isPlastic = (material: string): boolean => (PLASTICS as readonly string[]).includes(material)

/** Sizes that are made, and whose practice they belong to where only one school has them. */
export interface Row {
  school?: School
  sizes: readonly string[]
}
/** What a method joins: materials, and the sizes of each, smallest first within a family. */
export type Joins = Readonly<Partial<Record<Material, readonly Row[]>>>

/** An end bare as the pipe is cut: of a pipe, or of a fitting made to go where a pipe goes. */
export const PLAIN = 'plain'
/** The wall of a pipe, where a saddle sits on it. */
export const WALL_KIND = 'wall'
/** A kind of end of a part, and the kind that it is brought together with. */
export interface EndKind {
  /** As it is kept, and named by `name-…`. */
  kind: string
  meets: string
  /** As it is typed; the first is how it is written back. */
  said: readonly string[]
  /** Whose words these are, where the other school says the same of another kind. */
  school?: School
  /** A plain pipe is given this end as part of the work: rolled, threaded. */
  onPipe?: true
  /** It is cut into the wall: of plastic half is left. */
  halves?: true
  /** What else than its own material it takes: brass, or anything. */
  takes?: 'brass' | 'any'
  /** What this end says of its joint: fields of its method. */
  says?: Readonly<Record<string, string>>
}

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

/**
 * Which plastic a cement has to be for: the schools have two names for one.
 * @example plasticOf('pvc-u') // 'pvc'
 */
export const plasticOf = (material: string): string => (material === 'pvc-u' ? 'pvc' : material)
