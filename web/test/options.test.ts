import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

const SRC = join(import.meta.dirname, '..', 'src')
/** What stands in these lists is written as people write it: units, zones, register types, kinds of parts and tags. */
const PLAIN: readonly string[] = ['LogFile.vue', 'ModbusMap.vue', 'PartsAndTags.vue']
const bare = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.vue') && !PLAIN.some((p) => f.endsWith(p)))
  .flatMap((file) =>
    [...readFileSync(join(SRC, file), 'utf8').matchAll(/:value="(\w+)"\s+:label="\1"/g)].map(
      ([tag]) => `${file}: ${tag}`,
    ),
  )

it('no list to choose from shows an id as it is stored', () => expect(bare).toEqual([]))
