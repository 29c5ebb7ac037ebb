import { type JointFacts, type LifeTold, type StoreItem, conditionsAt, fmt, livesTold } from '@jugalis/core'
import type { Book, Picture } from '../sheet'
import type { Flow } from '../flow'
import { onPaper } from '../../when'
import { listed, reading, told, word } from '../../words/word'
import type { Heard, Pack } from './pack'

/** Pictures stand side by side in boxes of this size, mm. */
const BOX = { wide: 44, high: 33 }
const BETWEEN_MM = 3
const IN_A_ROW = 4
/** As often as anybody likes to see how far it is. */
const HEARD_EVERY = 25

/** A thing as a record names it: what it is called, its batch where it has one. */
const thingOf = ({ name, batch }: StoreItem): string =>
  batch ? word('paper-pack-batch', { name, batch }) : name

function lifeLines(pack: Pack, facts: JointFacts, life: LifeTold): string[] {
  const { state } = pack
  const at = (atS: number): string => onPaper(atS, state.job.zone)
  const things = life.tools.flatMap((id) => state.store.get(id) ?? []).map(thingOf)
  const { airC, wallC, humidityPct } =
    life.madeAtS === null
      ? { airC: null, wallC: null, humidityPct: null }
      : conditionsAt(state, facts.place.line.placeId, life.madeAtS)
  const temperature = (celsius: number | null): string =>
    celsius === null ? '' : fmt.temperature(celsius, reading.value)
  return [
    word('paper-pack-made', {
      life: life.no,
      made: life.madeAtS === null ? '' : at(life.madeAtS),
      by: listed(life.by.map(pack.name), 99),
      memory: life.fromMemory ? 'yes' : 'no',
      outcome: life.outcome.replace('-', '_'),
      judged: life.judgedAtS === null ? '' : at(life.judgedAtS),
      out: life.cutOutAtS === null ? '' : at(life.cutOutAtS),
    }),
    things.length ? word('paper-pack-with', { things: things.join(', ') }) : '',
    airC === null && wallC === null
      ? ''
      : word('paper-pack-conditions', {
          place: state.places.get(facts.place.line.placeId) ?? '',
          air: temperature(airC),
          wall: temperature(wallC),
          pct: humidityPct === null ? '' : Math.round(humidityPct),
        }),
    life.readings.length ? word('paper-pack-read', { readings: life.readings.join('; ') }) : '',
    life.found.join(' '),
  ].filter(Boolean)
}
/** Who looked over it, what was noted of it and said of its surroundings. */
function moreLines(pack: Pack, facts: JointFacts): string[] {
  const at = (atS: number): string => onPaper(atS, pack.state.job.zone)
  const joint = pack.state.joints.get(facts.id)
  return [
    ...(facts.life?.looks ?? []).map((look) =>
      word('paper-pack-looked', {
        name: pack.name(look.by),
        when: at(look.atS),
        found: look.found,
        note: look.note,
      }),
    ),
    ...facts.notes.map((note) => `${pack.name(note.by)}, ${at(note.atS)}: ${told(note.says)}`),
    ...(joint?.doubts ?? []).map(({ by, atS, says }) =>
      word('paper-pack-doubted', { name: pack.name(by), when: at(atS), says }),
    ),
  ]
}
async function drawPictures(flow: Flow, feed: Book, pack: Pack, facts: JointFacts): Promise<void> {
  const taken = pack.state.joints.get(facts.id)?.photos ?? []
  if (!taken.length) return
  const had: { picture: Picture; says: string }[] = []
  const away: string[] = []
  for (const { hash, step, by, atS } of taken) {
    const does = facts.steps.find(({ id }) => id === step)?.does
    const says = word('paper-pack-picture', {
      tag: facts.tag,
      does: does ? told(does) : '',
      name: pack.name(by),
      when: onPaper(atS, pack.state.job.zone),
    })
    const bytes = await pack.pictureOf(hash)
    const picture = bytes && (await feed.picture(bytes))
    if (picture) had.push({ picture, says })
    else away.push(says)
  }
  for (let from = 0; from < had.length; from += IN_A_ROW) {
    flow.room(BOX.high + BETWEEN_MM)
    had
      .slice(from, from + IN_A_ROW)
      .forEach(({ picture, says }, i) => flow.picture(picture, says, i * (BOX.wide + BETWEEN_MM), BOX))
    flow.y += BOX.high + BETWEEN_MM
  }
  const files = taken.flatMap(({ hash }) => pack.pictureFiles.get(hash) ?? [])
  if (files.length) flow.say(word('paper-pack-picture-files', { files: files.join(', ') }), 2)
  for (const says of away) flow.say(word('paper-pack-picture-away', { says }), 2)
}

async function drawJoint(flow: Flow, feed: Book, pack: Pack, facts: JointFacts): Promise<void> {
  flow.room(14)
  flow.y += 1.5
  const { fitting, way } = facts.place
  const title = word('paper-pack-joint', {
    tag: facts.tag,
    size: way.size,
    method: facts.method ? told(facts.method.name) : way.method,
    into: [fitting?.fitting, fitting?.tag].filter(Boolean).join(' '),
  })
  flow.say(title, 2.8, true, 'H3')
  for (const life of livesTold(facts, reading.value))
    for (const line of lifeLines(pack, facts, life)) flow.say(line, 2.3)
  for (const line of moreLines(pack, facts)) flow.say(line, 2.3)
  await drawPictures(flow, feed, pack, facts)
}
/** The joint log as it is read years later: each joint with its lives, what it was made with, what was read and found. */
export async function drawJoints(flow: Flow, feed: Book, pack: Pack, heard: Heard): Promise<void> {
  if (!pack.joints.length) return
  const begun = pack.joints.filter(({ life, past }) => life || past.length)
  const others = pack.joints.filter(({ life, past }) => !life && !past.length)
  flow.turn()
  flow.say(word('hand-over-joint-log'), 4.2, true, 'H2')
  if (others.length)
    flow.say(
      word('paper-pack-not-begun', { count: others.length, tags: others.map(({ tag }) => tag).join(', ') }),
    )
  for (const [i, facts] of begun.entries()) {
    if (i % HEARD_EVERY === 0) heard('joints', i, begun.length)
    await drawJoint(flow, feed, pack, facts)
  }
}
