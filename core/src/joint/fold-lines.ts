import { type Data, type Handler, flagged, num, school, str, strOrNull } from './fold-help.js'
import { ASKED, ASKED_FACTS, NOT_KNOWN, type Said } from '../methods/around.js'
import { jointOf } from './fold-steps.js'
import { type Item, type JobState, type Line, takeOffKey } from './state.js'

function itemFrom(id: string, raw: Data): Item {
  return {
    id,
    type: raw.type === 'piece' ? 'piece' : 'fitting',
    tag: str(raw.tag),
    size: str(raw.size),
    size2: strOrNull(raw.size2),
    fitting: strOrNull(raw.fitting),
    measure: strOrNull(raw.measure) as Item['measure'],
    measuredMm: num(raw.measuredMm),
    joints: [strOrNull(raw.jointA), strOrNull(raw.jointB)],
    jointTags: [strOrNull(raw.tagA), strOrNull(raw.tagB)],
    cut: null,
    ...(raw.closing === true ? { closing: true } : {}),
    ...(strOrNull(raw.run) ? { run: str(raw.run) } : {}),
    ...(num(raw.gapMm) === null ? {} : { gapMm: num(raw.gapMm) as number }),
    ...bendFrom(raw.bend),
    ...nearFrom(raw.near),
  }
}
const numbers = (v: unknown): number[] =>
  Array.isArray(v) ? v.filter((x): x is number => typeof x === 'number' && Number.isFinite(x)) : []
function bendFrom(v: unknown): Pick<Item, 'bend'> {
  const { radiusMm, legsMm, turnsDeg } = asData(v)
  const [radius, legs, turns] = [num(radiusMm), numbers(legsMm), numbers(turnsDeg)]
  return radius !== null && turns.length > 0 && legs.length === turns.length + 1
    ? { bend: { radiusMm: radius, legsMm: legs, turnsDeg: turns } }
    : {}
}
function nearFrom(v: unknown): Pick<Item, 'near'> {
  const near = (Array.isArray(v) ? v : []).flatMap((x) => {
    const { end, to, mm } = asData(x)
    const known = to === 'weld' || to === 'bend' || to === 'wall'
    return known && num(mm) !== null
      ? [{ end: end === 1 ? (1 as const) : (0 as const), to, mm: num(mm) as number } as const]
      : []
  })
  return near.length ? { near } : {}
}
const asData = (v: unknown): Data => (typeof v === 'object' && v !== null ? v : {}) as Data

/** Which items a list holds, so that a line of thousands is not searched for each new one. */
const held = new WeakMap<readonly Item[], Set<string>>()
function heldBy(items: readonly Item[]): Set<string> {
  let ids = held.get(items)
  if (!ids) held.set(items, (ids = new Set(items.map((i) => i.id))))
  return ids
}
/** Where an item stands, looked for from the end: what is written about is mostly what came last. */
const placeIn = (items: readonly Item[], id: string): number => items.findLastIndex((i) => i.id === id)

function putItem(line: Line, item: Item, after: string | null): void {
  const ids = heldBy(line.items)
  if (ids.has(item.id)) {
    const at = placeIn(line.items, item.id)
    item.cut = (line.items[at] as Item).cut
    line.items[at] = item
    return
  }
  ids.add(item.id)
  const where = after === null || !ids.has(after) ? -1 : placeIn(line.items, after)
  if (where < 0) line.items.push(item)
  else line.items.splice(where + 1, 0, item)
}
function takeOut(line: Line, id: string): Item | null {
  const ids = heldBy(line.items)
  if (!ids.delete(id)) return null
  return line.items.splice(placeIn(line.items, id), 1)[0] ?? null
}
const saidBefore = (line: Line | undefined): Pick<Line, 'said'> => (line?.said ? { said: line.said } : {})
/** Only facts that are asked, with answers that can be given. */
function saidFrom(raw: unknown): Said {
  const given = asData(raw)
  return Object.fromEntries(
    ASKED_FACTS.flatMap((fact) => {
      const v = str(given[fact])
      return v === NOT_KNOWN || (ASKED[fact] as readonly string[]).includes(v) ? [[fact, v]] : []
    }),
  )
}
const lineOf = (s: JobState, d: Data): Line | null => s.lines.get(str(d.lineId)) ?? null

