import { type Fig, fig, msg, noFig } from '../../sources/source.js'
import { type BaseSpec, ownFig, sizeOf } from '../kit/spec.js'
import { type CompressionKind, type Turns, byMaker, turnsFor } from './rules.js'

export interface CompressionSpec extends BaseSpec {
  socketDepthMm: number | null
  kind: CompressionKind | null
  hardAlloy: boolean | null
  remake: boolean | null
  /** By the maker, where they differ from the usual. */
  ownTurns: number | null
}
export const practice = 'cp-compression-steps'
/** Tube sizes belong to twin ferrules, pipe and copper-tube sizes to service lines, whose nut must be named. */
export const isTube = (spec: Pick<BaseSpec, 'size'>): boolean => ['OD', 'd'].includes(sizeOf(spec).family)
/** Its kind; tube fittings are twin ferrules where nothing else is said. */
export const kindOf = (spec: CompressionSpec): CompressionKind => spec.kind ?? 'twin-ferrule'
/** Turns of the nut, by the maker where they were given, and where they are counted from. */
export const turns = (spec: CompressionSpec): Turns =>
  byMaker(turnsFor(kindOf(spec), sizeOf(spec), spec.hardAlloy ?? false, spec.remake ?? false), ownTurns(spec))
const ownTurns = (spec: CompressionSpec): Fig | null =>
  spec.ownTurns === null || spec.ownTurns === undefined
    ? null
    : ownFig(spec, 'ownTurns', fig(0, 'given'), 'given')
/** How far the tube goes in, mm: as measured; no figure where it was not. */
export const depth = (spec: CompressionSpec) =>
  ownFig(spec, 'socketDepthMm', noFig(msg('depth-by-gauge', { size: spec.size }), 'socketDepthMm'))
/** Is it a twin-ferrule fitting? */
export const twin = (spec: CompressionSpec): boolean => kindOf(spec) === 'twin-ferrule'
/** Drawn in while it is tightened, so the tube stands off the bottom. */
export const standsOff = (spec: CompressionSpec): boolean => ['grip-nut', 'stop-nut'].includes(kindOf(spec))
