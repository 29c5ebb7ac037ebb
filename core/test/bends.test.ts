import fc from 'fast-check'
import { add, complex, exp, multiply, type Complex } from 'mathjs'
import { bendMarks, centreLine, parseLength, parseRun } from '../src/index.js'

const run = fc
  .array(
    fc.tuple(
      fc.integer({ min: 300, max: 900 }),
      fc.integer({ min: -120, max: 120 }).filter((a) => a !== 0),
    ),
    {
      minLength: 1,
      maxLength: 6,
    },
  )
  .chain((pairs) =>
    fc.record({
      pairs: fc.constant(pairs),
      last: fc.integer({ min: 300, max: 900 }),
      radius: fc.integer({ min: 20, max: 60 }),
    }),
  )

it('the tube walked along its arcs ends where the legs say, by complex numbers', () => {
  fc.assert(
    fc.property(run, ({ pairs, last, radius }) => {
      const legs = [...pairs.map(([l]) => l), last]
      const turns = pairs.map(([, a]) => a)
      let at: Complex = complex(0, 0)
      let heading = 0
      legs.forEach((leg, i) => {
        at = add(at, multiply(leg, exp(complex(0, heading)))) as Complex
        heading += ((turns[i] ?? 0) * Math.PI) / 180
      })
      const end = centreLine(radius, legs, turns).at(-1)
      expect(end?.x).toBeCloseTo(at.re, 6)
      expect(end?.y).toBeCloseTo(at.im, 6)
    }),
  )
})
it('its length along the line is the developed length', () => {
  fc.assert(
    fc.property(run, ({ pairs, last, radius }) => {
      const legs = [...pairs.map(([l]) => l), last]
      const turns = pairs.map(([, a]) => a)
      const points = centreLine(radius, legs, turns)
      const walked = points
        .slice(1)
        .reduce((sum, p, i) => sum + Math.hypot(p.x - (points[i]?.x ?? 0), p.y - (points[i]?.y ?? 0)), 0)
      const bent = bendMarks(radius, legs, turns.map(Math.abs))
      // Chords of 3 degrees are shorter than their arcs by a ten-thousandth.
      expect(bent.ok && Math.abs(walked - bent.developedMm) / bent.developedMm).toBeLessThan(2e-4)
    }),
  )
})
it.each([
  ['200 90 300', [200, 300], [90]],
  ['200 90 300 -45\u00b0 150', [200, 300, 150], [90, -45]],
  ['1.5m 22,5 300', [1500, 300], [22.5]],
])('%s is read as it is said', (text, legs, turnsDeg) =>
  expect(parseRun(text, (t) => parseLength(t, { units: 'metric' }))).toEqual({ legs, turnsDeg }),
)
it.each([
  ['200'],
  ['200 90'],
  ['200 0 300'],
  ['200 180 300'],
  ['-200 90 300'],
  ['a 90 300'],
  ['200 x 300'],
  [''],
])('%p is no bent run', (text) =>
  expect(parseRun(text, (t) => parseLength(t, { units: 'metric' }))).toBeNull(),
)
