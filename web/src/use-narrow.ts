import { type Ref, onBeforeUnmount, onMounted, ref } from 'vue'

/** True on a phone: one hand, one thing at a time. */
export function useNarrow(): Ref<boolean> {
  const media = window.matchMedia('(max-width: 720px)')
  const narrow = ref(media.matches)
  const follow = (): void => void (narrow.value = media.matches)
  onMounted(() => media.addEventListener('change', follow))
  onBeforeUnmount(() => media.removeEventListener('change', follow))
  return narrow
}
