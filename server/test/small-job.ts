import { draft } from './harness.js'

/** A metric job with a line of one piece between two joints, as entries. */
export function smallJob(o: {
  name: string
  place: string
  line: string
  item: string
  tag: string
  joints: readonly [string, string]
}): ReturnType<typeof draft>[] {
  const { name, tag } = o
  return [
    draft('job-set', { name, zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 }),
    draft('place-set', { placeId: o.place, name: 'P' }),
    draft('line-set', {
      lineId: o.line,
      tag,
      name: 'Loop',
      method: 'solvent-cement',
      material: 'pvc-u',
      school: 'metric',
      placeId: o.place,
    }),
    draft('item-put', {
      lineId: o.line,
      itemId: o.item,
      item: {
        type: 'piece',
        tag: `${tag}/P01`,
        size: 'd63',
        measure: 'end-end',
        measuredMm: 900,
        jointA: o.joints[0],
        tagA: `${tag}-01`,
        jointB: o.joints[1],
        tagB: `${tag}-02`,
      },
    }),
  ]
}
