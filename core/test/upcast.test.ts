import { readFileSync } from 'node:fs'
import path from 'node:path'
import { type JobEvent, type LogLine, checkChain, foldJob, jointFacts, lineHash } from '../src/index.js'

interface Golden {
  jobId: string
  lines: LogLine[]
  expect: { joint: string; verdict: string; checkMm: number; homeAtS: number }[]
}
/** Events as they were written once. This file only grows; what stands in it is replayed for ever. */
const golden = JSON.parse(
  readFileSync(path.join(process.cwd(), 'core/test/events.golden.json'), 'utf8'),
) as Golden

describe('old events', () => {
  it('still hash to what they hashed to', () => {
    expect(checkChain(golden.jobId, golden.lines)).toMatchObject({ ok: true, seq: golden.lines.length })
  })
  it('still fold to what they meant', () => {
    const state = foldJob(golden.lines.map((l) => JSON.parse(l.body) as JobEvent))
    for (const e of golden.expect) {
      const f = jointFacts(state, e.joint, 'coldest', e.homeAtS + 5000)
      expect(f?.homeAtS).toBe(e.homeAtS)
      expect(f?.inspection?.verdict).toBe(e.verdict)
      expect(f?.life?.done.at(-1)?.readings.checkMm).toBe(e.checkMm)
    }
  })
  it('a changed letter, a missing line, a swapped pair: the chain says where', () => {
    const broken = golden.lines.map((l) => ({ ...l }))
    const third = broken[2] as LogLine
    third.body = third.body.replace('1', '2')
    expect(checkChain(golden.jobId, broken)).toMatchObject({ ok: false, seq: 3 })
    expect(
      checkChain(
        golden.jobId,
        golden.lines.filter((_, i) => i !== 4),
      ),
    ).toMatchObject({ ok: false, seq: 5 })
    const rehashed = golden.lines.map((l) => ({ ...l }))
    const second = rehashed[1] as LogLine
    second.body = second.body.replace('1', '2')
    second.hash = lineHash(second.prevHash, golden.jobId, 2, second.recordedAt, second.body)
    expect(checkChain(golden.jobId, rehashed)).toMatchObject({ ok: false, seq: 3 })
  })
})
