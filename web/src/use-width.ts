import { type Ref, onBeforeUnmount, onMounted, ref } from 'vue'

/** Width of an element in px, kept up to date: drawings are laid out in real pixels so that text keeps its size. */
export function useWidth(el: Readonly<Ref<HTMLElement | null | undefined>>, first = 800): Ref<number> {
  const width = ref(first)
  let observer: ResizeObserver | undefined
  onMounted(() => {
    if (!el.value) return
    observer = new ResizeObserver(([entry]) => {
      if (entry) width.value = Math.max(200, Math.floor(entry.contentRect.width))
    })
    observer.observe(el.value)
  })
  onBeforeUnmount(() => observer?.disconnect())
  return width
}
