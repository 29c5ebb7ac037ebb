import { randomUUID } from 'node:crypto'

/**
 * A device that writes entries, each with how long ago it happened.
 * @param send takes a batch to the server and gives { status, body }.
 */
export function writer(send) {
  const deviceId = randomUUID()
  let deviceSeq = 0
  return (events) => {
    const now = Date.now() / 1000
    const drafts = events.map(({ agoS = 0, ...event }) => ({
      id: randomUUID(),
      v: 1,
      jointId: null,
      atDeviceS: now - agoS,
      deviceSeq: ++deviceSeq,
      after: [],
      ...event,
    }))
    return send({ deviceId, sentAtDeviceS: now, clockErrorS: 0, events: drafts })
  }
}
/** Begins a test; what may be set aside of what speaks against it is, for one reason. Gives its id. */
export async function beginTest(write, data, reason, agoS = 0) {
  const begin = { ...data, testId: randomUUID() }
  const first = await write([{ kind: 'test-begun', agoS, data: begin }])
  if (first.status === 200) return begin.testId
  const codes = [...new Set(first.body.error.stops.map((s) => s.code))]
  const setAside = codes.map((code) => ({ code, reason }))
  const again = await write([{ kind: 'test-begun', agoS, data: { ...begin, setAside } }])
  if (again.status !== 200) throw new Error(JSON.stringify(again.body))
  return begin.testId
}
