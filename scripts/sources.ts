import { writeFileSync } from 'node:fs'
import path from 'node:path'
import { format } from 'prettier'
import { sourcesPage } from './lib/sources-page'

/** npm run sources: docs/sources.md, from the tables and the records of sources. */
const file = path.join(import.meta.dirname, '../docs/sources.md')
writeFileSync(file, await format(sourcesPage(), { parser: 'markdown', printWidth: 110 }))
