import { defineStore } from 'pinia'
import { ref } from 'vue'

/** The server's time on this device: its own clock plus what it is off by. */
export const useClock = defineStore('clock', () => {
  const offsetS = ref(0)
  const roundTripS = ref(0)
  const nowS = ref(Date.now() / 1000)
  /** A jump of the device's own clock makes its times doubtful until the server has been heard again. */
  const jumpS = ref(0)
  let lastWall = Date.now()
  let lastSteady = performance.now()

  function tick(): void {
    const drift = (Date.now() - lastWall - (performance.now() - lastSteady)) / 1000
    if (Math.abs(drift) > 2) jumpS.value = Math.max(jumpS.value, Math.abs(drift))
    lastWall = Date.now()
    lastSteady = performance.now()
    nowS.value = Date.now() / 1000 + offsetS.value
  }
  function heard(serverNowS: number, sentAtMs: number, gotAtMs: number): void {
    roundTripS.value = Math.max(0, (gotAtMs - sentAtMs) / 1000)
    offsetS.value = serverNowS - (sentAtMs + gotAtMs) / 2000
    jumpS.value = 0
    tick()
  }
  setInterval(tick, 1000)
  return { nowS, offsetS, roundTripS, jumpS, heard, tick }
})
