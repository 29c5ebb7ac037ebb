import { onBeforeUnmount, onMounted } from 'vue'
import { useClock } from '../stores/clock'
import { usePrefs } from '../stores/prefs'
import { useView } from '../view'
import { runningClocks } from './running'

const BEFORE_AT_S = [30, 10, 0]
let audio: AudioContext | null = null
/** Rising pair: something is lost soon. One low tone: a wait is over. */
function tones(pitches: number[]): void {
  try {
    audio ??= new AudioContext()
    pitches.forEach((hz, i) => {
      const ctx = audio as AudioContext
      const o = ctx.createOscillator()
      const g = ctx.createGain()
      o.frequency.value = hz
      g.gain.value = 0.25
      o.connect(g).connect(ctx.destination)
      o.start(ctx.currentTime + i * 0.22)
      o.stop(ctx.currentTime + i * 0.22 + 0.18)
    })
  } catch {
    // No sound on this device: the clock shows it all the same.
  }
}

/** Rings and vibrates for clocks that come to their points while a place is open. */
export function useAlarms(): void {
  const clock = useClock()
  const view = useView()
  const prefs = usePrefs()
  let lastS = clock.nowS
  let timer: ReturnType<typeof setInterval> | undefined
  function look(): void {
    const nowS = clock.nowS
    const passed = (untilS: number, points: number[]): boolean =>
      points.some((p) => untilS - p > lastS && untilS - p <= nowS)
    for (const r of runningClocks(view.facts.values(), view.looks, lastS)) {
      const untilS = r.clock.untilS.value
      if (untilS === null) continue
      const before = r.kind === 'before'
      if (!passed(untilS, before ? BEFORE_AT_S : [0])) continue
      if (prefs.prefs.sound) tones(before ? [660, 990] : [330])
      navigator.vibrate?.(before ? [120, 80, 120, 80, 120] : [500])
    }
    lastS = nowS
  }
  onMounted(() => (timer = setInterval(look, 500)))
  onBeforeUnmount(() => clearInterval(timer))
}
