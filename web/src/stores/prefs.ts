import type { Reader } from '@jugalis/core'
import { defineStore } from 'pinia'
import { computed, reactive, watch } from 'vue'

interface Prefs {
  theme: 'device' | 'day' | 'night'
  units: 'job' | 'metric' | 'inch'
  wet: boolean
  sound: boolean
  /** The dock shows the clocks of joints that this person had a hand in. */
  mine: boolean
}
const KEY = 'jugalis-prefs'
const first: Prefs = { theme: 'device', units: 'job', wet: false, sound: true, mine: false }

function remembered(): Partial<Prefs> {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Prefs>
  } catch {
    return {}
  }
}

/** Choices of this device, remembered. */
export const usePrefs = defineStore('prefs', () => {
  const prefs = reactive<Prefs>({ ...first, ...remembered() })
  const dark = window.matchMedia('(prefers-color-scheme: dark)')
  const night = computed(() => prefs.theme === 'night' || (prefs.theme === 'device' && dark.matches))
  const apply = (): void => {
    document.documentElement.dataset.theme = night.value ? 'night' : 'day'
  }
  dark.addEventListener('change', apply)
  watch(
    prefs,
    () => {
      localStorage.setItem(KEY, JSON.stringify(prefs))
      apply()
    },
    { immediate: true },
  )
  const readerFor = (school: 'inch' | 'metric'): Reader => ({
    units: prefs.units === 'job' ? school : prefs.units,
    decimal: (1.1).toLocaleString().includes(',') ? ',' : '.',
  })
  const flipTheme = (): void => void (prefs.theme = night.value ? 'day' : 'night')
  return { prefs, night, readerFor, flipTheme }
})
