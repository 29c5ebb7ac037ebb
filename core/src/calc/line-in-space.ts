import type { Item, Line } from '../log/state.js'
import type { School } from '../methods/joinable.js'
import { endSize } from '../parts/ends.js'
import { type EndAt, fittedAt } from '../parts/neighbours.js'
import { partNamed } from '../parts/vocabulary.js'
import { list, may, need, number, object, oneOf } from '../schema/shape.js'
import { parseSize } from '../sizes/size.js'
import { msg } from '../sources/source.js'
import { MEASURE_ERROR_MM, closingErrors } from '../line/space/closing.js'
import { extremes } from '../line/space/extremes.js'
import { spaceFaults } from '../line/space/faults.js'
import { directionSaid, headingOf } from '../space/heading.js'
import type { Reaches } from '../line/space/reach.js'
import type { Vector } from '../space/vector.js'
import { walk } from '../line/space/walk.js'
import type { Fixed, SpaceFault, Walked } from '../line/space/walked.js'
import type { Reader } from '../units/quantity.js'
import { Refusal, type Working, calculation } from './calculation.js'
import { type SetOut, own, refusal, setOut } from './entries.js'
import { headingShape, placeShape } from './space.js'

interface TakeOffGiven {
  fitting: string
  size?: string | null
  end?: 'run' | 'branch' | null
  takeOffMm: number
  takeOffTo?: 'face' | 'stop' | null
  insertionMm?: number | null
}
interface PointGiven {
  name: string
  atMm: [number, number, number]
  heading?: string | number[] | null
}
interface LineInput {
  school: School
  size: string
  entries: string[]
  takeOffs?: TakeOffGiven[] | null
  points?: PointGiven[] | null
  measureErrorMm?: number | null
}
function pointsOf(input: LineInput): Map<string, { atMm: Vector; way: Vector | null }> {
  const out = new Map<string, { atMm: Vector; way: Vector | null }>()
  ;(input.points ?? []).forEach(({ name, atMm, heading }, i) => {
    if (out.has(name.toLowerCase()))
      throw new Refusal('bad-input', `Two points are called ${name}.`, `points[${i}].name`)
    const way = heading === undefined || heading === null ? null : headingOf(heading)
    if (heading !== undefined && heading !== null && !way)
      throw new Refusal(
        'bad-input',
        'A heading is a name, or a vector of length 1 (east, north, up).',
        `points[${i}].heading`,
      )
    out.set(name.toLowerCase(), { atMm, way })
  })
  return out
}
function fixedStart(line: Line, points: ReturnType<typeof pointsOf>, reader: Reader): Fixed {
  const { levelMm, name, heading } = line.stands ?? {}
  const said = heading === undefined ? null : directionSaid(heading, null)
  if (heading !== undefined && !said) throw refusal(0, msg('space-no-side', { part: 'from' }), reader)
  if (name === undefined) return { atMm: [0, 0, levelMm ?? 0], way: said }
  const point = points.get(name.toLowerCase())
  if (!point) throw refusal(0, msg('space-no-such-place', { part: 'from', name }), reader)
  return { atMm: point.atMm, way: said ?? point.way }
}

/** What was given of the take-offs, the closest that speaks of an end first. */
function reachesOf(input: LineInput, line: Line): Reaches {
  const given = (input.takeOffs ?? []).map((one, i) => {
    const part = partNamed(one.fitting.trim().toLowerCase())
    if (!part)
      throw new Refusal('bad-input', `${one.fitting} is no fitting known here.`, `takeOffs[${i}].fitting`)
    if (one.size && !parseSize(one.size))
      throw new Refusal(
        'unknown-size',
        `${one.size} is not a size as they are written.`,
        `takeOffs[${i}].size`,
      )
    return { ...one, name: part.name }
  })
  const find = (fitting: Item, at: EndAt): TakeOffGiven | undefined =>
    given
      .filter(
        (one) =>
          one.name === fitting.fitting &&
          (!one.size || one.size === endSize(fitting, at) || one.size === fitting.size) &&
          (!one.end || (one.end === 'branch') === at >= 2),
      )
      .sort((a, b) => closeness(b) - closeness(a))[0]
  return {
    met: (item, end) => fittedAt(line.items, item, end),
    takeOff(fitting, at) {
      const found = find(fitting, at)
      return found ? { mm: found.takeOffMm, to: found.takeOffTo ?? 'face' } : null
    },
    depthMm: (_item, _end, fitting, at) => find(fitting, at)?.insertionMm ?? null,
  }
}
const closeness = (one: TakeOffGiven): number => Number(Boolean(one.size)) * 2 + Number(Boolean(one.end))

/** Figures that nobody gave, rather than words that make no way. */
const NO_FIGURE: readonly string[] = ['space-no-reach', 'space-no-measure']
/** What may be said of a part by an entry of its own. */
const SAID_LATER: readonly string[] = ['space-no-such-place', 'space-loop-of-one', 'space-fall-on-riser']
const entryAt = ({ entryOf, laterOf }: SetOut, { item, code }: SpaceFault): number =>
  (SAID_LATER.includes(code) ? laterOf.get(item.id) : undefined) ?? entryOf.get(item.id) ?? 0
const refuse = (fault: SpaceFault, at: number, reader: Reader): Refusal =>
  refusal(
    at,
    msg(fault.code, { ...fault.params, part: own(fault.item.tag) }),
    reader,
    NO_FIGURE.includes(fault.code) ? 'no-figure' : 'bad-input',
  )

