import { defineStore } from 'pinia'
import { ref } from 'vue'
import { type Heard, type Moment, apartS } from '../sync/placing'
import { keepJson, readJson } from '../stored'

/** The two clocks of this device as they last stood, so that a page loaded anew goes on from there. */
const KEY = 'jugalis-clock'
interface Kept extends Moment {
  heard: Heard | null
}
function kept(): Kept | null {
  const k = readJson<Kept>(KEY)
  return k && Number.isFinite(k.wallS) && Number.isFinite(k.steadyS) && typeof k.life === 'string' ? k : null
}
/** The wall clock and the steady one part by more than this only when it was set, or slept, s. */
const PARTED_S = 2

/** The server's time on this device: its own clock plus what it is off by. */
export const useClock = defineStore('clock', () => {
  const had = kept()
  const life = had?.life ?? crypto.randomUUID()
  /** The steady clock goes on from page to page: at least so much time has passed. */
  const carriedS = had?.steadyS ?? 0
  const moment = (): Moment => ({
    wallS: Date.now() / 1000,
    steadyS: carriedS + performance.now() / 1000,
    life,
  })
  /** The last time the server was heard. */
  let heardAt: Heard | null = had?.heard ?? null
  const offsetS = ref(heardAt ? heardAt.serverS - heardAt.wallS : 0)
  const roundTripS = ref(0)
  const nowS = ref(Date.now() / 1000 + offsetS.value)
  /** Called when the two clocks part: the server is asked for the time at once. */
  let onParted: (() => void) | null = null
  let last = moment()

  function tick(): void {
    const now = moment()
    const apart = apartS(last, now) ?? 0
    last = now
    if (Math.abs(apart) > PARTED_S) {
      // Behind the steady clock: it was put back, for sure. Ahead: put forward, or it slept; the server knows.
      if (apart < 0) offsetS.value -= apart
      onParted?.()
    }
    nowS.value = now.wallS + offsetS.value
    // Without a store the next page begins a life of its own.
    keepJson(KEY, { ...now, heard: heardAt } satisfies Kept)
  }
  function heard(serverNowS: number, sentAtMs: number, gotAtMs: number): void {
    const now = moment()
    roundTripS.value = Math.max(0, (gotAtMs - sentAtMs) / 1000)
    // Put back on the way, the answer would be older than the question: it says nothing.
    if (gotAtMs < sentAtMs) return tick()
    const middle = (sentAtMs + gotAtMs) / 2000
    heardAt = {
      ...now,
      serverS: serverNowS + (now.wallS - middle),
      roundTripS: roundTripS.value,
    }
    offsetS.value = heardAt.serverS - heardAt.wallS
    last = now
    tick()
  }
  const lastHeard = (): Heard | null => heardAt
  setInterval(tick, 1000)
  return {
    nowS,
    offsetS,
    roundTripS,
    moment,
    lastHeard,
    heard,
    tick,
    whenParted: (f: () => void) => void (onParted = f),
  }
})
