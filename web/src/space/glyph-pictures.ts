import { INK, PAPER } from '../tapes/glyph-shapes'

/** Colours of the page that glyphs are drawn in. */
export interface Colours {
  ink: string
  paper: string
  held: string
}
/** Drawing units of a glyph's box that is drawn, a little larger than the glyph: some of its strokes reach out. */
const BOX = { x: -2, y: -2, wide: 40, high: 24 }
/** Pictures are made finer than they are drawn: turned, they stay sharp. */
const FINER = 2

/**
 * Pictures of glyphs, each made once in a size and in the page's colours: hundreds of them are drawn in a frame.
 * @param ready is told when one more has been made.
 */
export class GlyphPictures {
  private readonly made = new Map<string, HTMLCanvasElement | null>()
  private of = ''

  constructor(private readonly ready: () => void) {}

  /** @param scale px of the screen to a unit of the glyph's own box. */
  get(body: string, { ink, paper }: Colours, scale: number): HTMLCanvasElement | null {
    const of = `${ink} ${paper} ${scale}`
    if (of !== this.of) {
      this.of = of
      this.made.clear()
    }
    const known = this.made.get(body)
    if (known === undefined) this.make(of, body, ink, paper, scale)
    return known ?? null
  }
  private make(of: string, body: string, ink: string, paper: string, scale: number): void {
    this.made.set(body, null)
    const { x, y, wide, high } = BOX
    const drawn = body.replaceAll(PAPER, paper).replaceAll(INK, ink)
    const [across, down] = [Math.ceil(wide * scale * FINER), Math.ceil(high * scale * FINER)]
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${across}" height="${down}" viewBox="${x} ${y} ${wide} ${high}">${drawn}</svg>`
    const image = new Image(across, down)
    image.onload = () => {
      if (of !== this.of) return
      const picture = document.createElement('canvas')
      picture.width = across
      picture.height = down
      picture.getContext('2d')?.drawImage(image, 0, 0, across, down)
      this.made.set(body, picture)
      this.ready()
    }
    image.src = `data:image/svg+xml,${encodeURIComponent(svg)}`
  }
}
/** Draws a glyph's picture so that the middle of its box of 36 by 20 lies at 0. @param perUnit units of the drawing to one of the glyph. */
export function drawGlyph(on: CanvasRenderingContext2D, picture: HTMLCanvasElement, perUnit: number): void {
  const { x, y, wide, high } = BOX
  on.drawImage(picture, (x - 18) * perUnit, (y - 10) * perUnit, wide * perUnit, high * perUnit)
}
