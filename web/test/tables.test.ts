import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

const SRC = join(import.meta.dirname, '..', 'src')
const tables = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.vue'))
  .flatMap((file) =>
    [
      ...readFileSync(join(SRC, file), 'utf8').matchAll(/<table\b((?:[^>"]|"[^"]*")*)>([\s\S]*?)<\/table>/g),
    ].map((m) => ({
      file,
      tag: m[1] ?? '',
      body: m[2] ?? '',
    })),
  )

describe('tables, read aloud', () => {
  it('are found', () => expect(tables.length).toBeGreaterThan(10))
  it.each(tables)('in $file: has a name, and a heading with words over each column', ({ tag, body }) => {
    expect(/aria-label|aria-labelledby/.test(tag) || body.includes('<caption>')).toBe(true)
    expect(body).toContain('<thead>')
    expect(body).not.toMatch(/<th>\s*<\/th>|<th \/>/)
  })
})
