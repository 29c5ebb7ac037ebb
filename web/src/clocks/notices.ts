import { here } from '../base'
import { hhmm } from '../when'
import type { Running } from './running'

/** What this device says of notices: `granted`, `denied`, `default` (not asked yet), or that it has none. */
export const noticesAre = (): NotificationPermission | 'none' =>
  typeof Notification === 'undefined' ? 'none' : Notification.permission

/** Asks the person, by the browser's own question. */
export async function askForNotices(): Promise<NotificationPermission | 'none'> {
  return noticesAre() === 'none' ? 'none' : await Notification.requestPermission()
}

/** One notice for clocks that come to their points while the page is out of sight: it opens the first joint. */
export async function notice(
  rung: readonly Running[],
  about: { jobId: string; zone: string; label: (r: Running) => string },
): Promise<void> {
  const [first] = rung
  if (!first || noticesAre() !== 'granted' || document.visibilityState === 'visible') return
  const lines = rung.slice(0, 3).map((running) => {
    const untilS = running.clock.untilS.value
    return `${running.tag}: ${about.label(running)}${untilS === null ? '' : `, ${hhmm(untilS, about.zone)}`}`
  })
  const options = {
    body: lines.slice(1).join('\n'),
    tag: first.key,
    data: here(`/job/${about.jobId}/make/${first.jointId}`),
  }
  const kept = await navigator.serviceWorker?.getRegistration()
  try {
    if (kept) return void (await kept.showNotification(lines[0] ?? '', options))
    const shown = new Notification(lines[0] ?? '', options)
    shown.onclick = () => window.focus()
  } catch {
    // This device takes notices only from an installed page: the clock shows it all the same.
  }
}
