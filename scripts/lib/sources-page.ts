import { allSources, allTables, howSure } from '@jugalis/core'

type SourceRecord = ReturnType<typeof allSources>[number]

const INTRO = `# Sources

Made by \`npm run sources\` from the tables' own files and the records of sources: change those, not this page.

Every table is a JSON file beside the code that reads it, with its source, edition, the unit of each column, how sure it
is, and by whom and when it was compared with a copy; a row says for itself where it differs. To compare one: open the
file (or Handbook, _Not yet checked_), hold it against the copy, and write into \`checked\`
\`{ "by": "…", "on": "2026-11-28", "with": "edition, table, page" }\`. A source nobody wrote down does not compile, and the
interface and the calculation door show it beside the figure.
`
const AFTERWARDS = `
## Held against something else

- Dew point: against a psychrometric library. Nut factor, bends, offsets: against a maths library.
- Ratings of PVC by schedule: against 2 S t / (D - t) with 2000 psi. Metric plastic walls: against rows of ISO 1452-2 and
  DIN 8077. PP-R ratings: against DIN 8077 rows to 70 °C. Copper tube ratings: against copper tube tables, within 3 %.
- Star order: sure for 4, 8, 12, 16, 24, 32 bolts; 20 and 28 by the same halving.

The reference tests (\`core/test/reference/\`) hold the same figures in the standards' own units, written apart from the
tables. Where the two disagreed it was the code that was wrong: a list of nominal sizes had been put in order by
JavaScript's rule for object keys, which puts \`1\`, \`2\`, \`3\` before \`1/2\`, and half the sizes fell out.

The reference files for copper, hygienic, fusion, D1785, bolts and trade practice were written before the tables of the
code, and the tables without looking at them. They agreed at the first run, except that one reference file expected a
material the input list did not let through (mended in the door: it now says \`not-joinable\`). That both came from one
memory is their weakness: an error of memory would be in both.
`
const row = (...cells: string[]): string => `| ${cells.map((c) => c.replaceAll('|', '\\|')).join(' | ')} |`
const head = (...names: string[]): string[] => [row(...names), row(...names.map(() => '---'))]

const KINDS = [
  ['published', 'Published, without a table'],
  ['common-practice', 'Common practice'],
  ['computed', 'Computed'],
  ['measured', 'Measured'],
] as const

/** The whole page, as Markdown. */
export function sourcesPage(): string {
  const tables = allTables()
  const of = new Map(allSources().map((s) => [s.id, s]))
  const inTables = new Set(tables.map((t) => t.source))
  const rest = (kind: SourceRecord['kind']): SourceRecord[] =>
    allSources().filter((s) => s.kind === kind && !inTables.has(s.id))
  return [
    INTRO,
    '## Tables\n',
    ...head('table', 'source', 'edition', 'how sure', 'compared'),
    ...tables.map((table) =>
      row(
        `${table.of} (\`${table.id}\`)`,
        of.get(table.source)?.kind === 'published'
          ? (of.get(table.source)?.reference.split(/[,:]/)[0] ?? table.source)
          : 'common practice',
        table.edition ?? '',
        howSure(table),
        table.checked ? `${table.checked.by}, ${table.checked.on}: ${table.checked.with}` : 'no',
      ),
    ),
    ...KINDS.flatMap(([kind, title]) => [
      `\n## ${title}\n`,
      ...head('source', 'edition', 'how sure'),
      ...rest(kind).map((s) => row(`${s.reference} (\`${s.id}\`)`, s.edition ?? '', s.note)),
    ]),
    AFTERWARDS,
  ].join('\n')
}
