import { type Answer, CALCULATIONS, Refusal } from '../../src/calc/index.js'

/** Asks the calculation door, as anybody outside would. */
export const askFor = (name: string, input: Record<string, unknown>): Answer => {
  const c = CALCULATIONS.get(name)
  if (!c) throw new Error(`no calculation ${name}`)
  return c.run(input)
}
export const ask = (name: string, input: Record<string, unknown>): Record<string, unknown> =>
  askFor(name, input).result
/** The code of a refusal and its field, or what was answered instead. */
export const refused = (name: string, input: Record<string, unknown>): string => {
  try {
    return JSON.stringify(ask(name, input))
  } catch (e) {
    if (!(e instanceof Refusal)) throw e
    return `${e.code} ${e.field ?? ''}`.trim()
  }
}
export const depthMm = (
  method: string,
  material: string,
  size: string,
  more: Record<string, unknown> = {},
): number =>
  ask('insertion', { method, material, size, school: /^(d|DN)/.test(size) ? 'metric' : 'inch', ...more })
    .depthMm as number
