import { type ShallowRef, type WatchSource, onScopeDispose, shallowRef, watch } from 'vue'

/** Does something once what stands now has been painted; asked again before that, only the last is done. */
export function useAfterPaint(): (act: () => void) => void {
  let frame = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  const stop = (): void => {
    cancelAnimationFrame(frame)
    clearTimeout(timer)
  }
  onScopeDispose(stop)
  return (act) => {
    stop()
    // What a frame asks for is done before it is painted: the paint comes between the two.
    frame = requestAnimationFrame(() => (timer = setTimeout(act)))
  }
}

/** A value that follows its source at once, or after the next paint where it is so large that something else comes first. */
export function usePaintedLater<T>(source: WatchSource<T>, isLarge: (value: T) => boolean): ShallowRef<T> {
  const value = typeof source === 'function' ? source : (): T => source.value
  const followed = shallowRef(value()) as ShallowRef<T>
  const afterPaint = useAfterPaint()
  watch(source, (now) => {
    if (isLarge(now)) afterPaint(() => (followed.value = now))
    else followed.value = now
  })
  return followed
}
