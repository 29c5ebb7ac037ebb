import type { Language, QuantityKind, Reader, System } from '@jugalis/core'
import { defineStore } from 'pinia'
import { computed, reactive, watch } from 'vue'
import { keepJson, readJson } from '../stored'
import { hours } from '../when'
import { language, turnTo } from '../words/language'
import { reading } from '../words/word'

interface Prefs {
  theme: 'device' | 'day' | 'night'
  /** Units this person has chosen for some kinds of quantity; the school's for the rest. */
  own: Partial<Record<QuantityKind, System>>
  decimal: 'device' | '.' | ','
  hours: 24 | 12
  language: Language
  wet: boolean
  sound: boolean
  /** Notices of this device for clocks, while the page is out of sight. */
  notices: boolean
  /** Single letters and figures as keys: off for those who speak to their device. */
  keys: boolean
  /** The dock shows the clocks of joints that this person had a hand in. */
  mine: boolean
}
const KEY = 'jugalis-prefs'
const first: Prefs = {
  theme: 'device',
  own: {},
  decimal: 'device',
  hours: 24,
  language: 'en',
  wet: false,
  sound: true,
  notices: false,
  keys: true,
  mine: false,
}
/** What is kept with the person, wherever they sign in; the rest belongs to the device in their hand. */
const PERSONAL = ['own', 'decimal', 'hours', 'language', 'keys'] as const
export type Personal = Pick<Prefs, (typeof PERSONAL)[number]>

const remembered = (): Partial<Prefs> => readJson<Partial<Prefs>>(KEY) ?? {}

/** The language that was chosen on this device: known before anything is drawn. */
export const languageKept = (): unknown => remembered().language

/** Choices of this device, remembered. */
export const usePrefs = defineStore('prefs', () => {
  const prefs = reactive<Prefs>({ ...first, ...remembered() })
  const dark = window.matchMedia('(prefers-color-scheme: dark)')
  const night = computed(() => prefs.theme === 'night' || (prefs.theme === 'device' && dark.matches))
  const apply = (): void => {
    document.documentElement.dataset.theme = night.value ? 'night' : 'day'
    hours.value = prefs.hours
  }
  dark.addEventListener('change', apply)
  watch(
    prefs,
    () => {
      keepJson(KEY, prefs)
      apply()
    },
    { immediate: true },
  )
  const device = (1.1).toLocaleString().includes(',') ? ',' : '.'
  const readerFor = (school: System): Reader => ({
    units: school,
    own: prefs.own,
    decimal: prefs.decimal === 'device' ? device : prefs.decimal,
    language: language.value,
  })
  watch(
    () => prefs.language,
    (wanted) => void turnTo(wanted),
  )
  // Outside of a job nothing else says who reads.
  watch(
    () => [prefs.own, prefs.decimal, language.value],
    () => (reading.value = readerFor(reading.value.units)),
    { immediate: true },
  )
  /** Takes what the server keeps for the person who signed in; what it has not, stays as it is here. */
  function take(personal: Partial<Personal> | null | undefined): void {
    for (const key of PERSONAL)
      if (personal?.[key] !== undefined) Object.assign(prefs, { [key]: personal[key] })
  }
  const personal = (): Personal => ({
    own: { ...prefs.own },
    decimal: prefs.decimal,
    hours: prefs.hours,
    language: prefs.language,
    keys: prefs.keys,
  })
  const flipTheme = (): void => void (prefs.theme = night.value ? 'day' : 'night')
  return { prefs, night, readerFor, flipTheme, take, personal }
})
