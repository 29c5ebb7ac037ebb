import { ref } from 'vue'
import { BASE, here } from './base'

/** A newer version of the interface is here and waits: it is put in when somebody says so, never in mid work. */
export const newer = ref<(() => void) | null>(null)
/** The first page is drawn before the rest is fetched for work without signal. */
const AFTER_MS = 4000

/** Keeps the interface on this device, so that a page or a label opens without signal. Needs HTTPS or this machine. */
export function keepForNoSignal(): void {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return
  setTimeout(() => {
    void import('workbox-window').then(({ Workbox }) => {
      const worker = new Workbox(here('/sw.js'), { scope: BASE })
      let asked = false
      const waits = (): void => {
        // Put in from another tab: this one may have a sheet open. It goes over when somebody says so here.
        worker.addEventListener('controlling', ({ isUpdate }) => {
          if (!isUpdate) return
          if (asked) window.location.reload()
          else newer.value = () => window.location.reload()
        })
        newer.value = () => {
          asked = true
          worker.messageSkipWaiting()
        }
      }
      worker.addEventListener('installed', ({ isExternal }) => {
        if (isExternal) waits()
      })
      worker.addEventListener('waiting', waits)
      void worker.register({ immediate: true })
    })
  }, AFTER_MS)
}
