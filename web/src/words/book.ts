import { addWords } from '@jugalis/core'
import { APP } from './app'
import { CLOCKS } from './clocks'
import { CUT } from './cut'
import { CUT_STOCK } from './cut-stock'
import { FILES } from './files'
import { FRAME } from './frame'
import { GROWTH } from './growth'
import { HAND_OVER } from './hand-over'
import { HANDBOOK } from './handbook'
import { JOBS } from './jobs'
import { MAKE } from './make'
import { MAKE_JOINT } from './make-joint'
import { MAKE_SHEETS } from './make-sheets'
import { PAPER } from './paper'
import { PROVE } from './prove'
import { PAPER_PACK } from './paper-pack'
import { PROVE_AFTER } from './prove-after'
import { PROVE_PLAN } from './prove-plan'
import { ROOM } from './room'
import { SET_OUT } from './set-out'
import { SET_OUT_IMPORT } from './set-out-import'
import { SET_OUT_SHEETS } from './set-out-sheets'
import { ABOUT } from './about'
import { SPACE } from './space'
import { OWN_PARTS } from './own-parts'
import { SETTINGS } from './settings'
import { SIGN_IN } from './sign-in'
import { SITE } from './site'
import { STORE } from './store'
import { UPKEEP } from './upkeep'
import { TAPES } from './tapes'
import { THINGS } from './things'
import { UI } from './ui'
import { PLAN } from './plan'
import { PRACTICE } from './practice'
import { WAIT } from './wait'

/** Every sentence of the interface, by code. */
export const BOOK = {
  ...APP,
  ...CLOCKS,
  ...CUT,
  ...CUT_STOCK,
  ...FILES,
  ...FRAME,
  ...GROWTH,
  ...HAND_OVER,
  ...HANDBOOK,
  ...JOBS,
  ...MAKE,
  ...MAKE_JOINT,
  ...MAKE_SHEETS,
  ...PAPER,
  ...PAPER_PACK,
  ...PROVE,
  ...PROVE_AFTER,
  ...PROVE_PLAN,
  ...ROOM,
  ...SET_OUT,
  ...SET_OUT_IMPORT,
  ...SET_OUT_SHEETS,
  ...ABOUT,
  ...SPACE,
  ...OWN_PARTS,
  ...SETTINGS,
  ...SIGN_IN,
  ...SITE,
  ...STORE,
  ...UPKEEP,
  ...TAPES,
  ...THINGS,
  ...UI,
  ...PLAN,
  ...PRACTICE,
  ...WAIT,
} as const
addWords(BOOK)
