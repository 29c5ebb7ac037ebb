import { midnightOf } from '../joint/tin-date.js'
import type { JobState, StoreItem } from '../log/state.js'
import { AMOUNT_UNITS, type AmountUnit } from '../log/store-item.js'
import { parseSize, suggestSize } from '../sizes/size.js'
import type { Code } from '../sources/wording.js'
import { type Msg, msg } from '../sources/source.js'
import { once } from '../units/memo.js'
import { namesIn } from './code.js'
import { storeKinds } from './kinds.js'

/** A thing as somebody puts it in: everything as it was typed, an empty text where nothing was said. */
export interface ItemSaid {
  kind: string
  /** Code, name or number that stands on it. */
  name: string
  batch: string
  matches: Readonly<Record<string, string>>
  boughtOn: string
  /** Last good day of what is used up. */
  expiresOn: string
  openDays: string
  amount: string
  unit: string
  /** Next and last service or calibration of a tool, and the number of its paper. */
  dueOn: string
  checkedOn: string
  certificate: string
}
export type ItemField = keyof ItemSaid | 'size' | 'plastic'
/** Nothing of a thing was said yet. */
export const NOTHING_SAID: ItemSaid = {
  kind: '',
  name: '',
  batch: '',
  matches: {},
  boughtOn: '',
  expiresOn: '',
  openDays: '',
  amount: '',
  unit: '',
  dueOn: '',
  checkedOn: '',
  certificate: '',
}
export interface ItemFault {
  field: ItemField
  says: Msg
}
const MOST_NAME = 40
const DAYS_OF_LOTS = ['boughtOn', 'expiresOn'] as const
const DAYS_OF_TOOLS = ['boughtOn', 'checkedOn', 'dueOn'] as const
const SIZES: ReadonlySet<string> = new Set(['size', 'dies'])

/**
 * Is this thing used up? Null where no such kind is kept.
 * @example isLot('cement') // true
 */
export const isLot = (kind: string): boolean | null => storeKinds().find((k) => k.kind === kind)?.lot ?? null
const bad = (field: ItemField, code: Code, params: Record<string, string | number> = {}): ItemFault => ({
  field,
  says: msg(code, params),
})
const keyOf = ({ kind, name }: { kind: string; name: string }): string =>
  `${kind} ${name.trim().toLowerCase()}`
const byKey = once(
  (state: JobState): ReadonlyMap<string, StoreItem> =>
    new Map([...state.store.values()].map((item) => [keyOf(item), item])),
)
/** The same thing put in before: a tin by the code on it, a tool by its number. */
export function twinOf(
  state: JobState,
  said: Pick<ItemSaid, 'kind' | 'name'>,
  ownId?: string,
): StoreItem | null {
  const twin = byKey(state).get(keyOf(said))
  return twin && twin.id !== ownId ? twin : null
}

/** What is wrong with the days of a thing. @param today YYYY-MM-DD. */
function dayFaults(said: ItemSaid, lot: boolean, today: string): ItemFault[] {
  const days = lot ? DAYS_OF_LOTS : DAYS_OF_TOOLS
  const stray = days.find((field) => said[field] && midnightOf(said[field]) === null)
  if (stray) return [bad(stray, 'not-a-date', { text: said[stray] })]
  const past = (['boughtOn', 'checkedOn'] as const).find((field) => said[field] > today)
  if (past) return [bad(past, 'store-day-to-come', { on: said[past] })]
  if (lot) return []
  const { boughtOn, checkedOn, dueOn } = said
  if (boughtOn && checkedOn && checkedOn < boughtOn)
    return [bad('checkedOn', 'store-checked-before-bought', { on: checkedOn, bought: boughtOn })]
  if (checkedOn && dueOn && dueOn <= checkedOn)
    return [bad('dueOn', 'store-due-before-checked', { on: dueOn, checked: checkedOn })]
  return []
}
const numberOf = (text: string): number => Number(text.trim().replace(',', '.'))
function amountFaults({ openDays, amount, unit }: ItemSaid): ItemFault[] {
  if (openDays && !(Number.isInteger(numberOf(openDays)) && numberOf(openDays) >= 1))
    return [bad('openDays', 'store-whole-days', { text: openDays })]
  if (amount && !(numberOf(amount) > 0 && numberOf(amount) < 1e9))
    return [bad('amount', 'store-amount', { text: amount })]
  if (amount && !AMOUNT_UNITS.some((u) => u === unit))
    return [bad('unit', 'store-unit', { units: AMOUNT_UNITS.join(', ') })]
  return []
}

