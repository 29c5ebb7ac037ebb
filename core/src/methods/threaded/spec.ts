import { msg } from '../../sources/source.js'
import { pipeInSocket, ring } from '../kit/drawing.js'
import { type BaseSpec, odOf, ownFig, sizeOf } from '../kit/spec.js'
import { isPlastic } from '../joinable.js'
import { choiceRead } from '../kit/steps.js'
import type { Field, Shape } from '../method.js'
import { TURNS_TOLERANCE, type ThreadStandard, engagementMm, threadOf, turnsFor } from './rules.js'

export interface ThreadedSpec extends BaseSpec {
  /** How far it is in when it is tight, measured on one that is made up. */
  socketDepthMm: number | null
  standard: ThreadStandard | null
  /** What the female side is made of; the same where nobody said. */
  into: string | null
  /** Where the male thread is. */
  cutOn: 'pipe' | 'fitting' | null
}

/** Source of its steps. */
export const practice = 'cp-thread-steps'
/** The standard of its threads; that of the school where nobody said. */
export const standardOf = (spec: ThreadedSpec): ThreadStandard =>
  spec.standard ?? (spec.school === 'inch' ? 'npt' : 'iso-7')
/** What the female side is of; as the male where nobody said. */
export const intoOf = (spec: ThreadedSpec): string => spec.into ?? spec.material
/** Is either side of plastic? */
export const plastic = (spec: ThreadedSpec): boolean => isPlastic(spec.material) || isPlastic(intoOf(spec))
/** How far it is in when it is tight, mm: as measured on one, else by its size. */
export const depth = (spec: ThreadedSpec) =>
  ownFig(spec, 'socketDepthMm', engagementMm(standardOf(spec), sizeOf(spec)))
/** Turns past hand tight. */
export const turns = (spec: ThreadedSpec) => turnsFor(sizeOf(spec), plastic(spec))
/** Stainless on stainless: it seizes. */
export const stainless = (spec: ThreadedSpec): boolean =>
  spec.material === 'stainless' && intoOf(spec) === 'stainless'

/** What seals it, which has no usual answer. */
export const sealantRead: Field = {
  ...choiceRead('sealant', 'field-sealant', ['tape', 'paste', 'tape-and-paste', 'anti-seize']),
  asked: true,
}
/** Turns past hand tight as they were counted. */
export const turnsRead = (spec: ThreadedSpec): Field => {
  const { least, most } = turns(spec)
  const [from, to] = [least.value ?? 0, most.value ?? 0]
  return {
    key: 'turns',
    label: msg('field-turns-past-hand'),
    needed: true,
    unit: 'turns',
    min: 0,
    max: 8,
    control: 'turns',
    target: { value: least, shortMax: TURNS_TOLERANCE, overMax: to - from + TURNS_TOLERANCE },
  }
}
/** Threads that stay in sight. */
export const showingRead: Field = {
  key: 'threadsShowing',
  label: msg('field-threads-showing'),
  needed: true,
  unit: 'count',
  min: 0,
  max: 20,
  control: 'turns',
}

/** The end with its threads, in its socket once it is made. Threads are rings, drawn coarser than any standard has them. */
export function drawing(spec: ThreadedSpec, state: { marked: boolean; made: boolean }): Shape[] {
  const depthMm = depth(spec).value ?? odOf(spec) * 0.6
  const od = odOf(spec)
  const shapes = pipeInSocket(spec, depthMm, { ...state, marked: false })
  const pitch = threadOf(standardOf(spec), sizeOf(spec))?.pitchMm ?? 2
  const end = state.made ? depthMm : -depthMm * 0.35
  const count = Math.min(10, Math.round(depthMm / pitch) + 3)
  const threads = Array.from({ length: count }, (_, i) =>
    ring('fitting', end - (i + 1) * pitch, end - (i + 0.45) * pitch, od, od * 1.03),
  )
  return [...shapes, ...threads]
}
