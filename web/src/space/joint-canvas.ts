import type { DrawnJoint } from '@jugalis/core'
import { GLYPH, glyphBody } from '../tapes/glyph-shapes'
import type { Looks } from '../view'
import { type Colours, GlyphPictures, drawGlyph } from './glyph-pictures'

/** Joints of a drawn line, each as it looks. */
export interface JointScene {
  joints: readonly DrawnJoint[]
  looks: Looks
  /** The one that holds a section back: ringed. */
  heldBy: string | null
  /** Of the canvas, px of the page. */
  width: number
  height: number
  /** The part of the drawing that is shown: left, top, width and height. */
  viewBox: string
}
const RING = { radius: 15, wide: 3.5 }
/** A joint with its ring lies within so much of its middle, drawing units. */
const REACH = RING.radius + RING.wide
/** From so many changed of all on, all are drawn. */
const MANY = 0.3

/** What the key of a drawn joint begins with. */
const RINGED = '*'
const PLAIN = ' '

/** Where the drawing lies on the canvas, and in which colours. */
interface Frame {
  key: string
  /** Of the canvas, px of the screen. */
  across: number
  down: number
  scale: number
  offX: number
  offY: number
  colours: Colours
}
function coloursOf(of: HTMLElement): Colours {
  const style = getComputedStyle(of)
  const one = (name: string): string => style.getPropertyValue(name).trim()
  return { ink: one('--ink'), paper: one('--paper'), held: one('--stop') }
}
function frameOf(canvas: HTMLCanvasElement, { width, height, viewBox }: JointScene): Frame {
  const dpr = window.devicePixelRatio || 1
  const [across, down] = [Math.round(width * dpr), Math.round(height * dpr)]
  const [left = 0, top = 0, wide = 1, high = 1] = viewBox.split(' ').map(Number)
  // As an SVG lies in its box: whole, and in the middle.
  const scale = Math.min(across / wide, down / high)
  const [offX, offY] = [(across - wide * scale) / 2 - left * scale, (down - high * scale) / 2 - top * scale]
  const colours = coloursOf(canvas)
  const key = [across, down, viewBox, ...Object.values(colours)].join()
  return { key, across, down, scale, offX, offY, colours }
}

/** Draws joints on a canvas, and again only those whose state is another than it was: a hand scrubs through hundreds. */
export class JointCanvas {
  private frame: Frame | null = null
  private joints: readonly DrawnJoint[] = []
  /** What each joint was last drawn as: its glyph, and whether it is ringed. */
  private was: string[] = []
  private scene: JointScene | null = null
  private readonly pictures = new GlyphPictures(() => this.scene && this.draw(this.scene))

  constructor(private readonly canvas: HTMLCanvasElement) {}

  draw(scene: JointScene): void {
    this.scene = scene
    const on = this.canvas.getContext('2d')
    if (!on) return
    const frame = frameOf(this.canvas, scene)
    const anew = frame.key !== this.frame?.key || scene.joints !== this.joints
    if (anew) {
      // Set anew, a canvas is empty.
      this.canvas.width = frame.across
      this.canvas.height = frame.down
      this.frame = frame
      this.joints = scene.joints
      this.was = []
    }
    const now = scene.joints.map((joint) => this.keyOf(scene, joint))
    const changed = now.flatMap((key, at) => (key === this.was[at] ? [] : [at]))
    this.was = now
    if (anew || changed.length > MANY * now.length) {
      on.setTransform(1, 0, 0, 1, 0, 0)
      on.clearRect(0, 0, this.canvas.width, this.canvas.height)
      scene.joints.forEach((_, at) => this.joint(on, at))
    } else for (const at of changed) this.around(on, at)
  }
  /** A glyph whose picture is still being made is none yet. */
  private keyOf({ looks, heldBy }: JointScene, { id }: DrawnJoint): string {
    const look = looks.get(id)
    const body = look ? glyphBody(look.glyph, look.inspected, look.look) : ''
    return `${id === heldBy ? RINGED : PLAIN}${body && this.picture(body) ? body : ''}`
  }
  private picture(body: string): HTMLCanvasElement | null {
    const { colours, scale } = this.frame as Frame
    return this.pictures.get(body, colours, GLYPH.perUnit * scale)
  }
  /** What a joint takes up, drawn anew, with what of its neighbours reaches in. */
  private around(on: CanvasRenderingContext2D, at: number): void {
    const { scale, offX, offY } = this.frame as Frame
    const [x, y] = (this.joints[at] as DrawnJoint).at
    const box = [x - REACH, y - REACH, 2 * REACH, 2 * REACH] as const
    on.save()
    on.setTransform(scale, 0, 0, scale, offX, offY)
    on.clearRect(...box)
    on.beginPath()
    on.rect(...box)
    on.clip()
    this.joints.forEach(({ at: [otherX, otherY] }, other) => {
      if (Math.abs(otherX - x) < 2 * REACH && Math.abs(otherY - y) < 2 * REACH) this.joint(on, other)
    })
    on.restore()
  }
  private joint(on: CanvasRenderingContext2D, at: number): void {
    const { scale, offX, offY, colours } = this.frame as Frame
    const { at: place, way } = this.joints[at] as DrawnJoint
    const key = this.was[at] as string
    // The glyph's socket looks towards the fitting, its pipe away from it.
    const [cos, sin] = [-way[0] * scale, -way[1] * scale]
    on.setTransform(cos, sin, -sin, cos, place[0] * scale + offX, place[1] * scale + offY)
    if (key.startsWith(RINGED)) {
      on.beginPath()
      on.arc(0, 0, RING.radius, 0, 2 * Math.PI)
      on.strokeStyle = colours.held
      on.lineWidth = RING.wide
      on.stroke()
    }
    const body = key.slice(1)
    const picture = body ? this.picture(body) : null
    if (picture) drawGlyph(on, picture, GLYPH.perUnit)
  }
}
