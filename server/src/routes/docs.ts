import { createRequire } from 'node:module'
import path from 'node:path'
import express, { Router } from 'express'

/** The HTTP interface, to be looked through and tried: the description that the server gives of itself, as a page. */
const PAGE = `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>Jugalis: HTTP interface</title>
    <link rel="stylesheet" href="/api/docs/swagger-ui.css" />
    <script src="/api/docs/swagger-ui-bundle.js" defer></script>
    <script src="/api/docs/begin.js" defer></script>
  </head>
  <body>
    <div id="interface"></div>
    <noscript>The description itself is at <a href="/api/openapi.json">/api/openapi.json</a>.</noscript>
  </body>
</html>
`
const BEGIN = `SwaggerUIBundle({ url: '/api/openapi.json', dom_id: '#interface', deepLinking: true })\n`
const VIEWER = path.dirname(createRequire(import.meta.url).resolve('swagger-ui-dist/package.json'))
/** What of the viewer is given out. */
const FILES = ['swagger-ui.css', 'swagger-ui-bundle.js']

export function docsRoutes(): Router {
  const docs = Router()
  docs.get('/', (_req, res) => void res.type('html').send(PAGE))
  docs.get('/begin.js', (_req, res) => void res.type('js').send(BEGIN))
  for (const file of FILES) docs.use(`/${file}`, express.static(path.join(VIEWER, file), { maxAge: '1d' }))
  return docs
}
