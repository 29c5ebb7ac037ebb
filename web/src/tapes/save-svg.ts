import { saveFile } from '../save-file'
/** Style properties that a drawing takes from the page. */
const CARRIED = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'font',
  'text-anchor',
  'opacity',
] as const

/** A drawing as a file of its own: what the page's styles say is written into it. */
export function svgText(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  const [here, there] = [svg.querySelectorAll('*'), copy.querySelectorAll('*')]
  here.forEach((el, i) => {
    if (!(el instanceof SVGElement) || el.closest('defs')) return
    const style = getComputedStyle(el)
    const own = there[i] as SVGElement
    // The page's colours are variables: what is drawn elsewhere needs their values.
    for (const name of CARRIED) {
      const value = style.getPropertyValue(name)
      if (value) own.style.setProperty(name, value)
    }
  })
  const root = getComputedStyle(document.documentElement)
  const text = new XMLSerializer().serializeToString(copy)
  return text.replace(
    /var\((--[a-z-]+)(?:, ?[^)]*)?\)/g,
    (all, name: string) => root.getPropertyValue(name).trim() || all,
  )
}

export function saveSvg(svg: SVGSVGElement | undefined, name: string): void {
  if (!svg) return
  saveFile(svgText(svg), 'image/svg+xml', `${name}.svg`)
}
