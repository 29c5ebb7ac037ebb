import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

const SRC = join(import.meta.dirname, '..', 'src')
const fields = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.vue'))
  .flatMap((file) =>
    [...readFileSync(join(SRC, file), 'utf8').matchAll(/<QuantityField\b[\s\S]*?\/>/g)].map(([tag]) => ({
      file,
      tag,
    })),
  )

describe('fields of quantities', () => {
  it('are found', () => expect(fields.length).toBeGreaterThan(20))
  // A height may be anything: it is the one kind that has nothing to be compared with.
  it.each(fields.filter((f) => !f.tag.includes('as="distance"')))(
    'in $file: each knows what is near or usual, so that a figure of the other unit is asked about',
    ({ tag }) => expect(tag).toMatch(/:(near|usual)=/),
  )
})
