/** How long a browser may take to begin reading what it was handed. */
const KEPT_MS = 10_000

/** Hands a file to the device, which asks where to or puts it with the rest. */
export function saveFile(content: BlobPart, type: string, name: string): void {
  const url = URL.createObjectURL(content instanceof Blob ? content : new Blob([content], { type }))
  Object.assign(document.createElement('a'), { href: url, download: name }).click()
  setTimeout(() => URL.revokeObjectURL(url), KEPT_MS)
}
export const PDF = 'application/pdf'
