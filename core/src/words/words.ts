import { allMethods } from '../methods/registry.js'
import type { Msg } from '../sources/source.js'
import type { Wording, Wordings } from '../sources/wording.js'
import type { Reader } from '../units/format.js'
import type { Language } from '../units/languages.js'
import { ANSWERS } from './answers.js'
import { AROUND_WORDS } from './around.js'
import { BOLTED } from './bolted.js'
import { FINDINGS } from './findings.js'
import { HANDBOOK } from './handbook.js'
import { MAKE } from './make.js'
import { NAMES } from './names.js'
import { print } from './print.js'
import { SET_OUT } from './set-out.js'
import { SHARED } from './shared.js'
import { STORE } from './store.js'
import { TESTING } from './testing.js'
import { UPKEEP } from './upkeep.js'

/** What no single method says. */
const GENERAL: Wordings = {
  ...AROUND_WORDS,
  ...FINDINGS,
  ...SHARED,
  ...STORE,
  ...UPKEEP,
  ...BOLTED,
  ...HANDBOOK,
  ...SET_OUT,
  ...ANSWERS,
  ...MAKE,
  ...TESTING,
  ...NAMES,
}
/** Words of what stands on core: the interface's, the papers', the server's. */
const ADDED = new Map<string, Wording>()
/** Puts sentences into the book. @param words by code; one that stands in it already is an error. */
export function addWords(words: Wordings): void {
  for (const [code, wording] of Object.entries(words)) {
    const before = wordingOf(code)
    if (before !== undefined && before !== wording) throw new Error(`worded twice: ${code}`)
    ADDED.set(code, wording)
  }
}
/** A language's sentences, by code. What it has not yet is said in English. */
export type Translation = Readonly<Record<string, string>>
const TRANSLATIONS = new Map<Language, Translation>()
/** Puts a language into the book. */
export const addTranslation = (language: Language, words: Translation): void =>
  void TRANSLATIONS.set(language, words)
function translated(code: string, { language }: Reader): string | undefined {
  const words = language === undefined ? undefined : TRANSLATIONS.get(language)
  return words && Object.hasOwn(words, code) ? words[code] : undefined
}
const METRIC: Reader = { units: 'metric' }

/** A message as it comes: from core, whose codes all have words, or from elsewhere. */
export interface AnyMsg {
  readonly code: string
  readonly params: Msg['params']
}
function wordingOf(code: string): Wording | undefined {
  if (Object.hasOwn(GENERAL, code)) return GENERAL[code]
  for (const { words } of allMethods()) if (Object.hasOwn(words, code)) return words[code]
  return ADDED.get(code)
}

/** Parameters that hold what is stored by a name of ours, and the codes of their words. */
const STORED_AS: Readonly<Record<string, string>> = {
  material: 'name',
  medium: 'name',
  state: 'name',
  school: 'name',
  kind: 'name',
  one: 'name',
  other: 'name',
  verdict: 'name',
  measure: 'name',
  takeOffTo: 'name',
  fitting: 'name',
  gate: 'gate-name',
  method: 'method',
}
/** What is stored by a name of ours is printed by its own; sentences still choose by what is stored. */
function namesIn(params: Msg['params'], reader: Reader): Record<string, string> {
  const out: Record<string, string> = {}
  for (const [name, value] of Object.entries(params)) {
    const code = Object.hasOwn(STORED_AS, name) ? `${STORED_AS[name]}-${value}` : ''
    if (code && wordingOf(code) !== undefined) out[name] = say({ code, params: {} }, reader)
  }
  return out
}

/** The sentence for a message. An unknown code shows itself, so that it is seen and mended. */
export function say(message: AnyMsg, reader: Reader = METRIC): string {
  const wording = wordingOf(message.code)
  if (wording === undefined) return message.code
  const says = translated(message.code, reader) ?? (typeof wording === 'string' ? wording : wording.says)
  if (!says.includes('{') && reader.language !== 'pseudo') return says
  const figures = typeof wording === 'string' ? {} : wording.figures
  return print(says, { ...message.params, ...figures }, reader, namesIn(message.params, reader))
}
/**
 * The name of a material, or of a choice, as it is said: what is stored is never shown as it is.
 * @example named('copper') // 'copper'
 */
export function named(id: string, reader: Reader = METRIC): string {
  const code = `name-${id}`
  if (wordingOf(code) !== undefined) return say({ code, params: {} }, reader)
  return /^[a-z-]+$/.test(id) ? id.replace(/-/g, ' ') : id
}
/**
 * Does the book hold this code?
 * @example isWorded('not-home') // true
 */
export const isWorded = (code: string): boolean => wordingOf(code) !== undefined

/** Every text there is, by code: what a translation has to have. */
export function* allWords(): Generator<
  readonly [code: string, { says: string; figures: Readonly<Record<string, number>> }]
> {
  for (const words of [GENERAL, ...allMethods().map((m) => m.words), Object.fromEntries(ADDED)])
    for (const [code, wording] of Object.entries(words))
      yield [code, typeof wording === 'string' ? { says: wording, figures: {} } : wording]
}

/**
 * An answer about a joint's surroundings, in words.
 * @example answerSaid('lubricant', 'water') // 'water'
 */
export function answerSaid(fact: string, answer: string, reader: Reader = METRIC): string {
  const own = `said-${fact}-${answer}`
  return isWorded(own) ? say({ code: own, params: {} }, reader) : named(answer, reader)
}
