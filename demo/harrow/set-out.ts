import { BAR_PER_PSI, END, NO_LINES, lineSeriesChoices, placeTexts } from '@jugalis/core'
import { HOUR_S, MIN_S, type Story } from '../story.js'
import { LINES } from './lines.js'
import { stormAt } from './weather.js'

/** A pressure as the light has it, in bar. */
export const psi = (value: number): number => value * BAR_PER_PSI

/** The job, its places, and what the probe reads there each hour. */
export function tellPlaces(story: Story): void {
  const { night, nowS, begin: beginS } = story
  const placeId = story.id('place')
  story.tell('Plover', beginS, 'job-set', {
    name: story.world.name,
    zone: 'America/New_York',
    school: 'inch',
    table: 'current',
    checkOffsetMm: 50.8,
    site: 'Harrow Point',
    customer: 'Harrow Point lights',
    drawings: 'HP-101, HP-102',
  })
  story.tell('Plover', beginS, 'place-set', { placeId, name: 'Boiler room' })
  tellBlanket(story)
  for (let atS = Math.ceil(beginS / HOUR_S) * HOUR_S; atS <= nowS; atS += HOUR_S) {
    const { wallC, airC, humidityPct } = stormAt((atS - night) / HOUR_S)
    for (const [what, value] of [
      ['wall', wallC],
      ['air', airC],
      ['humidity', humidityPct],
    ] as const)
      story.tell('Probe', atS, 'reading', { placeId, what, basis: 'measured', atS, value })
  }
}
/** Under the heat blankets at the intake it is warm whatever the night is: what the bonds cure by. */
function tellBlanket(story: Story): void {
  const { night, nowS, begin } = story
  const placeId = story.id('intake')
  story.tell('Plover', begin, 'place-set', { placeId, name: 'Intake, under the blankets' })
  for (let atS = night - 20 * HOUR_S; atS <= nowS; atS += HOUR_S) {
    const wave = Math.sin((atS - night) / (5 * HOUR_S))
    for (const [what, value] of [
      ['wall', 27 + Math.round(wave * 15) / 10],
      ['air', 24 + Math.round(wave * 10) / 10],
      ['humidity', 60],
    ] as const)
      story.tell('Probe', atS, 'reading', { placeId, what, basis: 'measured', atS, value })
  }
}
/** All lines as they are set out. */
export function tellSetOut(story: Story): void {
  const beginS = story.begin
  LINES.forEach((line, at) => {
    const { tag, name, method, material, schedule, details, ways, entries, place } = line
    const atS = beginS + (at + 1) * 3 * MIN_S
    const lineId = story.id(`line ${tag}`)
    const series = lineSeriesChoices(method, material, 'inch')[0]
    story.tell('Plover', atS, 'line-set', {
      lineId,
      tag,
      name,
      method,
      material,
      school: 'inch',
      placeId: story.id(place ?? 'place'),
      ratingBar: psi(150),
      ...(schedule ? { schedule } : series ? { series } : {}),
      ...(details ? { details } : {}),
      ...(ways ? { ways } : {}),
    })
    let made = 0
    const shop = { begun: new Set<string>(), newId: () => story.id(`${tag} ${++made}`), lines: NO_LINES }
    const placed = placeTexts(story.line(tag), entries, END, shop, { units: 'inch' })
    if (!placed.ok) throw new Error(`demo line ${tag}: ${placed.why.code}`)
    for (const edit of placed.edits) story.tell('Plover', atS, edit.kind, { lineId, ...edit.data })
  })
}
