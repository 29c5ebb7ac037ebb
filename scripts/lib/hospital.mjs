import { createHash, randomUUID } from 'node:crypto'

/**
 * A large job for the benchmark: lines of cemented joints with a section each, five places whose probe was read every
 * quarter of an hour for 90 days, nine joints of ten made in the course of them. The same numbers give the same job.
 */
const PLACES = 5
/** A season. */
const SEASON_DAYS = 90
const EVERY_S = 900
const DAY_S = 86_400
const PIPE = {
  metric: { size: 'd63', material: 'pvc-u' },
  inch: { size: 'NPS 2', material: 'pvc', schedule: '80' },
}
const STEPS = {
  metric: [
    ['fit', 0],
    ['cement', 60],
    ['home', 90],
  ],
  inch: [
    ['fit', 0],
    ['prime', 40],
    ['cement', 60],
    ['home', 90],
  ],
}
/** Entries that are sent together. */
const BATCH = 800
const MOST_BYTES = 700_000

/** Bytes that look drawn, the same each time for one seed. */
function drawnBy(seed) {
  let count = 0
  const next = () => createHash('sha256').update(`${seed} ${count++}`).digest()
  return {
    /** From 0 to 1. */
    share: () => next().readUInt32BE(0) / 2 ** 32,
    /** As a device draws ids: nothing in them repeats, so that nothing of them can be packed away. */
    id: () => {
      const hex = next().toString('hex')
      return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`
    },
  }
}
const toTenth = (value) => Math.round(value * 10) / 10

/** What a probe reads: a day's wave, a season's, and its own noise. */
function readings(put, { id, share }, nowS, days) {
  const places = Array.from({ length: PLACES }, (_, i) => ({ placeId: id(), name: `Floor ${i + 1}` }))
  for (const place of places) put('place-set', place, nowS - (days + 1) * DAY_S)
  for (let atS = nowS - days * DAY_S; atS < nowS; atS += EVERY_S)
    for (const [i, { placeId }] of places.entries()) {
      const wave =
        14 - i + 5 * Math.sin((atS / DAY_S) * 2 * Math.PI) + 4 * Math.sin((atS / (SEASON_DAYS * DAY_S)) * 6)
      for (const [what, value] of [
        ['wall', wave + share()],
        ['air', wave + 1 + share()],
        ['humidity', 60 + 10 * share()],
      ])
        put('reading', { placeId, what, basis: 'measured', atS, value: toTenth(value) }, atS + 1)
    }
  return places
}

/** A line of pieces between fittings, and the section that all its joints are in. @returns the ids of its joints. */
function line(put, { id }, { tag, placeId, school, pieces, beganS }) {
  const { size, ...usual } = PIPE[school]
  const fitting = 'tee'
  const lineId = id()
  const how = { method: 'solvent-cement', ...usual, school, placeId, ratingBar: 16 }
  put('line-set', { lineId, tag, name: `Line ${tag}`, ...how }, beganS)
  const items = [{ itemId: id(), item: { type: 'fitting', tag: `${tag}/F01`, size, fitting } }]
  const jointIds = []
  for (let i = 0; i < pieces; i++) {
    const [jointA, jointB] = [id(), id()]
    jointIds.push(jointA, jointB)
    const ends = { jointA, jointB, tagA: `${tag}-${2 * i + 1}`, tagB: `${tag}-${2 * i + 2}` }
    const measured = { measure: 'centre-centre', measuredMm: 400 + ((i * 37) % 900) }
    items.push(
      { itemId: id(), item: { type: 'piece', tag: `${tag}/P${i + 1}`, size, ...measured, ...ends } },
      { itemId: id(), item: { type: 'fitting', tag: `${tag}/F${i + 2}`, size, fitting } },
    )
  }
  for (let i = 0; i < items.length; i += 400)
    put('items-put', { lineId, items: items.slice(i, i + 400) }, beganS + 100)
  const test = { workingBar: 6, testBar: 9, holdS: 3600, allowedDropBar: 0.2 }
  put(
    'section-set',
    { sectionId: id(), tag: `${tag}-A`, jointIds: jointIds.slice(0, 3000), ...test },
    beganS + 200,
  )
  return jointIds
}

/** @returns entries in the order of their times, without the device's own count. @param joints an even number. */
export function hospital({ joints, lines = 50, days = SEASON_DAYS, nowS, inch = false }) {
  const drawn = drawnBy(joints)
  const entries = []
  const put = (kind, data, atS, jointId = null, version = 1) =>
    entries.push({ id: drawn.id(), kind, v: version, jointId, atDeviceS: atS, after: [], data })
  const beganS = nowS - (days + 1) * DAY_S
  const school = inch ? 'inch' : 'metric'
  const rest = { zone: 'UTC', school, table: 'current', checkOffsetMm: 50 }
  put('job-set', { name: `Hospital of ${joints}`, ...rest }, beganS)
  const places = readings(put, drawn, nowS, days)
  put('take-off', { fitting: 'tee', size: PIPE[school].size, takeOffMm: 62, takeOffTo: 'face' }, beganS)
  const pieces = Math.max(1, Math.round(joints / lines / 2))
  for (let count = 0; count * pieces * 2 < joints; count++) {
    const { placeId } = places[count % PLACES]
    for (const jointId of line(put, drawn, {
      tag: `L${count + 1}`,
      placeId,
      school,
      pieces,
      beganS: beganS + count,
    })) {
      if (drawn.share() > 0.9) continue
      const atS = nowS - Math.floor(drawn.share() * (days - 1) * DAY_S) - 600
      for (const [step, laterS] of STEPS[school])
        put('step-done', { life: 1, step, readings: {}, shown: [] }, atS + laterS, jointId, 2)
    }
  }
  return entries.sort((one, other) => one.atDeviceS - other.atDeviceS)
}

/** Entries as they are sent: no more at once than the door takes. */
function* batches(entries) {
  let [first, list, size] = [0, [], 0]
  for (const entry of entries) {
    const own = JSON.stringify(entry).length
    if (list.length && (list.length === BATCH || size + own > MOST_BYTES)) {
      yield { first, list }
      ;[first, list, size] = [first + list.length, [], 0]
    }
    list.push(entry)
    size += own
  }
  if (list.length) yield { first, list }
}

/** Loads a job through the door that phones use. @returns its id and what it was told apart by. */
export async function loadHospital(base, cookie, asked) {
  const headers = { 'content-type': 'application/json', cookie }
  const jobId = randomUUID()
  const deviceId = randomUUID()
  const nowS = Date.now() / 1000
  const post = async (path, body) => {
    const answer = await fetch(`${base}/api${path}`, { method: 'POST', headers, body: JSON.stringify(body) })
    if (!answer.ok) throw new Error(await answer.text())
  }
  await post('/jobs', { jobId, name: `Hospital of ${asked.joints}` })
  const entries = hospital({ ...asked, nowS })
  for (const { first, list } of batches(entries))
    await post(`/jobs/${jobId}/events`, {
      deviceId,
      sentAtDeviceS: nowS,
      clockErrorS: 0,
      events: list.map((entry, i) => ({ ...entry, deviceSeq: first + i + 1 })),
    })
  const of = (kind) => entries.filter((e) => e.kind === kind)
  const begun = new Set(of('step-done').map((e) => e.jointId))
  const jointIds = of('section-set').flatMap((e) => e.data.jointIds)
  return {
    jobId,
    entries: entries.length,
    placeIds: of('place-set').map((e) => e.data.placeId),
    sectionIds: of('section-set').map((e) => e.data.sectionId),
    toMake: jointIds.filter((jointId) => !begun.has(jointId)),
  }
}
