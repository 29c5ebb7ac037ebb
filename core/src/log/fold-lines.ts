import { begunIn } from './begun.js'
import type { Held } from './held.js'
import { ownFormFrom } from './own-form.js'
import { type Data, type Handler, flagged, num, school, str, strOrNull } from './fold-help.js'
import { ASKED, ASKED_FACTS, NOT_KNOWN, type Said } from '../methods/around.js'
import { jointOf } from './fold-steps.js'
import {
  type EndSaid,
  type Item,
  type JobState,
  type Line,
  type Stands,
  lineHead,
  takeOffKey,
} from './state.js'

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
    ...endsFrom(raw),
    ...spaceFrom(raw),
  }
}
/** What was said of where a part lies. */
type SaidOfPlace = Pick<
  Item,
  'heading' | 'falls' | 'branchFalls' | 'meets' | 'toLevelMm' | 'alongMm' | 'held' | 'own'
>
function spaceFrom(raw: Data): SaidOfPlace {
  const figures = (['falls', 'branchFalls', 'toLevelMm', 'alongMm'] as const).flatMap((name) => {
    const value = num(raw[name])
    return value === null ? [] : [[name, value] as const]
  })
  const own = ownFormFrom(raw.own)
  return {
    ...textsFrom(raw, ['heading', 'meets']),
    ...Object.fromEntries(figures),
    ...heldFrom(raw.held),
    ...(own ? { own } : {}),
  }
}
function heldFrom(raw: unknown): Pick<Item, 'held'> {
  if (!Array.isArray(raw) || !raw.length) return {}
  const held = raw.map((one): Held => {
    const given = asData(one)
    const atMm = num(given.atMm)
    return { as: given.as === 'guide' ? 'guide' : 'anchor', ...(atMm === null ? {} : { atMm }) }
  })
  return { held }
}
function standsFrom(raw: unknown): Stands {
  const given = asData(raw)
  const figures = (['levelMm', 'falls', 'insulationMm', 'clearMm'] as const).flatMap((name) => {
    const value = num(given[name])
    return value === null ? [] : [[name, value] as const]
  })
  return {
    ...textsFrom(given, ['name', 'heading']),
    ...(given.branch === true ? { branch: true as const } : {}),
    ...Object.fromEntries(figures),
    ...(given.flows === 'on' || given.flows === 'back' ? { flows: given.flows } : {}),
    ...(given.carries === 'drain' || given.carries === 'condensate' ? { carries: given.carries } : {}),
  }
}
/** Texts of an object under the names asked for; null where it has none of them. */
function textsFrom<K extends string>(raw: unknown, names: readonly K[]): Partial<Record<K, string>> | null {
  const given = asData(raw)
  const said = names.flatMap((name) => (strOrNull(given[name]) ? [[name, str(given[name])] as const] : []))
  return said.length ? (Object.fromEntries(said) as Partial<Record<K, string>>) : null
}
function endsFrom(raw: Data): Pick<Item, 'ends' | 'of' | 'way'> {
  const ends = Array.isArray(raw.ends)
    ? raw.ends.map((end): EndSaid => textsFrom(end, ['kind', 'size', 'of']) ?? {})
    : []
  const way = textsFrom(raw.way, ['method', 'material', 'series'])
  return {
    ...(ends.some((end) => Object.keys(end).length) ? { ends } : {}),
    ...(strOrNull(raw.of) ? { of: str(raw.of) } : {}),
    ...(way ? { way } : {}),
  }
}
const numbers = (value: unknown): number[] =>
  Array.isArray(value) ? value.filter((x): x is number => typeof x === 'number' && Number.isFinite(x)) : []
