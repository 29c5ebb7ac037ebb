import { type EndKind, PLAIN, type School, isPlastic } from '../methods/joinable.js'
import { allMethods, joinable, methodOf } from '../methods/registry.js'
import { type Msg, msg } from '../sources/source.js'
import type { Code } from '../sources/wording.js'
import { type End, endKindOf } from './ends.js'
import { isShut } from './vocabulary.js'

/** Two ends brought together: by which method, and of what material and size its joint is. */
export interface Mated {
  ok: true
  method: string
  material: string
  size: string
  /** Material of the end that it goes into or on. */
  into: string
  /** What the ends say of the joint: fields of its method. */
  says: Readonly<Record<string, string>>
}
export type Mating = Mated | { ok: false; why: Msg }

/** Metals that eat or are eaten where water joins them. Brass stands between the two. */
const NOBLE: readonly string[] = ['copper']
const BASE: readonly string[] = ['carbon-steel', 'cast-iron']

/** The method that brings two kinds of ends together, with the end that goes into or on the other. */
function methodFor(a: End, b: End): { method: string; kind: EndKind; inner: End; outer: End } | null {
  for (const method of allMethods())
    for (const kind of method.ends)
      for (const [outer, inner] of [
        [a, b],
        [b, a],
      ] as const)
        if (outer.kind === kind.kind && reaches(inner, kind.meets))
          return { method: method.id, kind, inner, outer }
  return null
}
/** Is an end of this kind, or can a pipe's be made one? */
const reaches = (end: End, kind: string): boolean =>
  end.kind === kind || (end.item.type === 'piece' && end.kind === PLAIN && endKindOf(kind)?.onPipe === true)

/**
 * How two ends are joined, or why they are not and what would go between. The method follows from the kinds of the
 * ends, material and size from the end that goes into the other, or from the one of two alike that the method joins.
 * Sources: `cp-threads-materials` for threads between plastic and metal.
 */
export function mate(a: End, b: End, school: School): Mating {
  const found = methodFor(a, b)
  if (!found) return { ok: false, why: notMating(a, b) }
  if (a.size !== b.size) return no('mate-sizes', { a: a.size, b: b.size })
  const { method, kind, inner, outer } = found
  if (kind.halves && isPlastic(outer.material) && !isPlastic(inner.material))
    return no('mate-plastic-female', { material: outer.material })
  // Ends alike: neither goes into the other. The weaker one's figures count, of two alike whichever is joined so.
  const alike = methodOf(method)?.inserts === false
  if (!alike && !suits(kind, inner.material, outer.material))
    return no('mate-materials', { one: inner.material, other: outer.material })
  const onWall = methodOf(method)?.onWall === true
  const order = alike && !onWall ? [a, b].sort(weakerFirst) : [inner]
  const from = order.find(({ material, size }) => joinable(method, material, size, school).ok)
  if (!from) {
    const refused = joinable(method, inner.material, inner.size, school)
    return { ok: false, why: refused.ok ? notMating(a, b) : refused.why }
  }
  const cut = inner.item.type === 'piece' && inner.kind === PLAIN && kind.meets !== PLAIN
  return {
    ok: true,
    method,
    material: from.material,
    size: from.size,
    into: (from === a ? b : a).material,
    says: kind.says ? { ...kind.says, cutOn: cut ? 'pipe' : 'fitting' } : {},
  }
}
const weakerFirst = (a: End, b: End): number =>
  Number(isPlastic(b.material)) - Number(isPlastic(a.material)) || a.material.localeCompare(b.material)
/** Plastics that are one to their cement or their heat. */
const SAME: readonly (readonly string[])[] = [
  ['pvc', 'pvc-u'],
  ['pp-r', 'pp-r-layered'],
]
/** May this go into that? Most ends take only their own material. */
const suits = ({ takes }: EndKind, inner: string, outer: string): boolean =>
  takes === 'any' ||
  inner === outer ||
  (takes === 'brass' && outer === 'brass') ||
  SAME.some((family) => family.includes(inner) && family.includes(outer))

/** Copper on steel, wherever the two touch in water: what would go between. Null where there is nothing to say. */
export function metalsMeet(a: End, b: End): Msg | null {
  const [copper, steel] = NOBLE.includes(a.material) ? [a, b] : [b, a]
  return NOBLE.includes(copper.material) && BASE.includes(steel.material)
    ? msg('mate-metals', { one: copper.material, other: steel.material })
    : null
}

const no = (code: Code, params: Record<string, string> = {}): { ok: false; why: Msg } => ({
  ok: false,
  why: msg(code, params),
})
/** Why two kinds of ends are not brought together, and what goes between. */
function notMating(a: End, b: End): Msg {
  const [one, other] = [a, b].map((end) => endKindOf(end.kind))
  const shut = [a, b].find((end) => isShut(end.kind))
  if (shut) return msg('mate-shut', { kind: shut.kind, tag: shut.item.tag })
  if (a.kind === PLAIN && b.kind === PLAIN) return msg('mate-two-plain')
  if (one?.meets === PLAIN && other?.meets === PLAIN) return msg('mate-two-sockets')
  if (a.kind === b.kind && one && other) return msg('mate-alike', { kind: a.kind })
  if (one && other && one.method === other.method)
    return msg('mate-standards', { one: a.kind, other: b.kind })
  return msg('mate-kinds', { one: a.kind, other: b.kind })
}
