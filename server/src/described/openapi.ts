import type { Operation } from './operation.js'
import { OPERATIONS } from './operations.js'

const ERROR = {
  type: 'object',
  properties: {
    error: {
      type: 'object',
      properties: {
        code: { type: 'string' },
        message: { type: 'string' },
        field: { type: ['string', 'null'] },
      },
      required: ['code', 'message', 'field'],
    },
  },
  required: ['error'],
}
const content = (type: string, schema?: object) => ({ content: { [type]: schema ? { schema } : {} } })
/** `$schema` names the draft of a file of its own; inside a description it has no place. */
const inside = (schema: object): object => {
  const { $schema: _, ...rest } = schema as { $schema?: string }
  return rest
}
function operation(operation: Operation): object {
  const names = [...operation.path.matchAll(/\{(\w+)\}/g)].map((m) => m[1])
  const body = operation.body
    ? content('application/json', inside(operation.body))
    : operation.takes
      ? { content: Object.fromEntries(operation.takes.map((t) => [t, {}])) }
      : null
  return {
    operationId: `${operation.method} ${operation.path}`.replace(/[^A-Za-z]+/g, '_').replace(/_$/, ''),
    summary: operation.says,
    security:
      operation.who === 'person' ? [{ session: [] }] : operation.who === 'instrument' ? [{ token: [] }] : [],
    ...(names.length
      ? {
          parameters: names.map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } })),
        }
      : {}),
    tags: [operation.path.split('/')[1] ?? ''],
    ...(body ? { requestBody: { required: true, ...body } } : {}),
    responses: {
      [operation.status]: {
        description: 'It is done.',
        ...(operation.gives
          ? content(operation.gives.type, operation.gives.schema && inside(operation.gives.schema))
          : {}),
      },
      default: { description: 'Why not, in one form.', ...content('application/json', ERROR) },
    },
  }
}
/**
 * The whole HTTP interface as OpenAPI 3.1, made from the shapes that requests are checked by.
 * @param base where it lies on its server, a slash at both ends.
 */
export function openApi(version: string, base = '/'): object {
  const paths: Record<string, Record<string, object>> = {}
  for (const one of OPERATIONS) (paths[`/api${one.path}`] ??= {})[one.method] = operation(one)
  return {
    openapi: '3.1.0',
    info: {
      title: 'Jugalis',
      version,
      description:
        'Joins pipe: calculations, the log of a job, instruments. Units stand in the names of fields.',
    },
    ...(base === '/' ? {} : { servers: [{ url: base.slice(0, -1) }] }),
    paths,
    components: {
      securitySchemes: {
        session: { type: 'apiKey', in: 'cookie', name: 'jugalis' },
        token: { type: 'http', scheme: 'bearer' },
      },
    },
  }
}
