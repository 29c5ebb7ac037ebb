/** Does a JPEG hold a part with what the camera knows: where, when, with what (Exif, XMP)? */
function inJpeg(bytes: Buffer): boolean {
  // After the first marker each part says how long it is; the picture itself begins at SOS (0xda).
  for (let at = 2; at + 4 <= bytes.length && bytes[at] === 0xff;) {
    const marker = bytes[at + 1]
    if (marker === 0xda) return false
    const length = bytes.readUInt16BE(at + 2)
    const name = bytes.toString('latin1', at + 4, at + 4 + 29)
    if (marker === 0xe1 && /^(?:Exif\0|http:\/\/ns\.adobe\.com\/)/.test(name)) return true
    at += 2 + length
  }
  return false
}
/** Parts of a PNG or a RIFF file by their names: each says how long it is. */
function partsOf(
  bytes: Buffer,
  from: number,
  read: (at: number) => { name: string; next: number },
): string[] {
  const names: string[] = []
  for (let at = from; at + 8 <= bytes.length;) {
    const { name, next } = read(at)
    names.push(name)
    if (next <= at) break
    at = next
  }
  return names
}
const inPng = (bytes: Buffer): boolean =>
  partsOf(bytes, 8, (at) => ({
    name: bytes.toString('latin1', at + 4, at + 8),
    next: at + 12 + bytes.readUInt32BE(at),
  })).some((name) => name === 'eXIf' || name === 'iTXt' || name === 'tEXt' || name === 'zTXt')
const inWebp = (bytes: Buffer): boolean =>
  partsOf(bytes, 12, (at) => {
    const length = bytes.readUInt32LE(at + 4)
    return { name: bytes.toString('latin1', at, at + 4), next: at + 8 + length + (length % 2) }
  }).some((name) => name === 'EXIF' || name === 'XMP ')

/** Does a picture carry what a camera or a person wrote into it besides the picture, such as where it was taken? */
export function saysWhere(bytes: Buffer): boolean {
  if (bytes[0] === 0xff) return inJpeg(bytes)
  return bytes[0] === 0x89 ? inPng(bytes) : inWebp(bytes)
}
