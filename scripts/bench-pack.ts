import { readFileSync } from 'node:fs'
import { factsOn, foldFrom } from '../core/src/index.js'
import { handOverBook } from '../web/src/paper/pack/book.js'
import { packOf } from '../web/src/paper/pack/pack.js'
import { letters } from '../web/src/paper/sheet.js'
import { hospitalLog } from './lib/hospital-log.js'

/** npm run bench -- pack: what is handed over of a hospital of 10,000 joints, as one paper. In a browser a worker does it. */
const JOINTS = 10_000
const NOW_S = 1_796_000_000
const font = (name: string): Uint8Array =>
  new Uint8Array(readFileSync(`node_modules/dejavu-fonts-ttf/ttf/${name}.ttf`))
letters.read = () =>
  Promise.resolve({ regular: font('DejaVuSansCondensed'), bold: font('DejaVuSansCondensed-Bold') })

const events = hospitalLog(JOINTS, NOW_S)
const began = performance.now()
const { state } = foldFrom(events)
const facts = factsOn(null, state, 'coldest', NOW_S).all
let most = 0
const pack = packOf({
  state,
  facts,
  proposals: [],
  sectionId: null,
  nowS: NOW_S,
  name: () => 'T. Quill',
  head: {
    seq: events.length,
    hash: 'f'.repeat(64),
    address: 'https://jugalis.example/verify#x',
    short: 'ffff ffff ffff',
  },
  waiting: 0,
  pictureFiles: new Map(),
  pictureOf: () => Promise.resolve(null),
})
const bytes = await handOverBook(pack, () => {
  most = Math.max(most, process.memoryUsage().rss)
})
most = Math.max(most, process.memoryUsage().rss)
const s = (performance.now() - began) / 1000
console.log(
  JSON.stringify({
    what: `Hand-over of ${facts.size} joints as one paper, fold and all`,
    measured: `${s.toFixed(1)} s, ${(bytes.length / 1e6).toFixed(1)} MB of paper, at most ${Math.round(most / 1e6)} MB of memory`,
    target: '60 s, 1 GB',
  }),
)
