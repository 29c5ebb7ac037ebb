import type { GlyphId } from '@jugalis/core'

/** Colours that shapes are drawn in: those of the page. */
export const INK = 'var(--ink, #1B2024)'
export const PAPER = 'var(--paper-of-glyph, var(--paper, #FBFAF5))'
const OUT = `fill="${PAPER}" stroke="${INK}" stroke-width="2"`
const PIPE = `<rect x="1" y="6" width="22" height="8" ${OUT}/>`
const SOCKET = `<rect x="16" y="3" width="16" height="14" ${OUT}/>`
const RIM = `<rect x="16" y="3" width="16" height="14" fill="none" stroke="${INK}" stroke-width="2"/>`
const MADE = PIPE + SOCKET
const PLANNED = `<rect x="1" y="5" width="13" height="10" ${OUT}/><path d="M20 3H32V17H20" fill="none" stroke="${INK}" stroke-width="2" stroke-linejoin="miter" stroke-linecap="square"/>`
const fill = (height: number): string =>
  `${MADE}<rect x="16" y="${17 - height}" width="16" height="${height}" fill="${INK}"/>${RIM}`

/** A joint's glyph on a drawn line, in drawing units: its size, and what one unit of its own box is. */
export const GLYPH = { wide: 22, high: (22 * 20) / 36, perUnit: 22 / 36 }

/** One drawing for each state, in a box of 36 by 20. Shape alone tells them apart. */
export const GLYPH_SHAPES: Readonly<Record<GlyphId, string>> = {
  planned: PLANNED,
  marked: `${PLANNED}<rect x="5" y="1" width="3.4" height="18" fill="${INK}"/>`,
  prepared: `${PLANNED}<path d="M2 11L7 6M4.5 14L12.5 6M10 14L13 11" stroke="${INK}" stroke-width="2.4" fill="none"/>`,
  window: `<rect x="0" y="4" width="14" height="12" fill="${INK}"/><path d="M20 4.5H30.5V15.5H20" fill="none" stroke="${INK}" stroke-width="5"/><path d="M17 11.5L19.2 16.2A2.4 2.4 0 1 1 14.8 16.2Z" fill="${INK}" stroke="${PAPER}" stroke-width="0.8"/>`,
  unfixed: `${MADE}<path d="M19 -0.2H29L24 6.2Z M19 20.2H29L24 13.8Z" fill="${INK}" stroke="${PAPER}" stroke-width="0.8"/>`,
  hold: `<rect x="4" y="6" width="14" height="8" ${OUT}/><rect x="0" y="1" width="4" height="18" fill="${INK}"/>${SOCKET}`,
  set: `<rect x="1" y="4" width="16" height="7" ${OUT}/><rect x="16" y="1.5" width="16" height="12" ${OUT}/><path d="M0 16H36" stroke="${INK}" stroke-width="2.4"/><path d="M4 20L8 16M12 20L16 16M20 20L24 16M28 20L32 16" stroke="${INK}" stroke-width="1.4"/>`,
  made: MADE,
  cure25: fill(3.5),
  cure50: fill(7),
  cure75: fill(10.5),
  loadable: fill(14),
  tested: `<rect x="1" y="6" width="22" height="8" fill="${INK}" stroke="${INK}" stroke-width="2"/>${SOCKET}<rect x="16" y="3" width="16" height="14" fill="${INK}" stroke="${INK}" stroke-width="2"/><path d="M19 10.2L22.6 13.8L29 6.4" fill="none" stroke="${PAPER}" stroke-width="2.6"/>`,
  failed: `${MADE}<path d="M18.5 5.5L29.5 14.5M29.5 5.5L18.5 14.5" stroke="${INK}" stroke-width="2.6"/>`,
  cutout: `${MADE}<path d="M2 19L34 1" stroke="${PAPER}" stroke-width="5.5"/><path d="M1 19.5L35 0.5" stroke="${INK}" stroke-width="2.6"/>`,
  'cant-tell': `${MADE}<path d="M18 8.4H21.2V11.6H18ZM22.4 8.4H25.6V11.6H22.4ZM26.8 8.4H30V11.6H26.8Z" fill="${INK}"/>`,
}
const SOLID_PIPE: readonly GlyphId[] = ['tested']

/** The whole drawing with its modifiers: judged good (dot in the pipe), look at it (bite out of the socket). */
export function glyphBody(id: GlyphId, inspected = false, look = false): string {
  const dot = inspected
    ? `<circle cx="8.5" cy="10" r="2.6" fill="${SOLID_PIPE.includes(id) ? PAPER : INK}"/>`
    : ''
  const notch = look ? `<path d="M36 3V17L28 10Z" fill="${INK}" stroke="${PAPER}" stroke-width="1.4"/>` : ''
  return GLYPH_SHAPES[id] + dot + notch
}
