import { constants as zlib } from 'node:zlib'
import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import path from 'node:path'
import compression from 'compression'
import packedOrPlain from 'express-static-gzip'
import express, { type Express, type RequestHandler } from 'express'
import { rateLimit } from 'express-rate-limit'
import session from 'express-session'
import helmet from 'helmet'
import type pg from 'pg'
import { pageUnder, underBase } from './base-path.js'
import { openApi } from './described/openapi.js'
import { CERTIFICATE_SCHEMA, JOB_FILE_SCHEMA } from './described/schemas.js'
import { HttpError, answerErrors, notFound, unknownRoute } from './errors.js'
import { type Behind, NOWHERE, behindHere } from './behind.js'
import { type Imports, importsHere } from './imports.js'
import type { Heavy } from './heavy.js'
import { ownKey } from './own-key.js'
import { askedWell, notKept, ownPagesOnly } from './manners.js'
import { type Heads, headsOf } from './live/heads.js'
import { health, needsDatabase } from './alive.js'
import type { Pulse } from './db/pulse.js'
import { sessionStore } from './db/session-store.js'
import { type Gates, gatesHere } from './db/test-gates.js'
import { type Reads, readsHere } from './reads.js'
import { calcRoutes } from './routes/calc.js'
import { calendarRoutes } from './routes/calendar.js'
import { deviceDoor } from './routes/devices.js'
import { docsRoutes } from './routes/docs.js'
import { glanceRoutes } from './routes/glance.js'
import { requireFull } from './routes/hands.js'
import { jobRoutes } from './routes/jobs.js'
import { openStreams } from './live/streams.js'
import { partRoutes } from './routes/parts.js'
import { peopleRoutes } from './routes/people.js'
import { requireSession, sessionRoutes } from './routes/session.js'
import { welcomeRoutes } from './routes/welcome.js'
import { refusal } from './words.js'
import { jsonBody } from './json-body.js'

export interface AppOptions {
  pool: pg.Pool
  /** Whether the database answers at all. */
  pulse: Pulse
  sessionSecret: string
  /** Where calculations run that take seconds. */
  heavy: Heavy
  /** Where the logs stand, for browsers that follow. Absent: by notifications of the database. */
  heads?: Heads
  /** Where logs are folded for the page of all jobs. Absent: in this thread. */
  glances?: Behind
  /** Where large logs are packed for whoever opens them. Absent: nowhere, they are sent entry by entry. */
  packs?: Behind
  /** Where whole logs are told: as tables, as a calendar. Absent: in this thread. */
  reads?: Reads
  /** Where tests are held against the log before they begin. Absent: in this thread. */
  gates?: Gates
  /** Where files of jobs are read. Absent: in this thread. */
  imports?: Imports
  /** Epoch seconds; tests bring their own. */
  nowS?: () => number
  limiter?: boolean
  /** Folder of the built interface. */
  webRoot?: string
  https?: boolean
  /** Is this the demo, whose password is published? */
  demo?: boolean
  /** Where it lies on its server: `/`, or a path of its own with a slash at both ends. */
  base?: string
  /** So many proxies stand before it: the address of whoever asks is what they say. */
  proxies?: number
  /** A handler that reads JSON and answers nothing, to measure others against. */
  yardstick?: boolean
}
/** Of the HTTP interface: a field that is taken away raises the first figure. */
const VERSION = '1.0.0'
const WEEK_MS = 7 * 86400_000

/** What a page of ours may load and do. */
const guarded = (https: boolean) =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: true,
      directives: {
        // A picture that this device still keeps is shown from here.
        'img-src': ["'self'", 'data:', 'blob:'],
        // The planner of bars is WebAssembly in a worker.
        'script-src': ["'self'", "'wasm-unsafe-eval'"],
        'worker-src': ["'self'"],
        'style-src': ["'self'", "'unsafe-inline'"],
        'upgrade-insecure-requests': https ? [] : null,
      },
    },
    strictTransportSecurity: https,
  })
/** So many requests a minute from one address. */
const limitOf = (on: boolean) => (perMinute: number) =>
  rateLimit({
    windowMs: 60_000,
    limit: perMinute,
    skip: () => !on,
    standardHeaders: true,
    legacyHeaders: false,
    handler: (_req, _res, next) => next(new HttpError(429, 'too-many', refusal('refused-too-many'))),
  })
const sessions = ({ pool, sessionSecret, https = false, proxies = 0, base = '/' }: AppOptions) =>
  session({
    store: sessionStore(pool),
    name: 'jugalis',
    secret: sessionSecret,
    resave: false,
    saveUninitialized: false,
    cookie: {
      path: base,
      httpOnly: true,
      sameSite: 'lax',
      secure: proxies ? 'auto' : https,
      maxAge: WEEK_MS,
    },
  })

