import { certificateOf, foldJob } from '../src/index.js'
import { T0 } from './make-job.js'
import { H, HEAD, ready, test as testIn } from './proving-job.js'

it('a certificate says how far its log came in as a file, however often it did', () => {
  const log = ready()
  testIn(log, 'test-1', 20)
  const flags = () =>
    certificateOf(foldJob(log.events), 'test-1', HEAD)?.flags.filter(({ code }) => code === 'flag-brought')
  expect(flags()).toEqual([])
  log.put('log-brought', { entries: 12, head: 'a'.repeat(64) }, { atS: T0 + 30 * H })
  log.put('log-brought', { entries: 40, head: 'b'.repeat(64) }, { atS: T0 + 40 * H })
  expect(flags()?.map(({ params }) => params.entries)).toEqual([12, 40])
})
