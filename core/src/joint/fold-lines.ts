import { type Data, type Handler, flagged, num, school, str, strOrNull } from './fold-help.js'
import type { Item } from './state.js'

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
  }
}

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
      details: (typeof d.details === 'object' && d.details !== null ? d.details : {}) as Data,
      placeId: str(d.placeId),
      ratingBar: num(d.ratingBar),
      insideOf: strOrNull(d.insideOf),
      items: s.lines.get(id)?.items ?? [],
    })
  },
  'item-put': (s, e, d) => {
    const line = s.lines.get(str(d.lineId))
    if (!line) return flagged(s, e, 'flag-unknown-item')
    const id = str(d.itemId)
    const item = itemFrom(id, (typeof d.item === 'object' && d.item !== null ? d.item : {}) as Data)
    const at = line.items.findIndex((i) => i.id === id)
    if (at >= 0) {
      item.cut = (line.items[at] as Item).cut
      line.items[at] = item
      return
    }
    const after = strOrNull(d.afterItemId)
    const where = after === null ? -1 : line.items.findIndex((i) => i.id === after)
    if (after === null || where < 0) line.items.push(item)
    else line.items.splice(where + 1, 0, item)
  },
  'item-removed': (s, e, d) => {
    const line = s.lines.get(str(d.lineId))
    const at = line?.items.findIndex((i) => i.id === str(d.itemId)) ?? -1
    if (!line || at < 0) return flagged(s, e, 'flag-unknown-item')
    line.items.splice(at, 1)
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
      for (const item of line.items)
        if (item.id === str(d.itemId)) {
          item.cut = { mm: num(d.cutMm) ?? 0, atS: e.occurredAtS }
          return
        }
    flagged(s, e, 'flag-unknown-item')
  },
}
