import { type Fig, fig } from '../sources/source.js'

const HARD = ['stainless', 'carbon-steel']
/**
 * How a wheel cutter is fed: turns of the knob to begin with and after every so many rotations. Common practice.
 * @example cutterFeed('stainless').everyRotations.value // 2
 */
export const cutterFeed = (material: string): { turns: Fig; everyRotations: Fig } => ({
  turns: fig(1 / 16, 'cp-tube-work'),
  everyRotations: fig(HARD.includes(material) ? 2 : 1, 'cp-tube-work'),
})
/**
 * Both chamfers together take at most half the wall; 4 to 5 turns each, inside and outside. Common practice.
 * @example chamferMaxMm(1.5).value // 0.75
 */
export const chamferMaxMm = (wallMm: number): Fig => fig(wallMm / 2, 'cp-tube-work')
export const DEBURR_TURNS = [4, 5] as const
/** Least teeth per inch of a hacksaw for tube. */
export const HACKSAW_TEETH_PER_INCH = 24
/**
 * A swage is about as deep as the tube is wide, and a little: at least this, in mm. Handbook practice.
 * @example swageDepthMinMm(22).value // 22
 */
export const swageDepthMinMm = (odMm: number): Fig => fig(odMm, 'cp-tube-work')
