import {
  type Draft,
  KINDS,
  type Line,
  END,
  foldJob,
  carrierEdits,
  lineHead,
  lineSeriesChoices,
  placeTexts,
  type JobEvent,
} from '@jugalis/core'
import { JOB, idOf } from './ids.js'
import { CARRIER, LINES, RATING_BAR, SECTION, STOCK, TAKE_OFFS } from './lines.js'
import { weatherAt } from './weather.js'

export interface Told {
  who: string
  atS: number
  draft: Draft
}
const H = 3600
const MIN = 60

/** 02:00 (UTC) of the last night that is at least eight hours past: the morning's work after it has been done. */
export const nightBefore = (nowS: number): number => Math.floor((nowS - 10 * H) / 86400) * 86400 + 2 * H

/** Writes the demo job's story as the events that people and a probe would have sent. */
export function tellStory(nowS: number): Told[] {
  const night = nightBefore(nowS)
  const story: Told[] = []
  const counts = new Map<string, number>()
  const tell = (
    who: string,
    atS: number,
    kind: string,
    data: Record<string, unknown>,
    jointId: string | null = null,
  ): string => {
    const deviceSeq = (counts.get(who) ?? 0) + 1
    counts.set(who, deviceSeq)
    const id = idOf(`event ${who} ${deviceSeq}`)
    story.push({
      who,
      atS,
      draft: { id, kind, v: KINDS[kind]?.v ?? 1, jointId, atDeviceS: atS, deviceSeq, after: [], data },
    })
    return id
  }
  const plant = idOf('place plant room B')
  const begin = night - 75 * H
  tell('Rook', begin, 'job-set', {
    name: 'Kelpwick Aquarium, quarantine wing',
    zone: 'Europe/London',
    school: 'metric',
    table: 'current',
    checkOffsetMm: 50,
  })
  tell('Rook', begin, 'place-set', { placeId: plant, name: 'Plant room B' })
  tell('Rook', begin, 'place-set', { placeId: idOf('place roof void'), name: 'Roof void' })
  for (let t = Math.ceil(begin / H) * H; t <= nowS; t += H) {
    const w = weatherAt((t - night) / H)
    for (const [what, value] of [
      ['wall', w.wallC],
      ['air', w.airC],
      ['humidity', w.humidityPct],
    ] as const)
      tell('Probe', t, 'reading', { placeId: plant, what, basis: 'measured', atS: t, value })
  }
  const tin = idOf('tin')
  const filled = new Date((nowS - 706 * 86400) * 1000)
  const ordinal = Math.floor((filled.getTime() - Date.UTC(filled.getUTCFullYear(), 0, 1)) / 86400_000) + 1
  const expires = new Date(
    Date.UTC(filled.getUTCFullYear() + 2, filled.getUTCMonth(), Math.min(28, filled.getUTCDate())),
  )
  tell('Rook', begin + MIN, 'tin-set', {
    tinId: tin,
    plastic: 'pvc-u',
    code: `${String(filled.getUTCFullYear() % 100)}${String(ordinal).padStart(3, '0')}B7`,
    expiresOn: expires.toISOString().slice(0, 10),
  })
  const lines: Record<string, Line> = {}
  const line = (
    tag: string,
    name: string,
    atS: number,
    entries: string[],
    joined: { method?: string; material?: string } = {},
  ): void => {
    const lineId = idOf(`line ${tag}`)
    const { method, material } = { method: 'solvent-cement', material: 'pvc-u', ...joined }
    tell('Rook', atS, 'line-set', {
      lineId,
      tag,
      name,
      method,
      material,
      // The usual wall, as whoever begins a line gets it.
      series: lineSeriesChoices(method, material, 'metric')[0],
      school: 'metric',
      placeId: plant,
      ratingBar: RATING_BAR,
    })
    let made = 0
    const bare = foldJob(story.map(asEvent)).lines.get(lineId) as Line
    const shop = { begun: new Set<string>(), newId: () => idOf(`${tag} ${++made}`) }
    const placed = placeTexts(bare, entries, END, shop, { units: 'metric' })
    if (!placed.ok) throw new Error(`demo line ${tag}: ${placed.why.code}`)
    for (const e of placed.edits) tell('Rook', atS, e.kind, { lineId, ...e.data })
    lines[tag] = foldJob(story.map(asEvent)).lines.get(lineId) as Line
  }
  const later = begin + 95 * MIN
  LINES.forEach(({ tag, name, entries, joined }, i) => {
    // Two are made; the others are set out, not yet begun: other ways of joining, and a dosing line inside another.
    line(tag, name, i < 2 ? begin + (i + 1) * 20 * MIN : later + (i - 2) * 60, entries, joined)
  })
  const carrier = {
    ...(lines[CARRIER.inside] as Line),
    id: idOf('line ADi'),
    tag: CARRIER.tag,
    name: CARRIER.name,
    items: [],
  }
  let inner = 0
  const shop = { begun: new Set<string>(), newId: () => idOf(`ADi ${++inner}`) }
  const laid = carrierEdits(lines[CARRIER.inside] as Line, carrier, CARRIER.sizes, shop)
  if (!laid.ok) throw new Error(`demo carrier: ${laid.why.code}`)
  tell('Rook', later + 240, 'line-set', {
    ...lineHead(carrier),
    lineId: carrier.id,
    insideOf: (lines[CARRIER.inside] as Line).id,
  })
  for (const e of laid.edits) tell('Rook', later + 240, e.kind, { lineId: carrier.id, ...e.data })
  tell('Wren', later + 300, 'stock-set', {
    ...STOCK,
    offcuts: [{ id: idOf('offcut'), pipe: 'copper d22 GW 392', lengthMm: 1240 }],
  })
  TAKE_OFFS.forEach(([fitting, size, size2, takeOffMm], i) =>
    tell('Wren', begin + 60 * MIN + i * 40, 'take-off', {
      fitting,
      size,
      size2,
      takeOffMm,
      takeOffTo: 'face',
    }),
  )
  const joints = (tag: string): { id: string; tag: string }[] =>
    (lines[tag] as Line).items
      .filter((i) => i.type === 'piece')
      .flatMap((p) => [0, 1].map((e) => ({ id: p.joints[e] as string, tag: p.jointTags[e] as string })))
  const section = (tag: string, of: string): string => {
    const sectionId = idOf(`section ${tag}`)
    tell('Rook', begin + 90 * MIN, 'section-set', {
      sectionId,
      tag,
      jointIds: joints(of).map((j) => j.id),
      ...SECTION,
      ratingBar: RATING_BAR,
    })
    tell('Rook', begin + 91 * MIN, 'section-state', { sectionId, state: 'drained' })
    tell('Rook', begin + 92 * MIN, 'section-plan', {
      sectionId,
      rule: 'dvs2210-hydro',
      designBar: 10,
      medium: 'water',
      temperatureC: 14,
      gaugeM: 1.2,
      lowM: 0.2,
      highM: 3.4,
      axial: 'free',
      valve: tag === 'Q2-A' ? 'V-3' : 'V-1',
      keep: 'full',
    })
    tell('Rook', begin + 93 * MIN, 'part-set', {
      sectionId,
      partId: idOf(`union ${tag}`),
      name: tag === 'Q2-A' ? 'union at pump 2' : 'union at the filter',
      kind: 'union',
      ratingBar: 16,
      atM: 0.6,
    })
    return sectionId
  }
  const q1 = section('Q1-A', 'Q1')
  const q2 = section('Q2-A', 'Q2')
  const cutPieces = (tag: string, atS: number, upTo: number, lengths: number[]): void =>
    (lines[tag] as Line).items
      .filter((i) => i.type === 'piece')
      .slice(0, upTo)
      .forEach((p, i) => tell('Wren', atS + i * 240, 'piece-cut', { itemId: p.id, cutMm: lengths[i] }))
  /** One joint as it is normally made: fits, cement, home, check mark. */
  const make = (
    who: string,
    jointId: string,
    atS: number,
    life: number,
    reading: number,
    bead = 'all-round',
  ): void => {
    const pin = { rules: 1, chart: null, school: 'metric', table: 'current' }
    const step = (s: string, at: number, readings = {}, more = {}): void =>
      void tell(who, at, 'step-done', { life, step: s, readings, shown: [], ...more }, jointId)
    step('fit', atS, {}, { pin, tinId: tin })
    step('cement', atS + 150, {})
    step('home', atS + 231, {})
    step('judge', atS + 330, { checkMm: reading, bead })
  }
  const q1j = joints('Q1')
  const q2j = joints('Q2')
  const made1 = night - 59 * H
  cutPieces('Q1', made1 - H, 2, [884, 544])
  q1j.forEach((j, i) => make(i % 2 ? 'Teal' : 'Wren', j.id, made1 + i * 9 * MIN, 1, 50 + (i % 2)))
  const gates = (sectionId: string, atS: number): void => {
    tell('Plover', atS, 'section-state', { sectionId, state: 'full' })
    for (const [i, gate] of ['supports', 'vents', 'isolated', 'gauge', 'people'].entries())
      tell('Plover', atS + 60 + i * 30, 'gate', { sectionId, gate, done: true, how: 'looked at' })
  }
  const test = (
    name: string,
    sectionId: string,
    atS: number,
    bars: number[],
    verdict: string,
    dropBar: number,
  ): void => {
    const testId = idOf(`test ${name}`)
    tell('Plover', atS, 'test-begun', {
      testId,
      sectionId,
      bar: 12,
      medium: 'water',
      holdS: 3600,
      allowedDropBar: 0.2,
      resolutionBar: 0.05,
      gauge: 'G-07, 0 to 25 bar',
      tester: 'Plover',
    })
    bars.forEach((bar, i) =>
      tell('Plover', atS + i * 720, 'test-read', {
        testId,
        atS: atS + i * 720,
        bar,
        temperatureC: 13.2 + (i % 2) * 0.1,
      }),
    )
    tell('Plover', atS + bars.length * 720, 'test-ended', { testId, verdict, dropBar })
  }
  gates(q1, night - 42 * H)
  test('first', q1, night - 41 * H, [12, 11.85, 11.7, 11.6, 11.45, 11.3], 'lost', 0.69)
  const bad = q1j[2] as { id: string }
  tell('Plover', night - 39.8 * H, 'section-state', { sectionId: q1, state: 'drained' })
  tell('Teal', night - 39.7 * H, 'cut-out', { life: 1, reason: 'weeps at the face under 12 bar' }, bad.id)
  make('Teal', bad.id, night - 39.4 * H, 2, 50)
  gates(q1, night - 18 * H)
  test('second', q1, night - 17 * H, [12, 12, 12, 11.95, 12, 11.95], 'held', 0.04)
  tell('Plover', night - 15.6 * H, 'signed', {
    what: 'section',
    refId: q1,
    statement: 'Tested at 12 bar with water, held. Kept full.',
  })
  // The loop: six joints in the afternoon before the cold night, one of them short, made again in the morning.
  const made2 = night - 12 * H
  cutPieces('Q2', made2 - 2 * H, 3, [1135, 779, 638])
  q2j
    .slice(0, 6)
    .forEach((j, i) =>
      make(i % 2 ? 'Teal' : 'Wren', j.id, made2 + i * 17 * MIN, 1, i === 3 ? 54 : 49 + (i % 3)),
    )
  const again = night + 6.4 * H
  const short = q2j[3] as { id: string }
  tell('Teal', again, 'cut-out', { life: 1, reason: 'check mark 54, 4 mm short of home' }, short.id)
  make('Teal', short.id, again + 14 * MIN, 2, 50)
  const seventh = q2j[6] as { id: string }
  tell(
    'Wren',
    nowS - 20 * MIN,
    'step-done',
    {
      life: 1,
      step: 'fit',
      readings: {},
      shown: [],
      pin: { rules: 1, chart: null, school: 'metric', table: 'current' },
      tinId: tin,
    },
    seventh.id,
  )
  tell('Rook', nowS - 30 * MIN, 'tag-put', {
    tagId: idOf('blank tank 4'),
    sectionId: q2,
    kind: 'blank',
    where: 'branch to tank 4',
  })
  tell('Rook', nowS - 28 * MIN, 'tag-put', {
    tagId: idOf('relief pump 2'),
    sectionId: q2,
    kind: 'relief gagged',
    where: 'relief valve at pump 2',
  })
  tell('Rook', nowS - 10 * MIN, 'gate', {
    sectionId: q2,
    gate: 'supports',
    done: true,
    how: 'clips at 1.2 m, looked at',
  })
  return story
}

const asEvent = (t: Told): JobEvent => ({
  ...t.draft,
  jobId: JOB,
  deviceId: idOf(`device ${t.who}`),
  actorId: idOf(t.who),
  occurredAtS: t.atS,
  clockErrorS: 0,
})
