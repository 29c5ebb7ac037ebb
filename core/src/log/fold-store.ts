import { type Data, type Handler, flagged, instant, num, str, strOrNull, texts } from './fold-help.js'
import type { JobEvent } from './events.js'
import type { JobState } from './state.js'
import { AMOUNT_UNITS, ITEM_STATES, type AmountUnit, type StoreItem } from './store-item.js'

const object = (v: unknown): Data => (typeof v === 'object' && v !== null ? (v as Data) : {})
const NEW: Omit<StoreItem, 'id' | 'kind' | 'name' | 'lot'> = {
  matches: {},
  batch: null,
  dueOn: null,
  checkedOn: null,
  certificate: null,
  boughtOn: null,
  expiresOn: null,
  openDays: null,
  amount: null,
  proofs: [],
  found: [],
  states: [],
  said: [],
}
const said = (matches: unknown): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(object(matches)).filter((x): x is [string, string] => typeof x[1] === 'string'),
  )
/** The same amount said once more, with another date or name, is no new count. */
function amountOf(state: JobState, event: JobEvent, data: Data): StoreItem['amount'] {
  const value = num(data.amount)
  const unit = AMOUNT_UNITS.find((u): u is AmountUnit => u === data.unit)
  if (value === null || !unit) return null
  const had = state.store.get(str(data.lotId))?.amount
  return had?.value === value && had.unit === unit ? had : { value, unit, atS: event.occurredAtS }
}
/** What is said of a thing now; what was found, tried and reported of it before stays. */
function put(
  state: JobState,
  item: Partial<StoreItem> & Pick<StoreItem, 'id' | 'kind' | 'name' | 'lot'>,
): void {
  const { proofs, found, states, said } = state.store.get(item.id) ?? NEW
  state.store.set(item.id, {
    ...NEW,
    ...item,
    proofs: [...proofs],
    found: [...found],
    states: [...states],
    said: [...said],
  })
}
/** Something that happened to a thing; of one that nobody put in it is noted that it was said. */
const about =
  (key: string, then: (item: StoreItem, event: JobEvent, data: Data) => void): Handler =>
  (state, event, data) => {
    const item = state.store.get(str(data[key]))
    if (item) then(item, event, data)
    else flagged(state, event, 'flag-unknown-item')
  }

export const STORE_HANDLERS: Readonly<Record<string, Handler>> = {
  'tool-set': (state, _e, data) =>
    put(state, {
      id: str(data.toolId),
      kind: str(data.kind),
      name: str(data.name),
      lot: false,
      matches: said(data.matches),
      dueOn: strOrNull(data.dueOn),
      checkedOn: strOrNull(data.checkedOn),
      certificate: strOrNull(data.certificate),
      boughtOn: strOrNull(data.boughtOn),
    }),
  'lot-set': (state, event, data) =>
    put(state, {
      id: str(data.lotId),
      kind: str(data.kind),
      name: str(data.name),
      lot: true,
      matches: said(data.matches),
      batch: strOrNull(data.batch),
      boughtOn: strOrNull(data.boughtOn),
      expiresOn: strOrNull(data.expiresOn),
      openDays: num(data.openDays),
      amount: amountOf(state, event, data),
    }),
  'tin-set': (state, _e, data) =>
    put(state, {
      id: str(data.tinId),
      kind: 'cement',
      name: str(data.code),
      lot: true,
      matches: { plastic: str(data.plastic) },
      batch: str(data.code),
      expiresOn: str(data.expiresOn),
    }),
  'store-state': about('itemId', (item, event, data) => {
    const now = ITEM_STATES.find((s) => s === data.state)
    if (now)
      item.states.push({
        state: now,
        atS: instant(event, data.atS) ?? event.occurredAtS,
        says: str(data.says),
        by: event.actorId,
      })
  }),
  'tool-proof': about('toolId', (item, event, data) =>
    item.proofs.push({
      atS: event.occurredAtS,
      good: data.good === true,
      how: str(data.how),
      by: event.actorId,
    }),
  ),
  'tool-found': about('toolId', (item, event, data) => {
    const toS = instant(event, data.toS)
    item.found.push({
      fromS: instant(event, data.fromS) ?? 0,
      toS: toS ?? event.occurredAtS,
      still: toS === null,
      says: str(data.says),
      atS: event.occurredAtS,
      by: event.actorId,
    })
  }),
  'joints-doubted': (state, event, data) => {
    const doubt = { atS: event.occurredAtS, by: event.actorId, says: str(data.says) }
    for (const id of texts(data.jointIds)) {
      const joint = state.joints.get(id)
      if (joint) (joint.doubts ??= []).push(doubt)
    }
  },
  'tool-said': about('toolId', (item, event, data) =>
    item.said.push({
      eventId: event.id,
      what: str(data.what),
      result: str(data.result),
      atS: instant(event, data.atS) ?? event.occurredAtS,
      value: num(data.value),
      jaw: strOrNull(data.jaw),
      profile: strOrNull(data.profile),
    }),
  ),
}
