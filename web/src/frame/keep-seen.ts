/** How much of a thing must be free of what lies over it, from its top, px. */
const SEEN_PX = 22

/** Whether a thing can't be seen: a strip that stays while the page runs under it lies over it, or it is out of the window. */
function hidden(element: Element): boolean {
  const box = (element.closest('label') ?? element).getBoundingClientRect()
  if (box.width < 1 || box.height < 1) return false
  const top = document.elementFromPoint(box.left + box.width / 2, box.top + Math.min(box.height / 2, SEEN_PX))
  return !top || !(element.contains(top) || top.contains(element) || element.closest('label')?.contains(top))
}

/** Whoever goes by keys sees where they are: what gets the focus under a strip is brought out from under it. */
export function keepFocusSeen(): void {
  let byKey = false
  window.addEventListener('keydown', () => (byKey = true), true)
  window.addEventListener('pointerdown', () => (byKey = false), true)
  document.addEventListener('focusin', (ev) => {
    const target = ev.target
    if (byKey && target instanceof Element && hidden(target))
      target.scrollIntoView({ block: 'center', inline: 'center' })
  })
}
