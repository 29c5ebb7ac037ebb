import { readFileSync, readdirSync } from 'node:fs'
import path from 'node:path'
import ts from 'typescript'
import * as sizes from '../src/sizes/size.js'

/**
 * What stands above the exported functions of core: each says what it is for, and those that take plain values show one
 * use of theirs, `@example arcMm(76, 90) // 119.4`. Each use is run, and gives what is written there, to its last figure.
 */
export const SRC = path.join(import.meta.dirname, '../src')
const files = readdirSync(SRC, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts'))

interface Exported {
  file: string
  name: string
  doc: string
  /** Its parameters as they are written. */
  takes: string
  /** Takes figures, texts, sizes and yes or no, nothing that has to be built first. */
  plain: boolean
}
const PLAIN = /: (?:readonly )?(?:number|string|boolean|Size|School|Reader)(?:\[\])?(?: \| null)?(?: = .*)?$/

function exportedIn(file: string): Exported[] {
  const source = ts.createSourceFile(
    file,
    readFileSync(path.join(SRC, file), 'utf8'),
    ts.ScriptTarget.ES2022,
    true,
  )
  return source.statements.flatMap((node): Exported[] => {
    const isExported =
      ts.canHaveModifiers(node) &&
      ts.getModifiers(node)?.some((m) => m.kind === ts.SyntaxKind.ExportKeyword) === true
    if (!isExported) return []
    const doc = ts
      .getJSDocCommentsAndTags(node)
      .map((d) => d.getText(source))
      .join('\n')
    const declared = ts.isVariableStatement(node) ? node.declarationList.declarations[0] : undefined
    const made = declared?.initializer
    const fn = ts.isFunctionDeclaration(node) ? node : made && ts.isArrowFunction(made) ? made : null
    const name = ts.isFunctionDeclaration(node) ? node.name?.text : declared?.name.getText(source)
    if (!fn || !name) return []
    const plain =
      fn.parameters.length > 0 &&
      fn.parameters.every((p) => PLAIN.test(p.getText(source).replace(/\s+/g, ' ')))
    const takes = fn.parameters.map((p) => p.getText(source)).join(' ')
    return [{ file, name, doc, takes, plain }]
  })
}
/** All exported functions of core, with what stands above each. */
export const exportedFunctions = (): Exported[] => files.flatMap(exportedIn)
export interface Example {
  file: string
  use: string
  gives: string
}
export const examplesOf = (all: readonly Exported[]): Example[] =>
  all.flatMap((f) =>
    [...f.doc.matchAll(/@example (.+) \/\/ (.+?)\s*(?:\*\/)?$/gm)].map((m) => ({
      file: f.file,
      use: m[1] as string,
      gives: m[2] as string,
    })),
  )

/** Half of the last figure written after a point; a whole figure is exact but for the machine's last bits. */
const doubtOf = (written: string): number => {
  const places = /\.(\d+)/.exec(written.replaceAll('_', ''))?.[1]?.length
  return places === undefined ? 1e-9 : 0.5 * 10 ** -places * 1.000001
}
function agrees(found: unknown, wanted: unknown, doubt: number): boolean {
  if (typeof wanted === 'number' && typeof found === 'number')
    return found === wanted || Math.abs(found - wanted) <= doubt
  if (wanted === null || typeof wanted !== 'object') return found === wanted
  if (found === null || typeof found !== 'object') return false
  const [a, b] = [Object.entries(found), Object.entries(wanted)]
  return a.length === b.length && b.every(([key, value]) => agrees((found as never)[key], value, doubt))
}
const read = (expression: string, scope: Record<string, unknown>): unknown =>
  new Function(...Object.keys(scope), `return (${expression})`)(...Object.values(scope))

/** Runs a use as it is written, with the names of its own file. @returns what it gives; null where that is what is written. */
export function otherThanWritten(
  own: object,
  { use, gives }: Example,
): { found: unknown; written: unknown } | null {
  const found = read(use, { parseSize: sizes.parseSize, ...own })
  const written = read(gives, {})
  return agrees(found, written, doubtOf(gives)) ? null : { found, written }
}
