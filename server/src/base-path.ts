import type { RequestHandler } from 'express'

/**
 * A base path as it was asked for, with a slash at both ends.
 * @throws Error where it is none. @example basePath('pipes') // '/pipes/'
 */
export function basePath(asked: string): string {
  const parts = asked.split('/').filter(Boolean)
  if (!parts.every((part) => /^[\w.~-]+$/.test(part) && !/^\.+$/.test(part)))
    throw new Error(`"${asked}" is no path to serve under.`)
  return parts.length ? `/${parts.join('/')}/` : '/'
}

/** What was asked for, without the base path: behind a proxy that leaves it on, and behind one that takes it off. */
export const underBase =
  (base: string): RequestHandler =>
  (req, res, next) => {
    if (base === '/') return next()
    const bare = base.slice(0, -1)
    // Pages lie below it, and relative addresses with them.
    if (req.url === bare) return res.redirect(308, base)
    if (req.url.startsWith(base)) req.url = req.url.slice(bare.length)
    // Whoever goes by the whole address, as cookies do, sees the same from both.
    req.originalUrl = bare + req.url
    next()
  }

/** The page, as it lies under a base path: it is built to lie beside its parts. */
export const pageUnder = (base: string, html: string): string => html.replaceAll('="./', `="${base}`)
