import type * as yup from 'yup'
import { HttpError } from './errors.js'

/**
 * A request's body by its schema, completed by the schema's defaults: a strict check by itself fills none in.
 * @throws HttpError 422 at the first field that is not as asked.
 */
export function checked<T>(schema: yup.Schema<T>, raw: unknown): T {
  try {
    return schema.cast(schema.validateSync(raw, { strict: true })) as T
  } catch (error) {
    const { path, message } = error as yup.ValidationError
    throw new HttpError(422, 'bad-input', `${message}.`, path || null)
  }
}
