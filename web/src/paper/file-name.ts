/** A part of a file name: what a disk of any system takes. @example fileName('Boiler room: 2/3') // 'Boiler-room-2-3' */
export const fileName = (text: string): string =>
  text
    .normalize('NFC')
    .replace(/[^\p{L}\p{N}._-]+/gu, '-')
    .replace(/^[-.]+|[-.]+$/g, '')
    .slice(0, 60) || 'x'