function bendFrom(value: unknown): Pick<Item, 'bend'> {
  const { radiusMm, legsMm, turnsDeg } = asData(value)
  const [radius, legs, turns] = [num(radiusMm), numbers(legsMm), numbers(turnsDeg)]
  return radius !== null && turns.length > 0 && legs.length === turns.length + 1
    ? { bend: { radiusMm: radius, legsMm: legs, turnsDeg: turns } }
    : {}
}
function nearFrom(value: unknown): Pick<Item, 'near'> {
  const near = (Array.isArray(value) ? value : []).flatMap((x) => {
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
const saidBefore = (line: Line | undefined): Pick<Line, 'said' | 'stands'> => ({
  ...(line?.said ? { said: line.said } : {}),
  ...(line?.stands ? { stands: line.stands } : {}),
})
/** Only facts that are asked, with answers that can be given. */
function saidFrom(raw: unknown): Said {
  const given = asData(raw)
  return Object.fromEntries(
    ASKED_FACTS.flatMap((fact) => {
      const text = str(given[fact])
      return text === NOT_KNOWN || (ASKED[fact] as readonly string[]).includes(text) ? [[fact, text]] : []
    }),
  )
}
const lineOf = (s: JobState, d: Data): Line | null => s.lines.get(str(d.lineId)) ?? null

const kept = (line: Line | undefined): Pick<Line, 'before'> => (line?.before ? { before: line.before } : {})
function setLine(state: JobState, data: Data, before: Pick<Line, 'before'>): void {
  const id = str(data.lineId)
  const was = state.lines.get(id)
  const ways = Object.entries(asData(data.ways)).map(
    ([method, details]) => [method, asData(details)] as const,
  )
  state.lines.set(id, {
    id,
    tag: str(data.tag),
    name: str(data.name),
    method: str(data.method),
    material: str(data.material),
    school: school(data.school),
    schedule: strOrNull(data.schedule),
    ...(strOrNull(data.series) ? { series: str(data.series) } : {}),
    details: asData(data.details),
    ...(ways.length ? { ways: Object.fromEntries(ways) } : {}),
    placeId: str(data.placeId),
    ratingBar: num(data.ratingBar),
    insideOf: strOrNull(data.insideOf),
    items: was?.items ?? [],
    ...saidBefore(was),
    ...kept(was),
    ...before,
  })
}

/** Lines and what they are made of. */
export const LINE_HANDLERS: Readonly<Record<string, Handler>> = {
  'line-set': (state, _e, data) => setLine(state, data, {}),
  'line-changed': (state, event, data) => {
    const was = lineOf(state, data)
    if (!was) return flagged(state, event, 'flag-unknown-item')
    const before = { head: lineHead(was), begun: begunIn(state, was) }
    setLine(state, data, { before: [...(was.before ?? []), before] })
  },
  'around-said': (state, event, data) => {
    const line = lineOf(state, data)
    if (!line) return flagged(state, event, 'flag-unknown-item')
    const jointId = strOrNull(data.jointId)
    const of = jointId ? jointOf(state, jointId) : line
    of.said = { ...of.said, ...saidFrom(data.said) }
  },
  'line-stands': (state, event, data) => {
    const line = lineOf(state, data)
    if (!line) return flagged(state, event, 'flag-unknown-item')
    const stands = standsFrom(data.stands)
    if (Object.keys(stands).length) line.stands = stands
    else delete line.stands
  },
  'point-set': (state, _e, data) => {
    const id = str(data.pointId)
    const [east, north, up] = numbers(data.atMm)
    if (east === undefined || north === undefined || up === undefined) return void state.points.delete(id)
    const atMm = [east, north, up] as const
    state.points.set(id, { id, name: str(data.name), atMm, heading: strOrNull(data.heading) })
  },
  'item-put': (state, event, data) => {
    const line = lineOf(state, data)
    if (!line) return flagged(state, event, 'flag-unknown-item')
    putItem(line, itemFrom(str(data.itemId), asData(data.item)), strOrNull(data.afterItemId))
  },
  'items-put': (state, event, data) => {
    const line = lineOf(state, data)
    if (!line || !Array.isArray(data.items)) return flagged(state, event, 'flag-unknown-item')
    for (const one of data.items as unknown[]) {
      const { itemId, item } = asData(one)
      putItem(line, itemFrom(str(itemId), asData(item)), null)
    }
  },
  'item-moved': (state, event, data) => {
    const line = lineOf(state, data)
    const after = strOrNull(data.afterItemId)
    if (!line || after === data.itemId || (after !== null && !heldBy(line.items).has(after)))
      return flagged(state, event, 'flag-unknown-item')
    const item = takeOut(line, str(data.itemId))
    if (!item) return flagged(state, event, 'flag-unknown-item')
    heldBy(line.items).add(item.id)
    line.items.splice(after === null ? 0 : placeIn(line.items, after) + 1, 0, item)
  },
  'item-removed': (state, event, data) => {
    const line = lineOf(state, data)
    if (!line || !takeOut(line, str(data.itemId))) return flagged(state, event, 'flag-unknown-item')
  },
  'take-off': (state, event, data) => {
    const key = takeOffKey(str(data.fitting), str(data.size), strOrNull(data.size2))
    const chart = strOrNull(data.chart)
    // The fitting in the hand wins: a list loaded later does not change what somebody measured.
    if (chart !== null && state.takeOffs.get(key)?.chart === null) return
    state.takeOffs.set(key, {
      takeOffMm: num(data.takeOffMm) ?? 0,
      takeOffTo: data.takeOffTo === 'stop' ? 'stop' : 'face',
      chart,
      by: event.actorId,
      atS: event.occurredAtS,
    })
  },
  'group-set': (state, _e, data) => {
    const id = str(data.groupId)
    const entries = Array.isArray(data.entries)
      ? data.entries.filter((x): x is string => typeof x === 'string')
      : []
    if (entries.length) state.groups.set(id, { id, name: str(data.name), entries })
    else state.groups.delete(id)
  },
  'stock-set': (state, _e, data) => {
    const list = (v: unknown): readonly unknown[] => (Array.isArray(v) ? v : [])
    state.stock = {
      kerfMm: num(data.kerfMm) ?? 0,
      keepMm: num(data.keepMm) ?? 0,
      barsMm: list(data.barsMm).filter((x): x is number => typeof x === 'number'),
      offcuts: list(data.offcuts).map((offcut) => {
        const { id, pipe, lengthMm } = (offcut ?? {}) as Data
        return { id: str(id), pipe: str(pipe), lengthMm: num(lengthMm) ?? 0 }
      }),
    }
  },
  'piece-cut': (state, event, data) => {
    for (const line of state.lines.values())
      if (heldBy(line.items).has(str(data.itemId))) {
        const item = line.items[placeIn(line.items, str(data.itemId))] as Item
        item.cut = { mm: num(data.cutMm) ?? 0, atS: event.occurredAtS }
        return
      }
    flagged(state, event, 'flag-unknown-item')
  },
}
