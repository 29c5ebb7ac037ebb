import * as yup from 'yup'

/** One definition of an input: it gives the Yup schema that checks it and the JSON Schema that describes it. */
export type Shape =
  | { type: 'number'; min?: number; above?: number; max?: number; integer?: boolean }
  | { type: 'string'; max?: number }
  | { type: 'boolean' }
  | { type: 'enum'; options: readonly (string | number)[] }
  | { type: 'array'; of: Shape; min?: number; max?: number }
  | { type: 'object'; fields: readonly Input[] }
  /** Any names, each with the same shape. */
  | { type: 'map'; of: Shape; max: number }
  /** One of two: a name, or figures. */
  | { type: 'either'; of: readonly [Shape, Shape] }
export type Input = { name: string; optional?: boolean; says: string } & { shape: Shape }

/** The shape of a figure and the range it lies in. */
export const number = (
  limits: { min?: number; above?: number; max?: number; integer?: boolean } = {},
): Shape => ({
  type: 'number',
  ...limits,
})
/** Most entries of a list, where nothing else is said. */
const MOST_ENTRIES = 20_000
export const text: Shape = { type: 'string', max: 200 }
export const flag: Shape = { type: 'boolean' }
/** The shape of a value that is one of these. */
export const oneOf = (...options: (string | number)[]): Shape => ({ type: 'enum', options })
/** The shape of a list. @param min and @param max entries, 1 to 20,000 as usual. */
export const list = (of: Shape, min = 1, max = MOST_ENTRIES): Shape => ({ type: 'array', of, min, max })
/** The shape of an object with these members and no other. */
export const object = (...fields: Input[]): Shape => ({ type: 'object', fields })
/** The shape of an object whose members have names of their own choosing. @param max members. */
export const mapOf = (of: Shape, max: number): Shape => ({ type: 'map', of, max })
/** The shape of a value that has one of two shapes. */
export const either = (one: Shape, other: Shape): Shape => ({ type: 'either', of: [one, other] })
/** A member that must be there. @param says how it is called in a refusal. */
export const need = (name: string, shape: Shape, says: string): Input => ({ name, shape, says })
/** A member that may be there. @param says how it is called in a refusal. */
export const may = (name: string, shape: Shape, says: string): Input => ({
  name,
  shape,
  says,
  optional: true,
})

/** Machine codes carried in Yup messages, so that a failure keeps its kind: `missing|…` or `bad|…`. */
const bad = (sentence: string): string => `bad|${sentence}`
const sayType = (shape: Shape): string =>
  ({
    number: 'must be a number, without quotes',
    string: 'must be text in quotes',
    boolean: 'must be true or false',
    enum: shape.type === 'enum' ? `must be one of: ${shape.options.join(', ')}` : '',
    array: 'must be a list',
    object: 'must be an object',
    map: 'must be an object',
    either: shape.type === 'either' ? shape.of.map(sayType).join(', or ') : '',
  })[shape.type]