/** What anybody may read: the description of the interface, its pages, the shapes of its files, the keys it signs with. */
function described(app: Express, base: string): void {
  app.get('/api/keys', (_req, res) => void res.json({ keys: ownKey()?.published ?? [] }))
  app.get('/api/openapi.json', (_req, res) => void res.json(openApi(VERSION, base)))
  app.use('/api/docs', docsRoutes(base))
  const schemas: Readonly<Record<string, object>> = { job: JOB_FILE_SCHEMA, certificate: CERTIFICATE_SCHEMA }
  app.get('/api/schemas/:name', (req, res) => {
    const schema = Object.hasOwn(schemas, req.params.name) ? schemas[req.params.name] : undefined
    if (!schema) throw notFound()
    res.type('application/schema+json').send(JSON.stringify(schema))
  })
}

/** What goes for every answer. */
function settled(app: Express, options: AppOptions, base: string): void {
  app.disable('x-powered-by')
  app.set('trust proxy', options.proxies ?? 0)
  // Nothing the API answers is asked for again by its tag; to hash a log of ten megabytes takes longer than to send it.
  app.disable('etag')
  app.use(underBase(base))
  app.use(guarded(options.https ?? false))
  // The quickest there is: a log that is opened whole is ten megabytes. Brotli takes a third of gzip's time for less.
  app.use('/api', compression({ level: 1, brotli: { params: { [zlib.BROTLI_PARAM_QUALITY]: 1 } } }))
  app.use('/api', notKept, askedWell)
}

export function createApp(options: AppOptions): Express {
  const app = express()
  const nowS = options.nowS ?? (() => Date.now() / 1000)
  const heads = options.heads ?? headsOf(options.pool)
  const limit = limitOf(options.limiter !== false)
  const base = options.base ?? '/'
  settled(app, options, base)
  described(app, base)
  app.get('/api/health', health(options.pulse, nowS))
  app.use('/api/calc', limit(6000), calcRoutes(options.heavy))
  if (options.yardstick) app.post('/api/yardstick', jsonBody('1mb'), (_req, res) => void res.json({}))
  app.use('/api', needsDatabase(options.pulse))
  // Instruments have tokens, not sessions.
  app.use('/api/devices', limit(600), deviceDoor(options.pool, nowS, heads))
  const reads = options.reads ?? readsHere(options.pool)
  app.use('/api/calendar', limit(120), calendarRoutes(options.pool, options.sessionSecret, nowS, reads))
  app.use('/api', ownPagesOnly)
  app.use('/api', sessions(options))
  app.post(['/api/session', '/api/session/passkey', '/api/session/passkey/begin'], limit(30))
  app.use(
    '/api/session',
    sessionRoutes({
      pool: options.pool,
      nowS,
      demo: options.demo ?? false,
      limited: options.limiter !== false,
    }),
  )
  const streams = openStreams()
  app.use('/api/welcome', limit(60), welcomeRoutes(options.pool, nowS))
  app.use('/api/people', requireSession, requireFull, peopleRoutes(options.pool, nowS, streams))
  app.use('/api/parts', requireSession, partRoutes(options.pool, nowS))
  const glances = options.glances ?? behindHere('glance', options.pool)
  const packs = options.packs ?? NOWHERE
  const imports = options.imports ?? importsHere(options.pool)
  app.use('/api/glance', requireSession, glanceRoutes(options.pool, nowS, glances))
  app.use(
    '/api/jobs',
    requireSession,
    jobRoutes({
      pool: options.pool,
      nowS,
      heads,
      secret: options.sessionSecret,
      streams,
      imports,
      packs,
      glances,
      reads,
      gates: options.gates ?? gatesHere(options.pool),
      limited: options.limiter !== false,
    }),
  )
  app.use('/api', unknownRoute)
  if (options.webRoot && existsSync(options.webRoot)) serveWeb(app, options.webRoot, base)
  app.use(unknownRoute)
  app.use(answerErrors)
  return app
}

function serveWeb(app: Express, root: string, base: string): void {
  // Read each time: a newer interface may be put in its place while this runs, and names other parts.
  const givePage: RequestHandler = async (_req, res) => {
    const page = await readFile(path.join(root, 'index.html'), 'utf8')
    res.type('html').send(pageUnder(base, page))
  }
  app.use(compression())
  app.use(
    '/assets',
    // As they were packed when they were built; where they were not, or for whoever takes nothing of the kind, packed as they are asked for.
    packedOrPlain(path.join(root, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br'],
      serveStatic: { immutable: true, maxAge: '1y', fallthrough: false },
    }),
  )
  app.get('/index.html', givePage)
  app.use(express.static(root, { index: false, maxAge: 0 }))
  app.get('/{*splat}', givePage)
}
