import type { Line, PartWay } from '../log/state.js'
import { methodOf } from '../methods/registry.js'
import type { Reader, System } from '../units/quantity.js'

/** Families that a bare figure may mean, likeliest first. */
const BARE: Readonly<Record<System, readonly string[]>> = {
  metric: ['d', 'DN ', 'NPS '],
  inch: ['NPS ', 'CTS ', 'OD ', 'BPE '],
}
/**
 * A typed size as sizes are written: by its own family, else by what is offered.
 * @example sizeFor('50', { units: 'metric' }, ['d50', 'd63']) // 'd50'
 */
export function sizeFor(typed: string, reader: Reader, offered: readonly string[]): string {
  const named = /^(dn|nps|cts|od|bpe) ?(.+)$/.exec(typed)
  if (named) return `${(named[1] as string).toUpperCase()} ${named[2]}`
  if (offered.includes(typed)) return typed
  const figure = typed.replace(/^d/, '')
  const made = BARE[reader.units].map((family) => `${family}${figure}`).find((size) => offered.includes(size))
  // No tube is called by a fraction of a millimetre: a thread is.
  const family = /[-/]/.test(figure) ? 'NPS ' : BARE[reader.units][0]
  return made ?? `${family}${figure}`
}
/**
 * A size as it is typed: the figure alone where that is what a bare figure means. @param offered sizes of the pipe.
 * @example bareSize('CTS 2', { units: 'inch' }, ['CTS 2']) // '2'
 */
export function bareSize(size: string, reader: Reader, offered: readonly string[] = []): string {
  const first = BARE[reader.units][0] as string
  if (size.startsWith(first)) return size.slice(first.length)
  const figure = size.split(' ')[1]
  return figure && offered.includes(size) && sizeFor(figure, reader, offered) === size ? figure : size
}
/** Sizes of the pipe that is usual here. @param way where that is not the line's. */
export const sizesHere = (line: Line, way: PartWay | undefined): readonly string[] =>
  methodOf(way?.method ?? line.method)?.sizes(way?.material ?? line.material) ?? []
/** Is this a size of the line's pipe, by the method that joins it? @param way what is usual here, where not the line's. */
export function isMade(line: Line, size: string, way?: PartWay): boolean {
  const method = methodOf(way?.method ?? line.method)
  if (!method) return true
  const { school, schedule, details } = line
  const material = way?.material ?? line.material
  const own = method.id === line.method ? details : {}
  return method.parse({ ...own, material, size, school, schedule, checkOffsetMm: 50, pressureService: true })
    .ok
}