/** The check of an object with names of its own choosing: made of the names that are there. */
function yupOfMap(shape: Shape & { type: 'map' }, optional: boolean): yup.Schema {
  return yup.lazy((value: unknown) => {
    const fault = ((): string | null => {
      if (value === undefined || value === null) return optional ? null : 'missing|is missing'
      if (typeof value !== 'object' || Array.isArray(value)) return bad(sayType(shape))
      const names = Object.keys(value)
      if (names.length > shape.max) return bad(`must have at most ${shape.max} members`)
      return names.some((name) => name === '__proto__' || name.length > 200)
        ? bad('has a name that may not be')
        : null
    })()
    if (fault) return yup.mixed().test('map', fault, () => false)
    if (value === undefined || value === null) return yup.mixed()
    return yup.object(Object.fromEntries(Object.keys(value).map((name) => [name, yupOf(shape.of)])))
  }) as unknown as yup.Schema
}
/** The check that a shape stands for. */
export function yupOf(shape: Shape, optional = false): yup.Schema {
  if (shape.type === 'map') return yupOfMap(shape, optional)
  const typeError = bad(sayType(shape))
  let schema: yup.Schema
  if (shape.type === 'number') {
    let number = yup
      .number()
      .typeError(typeError)
      .test(
        'finite',
        bad('must be a finite number'),
        (v) => v === undefined || v === null || Number.isFinite(v),
      )
    if (shape.min !== undefined) number = number.min(shape.min, bad(`must be at least ${shape.min}`))
    if (shape.above !== undefined) number = number.moreThan(shape.above, bad(`must be above ${shape.above}`))
    if (shape.max !== undefined) number = number.max(shape.max, bad(`must be at most ${shape.max}`))
    if (shape.integer) number = number.integer(bad('must be a whole number'))
    schema = number
  } else if (shape.type === 'string') {
    schema = yup
      .string()
      .typeError(typeError)
      .max(shape.max ?? 1000, bad(`must be at most ${shape.max ?? 1000} characters`))
  } else if (shape.type === 'boolean') schema = yup.boolean().typeError(typeError)
  else if (shape.type === 'enum')
    schema = yup
      .mixed()
      .test('one-of', typeError, (v) => v === undefined || v === null || shape.options.includes(v as string))
  else if (shape.type === 'either') {
    const either = shape.of.map((one) => yupOf(one))
    schema = yup
      .mixed()
      .test(
        'either',
        typeError,
        (v) => v === undefined || v === null || either.some((one) => one.isValidSync(v, { strict: true })),
      )
  } else if (shape.type === 'array')
    schema = yup
      .array()
      .of(yupOf(shape.of))
      .typeError(typeError)
      .min(shape.min ?? 0, bad(`must have at least ${shape.min ?? 0} entries`))
      .max(shape.max ?? MOST_ENTRIES, bad(`must have at most ${shape.max ?? MOST_ENTRIES} entries`))
  else {
    const fields = Object.fromEntries(shape.fields.map((f) => [f.name, yupOf(f.shape, f.optional)]))
    // Without this an absent object would be filled in with an empty one and hide that it is missing.
    schema = yup.object(fields).default(undefined).typeError(typeError) as unknown as yup.Schema
  }
  return optional
    ? schema.nullable().optional()
    : schema.required('missing|is missing').nonNullable('missing|is missing')
}

/** The JSON Schema that a shape stands for. */
export function jsonSchemaOf(shape: Shape, optional = false): Record<string, unknown> {
  const nullable = (type: string): unknown => (optional ? [type, 'null'] : type)
  switch (shape.type) {
    case 'number':
      return {
        type: nullable(shape.integer ? 'integer' : 'number'),
        ...(shape.min !== undefined ? { minimum: shape.min } : {}),
        ...(shape.above !== undefined ? { exclusiveMinimum: shape.above } : {}),
        ...(shape.max !== undefined ? { maximum: shape.max } : {}),
      }
    case 'string':
      return { type: nullable('string'), maxLength: shape.max ?? 1000 }
    case 'boolean':
      return { type: nullable('boolean') }
    case 'enum':
      return { enum: optional ? [...shape.options, null] : [...shape.options] }
    case 'either':
      return { anyOf: [...shape.of.map((one) => jsonSchemaOf(one)), ...(optional ? [{ type: 'null' }] : [])] }
    case 'array':
      return {
        type: nullable('array'),
        items: jsonSchemaOf(shape.of),
        minItems: shape.min ?? 0,
        maxItems: shape.max ?? MOST_ENTRIES,
      }
    case 'map':
      return {
        type: nullable('object'),
        additionalProperties: jsonSchemaOf(shape.of),
        maxProperties: shape.max,
      }
    case 'object':
      return {
        type: nullable('object'),
        properties: Object.fromEntries(
          shape.fields.map((f) => [f.name, { ...jsonSchemaOf(f.shape, f.optional), description: f.says }]),
        ),
        required: shape.fields.filter((f) => !f.optional).map((f) => f.name),
      }
  }
}

