import { type Harness, harness } from './harness.js'

let h: Harness
beforeAll(async () => void (h = await harness()))
afterAll(() => h.close())

it('every table is a job table whose keys begin with job_id, or a reference table with org_id', async () => {
  const REFERENCE = ['org', 'person', 'own_part', 'invitation', 'audit', 'device_key']
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
