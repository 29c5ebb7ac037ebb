import { type Ref, onBeforeUnmount, onMounted } from 'vue'
import { isOwnKey } from '../../keys'

/** Nearer than this a press is a tap, not a pull. */
const STILL_PX = 4
const STEP_PX = 80

/** What a drawing does when it is pulled, zoomed or tapped. */
interface Does {
  pan(px: number, py?: number): void
  zoom(by: 1 | -1, atPx?: number, atPy?: number): void
  fit(): void
  toStart(): void
  toEnd(): void
  tap(x: number, y: number): void
}

/** By key, while no field has the focus: to zoom from anywhere, to go along it where the drawing has the focus. */
function useKeysOf(svg: Ref<SVGSVGElement | undefined>, does: Does): void {
  function key(event: KeyboardEvent): void {
    if (!isOwnKey(event)) return
    const anywhere: Record<string, () => void> = {
      '+': () => does.zoom(1),
      '-': () => does.zoom(-1),
      '0': does.fit,
    }
    const here: Record<string, () => void> = {
      ArrowLeft: () => does.pan(-STEP_PX),
      ArrowRight: () => does.pan(STEP_PX),
      Home: does.toStart,
      End: does.toEnd,
    }
    const act = anywhere[event.key] ?? (event.target === svg.value ? here[event.key] : undefined)
    if (!act) return
    event.preventDefault()
    act()
  }
  onMounted(() => window.addEventListener('keydown', key))
  onBeforeUnmount(() => window.removeEventListener('keydown', key))
}

/** A drawing in the hand: pulled along, zoomed about the pointer, tapped; and by key. */
export function useHand(svg: Ref<SVGSVGElement | undefined>, does: Does) {
  useKeysOf(svg, does)
  let from: { x: number; y: number; moved: boolean } | null = null
  const at = (event: MouseEvent): { x: number; y: number } => {
    const box = svg.value?.getBoundingClientRect()
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) }
  }
  function down(event: PointerEvent): void {
    if (event.button === 0) from = { x: event.clientX, y: event.clientY, moved: false }
  }
  function move(event: PointerEvent): void {
    if (!from) return
    const [by, down] = [from.x - event.clientX, from.y - event.clientY]
    if (!from.moved && Math.abs(by) < STILL_PX && Math.abs(down) < STILL_PX) return
    from = { x: event.clientX, y: event.clientY, moved: true }
    svg.value?.setPointerCapture(event.pointerId)
    does.pan(by, down)
  }
  function up(event: PointerEvent): void {
    const { x, y } = at(event)
    if (from && !from.moved) does.tap(x, y)
    from = null
  }
  const cancel = (): void => void (from = null)
  function wheel(event: WheelEvent): void {
    if (event.ctrlKey || event.metaKey) {
      event.preventDefault()
      does.zoom(event.deltaY < 0 ? 1 : -1, at(event).x, at(event).y)
    } else if (Math.abs(event.deltaX) > Math.abs(event.deltaY) || event.shiftKey) {
      event.preventDefault()
      does.pan(event.deltaX || event.deltaY)
    }
  }
  return { down, move, up, cancel, wheel }
}
