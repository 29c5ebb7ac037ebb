import type * as yup from 'yup'
import { sourceOf } from '../handbook/tables.js'
import type { Source, SourceId } from '../sources/source.js'
import { type Input, type Shape, firstFault, jsonSchemaOf, unknownFields, yupOf } from '../schema/shape.js'

/** What the door answers: every number with its source, what was odd, what is missing. */
export interface Answer {
  result: Record<string, unknown>
  sources: (Source & { figure: string })[]
  warnings: { code: string; message: string; field?: string }[]
  missing: { figure: string; code: string; message: string }[]
}
export type CalcCode =
  | 'bad-input'
  | 'missing-field'
  | 'unknown-size'
  | 'not-joinable'
  | 'no-figure'
  | 'does-not-fit'
  | 'busy'
  | 'too-many'
  | 'unknown-calculation'

/** A refusal of a calculation: becomes 422 with code, sentence and field. */
export class Refusal extends Error {
  constructor(
    readonly code: CalcCode,
    message: string,
    readonly field: string | null = null,
  ) {
    super(message)
  }
}

/** Collects an answer piece by piece. */
export class Working {
  readonly answer: Answer = { result: {}, sources: [], warnings: [], missing: [] }
  put(figure: string, value: unknown, source?: SourceId, from?: SourceId[]): void {
    this.answer.result[figure] = value
    if (source !== undefined && value !== null) this.source(figure, source, from)
  }
  source(figure: string, id: SourceId, from?: SourceId[]): void {
    const source = sourceOf(id)
    this.answer.sources.push({ figure, ...source, ...(from ? { kind: 'computed', from } : {}) })
  }
  warn(code: string, message: string, field?: string): void {
    this.answer.warnings.push({ code, message, ...(field ? { field } : {}) })
  }
  lacks(figure: string, code: string, message: string): void {
    this.answer.missing.push({ figure, code, message })
  }
}

export interface CalculationDef {
  name: string
  summary: string
  inputs: readonly Input[]
  /** Rules that JSON Schema can't say, in words. */
  rules?: string
  sources: readonly SourceId[]
  /** Takes seconds: run it off the main thread. */
  heavy?: true
  /** What fields can’t say one by one. @throws Refusal */
  check?(input: never): void
  example: { input: Record<string, unknown>; result: Record<string, unknown> }
  compute(input: never, working: Working): void
}
export interface Calculation {
  name: string
  summary: string
  input: Record<string, unknown>
  example: CalculationDef['example']
  sources: Source[]
  heavy: boolean
  /** Refuses what is not a question. @throws Refusal */
  check(body: unknown): void
  /** @throws Refusal */
  run(body: unknown): Answer
}

/** Makes a calculation of its definition: checks the input strictly, computes, names unknown fields. */
export function calculation(def: CalculationDef): Calculation {
  const shape: Shape & { type: 'object' } = { type: 'object', fields: def.inputs }
  const schema: yup.Schema = yupOf(shape)
  const check = (body: unknown): void => {
    const fault = firstFault(shape, schema, body)
    if (fault) throw new Refusal(fault.code, fault.message, fault.field)
    def.check?.(body as never)
  }
  return {
    name: def.name,
    summary: def.summary,
    input: { ...jsonSchemaOf(shape), ...(def.rules ? { description: def.rules } : {}) },
    example: def.example,
    sources: def.sources.map(sourceOf),
    heavy: def.heavy ?? false,
    check,
    run(body) {
      check(body)
      const working = new Working()
      for (const field of unknownFields(shape, body))
        working.warn('unknown-field', `${field} is not known here and was not used.`, field)
      def.compute(body as never, working)
      return working.answer
    },
  }
}
