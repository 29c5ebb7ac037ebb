import { defineStore } from 'pinia'
import { type Ref, ref, watch } from 'vue'
import { NoSignal, Refused, api } from '../api'
import { comeByPasskey } from '../passkeys'
import { dropAll } from '../sync/kept-log'
import { keepJson, keepText, readJson, readText } from '../stored'
import { type Personal, usePrefs } from './prefs'

export interface Person {
  personId: string
  name: string
  orgId: string
  /** Brings people in and lets them go. */
  admin?: boolean
}
/** Who signed in last on this device; taken away by signing out. */
const KEY = 'jugalis-person'
function remembered(): Person | null {
  const person = readJson<Partial<Person>>(KEY)
  return typeof person?.personId === 'string' && typeof person.name === 'string' ? (person as Person) : null
}
/** Signed out on this device and the server has not heard of it yet. */
const OUT = 'jugalis-signed-out'
const markSignedOut = (on: boolean): void => void keepText(OUT, on ? '1' : null)
const isSignedOut = (): boolean => readText(OUT) === '1'

/** The choices of a person: read when they come, sent one after another as they change, so that the last one is kept. */
function keptChoices(person: Ref<Person | null>) {
  const prefs = usePrefs()
  /** Settings of this person have been read: what is changed from then on is kept with them. */
  let settled = false
  let saving: Promise<unknown> = Promise.resolve()
  /** As the server has them: what was only just read is not sent back. */
  let known = ''
  const now = (): string => JSON.stringify(prefs.personal())
  watch(now, (chosen) => {
    if (!settled || !person.value || chosen === known) return
    known = chosen
    saving = saving.then(() => api('PUT', '/session/settings', prefs.personal()).catch(() => undefined))
  })
  return {
    isSettled: () => settled,
    forget: () => void (settled = false),
    async read(): Promise<void> {
      try {
        const kept = await api<{ settings: Partial<Personal> | null }>('GET', '/session/settings')
        prefs.take(kept.settings)
        known = now()
        settled = true
      } catch {
        /* the choices of this device go on; asked again when somebody signs in */
      }
    },
  }
}

/** The ways in and out. */
function doorsOf(on: { isNow(now: Person): void; check(): Promise<void>; left(): void }) {
  return {
    async signIn(login: string, password: string): Promise<void> {
      const answer = await api<{ person: Person }>('POST', '/session', { login, password })
      markSignedOut(false)
      on.isNow(answer.person)
    },
    /** Signs in with a passkey of this device. @returns whether one was used. */
    async signInByKey(): Promise<boolean> {
      const person = await comeByPasskey()
      if (!person) return false
      markSignedOut(false)
      on.isNow(person)
      return true
    },
    /** Comes in by an invitation; whoever was here before is not here any more. */
    async comeIn(path: string, coming: Readonly<Record<string, string>>): Promise<void> {
      await api('POST', path, coming)
      await dropAll().catch(() => undefined)
      markSignedOut(false)
      await on.check()
    },
    /** Another takes this device over with their PIN: what is opened is opened anew, for them. */
    async takeOver(personId: string, pin: string): Promise<void> {
      const { person } = await api<{ person: Person }>('POST', '/session/hands', { personId, pin })
      await dropAll().catch(() => undefined)
      keepJson(KEY, person)
      location.reload()
    },
    async signOut(): Promise<void> {
      // Without signal it holds here at once, and the server is told when it answers again.
      const told = await api('DELETE', '/session').then(
        () => true,
        (e: unknown) => !(e instanceof NoSignal),
      )
      keepText(KEY, null)
      markSignedOut(!told)
      await dropAll().catch(() => undefined)
      on.left()
    },
  }
}

export const useSession = defineStore('session', () => {
  const person = ref<Person | null>(null)
  /** The server does not know this person any more: work goes on here, and waits until they sign in again. */
  const lapsed = ref(false)
  /** The demo says with what password its people sign in. */
  const demo = ref(false)
  /** This device goes from hand to hand: each says with a PIN who works on it. */
  const shared = ref(false)
  const choices = keptChoices(person)
  let asked: Promise<void> | null = null

  function isNow(now: Person): void {
    const other = person.value?.personId !== now.personId
    person.value = now
    lapsed.value = false
    keepJson(KEY, now)
    if (other || !choices.isSettled()) void choices.read()
  }
  /** What an answer of the server says about the session: asked as this person, and let in or not. */
  function heard(error?: unknown): void {
    if (error instanceof Refused ? error.status === 401 : !error) lapsed.value = Boolean(error)
  }
  async function check(): Promise<void> {
    try {
      // Signed out while there was no signal: the server is told before it is asked who is here.
      if (isSignedOut()) {
        await api('DELETE', '/session')
        markSignedOut(false)
      }
      const said = await api<{ person: Person | null; demo?: boolean; shared?: boolean }>('GET', '/session')
      const now = said.person
      demo.value = said.demo ?? false
      shared.value = said.shared ?? false
      const other = person.value !== null && person.value.personId !== now?.personId
      if (now) isNow(now)
      else if (person.value) lapsed.value = true
      // Somebody else has signed in since: what was opened was opened for another.
      if (now && other) location.reload()
    } catch (error) {
      // Without signal the last person on this device goes on; the server will ask again when it is back.
      if (!(error instanceof NoSignal)) heard(error)
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
  const doors = doorsOf({
    isNow,
    check,
    left() {
      person.value = null
      lapsed.value = false
      choices.forget()
      asked = null
    },
  })
  // Another tab signed in as somebody else, or out: nothing is written here under the name that was.
  window.addEventListener('storage', (event) => {
    if (event.key === KEY && remembered()?.personId !== person.value?.personId) location.reload()
  })
  return { person, lapsed, demo, shared, ask, heard, ...doors }
})
