/*
 * Small choices kept on this device. A store that is full, closed or broken costs the memory of a choice, never the page:
 * every way to it is caught here, and nowhere else is it touched.
 */
type Shelf = 'device' | 'visit'
const shelf = (of: Shelf): Storage => (of === 'device' ? window.localStorage : window.sessionStorage)

/** What is kept under a key, or null. */
export function readText(key: string, of: Shelf = 'device'): string | null {
  try {
    return shelf(of).getItem(key)
  } catch {
    return null
  }
}
/** Keeps a text; null takes it away. Says whether it is kept. */
export function keepText(key: string, text: string | null, of: Shelf = 'device'): boolean {
  try {
    if (text === null) shelf(of).removeItem(key)
    else shelf(of).setItem(key, text)
    return true
  } catch {
    return false
  }
}
/** What is kept under a key as JSON, or null where nothing is, or nothing that can be read. */
export function readJson<T>(key: string, of: Shelf = 'device'): T | null {
  try {
    return JSON.parse(readText(key, of) ?? 'null') as T | null
  } catch {
    return null
  }
}
/** Keeps a value as JSON: the value itself, since a text of it would be read back as a text. */
export const keepJson = (key: string, value: object | number | boolean, of: Shelf = 'device'): boolean =>
  keepText(key, JSON.stringify(value), of)
