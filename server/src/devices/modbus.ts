import net from 'node:net'
import Modbus from 'jsmodbus'
import * as yup from 'yup'
import type { Silence } from '@jugalis/core'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'

const TYPES = ['int16', 'uint16', 'int32', 'uint32', 'float32', 'float64'] as const
/** How many registers of sixteen bits a value fills. */
const WORDS = { int16: 1, uint16: 1, int32: 2, uint32: 2, float32: 2, float64: 4 } as const
const register = yup
  .object({
    /** Which of the two kinds that hold a word. */
    table: yup.string().oneOf(['holding', 'input']).default('holding'),
    register: yup.number().integer().min(0).max(65_535).required(),
    type: yup
      .string()
      .oneOf([...TYPES])
      .required(),
    /** Which of several words comes first. */
    wordOrder: yup.string().oneOf(['high first', 'low first']).default('high first'),
    /** Which byte of a word comes first; the protocol says the high one, some instruments do otherwise. */
    byteOrder: yup.string().oneOf(['high first', 'low first']).default('high first'),
    scale: yup.number().required(),
    offset: yup.number().default(0),
  })
  .noUnknown()
/** Where a logger is read over Modbus TCP, and how its registers become bar and °C. */
export const modbusSettings = yup
  .object({
    host: yup.string().trim().min(1).max(253).required(),
    port: yup.number().integer().min(1).max(65_535).default(502),
    unit: yup.number().integer().min(0).max(255).default(1),
    pressure: register.required(),
    temperature: register.optional().default(undefined),
  })
  .noUnknown()
export type ModbusSettings = yup.InferType<typeof modbusSettings>
type Register = yup.InferType<typeof register>

/** Hosts that the server may speak to: those named in MODBUS_HOSTS, by commas; none but this machine otherwise. */
export function checkHost(host: string): void {
  const allowed = (process.env.MODBUS_HOSTS ?? '127.0.0.1').split(',').map((h) => h.trim())
  if (!allowed.includes(host))
    throw new HttpError(422, 'host-not-allowed', refusal('refused-the-server-may-not'), 'settings.host')
}

/** What kept an instrument from being read, by what was thrown while it was tried. */
export function silenceOf(error: unknown): Silence {
  if (error instanceof HttpError) return 'not-allowed'
  const { message = '', code = '' } = error as { message?: string; code?: string }
  if (code === 'ECONNREFUSED' || code === 'EHOSTUNREACH' || code === 'ENOTFOUND') return 'refused'
  if (message === 'short answer') return 'short-answer'
  if (message === 'no number') return 'no-number'
  // The library's own words for an answer that did not come in time.
  return message === 'no answer' ||
    /timed? ?out|offline|closed/i.test(`${message} ${String((error as { err?: string }).err)}`)
    ? 'no-answer'
    : 'other'
}

const WAIT_MS = 1500
/**
 * Value of one register or of several.
 * @param words as they came, high byte first in each.
 * @throws when fewer came than the type fills: what is missing is no zero.
 */
export function valueOf(
  words: readonly number[],
  register: Pick<Register, 'type' | 'wordOrder' | 'scale' | 'offset'> & Partial<Pick<Register, 'byteOrder'>>,
): number {
  const count = WORDS[register.type]
  if (words.length < count || !words.slice(0, count).every(Number.isInteger)) throw new Error('short answer')
  const taken = words.slice(0, count)
  if (register.wordOrder === 'low first') taken.reverse()
  const bytes = Buffer.alloc(count * 2)
  taken.forEach((word, i) =>
    register.byteOrder === 'low first'
      ? bytes.writeUInt16LE(word & 0xffff, i * 2)
      : bytes.writeUInt16BE(word & 0xffff, i * 2),
  )
  return READ[register.type](bytes) * register.scale + register.offset
}
const READ: Readonly<Record<Register['type'], (bytes: Buffer) => number>> = {
  int16: (b) => b.readInt16BE(0),
  uint16: (b) => b.readUInt16BE(0),
  int32: (b) => b.readInt32BE(0),
  uint32: (b) => b.readUInt32BE(0),
  float32: (b) => b.readFloatBE(0),
  float64: (b) => b.readDoubleBE(0),
}

/** Reads a logger once. @throws when it does not answer in time, or with something that is no number. */
export async function readModbus(
  settings: ModbusSettings,
): Promise<{ bar: number; temperatureC: number | null }> {
  checkHost(settings.host)
  const socket = new net.Socket()
  socket.setTimeout(WAIT_MS, () => socket.destroy(new Error('no answer')))
  const client = new Modbus.client.TCP(socket, settings.unit, WAIT_MS)
  // However slowly it speaks: what comes later than this is a gap.
  const late = setTimeout(() => socket.destroy(new Error('no answer')), 2 * WAIT_MS)
  try {
    await new Promise<void>((resolve, reject) => {
      socket.once('error', reject)
      socket.connect({ host: settings.host, port: settings.port }, () => resolve())
    })
    const one = async (register: Register): Promise<number> => {
      const words = WORDS[register.type]
      const answer = await (register.table === 'input'
        ? client.readInputRegisters(register.register, words)
        : client.readHoldingRegisters(register.register, words))
      const value = valueOf(answer.response.body.valuesAsArray as number[], register)
      if (!Number.isFinite(value)) throw new Error('no number')
      return value
    }
    const bar = await one(settings.pressure)
    return { bar, temperatureC: settings.temperature ? await one(settings.temperature) : null }
  } finally {
    clearTimeout(late)
    socket.destroy()
  }
}
