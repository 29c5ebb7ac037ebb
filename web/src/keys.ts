import { usePrefs } from './stores/prefs'

/**
 * May this key act by itself here? Not while a field has the focus or a sheet is open, not together with Ctrl, Alt or the
 * system key, and no single letter or figure where the person has turned those off.
 */
export function isOwnKey(e: KeyboardEvent): boolean {
  const el = e.target as HTMLElement
  if (e.defaultPrevented || e.ctrlKey || e.metaKey || e.altKey) return false
  if (/INPUT|TEXTAREA|SELECT/.test(el.tagName) || el.isContentEditable) return false
  if (document.querySelector('dialog[open]')) return false
  return usePrefs().prefs.keys || e.key.length > 1 || e.key === '?'
}