export const lineInSpaceCalc = calculation({
  name: 'line-in-space',
  summary:
    'Where a line lies in the building, from its typed entries: centres, falls, closing errors, high and low points.',
  inputs: [
    need('school', oneOf('inch', 'metric'), 'Whose units bare figures are in'),
    need('size', { type: 'string', max: 20 }, 'Size of the pipe that it begins with'),
    need('entries', list({ type: 'string', max: 200 }, 1, 1000), 'As they are typed in Set out'),
    may(
      'takeOffs',
      list(
        object(
          need('fitting', { type: 'string', max: 40 }, 'Its name, as it is typed'),
          may('size', { type: 'string', max: 20 }, 'Of that size alone'),
          may('end', oneOf('run', 'branch'), 'Of those ends alone'),
          need('takeOffMm', number({ min: 0, max: 5000 }), 'Centre to face or stop'),
          may('takeOffTo', oneOf('face', 'stop'), 'What it reaches to; the face if absent'),
          may('insertionMm', number({ min: 0, max: 5000 }), 'How far the pipe goes in'),
        ),
        0,
        2000,
      ),
      'Take-offs of the fittings: only for measures that begin or end at a face or a stop',
    ),
    may(
      'points',
      list(
        object(
          need('name', { type: 'string', max: 40 }, 'What it is called'),
          need('atMm', placeShape, 'Where it is: east, north, up'),
          may('heading', headingShape, 'How a way goes on there'),
        ),
        0,
        2000,
      ),
      'Measured points',
    ),
    may('measureErrorMm', number({ min: 0, max: 1000 }), 'What one measure may err by; 2 if absent'),
  ],
  rules:
    'The first entry is `from LEVEL|NAME [HEADING]`. x is east, y north, z up. A part of the line is named by its tag (F01, P02, E01).',
  sources: ['line-geometry', 'closing-error', 'cp-measure-error'],
  example: {
    input: {
      school: 'metric',
      size: 'd63',
      entries: ['from +2.400 east', 'elbow 90 north', '1000 c-c', 'elbow 90 up', 'to +3.150'],
    },
    result: {
      nodes: [
        { tag: 'F01', fitting: 'elbow 90', atMm: [0, 0, 2400] },
        { tag: 'F02', fitting: 'elbow 90', atMm: [0, 1000, 2400] },
        { tag: 'E01', fitting: 'end', atMm: [0, 1000, 3150] },
      ],
      pieces: [
        { tag: 'P01', from: 'F01', to: 'F02', lengthMm: 1000, heading: [0, 1, 0], fallPerMm: 0 },
        { tag: 'P02', from: 'F02', to: 'E01', lengthMm: 750, heading: [0, 0, 1], fallPerMm: -1 },
      ],
      closing: [],
      high: ['E01'],
      low: ['F01', 'F02'],
    },
  },
  compute(input: LineInput, working) {
    const reader: Reader = { units: input.school }
    const points = pointsOf(input)
    const done = setOut(input, reader)
    const { line } = done
    const reaches = reachesOf(input, line)
    const walked = walk(
      line,
      fixedStart(line, points, reader),
      reaches,
      (name, ownPlace) => points.get(name.toLowerCase())?.atMm ?? ownPlace(name),
    )
    const faults = spaceFaults(line, walked).map((fault) => ({ fault, at: entryAt(done, fault) }))
    const first = faults.sort((a, b) => a.at - b.at)[0]
    if (first) throw refuse(first.fault, first.at, reader)
    answer(walked, input, line, working)
  },
})

function answer(walked: Walked, input: LineInput, line: Line, working: Working): void {
  const tagAt = (node: number): string => own(walked.nodes[node]?.tag ?? '')
  const nodes = walked.nodes.map(({ tag, fitting, atMm }) => ({
    tag: own(tag),
    fitting: fitting?.fitting ?? 'end',
    atMm,
  }))
  const pieces = walked.legs.flatMap(({ item, from, to, lengthMm, heading }) =>
    item
      ? [
          {
            tag: own(item.tag),
            from: tagAt(from),
            to: tagAt(to),
            lengthMm,
            heading,
            fallPerMm: 0 - heading[2],
          },
        ]
      : [],
  )
  const measureErrorMm = input.measureErrorMm ?? MEASURE_ERROR_MM
  const closing = closingErrors(walked, measureErrorMm, line.stands?.name ?? null).map((error) => ({
    from: own(error.from),
    to: error.to,
    errorMm: error.errorMm,
    missMm: error.missMm,
    expectedMm: error.expectedMm,
    suspects: error.suspects.map((s) => own(s.item.tag)),
  }))
  const { high, low } = extremes(walked)
  working.put('nodes', nodes, 'line-geometry', ['given'])
  working.put('pieces', pieces, 'line-geometry', ['given'])
  const errs = input.measureErrorMm === undefined || input.measureErrorMm === null
  working.put('closing', closing, 'closing-error', [errs ? 'cp-measure-error' : 'given', 'line-geometry'])
  // One list of tags, in the order of the line.
  const tagsOf = (stretches: number[][]): string[] =>
    stretches
      .flat()
      .sort((a, b) => a - b)
      .map(tagAt)
  working.put('high', tagsOf(high), 'line-geometry', ['given'])
  working.put('low', tagsOf(low), 'line-geometry', ['given'])
}
