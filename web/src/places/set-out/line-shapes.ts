import type { Laid, LaidJoint, LaidPart } from '@jugalis/core'
import { type Labelled, type Placed, fullScale, thinned } from '../../tapes/labels'

/** Heights within a lane of the drawing, px: section bands, pipe, glyphs, two rows of tags. */
export const LANE = { height: 140, band: 4, middle: 58, glyph: 86, tag: 106, row: 15 } as const
export const TAG_ROWS = 2
export const GLYPH_PX = 34
const TAG_CHAR_PX = 7.4
/** Glyph and tag stand on the pipe's side of the joint, so that two joints at one fitting keep apart. */
const ASIDE_PX = 12

export const tagX = (j: LaidJoint, scale: number): number => j.atMm * scale + (j.end ? -ASIDE_PX : ASIDE_PX)
/** Tags of joints as labels, in the order in which they stand along their lanes. */
export const tagLabels = (joints: readonly LaidJoint[], scale: number): Labelled[] =>
  joints.map((joint) => ({
    x: tagX(joint, scale),
    width: Math.max(GLYPH_PX, joint.tag.length * TAG_CHAR_PX),
    lane: joint.lane,
  }))

export const inDrawingOrder = (joints: readonly LaidJoint[]): LaidJoint[] =>
  [...joints].sort((a, b) => a.lane - b.lane || a.atMm - b.atMm || b.end - a.end)

/** The scale called 100 %: every tag has room, and a metre is at least a hand wide. */
export const fullScaleOf = (joints: readonly LaidJoint[]): number =>
  fullScale((scale) => tagLabels(joints, scale), TAG_ROWS, { least: 0.25, most: 4 })

export interface Tags {
  stride: number
  placed: Placed[]
  /** Joints whose glyph has room, by index. */
  glyphs: number[]
}
/** Which tags and glyphs are drawn at a scale. */
export function tagsAt(joints: readonly LaidJoint[], scale: number): Tags {
  const labels = tagLabels(joints, scale)
  const { stride, placed } = thinned(labels, TAG_ROWS)
  const glyphs: number[] = []
  let lane = -1
  let end = -Infinity
  joints.forEach((joint, i) => {
    const x = tagX(joint, scale)
    if (joint.lane !== lane) [lane, end] = [joint.lane, -Infinity]
    if (x - GLYPH_PX / 2 < end) return
    end = x + GLYPH_PX / 2
    glyphs.push(i)
  })
  return { stride, placed, glyphs }
}

/** Parts narrower than this are drawn as one with their neighbours of the same size. */
const FUSE_PX = 2.5
/** Pipes and fittings in sight, small ones fused so that a long line stays light. */
export function inSight(laid: Laid, scale: number, fromMm: number, toMm: number): LaidPart[] {
  const out: LaidPart[] = []
  for (const part of laid.parts) {
    if (part.toMm < fromMm || part.fromMm > toMm) continue
    const last = out.at(-1)
    if (
      last &&
      last.lane === part.lane &&
      last.odMm === part.odMm &&
      (part.toMm - part.fromMm) * scale < FUSE_PX &&
      (last.toMm - last.fromMm) * scale < 40
    )
      out[out.length - 1] = { ...last, toMm: Math.max(last.toMm, part.toMm) }
    else out.push(part)
  }
  return out
}

export interface Band {
  key: string
  name: string
  hatch: number
  lane: number
  fromMm: number
  toMm: number
  /** Bands that lie over one another stand in rows. */
  row: number
}
export const HATCHES = 4
/** Stretches of each section along the lanes: joints that follow one another. */
export function bandsOf(
  joints: readonly LaidJoint[],
  sections: readonly { id: string; tag: string; jointIds: readonly string[] }[],
): Band[] {
  const out: Band[] = []
  sections.forEach((section, hatch) => {
    const inside = new Set(section.jointIds)
    let open: Band | null = null
    for (const joint of joints) {
      if (!inside.has(joint.id) || open?.lane !== joint.lane) open = null
      if (!inside.has(joint.id)) continue
      if (open) open.toMm = joint.atMm
      else {
        const at = { fromMm: joint.atMm, toMm: joint.atMm, lane: joint.lane }
        out.push(
          (open = {
            key: `${section.id} ${joint.id}`,
            name: section.tag,
            hatch: hatch % HATCHES,
            row: 0,
            ...at,
          }),
        )
      }
    }
  })
  for (const band of out)
    band.row = out.filter(
      (other) =>
        other !== band &&
        other.lane === band.lane &&
        other.fromMm <= band.toMm &&
        band.fromMm <= other.toMm &&
        out.indexOf(other) < out.indexOf(band),
    ).length
  return out
}
