import { type Reader, type Writing, fallText, fmt, levelText } from '@jugalis/core'

/** Falls are said as 1 in a round figure. */
const ratio = (perMm: number): number => Math.round((1 / perMm) * 10) / 10

/** How the figures of a drawing in space are written for somebody. */
export const writingFor = (reader: Reader): Writing => ({
  length: (mm) => fmt.lengthFigure(mm, reader),
  level: (mm) => levelText(mm, reader),
  fall: (perMm) => fallText(ratio(perMm)).replace(/^\w+ -?/, ''),
})
