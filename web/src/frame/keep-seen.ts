/** How much of a thing must be free of what lies over it, from its top, px. */
const SEEN_PX = 22

/** What lies over a thing in the window: a strip that stays while the page runs under it; null where it is free. */
function over(e: Element): Element | null {
  const box = (e.closest('label') ?? e).getBoundingClientRect()
  if (box.width < 1 || box.height < 1) return null
  const top = document.elementFromPoint(box.left + box.width / 2, box.top + Math.min(box.height / 2, SEEN_PX))
  const own = !top || e.contains(top) || top.contains(e) || e.closest('label')?.contains(top)
  return own ? null : top
}

/** Whoever goes by keys sees where they are: what gets the focus under a strip is brought out from under it. */
export function keepFocusSeen(): void {
  let byKey = false
  window.addEventListener('keydown', () => (byKey = true), true)
  window.addEventListener('pointerdown', () => (byKey = false), true)
  document.addEventListener('focusin', (ev) => {
    const e = ev.target
    if (byKey && e instanceof Element && over(e)) e.scrollIntoView({ block: 'center' })
  })
}
