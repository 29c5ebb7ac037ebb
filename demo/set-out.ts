import {
  NO_LINES,
  END,
  type Line,
  carrierEdits,
  lineHead,
  lineSeriesChoices,
  placeTexts,
} from '@jugalis/core'
import { PLACE, idOf } from './ids.js'
import { CARRIER, type DemoLine, LINES, RATING_BAR, SECTION, STOCK, TAKE_OFFS } from './lines.js'
import { HOUR_S, MIN_S, type Story } from './story.js'
import { weatherAt } from './weather.js'

/** The job, its places, and what the probe reads there each hour. */
export function tellPlaces(story: Story): void {
  const { begin, night, nowS } = story
  const placeId = PLACE
  story.tell('Rook', begin, 'job-set', {
    name: story.world.name,
    zone: 'Europe/London',
    school: 'metric',
    table: 'current',
    checkOffsetMm: 50,
  })
  story.tell('Rook', begin, 'place-set', { placeId, name: 'Plant room B' })
  story.tell('Rook', begin, 'place-set', { placeId: idOf('place roof void'), name: 'Roof void' })
  for (let atS = Math.ceil(begin / HOUR_S) * HOUR_S; atS <= nowS; atS += HOUR_S) {
    const weather = weatherAt((atS - night) / HOUR_S)
    for (const [what, value] of [
      ['wall', weather.wallC],
      ['air', weather.airC],
      ['humidity', weather.humidityPct],
    ] as const)
      story.tell('Probe', atS, 'reading', { placeId, what, basis: 'measured', atS: atS, value })
  }
}

/** One line with its parts, as its entries put them. */
export function tellLine(story: Story, { tag, name, entries, joined }: DemoLine, atS: number): void {
  const lineId = idOf(`line ${tag}`)
  const { method, material, details } = joined ?? {
    method: 'solvent-cement',
    material: 'pvc-u',
    details: null,
  }
  story.tell('Rook', atS, 'line-set', {
    lineId,
    tag,
    name,
    method,
    material,
    // The usual wall, as whoever begins a line gets it.
    series: lineSeriesChoices(method, material, 'metric')[0],
    school: 'metric',
    placeId: PLACE,
    ratingBar: RATING_BAR,
    ...(details ? { details } : {}),
  })
  let made = 0
  const shop = { begun: new Set<string>(), newId: () => idOf(`${tag} ${++made}`), lines: NO_LINES }
  const placed = placeTexts(story.line(tag), entries, END, shop, { units: 'metric' })
  if (!placed.ok) throw new Error(`demo line ${tag}: ${placed.why.code}`)
  for (const edit of placed.edits) story.tell('Rook', atS, edit.kind, { lineId, ...edit.data })
}
/** The dosing line's carrier, inside its containment. */
function tellCarrier(story: Story, atS: number): void {
  const outer: Line = story.line(CARRIER.inside)
  const carrier = { ...outer, id: idOf('line ADi'), tag: CARRIER.tag, name: CARRIER.name, items: [] }
  let inner = 0
  const shop = { begun: new Set<string>(), newId: () => idOf(`ADi ${++inner}`), lines: NO_LINES }
  const laid = carrierEdits(outer, carrier, CARRIER.sizes, shop)
  if (!laid.ok) throw new Error(`demo carrier: ${laid.why.code}`)
  story.tell('Rook', atS, 'line-set', { ...lineHead(carrier), lineId: carrier.id, insideOf: outer.id })
  for (const edit of laid.edits) story.tell('Rook', atS, edit.kind, { lineId: carrier.id, ...edit.data })
}

/** All lines as they are set out, the bars they are cut from, the take-offs that were measured. */
export function tellLines(story: Story): void {
  const { begin } = story
  const later = begin + 95 * MIN_S
  LINES.forEach((line, i) => {
    // Two are made; the others are set out, not yet begun: other ways of joining, and a dosing line inside another.
    tellLine(story, line, i < 2 ? begin + (i + 1) * 20 * MIN_S : later + (i - 2) * 60)
  })
  tellCarrier(story, later + 240)
  story.tell('Wren', later + 300, 'stock-set', {
    ...STOCK,
    offcuts: [{ id: idOf('offcut'), pipe: 'copper d22 GW 392', lengthMm: 1240 }],
  })
  TAKE_OFFS.forEach(([fitting, size, size2, takeOffMm], i) =>
    story.tell('Wren', begin + 60 * MIN_S + i * 40, 'take-off', {
      fitting,
      size,
      size2,
      takeOffMm,
      takeOffTo: 'face',
    }),
  )
}

/** A line as one section with its plan and its weakest part. Gives its id. */
export function tellSection(
  story: Story,
  of: string,
  { tag, valve, union }: { tag: string; valve: string; union: string },
): string {
  const { begin } = story
  const sectionId = idOf(`section ${tag}`)
  story.tell('Rook', begin + 90 * MIN_S, 'section-set', {
    sectionId,
    tag,
    jointIds: story.joints(of).map((j) => j.id),
    ...SECTION,
    ratingBar: RATING_BAR,
  })
  story.tell('Rook', begin + 91 * MIN_S, 'section-state', { sectionId, state: 'drained' })
  story.tell('Rook', begin + 92 * MIN_S, 'section-plan', {
    sectionId,
    rule: 'dvs2210-hydro',
    designBar: 10,
    medium: 'water',
    temperatureC: 14,
    gaugeM: 1.2,
    lowM: 0.2,
    highM: 3.4,
    axial: 'free',
    valve,
    keep: 'full',
  })
  story.tell('Rook', begin + 93 * MIN_S, 'part-set', {
    sectionId,
    partId: idOf(`union ${tag}`),
    name: union,
    kind: 'union',
    ratingBar: 16,
    atM: 0.6,
  })
  return sectionId
}
