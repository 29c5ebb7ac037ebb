import { onBeforeUnmount, onMounted } from 'vue'
import { useClock } from '../stores/clock'
import { useJob } from '../stores/job'
import { usePrefs } from '../stores/prefs'
import { useView } from '../view'
import { type Rung, useMissed } from './missed'
import { notice } from './notices'
import { type Running, rung, runningClocks } from './running'

const FLASH_MS = 1200
/** Out of sight for longer than this, a page's timers can't be relied on. */
const DARK_MS = 4000
let audio: AudioContext | null = null
/** Rising pair: something is lost soon. One low tone: a wait is over. */
function tones(pitches: number[]): void {
  try {
    audio ??= new AudioContext()
    pitches.forEach((hz, i) => {
      const ctx = audio as AudioContext
      const tone = ctx.createOscillator()
      const gain = ctx.createGain()
      tone.frequency.value = hz
      gain.gain.value = 0.25
      tone.connect(gain).connect(ctx.destination)
      tone.start(ctx.currentTime + i * 0.22)
      tone.stop(ctx.currentTime + i * 0.22 + 0.18)
    })
  } catch {
    // No sound on this device: the clock shows it all the same.
  }
}
/** For ears under defenders: the edge of the whole screen lights up once. */
function flash(): void {
  document.documentElement.classList.add('flash')
  setTimeout(() => document.documentElement.classList.remove('flash'), FLASH_MS)
}

/** Rings, vibrates and flashes for clocks that come to their points, in whatever place; on waking shows what was missed. */
export function useAlarms(): void {
  const clock = useClock()
  const view = useView()
  const prefs = usePrefs()
  const missed = useMissed()
  const job = useJob()
  let lastS = clock.nowS
  let timer: ReturnType<typeof setInterval> | undefined
  let darkSince: number | null = null

  const between = (fromS: number, toS: number): Running[] =>
    rung(runningClocks(view.clocked, fromS), fromS, toS)
  function look(): void {
    const nowS = clock.nowS
    // However many come at once, they are rung as one: the first kind that loses something speaks.
    const now = between(lastS, nowS)
    if (now.length) {
      const before = now.some((r) => r.kind === 'before')
      if (prefs.prefs.sound) tones(before ? [660, 990] : [330])
      navigator.vibrate?.(before ? [120, 80, 120, 80, 120] : [500])
      flash()
      if (prefs.prefs.notices)
        void notice(now, {
          jobId: job.jobId ?? '',
          zone: job.state.job.zone,
          label: (r) => job.t(r.clock.label),
        })
    }
    lastS = nowS
  }
  function seen(): void {
    if (document.visibilityState === 'hidden') {
      darkSince = Date.now()
      return
    }
    clock.tick()
    if (darkSince !== null && Date.now() - darkSince > DARK_MS) {
      const fromS = clock.nowS - (Date.now() - darkSince) / 1000
      const ended = between(fromS, clock.nowS).filter((r) => (r.clock.untilS.value ?? Infinity) <= clock.nowS)
      missed.add(
        ended.map((running): Rung => ({
          key: running.key,
          jointId: running.jointId,
          kind: running.kind,
          endedS: running.clock.untilS.value ?? 0,
        })),
      )
      lastS = clock.nowS
    }
    darkSince = null
  }
  onMounted(() => {
    timer = setInterval(look, 500)
    document.addEventListener('visibilitychange', seen)
  })
  onBeforeUnmount(() => {
    clearInterval(timer)
    document.removeEventListener('visibilitychange', seen)
  })
}
/** Can it ring at all? Sound needs a first touch, and some devices neither sound nor vibrate. */
export const canRing = (sound: boolean): boolean =>
  (sound && typeof AudioContext !== 'undefined') || 'vibrate' in navigator
