/** The store: what joints are made with, with its dates, batches and states. */
export { AMOUNT_UNITS, type AmountUnit, ITEM_STATES, type ItemState } from '../log/store-item.js'
export { type CodeSaid, codeSaid } from './code.js'
export { type StoreKind, storeKinds } from './kinds.js'
export { fitsNeed } from './fits.js'
export { type OnShelf, type ShelfHead, shelfHead, shelfOf } from './shelf.js'
export { STANDINGS, type Standing, mayBeUsed, standingOf } from '../joint/standing.js'
export { type Left, leftOf } from './left.js'
export { type Wanted } from './wanted.js'
export {
  type RecallAsk,
  type Recalled,
  type TestRecalled,
  doubtEntry,
  recall,
  testsReadOn,
  toolTouches,
} from './recall.js'
export {
  type ItemFault,
  type ItemField,
  type ItemSaid,
  NOTHING_SAID,
  isLot,
  itemCoded,
  itemEntry,
  itemFaults,
  itemSaid,
  twinOf,
} from './entry.js'
export { STORE_HEADER, type StoreFault, readStore, shoppingCsv, storeCsv, storeExample } from './csv.js'
