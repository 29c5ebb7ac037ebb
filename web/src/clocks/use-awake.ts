import { type ComputedRef, onBeforeUnmount, watch } from 'vue'

interface Lock {
  release(): Promise<void>
}
const wake = (): { request(kind: 'screen'): Promise<Lock> } | undefined =>
  (navigator as { wakeLock?: { request(kind: 'screen'): Promise<Lock> } }).wakeLock

/** Can this device be kept from going dark? */
export const canStayAwake = (): boolean => wake() !== undefined

/** Keeps the screen awake while a window or a hold runs, and takes the lock again when the page comes back. */
export function useAwake(busy: ComputedRef<boolean>): void {
  let lock: Lock | null = null
  async function set(): Promise<void> {
    if (busy.value && document.visibilityState === 'visible')
      lock ??=
        (await wake()
          ?.request('screen')
          .catch(() => null)) ?? null
    else {
      const held = lock
      lock = null
      await held?.release().catch(() => undefined)
    }
  }
  const back = (): void => {
    // A lock ends with the page out of sight.
    lock = null
    void set()
  }
  watch(busy, () => void set(), { immediate: true })
  document.addEventListener('visibilitychange', back)
  onBeforeUnmount(() => {
    document.removeEventListener('visibilitychange', back)
    void lock?.release().catch(() => undefined)
  })
}
