import { existsSync } from 'node:fs'
import { binariesOf, runningCluster } from './lib/pg.mjs'
import { Plain, endWith, run } from './lib/proc.mjs'

/** A consistent copy of everything, and the way back, by PostgreSQL's own tools. */
const HELP = `npm run backup -- FILE
npm run restore -- FILE
DATABASE_URL names the database; without it, that of a running \`npm start\`.`
const [what, file] = process.argv.slice(2)

async function database() {
  const url = process.env.DATABASE_URL || runningCluster('own')?.url
  if (!url) throw new Plain(`No database: start Jugalis, or set DATABASE_URL.\n${HELP}`)
  return url
}
async function jobsIn(url) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    const { rows } = await client.query(`select to_regclass('public.job') is not null as made`)
    return rows[0].made ? Number((await client.query('select count(*) as jobs from job')).rows[0].jobs) : null
  } finally {
    await client.end()
  }
}
function pgTool(name, args) {
  const done = run(`${binariesOf()}/${name}`, args)
  if (!done.ok) throw new Plain(done.out.trim() || `${name} failed.`)
}
async function main() {
  if (!file) return console.log(HELP)
  const url = await database()
  if (what === 'backup') {
    if (existsSync(file)) throw new Plain(`${file} is there already: nothing is written over.`)
    pgTool('pg_dump', ['--format=custom', '--no-owner', `--file=${file}`, url])
    return console.log(`Written: ${file}, ${await jobsIn(url)} jobs.`)
  }
  if (!existsSync(file)) throw new Plain(`There is no file ${file}.`)
  const jobs = await jobsIn(url)
  if (jobs) throw new Plain(`This database has ${jobs} jobs in it: a copy goes back into an empty one only.`)
  // Tables of a server that has just begun hold nothing: they make room. All comes back, or nothing.
  const clean = jobs === null ? [] : ['--clean', '--if-exists']
  pgTool('pg_restore', [
    '--no-owner',
    '--single-transaction',
    '--exit-on-error',
    ...clean,
    `--dbname=${url}`,
    file,
  ])
  console.log(`Brought back: ${await jobsIn(url)} jobs.`)
}
main().catch(endWith)
