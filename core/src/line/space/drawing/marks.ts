import { isLevel } from '../../../space/heading.js'
import { shortTag } from '../../tags.js'
import type { LinesAsOne } from '../lines-as-one.js'
import type { Room, Wanted } from './labels.js'
import { type Flat, type View, around, flatLength, flatPlus, flatTimes, flatUnit, project } from './view.js'

/** What a drawing says in words: whose units it is in stays with who reads. */
export interface Writing {
  length(mm: number): string
  level(mm: number): string
  fall(perMm: number): string
}
/** Heights of texts. */
export const SIZES = { figure: 15, tag: 13 } as const
/** From this share of its length on a leg lies off its axis. */
export const SKEW = 0.06

/** Where a level pipe falls: a small triangle above it, its point the way down. */
export function fallSigns(
  space: LinesAsOne,
  flats: readonly Flat[],
  view: View,
  room: Room,
): {
  drawn: { at: Flat; points: readonly Flat[] }[]
  texts: (writing: Writing) => Wanted[]
} {
  const found = space.legs.flatMap(({ item, from, to, heading }) => {
    const [a, b] = [flats[from], flats[to]]
    if (!item || !a || !b || heading[2] === 0 || Math.abs(heading[2]) > SKEW) return []
    const along = flatUnit([b[0] - a[0], b[1] - a[1]])
    if (!along || flatLength([b[0] - a[0], b[1] - a[1]]) < 60) return []
    const down = heading[2] < 0 ? along : flatTimes(along, -1)
    const up = flatUnit(project([0, 0, 1], view)) ?? ([0, -1] as Flat)
    const at = flatPlus([(a[0] * 2 + b[0]) / 3, (a[1] * 2 + b[1]) / 3], flatTimes(up, 7))
    const points = [
      flatPlus(at, flatTimes(down, -9)),
      flatPlus(flatPlus(at, flatTimes(down, -9)), flatTimes(up, 6)),
      flatPlus(at, flatTimes(down, 9)),
    ]
    return [{ item, at, points, up, perMm: -heading[2] }]
  })
  room.take(found.map(({ at }) => around(at, 9)))
  return {
    drawn: found.map(({ at, points }) => ({ at, points })),
    texts: (writing) =>
      found.map(({ item, at, up, perMm }) => ({
        key: `fall ${item.id}`,
        text: writing.fall(perMm),
        at,
        towards: up,
        size: SIZES.tag,
      })),
  }
}

/** Levels: where a run begins, where it ends, and where it has come to another one. */
export function levels(space: LinesAsOne, flats: readonly Flat[], writing: Writing): Wanted[] {
  const beside = space.nodes.map(() => [] as boolean[])
  for (const { from, to, heading, insidePipe } of space.legs)
    for (const node of insidePipe ? [to, to] : [from, to]) beside[node]?.push(isLevel(heading))
  // An end that came back to a part of its own line lies there: its level is told once.
  const back = new Set(space.meets.flatMap((met) => (met.own === null ? [] : [met.node])))
  return space.nodes.flatMap(({ tag, atMm, known }, node): Wanted[] => {
    const at = flats[node]
    const own = beside[node] ?? []
    const tells = own.length < 2 || (own.includes(true) && own.includes(false))
    return at && known && tells && !back.has(node)
      ? [{ key: `level ${tag}`, text: writing.level(atMm[2]), at, towards: [0.4, -1], size: SIZES.figure }]
      : []
  })
}
/** Tags of the fittings. */
export function names(space: LinesAsOne, flats: readonly Flat[]): Wanted[] {
  return space.nodes.flatMap(({ fitting }, node): Wanted[] => {
    const at = flats[node]
    return fitting && at
      ? [
          {
            key: `tag ${fitting.id}`,
            text: shortTag(space.line.tag, fitting.tag),
            at,
            towards: [-0.5, 1],
            size: SIZES.tag,
          },
        ]
      : []
  })
}
