import { usePrefs } from './stores/prefs'

/**
 * May this key act by itself here? Not while a field has the focus or a sheet is open, not together with Ctrl, Alt or the
 * system key, and no single letter or figure where the person has turned those off.
 */
export function isOwnKey(event: KeyboardEvent): boolean {
  const el = event.target as HTMLElement
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return false
  if (/INPUT|TEXTAREA|SELECT/.test(el.tagName) || el.isContentEditable) return false
  if (document.querySelector('dialog[open]')) return false
  return usePrefs().prefs.keys || event.key.length > 1 || event.key === '?'
}
