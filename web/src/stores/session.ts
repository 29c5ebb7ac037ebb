import { defineStore } from 'pinia'
import { ref } from 'vue'
import { NoSignal, Refused, api } from '../api'
import { dropAll } from './kept-log'

export interface Person {
  personId: string
  name: string
  orgId: string
}
/** Who signed in last on this device; taken away by signing out. */
const KEY = 'jugalis-person'
const remembered = (): Person | null => JSON.parse(localStorage.getItem(KEY) ?? 'null') as Person | null

export const useSession = defineStore('session', () => {
  const person = ref<Person | null>(null)
  /** The server does not know this person any more: work goes on here, and waits until they sign in again. */
  const lapsed = ref(false)
  let asked: Promise<void> | null = null

  function isNow(p: Person): void {
    person.value = p
    lapsed.value = false
    localStorage.setItem(KEY, JSON.stringify(p))
  }
  /** What an answer of the server says about the session: asked as this person, and let in or not. */
  function heard(e?: unknown): void {
    if (e instanceof Refused ? e.status === 401 : !e) lapsed.value = Boolean(e)
  }
  async function check(): Promise<void> {
    try {
      const now = (await api<{ person: Person | null }>('GET', '/session')).person
      const other = person.value !== null && person.value.personId !== now?.personId
      if (now) isNow(now)
      else if (person.value) lapsed.value = true
      // Somebody else has signed in since: what was opened was opened for another.
      if (now && other) location.reload()
    } catch (e) {
      // Without signal the last person on this device goes on; the server will ask again when it is back.
      if (!(e instanceof NoSignal)) heard(e)
    }
  }
  /** Who is here. A person this device remembers does not wait for the server's answer. */
  async function ask(): Promise<void> {
    if (!asked) {
      person.value = remembered()
      asked = check()
    }
    if (!person.value) await asked
  }
  async function signIn(login: string, password: string): Promise<void> {
    isNow((await api<{ person: Person }>('POST', '/session', { login, password })).person)
  }
  async function signOut(): Promise<void> {
    await api('DELETE', '/session').catch(() => undefined)
    localStorage.removeItem(KEY)
    await dropAll()
    person.value = null
    lapsed.value = false
  }
  // Another tab signed in as somebody else, or out: nothing is written here under the name that was.
  window.addEventListener('storage', (e) => {
    if (e.key === KEY && remembered()?.personId !== person.value?.personId) location.reload()
  })
  return { person, lapsed, ask, heard, signIn, signOut }
})
