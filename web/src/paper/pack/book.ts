import { reading, word } from '../../words/word'
import { Flow } from '../flow'
import { book, sheetOf } from '../sheet'
import { drawJoints } from './joint-blocks'
import type { Heard, Pack } from './pack'
import { drawLines, drawPapers, drawSources, drawTags, drawTests, drawUpkeep } from './rest'
import { drawSummary } from './summary'

/** What is handed over, in one document: the answer, what is open, lines, tests, joints, upkeep, where figures come from. */
export async function handOverBook(pack: Pack, heard: Heard): Promise<Uint8Array> {
  const sheet = sheetOf(reading.value)
  const section = pack.sections.find((a) => a.section.id === pack.sectionId)?.section.tag
  const feed = await book(word('paper-pack-of', { job: pack.state.job.name, section }), sheet)
  const { seq, hash } = pack.head
  const flow = new Flow(feed, sheet, word('paper-log-head', { seq, hash }))
  drawSummary(flow, pack)
  drawPapers(flow, pack)
  drawTags(flow, pack)
  drawUpkeep(flow, pack)
  drawSources(flow, pack)
  drawLines(flow, pack)
  drawTests(flow, pack, heard)
  await drawJoints(flow, feed, pack, heard)
  heard('files', 0, 1)
  return feed.bytes(true)
}
