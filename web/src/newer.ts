import { ref } from 'vue'

/** A newer version of the interface is here and waits: it is put in when somebody says so, never in mid work. */
export const newer = ref<(() => void) | null>(null)
/** The first page is drawn before the rest is fetched for work without signal. */
const AFTER_MS = 4000

/** Keeps the interface on this device, so that a page or a label opens without signal. Needs HTTPS or this machine. */
export function keepForNoSignal(): void {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return
  setTimeout(() => {
    void import('virtual:pwa-register').then(({ registerSW }) => {
      let asked = false
      const update = registerSW({
        immediate: true,
        onNeedRefresh: () => {
          newer.value = () => {
            asked = true
            void update(true)
          }
        },
        // Put in from another tab: this one may have a sheet open. It goes over when somebody says so here.
        onNeedReload: () => {
          if (asked) window.location.reload()
          else newer.value = () => window.location.reload()
        },
      })
    })
  }, AFTER_MS)
}