/**
 * Everything that keeps a thing from being put in, the first of each field.
 * @param today YYYY-MM-DD where the job is. @param ownId of a thing that is changed.
 */
export function itemFaults(
  state: JobState,
  said: ItemSaid,
  today: string,
  ownId?: string,
): readonly ItemFault[] {
  const lot = isLot(said.kind)
  if (lot === null) return [bad('kind', 'store-no-such-kind', { text: said.kind })]
  const faults: ItemFault[] = []
  const name = said.name.trim()
  const twin = twinOf(state, said, ownId)
  if (!name || name.length > MOST_NAME) faults.push(bad('name', 'store-name', { most: MOST_NAME }))
  else if (twin) faults.push(bad('name', 'store-there-already', { name: twin.name }))
  // What a tin is for, and until when, is never guessed.
  const tin = storeKinds().find(({ kind }) => kind === said.kind)?.keys.plastic
  if (tin && !said.matches.plastic) faults.push(bad('plastic', 'store-which-plastic'))
  if (tin && !said.expiresOn) faults.push(bad('expiresOn', 'store-last-day'))
  const size = Object.entries(said.matches).find(([key, text]) => SIZES.has(key) && text && !parseSize(text))
  if (size) faults.push(bad('size', 'store-size', { text: size[1], like: suggestSize(size[1]) }))
  return [...faults, ...dayFaults(said, lot, today), ...(lot ? amountFaults(said) : [])]
}

/** The entry that puts a thing in, or changes it; only what was said is written. */
export function itemEntry(said: ItemSaid, id: string): { kind: string; data: Record<string, unknown> } {
  const lot = isLot(said.kind) ?? false
  const text = (
    field: keyof ItemSaid & ('batch' | 'certificate' | 'boughtOn' | 'expiresOn' | 'dueOn' | 'checkedOn'),
  ) => (said[field].trim() ? { [field]: said[field].trim() } : {})
  const own = {
    kind: said.kind,
    name: said.name.trim(),
    matches: Object.fromEntries(
      Object.entries(said.matches).flatMap(([key, v]) => (v.trim() ? [[key, v.trim()]] : [])),
    ),
    ...text('boughtOn'),
  }
  if (!lot)
    return {
      kind: 'tool-set',
      data: { toolId: id, ...own, ...text('dueOn'), ...text('checkedOn'), ...text('certificate') },
    }
  return {
    kind: 'lot-set',
    data: {
      lotId: id,
      ...own,
      ...text('batch'),
      ...text('expiresOn'),
      ...(said.openDays ? { openDays: numberOf(said.openDays) } : {}),
      ...(said.amount ? { amount: numberOf(said.amount), unit: said.unit as AmountUnit } : {}),
    },
  }
}
/** A thing as it is, to be changed. */
export const itemSaid = (item: StoreItem): ItemSaid => ({
  kind: item.kind,
  name: item.name,
  batch: item.batch ?? '',
  matches: item.matches,
  boughtOn: item.boughtOn ?? '',
  expiresOn: item.expiresOn ?? '',
  openDays: item.openDays === null ? '' : String(item.openDays),
  amount: item.amount ? String(item.amount.value) : '',
  unit: item.amount?.unit ?? '',
  dueOn: item.dueOn ?? '',
  checkedOn: item.checkedOn ?? '',
  certificate: item.certificate ?? '',
})

/** An address on a label, and the thing it opens. */
const LABEL = /\/store\/([0-9a-f-]{36})$/
/**
 * The thing that a scanned or typed code names: the address on its label, what stands on it, or else its batch. Null
 * where nothing here has it.
 */
export function itemCoded(items: Iterable<StoreItem>, code: string): StoreItem | null {
  const names = namesIn(code)
  const labelled = LABEL.exec(code.trim().toLowerCase())?.[1]
  const all = [...items]
  if (labelled) return all.find(({ id }) => id === labelled) ?? null
  const called = (name: string): StoreItem | undefined =>
    all.find((item) => item.name.toLowerCase() === name) ??
    all.find((item) => item.batch?.toLowerCase() === name)
  return names.map(called).find((item) => item !== undefined) ?? null
}
