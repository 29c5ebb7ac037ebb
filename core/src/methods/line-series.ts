import { type School, rowsOf } from './joinable.js'
import { methodOf } from './registry.js'
import { type SizeFamily, parseSize } from '../sizes/size.js'
import { wallSeriesOf } from '../sizes/walls.js'

/** Families of sizes a school names its pipe by, its own first. */
const FAMILIES: Readonly<Record<School, readonly SizeFamily[]>> = {
  inch: ['CTS', 'NPS', 'OD', 'd'],
  metric: ['d', 'NPS', 'CTS', 'OD'],
}
/**
 * Series a line may be of: the walls its method's sizes of this material are made with, in the first family of the
 * school that has any. The first of them is the usual one.
 * @example lineSeriesChoices('solder', 'copper', 'inch') // ['L', 'K', 'M']
 */
export function lineSeriesChoices(method: string, material: string, school: School): readonly string[] {
  const rows = rowsOf(methodOf(method)?.joins ?? {}, material).filter((r) => !r.school || r.school === school)
  const families = new Set(rows.flatMap((r) => r.sizes.map((s) => parseSize(s)?.family)))
  const made = FAMILIES[school].filter((f) => families.has(f)).map((f) => wallSeriesOf(material, f))
  return [...new Set(made.find((s) => s.length > 0) ?? [])]
}
