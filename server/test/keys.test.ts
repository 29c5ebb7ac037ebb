import { readFileSync } from 'node:fs'
import { type Harness, harness } from './harness.js'

let h: Harness
beforeAll(async () => void (h = await harness()))
afterAll(() => h.close())

it('every table is a job table whose keys begin with job_id, or a reference table with org_id', async () => {
  const REFERENCE = ['org', 'person', 'own_part', 'invitation', 'audit', 'device_key', 'passkey']
  const OF_THE_SERVERS = ['session', 'lease']
  const tables = await h.pool.query<{ t: string }>(
    "select table_name as t from information_schema.tables where table_schema = 'public'",
  )
  const keys = await h.pool.query<{ t: string; first: string }>(
    `select c.conrelid::regclass::text as t, a.attname as first from pg_constraint c
     join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1] where c.contype in ('p', 'f', 'u') and c.connamespace = 'public'::regnamespace`,
  )
  for (const { t } of tables.rows) {
    if (OF_THE_SERVERS.includes(t)) continue
    if (REFERENCE.includes(t)) {
      const cols = await h.pool.query(
        "select 1 from information_schema.columns where table_name = $1 and column_name = 'org_id'",
        [t],
      )
      expect([t, cols.rowCount]).toEqual([t, 1])
    } else for (const k of keys.rows.filter((x) => x.t === t)) expect([t, k.first]).toEqual([t, 'job_id'])
  }
})

it('the list of how tables are spread over servers has each table once, each by job that has a job_id', async () => {
  const said = readFileSync('scripts/distribute.sql', 'utf8')
  const found = [
    ...said.matchAll(/^select create_(reference|distributed)_table\('(\w+)'(?:, '(\w+)')?(.*)\);$/gm),
  ].map(([, how, table, column, more]) => ({ how, table, column, more }))
  const { rows } = await h.pool.query<{ table: string; own: boolean }>(
    `select t.table_name as table, bool_or(c.column_name = 'job_id') and t.table_name not in ('invitation') as own
     from information_schema.tables t join information_schema.columns c using (table_schema, table_name)
     where t.table_schema = 'public' group by 1`,
  )
  expect(found.map(({ table }) => table).sort()).toEqual(rows.map(({ table }) => table).sort())
  for (const { how, table, column, more } of found) {
    const own = rows.find((row) => row.table === table)?.own
    expect([table, how, column]).toEqual([
      table,
      own ? 'distributed' : 'reference',
      own ? 'job_id' : undefined,
    ])
    if (own && table !== 'job') expect([table, more]).toEqual([table, ", colocate_with => 'job'"])
  }
  // Whoever refers to another table refers to one that lies beside it, or everywhere.
  const refers = await h.pool.query<{ from: string; to: string }>(
    `select conrelid::regclass::text as from, confrelid::regclass::text as to from pg_constraint
     where contype = 'f' and connamespace = 'public'::regnamespace`,
  )
  const isOfJobs = (table: string) => rows.find((row) => row.table === table)?.own
  for (const { from, to } of refers.rows)
    expect([from, to, isOfJobs(from) || !isOfJobs(to)]).toEqual([from, to, true])
})
