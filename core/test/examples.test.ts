import path from 'node:path'
import { SRC, examplesOf, exportedFunctions, otherThanWritten } from './written-above.js'

const all = exportedFunctions()

describe('what is written above the functions of core', () => {
  it('there is something above each', () => {
    expect(all.filter((f) => !f.doc).map((f) => `${f.file} ${f.name}`)).toEqual([])
  })
  it('speaks of no parameter that it does not take', () => {
    const strangers = all.flatMap((f) =>
      [...f.doc.matchAll(/@param (\w+)/g)]
        .map((m) => m[1] as string)
        .filter((name) => !new RegExp(`\\b${name}\\b`).test(f.takes))
        .map((name) => `${f.file} ${f.name}: ${name}`),
    )
    expect(strangers).toEqual([])
  })
  it('one that takes plain values shows a use', () => {
    expect(
      all.filter((f) => f.plain && !f.doc.includes('@example')).map((f) => `${f.file} ${f.name}`),
    ).toEqual([])
  })
  const examples = examplesOf(all)
  it.each(examples)('$use gives $gives', async (example) => {
    const own = (await import(path.join(SRC, example.file))) as object
    expect(otherThanWritten(own, example)).toBeNull()
  })
  it('examples are found at all', () => {
    expect(examples.length).toBeGreaterThan(100)
  })
})
