import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'
import bcrypt from 'bcryptjs'
import { promisify } from 'node:util'

/** The password that the demo's people are documented with: no other place may know anybody by it. */
export const PUBLISHED = 'tide-and-pipe'
/** Shortest and longest that are taken (NIST SP 800-63B: eight at least, no rules of composition). */
export const LEAST_LETTERS = 8
export const MOST_LETTERS = 200

/** scrypt as OWASP names it where argon2id is not at hand: N = 2^15, r = 8, p = 3. */
const COST = { N: 2 ** 15, r: 8, p: 3 } as const
const KEY_BYTES = 32
const SALT_BYTES = 16
const MEMORY_BYTES = 64 * 1024 * 1024
type Costs = { N: number; r: number; p: number }
const derive = promisify<string, Buffer, number, Costs & { maxmem: number }, Buffer>(scrypt)
const keyOf = (password: string, salt: Buffer, cost: Costs): Promise<Buffer> =>
  derive(password.normalize('NFC'), salt, KEY_BYTES, { ...cost, maxmem: MEMORY_BYTES })

/** A password as it is kept: how it was made, its salt, its key. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES)
  const key = await keyOf(password, salt, COST)
  return ['scrypt', COST.N, COST.r, COST.p, salt.toString('base64'), key.toString('base64')].join('$')
}
// Compared with when nobody has that login, so that both answers take as long.
const NOBODY = `scrypt$${COST.N}$${COST.r}$${COST.p}$${Buffer.alloc(SALT_BYTES).toString('base64')}$${Buffer.alloc(KEY_BYTES).toString('base64')}`

/** Is this the password that is kept? Also of how passwords were kept before. Null: nobody, which takes as long. */
export async function isPassword(password: string, kept: string | null): Promise<boolean> {
  if (kept?.startsWith('$2')) return bcrypt.compare(password, kept)
  const [, blocks, size, lanes, salt = '', key = ''] = (kept ?? NOBODY).split('$')
  const cost = { N: Number(blocks), r: Number(size), p: Number(lanes) }
  const found = await keyOf(password, Buffer.from(salt, 'base64'), cost)
  const wanted = Buffer.from(key, 'base64')
  return found.length === wanted.length && timingSafeEqual(found, wanted) && kept !== null
}
/** Was it kept in a way that is no longer the one in use? It is made anew when it is next known. */
export const isOldHash = (kept: string): boolean => !kept.startsWith(`scrypt$${COST.N}$${COST.r}$${COST.p}$`)

/** Fewest and most digits of a PIN. */
const [LEAST_DIGITS, MOST_DIGITS] = [4, 8]
/** Why a PIN is not taken; null where it is. One digit again and again, and digits in a row, are tried first. */
export function pinFault(pin: string): 'digits' | 'plain' | null {
  if (!/^\d+$/.test(pin) || pin.length < LEAST_DIGITS || pin.length > MOST_DIGITS) return 'digits'
  const steps = new Set([...pin].slice(1).map((digit, i) => Number(digit) - Number(pin[i])))
  return steps.size === 1 && [-1, 0, 1].includes([...steps][0] as number) ? 'plain' : null
}

/** Why a new password is not taken; null where it is. */
export function passwordFault(
  password: string,
  login: string,
): 'short' | 'long' | 'like-login' | 'published' | null {
  const letters = [...password].length
  if (letters < LEAST_LETTERS) return 'short'
  if (letters > MOST_LETTERS) return 'long'
  const plain = password.toLowerCase()
  if (plain === PUBLISHED) return 'published'
  return plain === login.toLowerCase() || new Set(plain).size < 3 ? 'like-login' : null
}
