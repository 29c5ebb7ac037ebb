import { CALCULATIONS } from '@jugalis/core'
import { type Harness, harness } from './harness.js'

let h: Harness
beforeAll(async () => void (h = await harness()))
afterAll(() => h.close())
const post = (name: string, body: unknown) => h.call('POST', `/calc/${name}`, body)
const joint = { method: 'solvent-cement', material: 'pvc-u', size: 'd110', school: 'metric' }

describe('the calculation door', () => {
  it('lists every calculation with its schema and sources', async () => {
    const list = (await h.call('GET', '/calc')).body as unknown as {
      name: string
      input: { type: string; required: string[] }
      sources: { kind: string; verified: boolean }[]
    }[]
    expect(list.map((c) => c.name).sort()).toEqual([
      ...'adhesive-bond bend-marks clamp-check closing-piece compression cure cut-length derating dew-point dual-containment'.split(
        ' ',
      ),
      ...'flare insertion insertion-verdict ladder line-in-space lubricated-torque offset peel plan-order practice-run press-check socket-fusion'.split(
        ' ',
      ),
      ...'solder solvent-setup star-order static-head stock-plan stored-energy test-plan test-verdict tin-date'.split(
        ' ',
      ),
    ])
    for (const c of list) {
      expect(c.input.type).toBe('object')
      expect(c.input.required.length).toBeGreaterThan(0)
      expect(c.sources.every((s) => s.verified === false)).toBe(true)
    }
  })
  it.each([...CALCULATIONS.values()].map((c) => [c.name, c] as const))(
    '%s: its example gives its result, every figure once with a source',
    async (name, c) => {
      const r = await post(name, c.example.input)
      expect(r.status).toBe(200)
      expect(r.body.result).toEqual(c.example.result)
      expect(r.body.warnings).toEqual([])
      const sources = r.body.sources as { figure: string; kind: string; reference: string }[]
      expect(new Set(sources.map((s) => s.figure)).size).toBe(sources.length)
      for (const [key, value] of Object.entries(c.example.result)) {
        if (value === null || ['ok', 'reasons', 'heldBy'].includes(key)) continue
        expect(sources.filter((s) => s.figure === key)).toHaveLength(1)
      }
    },
  )
  it.each([...CALCULATIONS.values()].map((c) => [c.name, c] as const))(
    '%s: each needed field missing, and each number as text, is named',
    async (name, c) => {
      const schema = c.input as { required: string[]; properties: Record<string, { type?: unknown }> }
      for (const field of schema.required) {
        const without = { ...c.example.input }
        delete without[field]
        const r = await post(name, without)
        expect([field, r.status, r.body.error?.code, r.body.error?.field]).toEqual([
          field,
          422,
          'missing-field',
          field,
        ])
        if (schema.properties[field]?.type !== 'number') continue
        const text = await post(name, { ...c.example.input, [field]: '12' })
        expect([field, text.status, text.body.error?.code, text.body.error?.field]).toEqual([
          field,
          422,
          'bad-input',
          field,
        ])
      }
      const odd = await post(name, { ...c.example.input, colour: 'blue' })
      expect((odd.body.warnings as { code: string; field: string }[]).map((w) => [w.code, w.field])).toEqual([
        ['unknown-field', 'colour'],
      ])
    },
  )
  it.each([
    ['a missing calculation', 'nothing', {}, 404, 'unknown-calculation', null],
    ['a badly written size', 'insertion', { ...joint, size: '110' }, 422, 'unknown-size', 'size'],
    ['a size that is not made', 'insertion', { ...joint, size: 'd33' }, 422, 'unknown-size', 'size'],
    [
      'a material it can\u2019t join',
      'insertion',
      { ...joint, material: 'copper' },
      422,
      'not-joinable',
      'material',
    ],
    ['the other school', 'insertion', { ...joint, school: 'inch' }, 422, 'not-joinable', 'school'],
    [
      'inch pipe without a schedule',
      'insertion',
      { ...joint, material: 'pvc', size: 'NPS 2', school: 'inch' },
      422,
      'missing-field',
      'schedule',
    ],
    [
      'a depth nobody knows',
      'insertion',
      { ...joint, material: 'pvc', size: 'NPS 16', school: 'inch', schedule: '80' },
      422,
      'no-figure',
      'size',
    ],
    ['10 m insertion', 'insertion', { ...joint, socketDepthMm: 10_000 }, 422, 'bad-input', 'socketDepthMm'],
    [
      'letters in a length',
      'cut-length',
      { measure: 'end-end', measuredMm: 'long', ends: [{}, {}] },
      422,
      'bad-input',
      'measuredMm',
    ],
    [
      'a length of zero',
      'cut-length',
      { measure: 'end-end', measuredMm: 0, ends: [{}, {}] },
      422,
      'bad-input',
      'measuredMm',
    ],
    [
      'a missing take-off',
      'cut-length',
      {
        measure: 'centre-centre',
        measuredMm: 900,
        ends: [{ takeOffMm: 1, insertionMm: 1 }, { insertionMm: 1 }],
      },
      422,
      'missing-field',
      'ends[1].takeOffMm',
    ],
    [
      'take-offs longer than the measure',
      'cut-length',
      { measure: 'face-face', measuredMm: 10, ends: [{ insertionMm: 1, gapMm: 20 }, { insertionMm: 1 }] },
      422,
      'does-not-fit',
      'measuredMm',
    ],
    [
      'both temperature forms',
      'cure',
      {
        ...joint,
        testPressureBar: 6,
        relativeHumidityPct: 50,
        mode: 'coldest',
        temperatureC: 10,
        temperatures: [{ fromS: 0, temperatureC: 10 }],
      },
      422,
      'bad-input',
      'temperatures',
    ],
    [
      'neither',
      'cure',
      { ...joint, testPressureBar: 6, relativeHumidityPct: 50, mode: 'coldest' },
      422,
      'missing-field',
      'temperatureC',
    ],
    [
      'times that do not ascend',
      'cure',
      {
        ...joint,
        testPressureBar: 6,
        relativeHumidityPct: 50,
        mode: 'coldest',
        temperatures: [
          { fromS: 0, temperatureC: 10 },
          { fromS: 0, temperatureC: 9 },
        ],
      },
      422,
      'bad-input',
      'temperatures[1].fromS',
    ],
    [
      'no temperature at home',
      'cure',
      {
        ...joint,
        testPressureBar: 6,
        relativeHumidityPct: 50,
        mode: 'coldest',
        temperatures: [{ fromS: 5, temperatureC: 10 }],
      },
      422,
      'bad-input',
      'temperatures[0].fromS',
    ],
    [
      'd160 at 3 °C',
      'cure',
      {
        ...joint,
        size: 'd160',
        testPressureBar: 9,
        relativeHumidityPct: 50,
        mode: 'coldest',
        temperatureC: 3,
      },
      422,
      'no-figure',
      'temperatureC',
    ],
    [
      'press joints cure nothing',
      'cure',
      {
        ...joint,
        method: 'press',
        material: 'copper',
        size: 'd22',
        testPressureBar: 9,
        relativeHumidityPct: 50,
        mode: 'coldest',
        temperatureC: 15,
      },
      422,
      'no-figure',
      'method',
    ],
    [
      'a size inside a list',
      'ladder',
      { joints: [{ ...joint, id: 'a', size: '2 in' }], mode: 'coldest', atS: 0 },
      422,
      'unknown-size',
      'joints[0].size',
    ],
    [
      'a made joint without temperature',
      'ladder',
      { joints: [{ ...joint, id: 'a', madeAtS: 0 }], mode: 'coldest', atS: 0 },
      422,
      'missing-field',
      'joints[0].temperatureC',
    ],
    ['day 366 of a common year', 'tin-date', { code: '25366', on: '2026-01-01' }, 422, 'bad-input', 'code'],
    [
      'no humidity at all',
      'dew-point',
      { airC: 20, relativeHumidityPct: 0 },
      422,
      'bad-input',
      'relativeHumidityPct',
    ],
  ])('%s', async (_what, name, body, status, code, field) => {
    const r = await post(name, body)
    expect([r.status, r.body.error?.code, r.body.error?.field ?? null]).toEqual([status, code, field])
    expect(r.body.error?.message).toMatch(/\.$/)
  })
  it('other verbs 405, not JSON 400, a list 400, 2 MB 413, without content type all the same', async () => {
    expect((await h.call('PUT', '/calc', {})).status).toBe(405)
    expect((await h.call('GET', '/calc/cure')).status).toBe(405)
    expect((await h.call('DELETE', '/calc/nothing')).status).toBe(404)
    expect((await h.call('POST', '/calc/cure', undefined, { raw: '{"a":' })).status).toBe(400)
    expect((await h.call('POST', '/calc/cure', [1])).status).toBe(400)
    expect((await h.call('POST', '/calc/cure', undefined, { raw: 'null' })).status).toBe(400)
    expect((await h.call('POST', '/calc/cure', undefined, { raw: '' })).status).toBe(400)
    expect((await h.call('POST', '/calc/cure', { x: 'y'.repeat(2_000_000) })).status).toBe(413)
    const plain = await h.call(
      'POST',
      '/calc/dew-point',
      { airC: 20, relativeHumidityPct: 50 },
      { headers: { 'content-type': 'application/x-www-form-urlencoded' } },
    )
    expect(plain.status).toBe(200)
  })
  it('a null where a field may be absent is the same as absent', async () => {
    const r = await post('insertion', { ...joint, schedule: null, socketDepthMm: null, checkOffsetMm: null })
    expect(r.body.result).toEqual({ depthMm: 61, checkMarkMm: null })
  })
})
