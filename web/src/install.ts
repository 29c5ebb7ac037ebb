import { ref } from 'vue'
import { keepText, readText } from './stored'

/** The browser's own question, kept until somebody wants it. Not every browser asks. */
interface InstallQuestion extends Event {
  prompt(): Promise<unknown>
}
const ANSWERED = 'jugalis-install'
const question = ref<InstallQuestion | null>(null)
/** Offered once: what was put away is not offered again, but stays in Settings. */
export const offered = ref(readText(ANSWERED) === null)
export const installable = question

window.addEventListener('beforeinstallprompt', (event) => {
  event.preventDefault()
  question.value = event as InstallQuestion
})
window.addEventListener('appinstalled', () => {
  question.value = null
  putAway()
})
export function putAway(): void {
  offered.value = false
  keepText(ANSWERED, 'yes')
}
export async function install(): Promise<void> {
  await question.value?.prompt()
  question.value = null
  putAway()
}
export const installed = (): boolean => window.matchMedia('(display-mode: standalone)').matches
