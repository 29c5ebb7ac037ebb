import { type Shape as Input, flag, list, may, need, number, object, oneOf } from '../schema/shape.js'

/** How a part lies in its line: how many ways lead out of it, and where. */
export type Form = 'through' | 'turn' | 'tee' | 'cross' | 'end'
export const FORMS: readonly Form[] = ['through', 'turn', 'tee', 'cross', 'end']
/** A simple shape of a sign, drawn about the middle of a part: across along the pipe, out beside it, drawing units. */
export interface OwnShape {
  kind: 'line' | 'box' | 'triangle' | 'circle'
  /** Ends of a line, corners of a box or triangle one after another; of a circle its middle and radius. */
  at: readonly number[]
  filled?: true
}
/** How a part of a house's own lies in its line, and its sign: what a line keeps of it beside its ends. */
export interface OwnForm {
  form: Form
  /** Of what turns, degrees. */
  turnDeg?: number
  shapes: readonly OwnShape[]
}
/** Figures that each kind of shape takes. */
export const FIGURES_OF = { line: 4, box: 4, triangle: 6, circle: 3 } as const
/** A sign reaches so far from its middle, drawing units. */
export const SIGN_REACH = 20
const figure = number({ min: -SIGN_REACH, max: SIGN_REACH })

const SHAPE = object(
  need('kind', oneOf(...Object.keys(FIGURES_OF)), 'kind'),
  need('at', list(figure, 3, 6), 'at'),
  may('filled', flag, 'filled'),
)
/** The shapes of a sign. */
export const SHAPES = list(SHAPE, 0, 24)
/** What a line keeps of a part of a house's own. */
export const OWN_FORM: Input = object(
  need('form', oneOf(...FORMS), 'form'),
  may('turnDeg', number({ above: 0, max: 179 }), 'turnDeg'),
  need('shapes', SHAPES, 'shapes'),
)

const asData = (value: unknown): Record<string, unknown> =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {}
const isFigure = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value)
/** What an entry of the log keeps of it; null for what is none. */
export function ownFormFrom(raw: unknown): OwnForm | null {
  const { form, turnDeg, shapes } = asData(raw)
  const own = FORMS.find((one) => one === form)
  if (!own) return null
  return {
    form: own,
    ...(isFigure(turnDeg) ? { turnDeg } : {}),
    shapes: (Array.isArray(shapes) ? shapes : []).flatMap((shape: unknown): OwnShape[] => {
      const { kind, at, filled } = asData(shape)
      const known = (Object.keys(FIGURES_OF) as OwnShape['kind'][]).find((one) => one === kind)
      if (!known || !Array.isArray(at) || !at.every(isFigure) || at.length !== FIGURES_OF[known]) return []
      return [{ kind: known, at, ...(filled === true ? { filled } : {}) }]
    }),
  }
}
