import type { Line } from '../../log/state.js'
import { closingErrors } from './closing.js'
import { isUpright } from '../../space/heading.js'
import type { SpaceFault, Walked } from './walked.js'

/** All that cannot be as it was said of where a line lies, and all that is not known of it. */
export function spaceFaults(line: Line, walked: Walked): SpaceFault[] {
  if (!walked.nodes.length) return []
  const onRiser = line.items.flatMap((item): SpaceFault[] => {
    const way = walked.courses.get(item.id)?.way
    return item.falls && way && isUpright(way)
      ? [{ item, code: 'space-fall-on-riser', params: {}, stops: true }]
      : []
  })
  const loops = closingErrors(walked).flatMap(({ met, measures }): SpaceFault[] =>
    met.own !== null && measures < 2
      ? [
          {
            item: met.item,
            code: 'space-loop-of-one',
            params: { part: met.item.tag, name: met.name },
            stops: true,
          },
        ]
      : [],
  )
  return [...walked.faults, ...onRiser, ...loops, ...pastTheirEnds(walked)]
}
/** What is said to be held where there is no pipe. */
const pastTheirEnds = ({ legs }: Walked): SpaceFault[] =>
  legs.flatMap(({ item, lengthMm, known }): SpaceFault[] => {
    const past = known ? item?.held?.find(({ atMm = 0 }) => atMm > lengthMm) : undefined
    if (!item || !past) return []
    const params = { part: item.tag, lengthMm, atMm: past.atMm ?? 0 }
    return [{ item, code: 'held-past-end', params, stops: true }]
  })
