import { type Ref, onBeforeUnmount, onMounted, ref } from 'vue'

/** Shows something over the whole screen, lying, where the browser lets it; elsewhere over the whole of its window. */
export function useWholeScreen(box: Ref<HTMLElement | undefined>) {
  const whole = ref(false)
  async function open(): Promise<void> {
    whole.value = true
    try {
      await box.value?.requestFullscreen()
      const turn = screen.orientation as ScreenOrientation & { lock?: (to: string) => Promise<void> }
      await turn.lock?.('landscape')
    } catch {
      // A browser that does neither shows it in its window, for the hand to turn.
    }
  }
  function close(): void {
    whole.value = false
    if (document.fullscreenElement) void document.exitFullscreen()
  }
  const left = (): void => {
    if (!document.fullscreenElement) whole.value = false
  }
  onMounted(() => document.addEventListener('fullscreenchange', left))
  onBeforeUnmount(() => {
    document.removeEventListener('fullscreenchange', left)
    close()
  })
  return { whole, open, close }
}