/** Paths of fields that the shape does not know. */
export function unknownFields(shape: Shape, value: unknown, path = ''): string[] {
  if (shape.type === 'array' && Array.isArray(value))
    return value.flatMap((v, i) => unknownFields(shape.of, v, `${path}[${i}]`)).slice(0, 50)
  if (shape.type === 'map' && typeof value === 'object' && value !== null)
    return Object.entries(value)
      .flatMap(([name, member]) => unknownFields(shape.of, member, `${path}.${name}`))
      .slice(0, 50)
  if (shape.type === 'either')
    return shape.of.flatMap((one) =>
      one.type === 'array' && Array.isArray(value) ? unknownFields(one, value, path) : [],
    )
  if (shape.type !== 'object' || typeof value !== 'object' || value === null || Array.isArray(value))
    return []
  const known = new Map(shape.fields.map((f) => [f.name, f]))
  return Object.entries(value).flatMap(([k, member]) => {
    const at = path ? `${path}.${k}` : k
    const field = known.get(k)
    return field ? unknownFields(field.shape, member, at) : [at]
  })
}

export interface Fault {
  code: 'bad-input' | 'missing-field'
  message: string
  field: string
}
/** A list that is longer than any may be: found by its length alone, before anything in it is looked at. */
function overlong(shape: Shape, value: unknown, path: string): Fault | null {
  if (shape.type === 'array' && Array.isArray(value)) {
    const most = shape.max ?? MOST_ENTRIES
    if (value.length > most)
      return { code: 'bad-input', message: `${path} must have at most ${most} entries.`, field: path }
    if (!['array', 'object', 'map'].includes(shape.of.type)) return null
    for (const [i, each] of value.entries()) {
      const fault = overlong(shape.of, each, `${path}[${i}]`)
      if (fault) return fault
    }
  } else if (shape.type === 'map' && typeof value === 'object' && value !== null)
    for (const [name, member] of Object.entries(value)) {
      const fault = overlong(shape.of, member, `${path}.${name}`)
      if (fault) return fault
    }
  else if (shape.type === 'object' && typeof value === 'object' && value !== null)
    for (const field of shape.fields) {
      const at = path ? `${path}.${field.name}` : field.name
      const fault = overlong(field.shape, (value as Record<string, unknown>)[field.name], at)
      if (fault) return fault
    }
  return null
}
/** The first fault of an input in the order of its fields, or null; a list that is too long speaks before all others. */
export function firstFault(
  shape: Shape & { type: 'object' },
  schema: yup.Schema,
  value: unknown,
): Fault | null {
  const long = overlong(shape, value, '')
  if (long) return long
  try {
    schema.validateSync(value, { strict: true, abortEarly: false })
    return null
  } catch (error) {
    if (!(error instanceof yup.ValidationError)) throw error
    const inner = error.inner.length ? error.inner : [error]
    const order = new Map(shape.fields.map((f, i) => [f.name, i]))
    const rank = (path: string): number => order.get(/^[^.[]+/.exec(path)?.[0] ?? '') ?? 999
    // Of one field's faults the wrong type speaks before what follows from it.
    const first = [...inner].sort((a, b) => rank(a.path ?? '') - rank(b.path ?? ''))[0] as yup.ValidationError
    const field = (first.path ?? '').replace(/"/g, '')
    const said = first.errors[0] ?? ''
    const [kind, sentence] = said.includes('|')
      ? (said.split('|') as [string, string])
      : ['bad', 'is not as it should be']
    return {
      code: kind === 'missing' ? 'missing-field' : 'bad-input',
      message: `${field || 'The input'} ${sentence}.`,
      field,
    }
  }
}
