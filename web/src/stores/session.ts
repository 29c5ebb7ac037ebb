import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api } from '../api'
import { dropAll } from './kept-log'

export interface Person {
  personId: string
  name: string
  orgId: string
}
export const useSession = defineStore('session', () => {
  const person = ref<Person | null>(null)
  const asked = ref(false)
  async function ask(): Promise<void> {
    if (asked.value) return
    try {
      person.value = (await api<{ person: Person | null }>('GET', '/session')).person
      if (person.value) localStorage.setItem('jugalis-person', JSON.stringify(person.value))
    } catch {
      // Without signal the last person on this device goes on; the server will ask again when it is back.
      person.value = JSON.parse(localStorage.getItem('jugalis-person') ?? 'null') as Person | null
    }
    asked.value = true
  }
  async function signIn(login: string, password: string): Promise<void> {
    person.value = (await api<{ person: Person }>('POST', '/session', { login, password })).person
    localStorage.setItem('jugalis-person', JSON.stringify(person.value))
    asked.value = true
  }
  async function signOut(): Promise<void> {
    await api('DELETE', '/session').catch(() => undefined)
    localStorage.removeItem('jugalis-person')
    await dropAll()
    person.value = null
  }
  return { person, ask, signIn, signOut }
})
