import { readFileSync, readdirSync } from 'node:fs'
import path from 'node:path'
import ts from 'typescript'
import { usesOfMessage } from '../../core/src/words/print'
import { BOOK } from '../src/words/book'
import { figuresIn } from '../src/words/said'
import { word } from '../src/words/word'

const SRC = path.join(import.meta.dirname, '../src')
const FILES = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
  .filter((f) => /\.(vue|ts)$/.test(f))
  .map((f) => ({ name: f, text: readFileSync(path.join(SRC, f), 'utf8') }))
const says = (code: string): string => {
  const wording = (BOOK as Record<string, string | { says: string }>)[code]
  return typeof wording === 'object' ? wording.says : (wording ?? '')
}

/** The parameters of a call that begins here, by name; null where they are put together elsewhere. */
function namesGiven(text: string): string[] | null {
  const source = ts.createSourceFile('call.ts', `word(${text.slice(0, 2000)}`, ts.ScriptTarget.Latest)
  const callIn = (node: ts.Node): ts.CallExpression | undefined =>
    ts.isCallExpression(node) && node.expression.getText(source) === 'word'
      ? node
      : ts.forEachChild(node, callIn)
  const [, given] = callIn(source)?.arguments ?? []
  if (!given) return []
  if (!ts.isObjectLiteralExpression(given) || given.properties.some((p) => !p.name)) return null
  return given.properties.map((p) => p.name?.getText(source) ?? '')
}
const calls = FILES.filter((f) => !f.name.startsWith('words/')).flatMap((f) =>
  [...f.text.matchAll(/\bword\((\s*'([\w-]+)')/g)].map((m) => ({
    file: f.name,
    code: m[2] as string,
    given: namesGiven(f.text.slice(m.index + m[0].length - (m[1] as string).length)),
  })),
)

describe('the book of the interface', () => {
  it('every call gives what its sentence asks for, and nothing else', () => {
    expect(calls.length).toBeGreaterThan(1000)
    const wrong = calls.flatMap(({ file, code, given }) => {
      const asked = usesOfMessage(says(code)).names.sort().join()
      return given && given.sort().join() !== asked
        ? [`${file}: ${code} asks ${asked}, given ${given.join()}`]
        : []
    })
    expect(wrong).toEqual([])
  })
  it('nothing stands in it that nobody says', () => {
    const all = FILES.filter((f) => !/^words\/(?!word\.|said\.|language\.)/.test(f.name))
      .map((f) => f.text)
      .join('\n')
    const spread = [...all.matchAll(/`([\w-]+-)\$\{/g)].map((m) => m[1] as string)
    const unsaid = Object.keys(BOOK).filter(
      (c) => !all.includes(`'${c}'`) && !all.includes(`"${c}"`) && !spread.some((s) => c.startsWith(s)),
    )
    expect(unsaid).toEqual([])
  })
  it('a sentence is made where it is read, so that it follows the reader and the language', () => {
    const early = FILES.filter((f) => f.name.endsWith('.ts') && !f.name.startsWith('words/')).flatMap((f) =>
      f.text
        .split('\n')
        .filter((line) => /^(?:export )?const \w+(?:: [^=]+)? = word\(/.test(line))
        .map((line) => `${f.name}: ${line}`),
    )
    expect(early).toEqual([])
  })
  it('what is not there is printed as nothing', () => {
    expect(word('ui-depth-from', { reference: 'R', edition: undefined, kind: 'k', note: null })).toBe(
      'Depth: R. k. ',
    )
  })
})

/** Where a page is read from the right, what is set to the left by force stays there. */
it('styles and templates name sides by the reading, not left and right', () => {
  const PHYSICAL =
    /\b(?:margin|padding|border)-(?:left|right)\b|text-align:\s*(?:left|right)|^\s*(?:left|right):|float:|border-(?:top|bottom)-(?:left|right)-radius/m
  const styles = [
    ...readdirSync(path.join(SRC, 'styles')).map(
      (f) => [f, readFileSync(path.join(SRC, 'styles', f), 'utf8')] as const,
    ),
    ...FILES.filter((f) => f.name.endsWith('.vue')).map(
      (f) => [f.name, /<style[^>]*>([^]*)<\/style>/.exec(f.text)?.[1] ?? ''] as const,
    ),
  ]
  expect(styles.filter(([, css]) => PHYSICAL.test(css)).map(([name]) => name)).toEqual([])
})

/** Vue drops a space that stands alone at the edge of an element: a word would run into its neighbour. */
const EDGE =
  /\}\} +<\/(?:span|strong|b|em|a|RouterLink|template|label)\b|<(?:span|strong|b|em|a|RouterLink|template|label)\b[^<>]*> +\{\{/
/** Nor does it keep a line's end between two elements: a sentence behind another is no element of its own. */
const NEXT =
  /(?:<\/(?:Said|template|span|strong)\s*>|<Said[^<>]*\/>)\s*\n\s*<template v-if="[^"]*"\s*>\s*\{\{/
it('no word depends on a space at the edge of an element', () => {
  expect(EDGE.test('<p><span>{{ a }} </span>{{ b }}</p>')).toBe(true)
  expect(EDGE.test('{{ a }}<span class="b"> {{ c }}</span>')).toBe(true)
  expect(NEXT.test('<Said />\n  <template v-if="a">\n{{ b }}')).toBe(true)
  const lost = FILES.filter((f) => f.name.endsWith('.vue') && (EDGE.test(f.text) || NEXT.test(f.text))).map(
    (f) => f.name,
  )
  expect(lost).toEqual([])
})
it('in large letters a figure keeps its unit, and no other words are tied', () => {
  expect(figuresIn('wall 55 °F, 87 psi after 1-1/2 in')).toEqual([
    'wall ',
    '55 °F',
    ', ',
    '87 psi',
    ' after ',
    '1-1/2 in',
    '',
  ])
  expect(figuresIn('check marks at 4-1/4. Holes')).toEqual(['check marks at ', '4-1/4.', ' Holes'])
  expect(figuresIn('2 joints, 3 sections')).toEqual(['2 joints, 3 sections'])
  // Nor a tag at its hyphen; a word with one breaks there.
  expect(figuresIn('L3-A wants CW-12, by a cold-water line')).toEqual([
    '',
    'L3-A',
    ' wants ',
    'CW-12',
    ', by a cold-water line',
  ])
})
