import type { Method } from '../methods/method.js'
import { allMethods } from '../methods/registry.js'
import { parseSize } from '../sizes/size.js'
import { once } from '../units/memo.js'

/** A kind of thing that a store keeps. */
export interface StoreKind {
  kind: string
  /** Used up. */
  lot: boolean
  /** What it is compared by with what a joint needs, and what it may be there. */
  keys: Readonly<Record<string, readonly string[]>>
}

/** What is kept that no joint asks for by itself: it measures, cuts, or is what the line is made of. */
const BESIDES: readonly StoreKind[] = [
  { kind: 'gauge', lot: false, keys: {} },
  { kind: 'pressure-logger', lot: false, keys: {} },
  { kind: 'pyrometer', lot: false, keys: {} },
  { kind: 'torque-tool', lot: false, keys: {} },
  { kind: 'puller', lot: false, keys: {} },
  { kind: 'cutter', lot: false, keys: {} },
  { kind: 'pipe', lot: true, keys: { material: [], size: [] } },
]

/** Words that stand on a tin of cement besides the plastics: what joins two of them, and what needs no primer. */
const ALSO: Readonly<Record<string, readonly string[]>> = {
  plastic: ['transition', 'one-step'],
  body: ['regular', 'medium', 'heavy', 'extra-heavy', 'gap-filling'],
}
/** What is compared only where a line says it: no example needs it, and a tool has it all the same. */
const SAID_IN_LINES: Readonly<Record<string, readonly string[]>> = { jaw: ['profile'], sling: ['profile'] }

/** What is asked for under a key, with all that may be chosen where the method lets choose. */
function choicesOf(method: Method, spec: object, value: string): readonly string[] {
  const field = method.fields.find(
    ({ key, options }) => options?.includes(value) && (spec as Record<string, unknown>)[key] === value,
  )
  // A size is typed: an example's own says nothing of others.
  return field?.options ?? (parseSize(value) || Number.isFinite(Number(value)) ? [] : [value])
}
const keysOf = (kind: string): [string, Set<string>][] =>
  (SAID_IN_LINES[kind] ?? []).map((key) => [key, new Set()])
/** Every kind there is: what any way of joining needs, by its own examples, and what is kept besides. */
export const storeKinds = (): readonly StoreKind[] => kindsOf(allMethods())
const kindsOf = once((methods: readonly Method[]): readonly StoreKind[] => {
  const found = new Map<string, { lot: boolean; keys: Map<string, Set<string>> }>()
  for (const method of methods)
    for (const { spec, school } of method.examples) {
      const read = method.parse({ school, ...spec })
      if (!read.ok) continue
      for (const { item, lasts, matches } of method.consumables(read.spec)) {
        const kind = found.get(item) ?? { lot: !lasts, keys: new Map(keysOf(item)) }
        for (const [key, value] of Object.entries(matches)) {
          const known = kind.keys.get(key) ?? new Set(ALSO[key])
          for (const one of choicesOf(method, read.spec as object, value)) known.add(one)
          kind.keys.set(key, known)
        }
        found.set(item, kind)
      }
    }
  const asked = [...found].map(([kind, { lot, keys }]) => ({
    kind,
    lot,
    keys: Object.fromEntries([...keys].map(([key, values]) => [key, [...values]])),
  }))
  return [...asked, ...BESIDES.filter(({ kind }) => !found.has(kind))]
})
