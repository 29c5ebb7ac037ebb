import { api } from './api'
import type { Person } from './stores/session'

/** What a browser knows of where it is. */
export interface Where {
  isSecureContext: boolean
  hostname: string
  /** Whether it can keep passkeys at all. */
  able: boolean
}
const hereNow = (): Where => ({
  isSecureContext: window.isSecureContext,
  hostname: window.location.hostname,
  able: 'PublicKeyCredential' in window,
})
/** A number is no name: a passkey is for a name alone. */
const isNumber = (hostname: string): boolean => /^[\d.]+$|:|^\[/.test(hostname)
/** Why no passkey can be used here; null where one can. */
export function noPasskeys(where: Where = hereNow()): 'no-name' | 'no-device' | null {
  if (!where.isSecureContext || isNumber(where.hostname)) return 'no-name'
  return where.able ? null : 'no-device'
}

/** Asked of the device; null where its owner left it, or it has none. What the server refuses is thrown. */
async function ofDevice<Answer>(ask: () => Promise<Answer>): Promise<Answer | null> {
  try {
    return await ask()
  } catch {
    return null
  }
}
/** Makes a passkey on this device and tells the server. @returns whether one was made. */
export async function makePasskey(name: string, password: string): Promise<boolean> {
  const { startRegistration } = await import('@simplewebauthn/browser')
  type Options = Parameters<typeof startRegistration>[0]['optionsJSON']
  const { options } = await api<{ options: Options }>('POST', '/session/passkeys/begin', { password })
  const answer = await ofDevice(() => startRegistration({ optionsJSON: options }))
  if (!answer) return false
  await api('POST', '/session/passkeys', { name, answer })
  return true
}
/** Signs in with a passkey of this device. @returns who that is; null where none was used. */
export async function comeByPasskey(): Promise<Person | null> {
  const { startAuthentication } = await import('@simplewebauthn/browser')
  type Options = Parameters<typeof startAuthentication>[0]['optionsJSON']
  const { options } = await api<{ options: Options }>('POST', '/session/passkey/begin')
  const answer = await ofDevice(() => startAuthentication({ optionsJSON: options }))
  return answer && (await api<{ person: Person }>('POST', '/session/passkey', { answer })).person
}
