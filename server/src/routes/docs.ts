import { createRequire } from 'node:module'
import path from 'node:path'
import express, { Router } from 'express'

/** The HTTP interface, to be looked through and tried: the description that the server gives of itself, as a page. */
const page = (base: string): string => `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>Jugalis: HTTP interface</title>
    <link rel="stylesheet" href="${base}api/docs/swagger-ui.css" />
    <script src="${base}api/docs/swagger-ui-bundle.js" defer></script>
    <script src="${base}api/docs/begin.js" defer></script>
  </head>
  <body>
    <div id="interface"></div>
    <noscript>The description itself is at <a href="${base}api/openapi.json">${base}api/openapi.json</a>.</noscript>
  </body>
</html>
`
const begin = (base: string): string =>
  `SwaggerUIBundle({ url: '${base}api/openapi.json', dom_id: '#interface', deepLinking: true })\n`
const VIEWER = path.dirname(createRequire(import.meta.url).resolve('swagger-ui-dist/package.json'))
/** What of the viewer is given out. */
const FILES = ['swagger-ui.css', 'swagger-ui-bundle.js']

/** @param base where the app lies on its server. */
export function docsRoutes(base: string): Router {
  const docs = Router()
  docs.get('/', (_req, res) => void res.type('html').send(page(base)))
  docs.get('/begin.js', (_req, res) => void res.type('js').send(begin(base)))
  for (const file of FILES) docs.use(`/${file}`, express.static(path.join(VIEWER, file), { maxAge: '1d' }))
  return docs
}
