import { KELPWICK, idOf } from './ids.js'
import { tellLines, tellPlaces, tellSection } from './set-out.js'
import { tellRest } from './rest.js'
import { tellStore } from './store.js'
import { MIN_S, Story, type Told } from './story.js'
import { tellFeed, tellLoop } from './work.js'

export { type Told, nightBefore } from './story.js'

/** What hangs on the loop today, and the one gate that was looked at. */
function tellToday(story: Story, sectionId: string): void {
  const { nowS } = story
  story.tell('Rook', nowS - 30 * MIN_S, 'tag-put', {
    tagId: idOf('blank tank 4'),
    sectionId,
    kind: 'blank',
    where: 'branch to tank 4',
  })
  story.tell('Rook', nowS - 28 * MIN_S, 'tag-put', {
    tagId: idOf('relief pump 2'),
    sectionId,
    kind: 'relief gagged',
    where: 'relief valve at pump 2',
  })
  story.tell('Rook', nowS - 10 * MIN_S, 'gate', {
    sectionId,
    gate: 'supports',
    done: true,
    how: 'clips at 1.2 m, looked at',
  })
}

/**
 * Writes the demo job's story as the events that people and a probe would have sent.
 * @param rest with what else was set out and made in it besides the two seawater lines' story.
 */
export function tellStory(nowS: number, rest = true): Told[] {
  const story = new Story(nowS, KELPWICK)
  tellPlaces(story)
  tellStore(story)
  tellLines(story)
  const feed = tellSection(story, 'Q1', { tag: 'Q1-A', valve: 'V-1', union: 'union at the filter' })
  const loop = tellSection(story, 'Q2', { tag: 'Q2-A', valve: 'V-3', union: 'union at pump 2' })
  tellFeed(story, feed)
  tellLoop(story)
  if (rest) tellRest(story)
  tellToday(story, loop)
  return story.told
}
