import { type Ref, onBeforeUnmount, onMounted } from 'vue'
import { isOwnKey } from '../../keys'

/** Nearer than this a press is a tap, not a pull. */
const STILL_PX = 4
const STEP_PX = 80

/** What a drawing does when it is pulled, zoomed or tapped. */
interface Does {
  pan(px: number): void
  zoom(by: 1 | -1, atPx?: number): void
  fit(): void
  toStart(): void
  toEnd(): void
  tap(x: number, y: number): void
}

/** By key, while no field has the focus: to zoom from anywhere, to go along it where the drawing has the focus. */
function useKeysOf(svg: Ref<SVGSVGElement | undefined>, does: Does): void {
  function key(e: KeyboardEvent): void {
    if (!isOwnKey(e)) return
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
    const act = anywhere[e.key] ?? (e.target === svg.value ? here[e.key] : undefined)
    if (!act) return
    e.preventDefault()
    act()
  }
  onMounted(() => window.addEventListener('keydown', key))
  onBeforeUnmount(() => window.removeEventListener('keydown', key))
}

/** A drawing in the hand: pulled along, zoomed about the pointer, tapped; and by key. */
export function useHand(svg: Ref<SVGSVGElement | undefined>, does: Does) {
  useKeysOf(svg, does)
  let from: { x: number; moved: boolean } | null = null
  const at = (e: MouseEvent): { x: number; y: number } => {
    const box = svg.value?.getBoundingClientRect()
    return { x: e.clientX - (box?.left ?? 0), y: e.clientY - (box?.top ?? 0) }
  }
  function down(e: PointerEvent): void {
    if (e.button === 0) from = { x: e.clientX, moved: false }
  }
  function move(e: PointerEvent): void {
    if (!from) return
    const by = from.x - e.clientX
    if (!from.moved && Math.abs(by) < STILL_PX) return
    from = { x: e.clientX, moved: true }
    svg.value?.setPointerCapture(e.pointerId)
    does.pan(by)
  }
  function up(e: PointerEvent): void {
    const { x, y } = at(e)
    if (from && !from.moved) does.tap(x, y)
    from = null
  }
  const cancel = (): void => void (from = null)
  function wheel(e: WheelEvent): void {
    if (e.ctrlKey || e.metaKey) {
      e.preventDefault()
      does.zoom(e.deltaY < 0 ? 1 : -1, at(e).x)
    } else if (Math.abs(e.deltaX) > Math.abs(e.deltaY) || e.shiftKey) {
      e.preventDefault()
      does.pan(e.deltaX || e.deltaY)
    }
  }
  return { down, move, up, cancel, wheel }
}
