import { PHOTO, type PublicKey } from '@jugalis/core'
import * as yup from 'yup'
import { DEVICE_KINDS } from '../db/devices.js'
import type { SignedLogLine } from '../db/lines.js'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'

export const FORMAT = 'jugalis-job-1'
/** More people than were ever on a job. */
const MOST_PEOPLE = 5000
/** More pictures than fit into any file that is taken. */
const MOST_PHOTOS = 20_000
/** More devices than were ever on a job. */
const MOST_KEYS = 20_000
const HASH = /^[0-9a-f]{64}$/
/** All of a file but its lines. */
const cover = yup.object({
  format: yup.string().oneOf([FORMAT]).required(),
  jobId: yup.string().required(),
  name: yup.string().max(200).required(),
  people: yup
    .array()
    .max(MOST_PEOPLE)
    .of(
      yup.object({
        personId: yup.string().uuid().required(),
        name: yup.string().required(),
        role: yup.string().required(),
      }),
    )
    .required(),
  head: yup.object({ seq: yup.number().required(), hash: yup.string().required() }).required(),
  // Files of before anything was signed have none.
  keys: yup
    .array()
    .max(MOST_KEYS)
    .of(
      yup.object({
        id: yup.string().max(64).required(),
        of: yup.string().oneOf(['device', 'server']).required(),
        spki: yup.string().max(1000).required(),
        personId: yup.string().uuid().nullable(),
      }),
    ),
  // What hung on the job; where it is read and with what token stays where it was.
  instruments: yup
    .array()
    .max(MOST_KEYS)
    .of(
      yup.object({
        deviceId: yup.string().uuid().required(),
        name: yup.string().max(200).required(),
        kind: yup
          .string()
          .oneOf([...DEVICE_KINDS])
          .required(),
        placeId: yup.string().max(100).nullable(),
        toolId: yup.string().max(100).nullable(),
        sectionId: yup.string().max(100).nullable(),
      }),
    ),
})
const signature = yup
  .object({ key: yup.string().max(64).required(), signature: yup.string().max(100).required() })
  .default(undefined)
const line = yup.object({
  seq: yup.number().integer().required(),
  recordedAt: yup.string().required(),
  body: yup.string().required(),
  prevHash: yup.string().matches(HASH).required(),
  hash: yup.string().matches(HASH).required(),
  signed: signature,
  countersigned: signature,
})
const photo = yup.object({
  hash: yup.string().matches(HASH).required(),
  kind: yup
    .string()
    .oneOf([...PHOTO.kinds])
    .required(),
  /** Base64. */
  bytes: yup
    .string()
    .max(Math.ceil(PHOTO.mostBytes / 3) * 4)
    .required(),
})
/** A picture in a file, under the hash that the log names. */
export type FilePhoto = yup.InferType<typeof photo>
export type JobFile = Omit<yup.InferType<typeof cover>, 'keys'> & {
  keys?: PublicKey[]
  lines: SignedLogLine[]
  photos?: FilePhoto[]
}

/** A file by its shape: the first fault ends the look, and nothing of the file is said back. @throws HttpError 422. */
export function shaped(raw: unknown): JobFile {
  const wrong = (field: string | null): never => {
    throw new HttpError(422, 'bad-input', refusal('refused-this-is-not-a'), field)
  }
  const look = (schema: yup.Schema, value: unknown, at: string): void => {
    try {
      schema.validateSync(value, { strict: true })
    } catch (error) {
      const { path } = error as yup.ValidationError
      wrong([at, path].filter(Boolean).join('.') || null)
    }
  }
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return wrong(null)
  const { lines, photos = [], ...rest } = raw as { lines?: unknown; photos?: unknown }
  const { people, keys } = rest as { people?: unknown; keys?: unknown }
  if (Array.isArray(people) && people.length > MOST_PEOPLE) wrong('people')
  if (Array.isArray(keys) && keys.length > MOST_KEYS) wrong('keys')
  if (!Array.isArray(lines)) return wrong('lines')
  if (!Array.isArray(photos) || photos.length > MOST_PHOTOS) return wrong('photos')
  look(cover, rest, '')
  for (const [i, each] of photos.entries()) look(photo, each, `photos[${i}]`)
  for (const [i, each] of lines.entries()) {
    const at = `lines[${i}]`
    if (typeof each !== 'object' || each === null || Array.isArray(each)) wrong(at)
    look(line, each, at)
  }
  return raw as JobFile
}