/** Lines and what they are made of. */
export const LINE_HANDLERS: Readonly<Record<string, Handler>> = {
  'line-set': (s, _e, d) => {
    const id = str(d.lineId)
    s.lines.set(id, {
      id,
      tag: str(d.tag),
      name: str(d.name),
      method: str(d.method),
      material: str(d.material),
      school: school(d.school),
      schedule: strOrNull(d.schedule),
      ...(strOrNull(d.series) ? { series: str(d.series) } : {}),
      details: (typeof d.details === 'object' && d.details !== null ? d.details : {}) as Data,
      placeId: str(d.placeId),
      ratingBar: num(d.ratingBar),
      insideOf: strOrNull(d.insideOf),
      items: s.lines.get(id)?.items ?? [],
      ...saidBefore(s.lines.get(id)),
    })
  },
  'around-said': (s, e, d) => {
    const line = lineOf(s, d)
    if (!line) return flagged(s, e, 'flag-unknown-item')
    const jointId = strOrNull(d.jointId)
    const of = jointId ? jointOf(s, jointId) : line
    of.said = { ...of.said, ...saidFrom(d.said) }
  },
  'item-put': (s, e, d) => {
    const line = lineOf(s, d)
    if (!line) return flagged(s, e, 'flag-unknown-item')
    putItem(line, itemFrom(str(d.itemId), asData(d.item)), strOrNull(d.afterItemId))
  },
  'items-put': (s, e, d) => {
    const line = lineOf(s, d)
    if (!line || !Array.isArray(d.items)) return flagged(s, e, 'flag-unknown-item')
    for (const one of d.items as unknown[]) {
      const { itemId, item } = asData(one)
      putItem(line, itemFrom(str(itemId), asData(item)), null)
    }
  },
  'item-moved': (s, e, d) => {
    const line = lineOf(s, d)
    const after = strOrNull(d.afterItemId)
    if (!line || after === d.itemId || (after !== null && !heldBy(line.items).has(after)))
      return flagged(s, e, 'flag-unknown-item')
    const item = takeOut(line, str(d.itemId))
    if (!item) return flagged(s, e, 'flag-unknown-item')
    heldBy(line.items).add(item.id)
    line.items.splice(after === null ? 0 : placeIn(line.items, after) + 1, 0, item)
  },
  'item-removed': (s, e, d) => {
    const line = lineOf(s, d)
    if (!line || !takeOut(line, str(d.itemId))) return flagged(s, e, 'flag-unknown-item')
  },
  'take-off': (s, e, d) => {
    const key = takeOffKey(str(d.fitting), str(d.size), strOrNull(d.size2))
    const chart = strOrNull(d.chart)
    // The fitting in the hand wins: a list loaded later does not change what somebody measured.
    if (chart !== null && s.takeOffs.get(key)?.chart === null) return
    s.takeOffs.set(key, {
      takeOffMm: num(d.takeOffMm) ?? 0,
      takeOffTo: d.takeOffTo === 'stop' ? 'stop' : 'face',
      chart,
      by: e.actorId,
      atS: e.occurredAtS,
    })
  },
  'group-set': (s, _e, d) => {
    const id = str(d.groupId)
    const entries = Array.isArray(d.entries)
      ? d.entries.filter((x): x is string => typeof x === 'string')
      : []
    if (entries.length) s.groups.set(id, { id, name: str(d.name), entries })
    else s.groups.delete(id)
  },
  'stock-set': (s, _e, d) => {
    const list = (v: unknown): readonly unknown[] => (Array.isArray(v) ? v : [])
    s.stock = {
      kerfMm: num(d.kerfMm) ?? 0,
      keepMm: num(d.keepMm) ?? 0,
      barsMm: list(d.barsMm).filter((x): x is number => typeof x === 'number'),
      offcuts: list(d.offcuts).map((o) => {
        const { id, pipe, lengthMm } = (o ?? {}) as Data
        return { id: str(id), pipe: str(pipe), lengthMm: num(lengthMm) ?? 0 }
      }),
    }
  },
  'piece-cut': (s, e, d) => {
    for (const line of s.lines.values())
      if (heldBy(line.items).has(str(d.itemId))) {
        const item = line.items[placeIn(line.items, str(d.itemId))] as Item
        item.cut = { mm: num(d.cutMm) ?? 0, atS: e.occurredAtS }
        return
      }
    flagged(s, e, 'flag-unknown-item')
  },
}
