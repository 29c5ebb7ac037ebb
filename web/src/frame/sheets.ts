/** Sheets that are open, the topmost last, each with the way to close it. */
const open: (() => void)[] = []

/** A sheet is there; the answer takes it off again. */
export function sheetOpened(close: () => void): () => void {
  open.push(close)
  return () => {
    const at = open.indexOf(close)
    if (at >= 0) open.splice(at, 1)
  }
}
/** Closes the topmost sheet; false where none is open. */
export function closeTopSheet(): boolean {
  const close = open.at(-1)
  close?.()
  return close !== undefined
}
