/** Where the app lies on its server, a slash at both ends: `/`, or `/pipes/` where a proxy gives it a path of its own. */
function saidBase(): string {
  if (typeof Document !== 'undefined') {
    const said = document.querySelector('meta[name="jugalis-base"]')?.getAttribute('content')
    // As it is built, and served by nobody who knows better.
    return said && said !== './' ? said : '/'
  }
  // A worker lies among the assets.
  const { pathname = '/' } = typeof location === 'undefined' ? {} : location
  return pathname.replace(/(assets|src)\/.*$/, '')
}
export const BASE = saidBase()

/** The address of something of the app on this server, by its path in it. @example here('/verify') // '/pipes/verify' */
export const here = (path: string): string => `${BASE}${path.replace(/^\//, '')}`
/** The same of what the server answers. @example apiAt('/jobs') // '/pipes/api/jobs' */
export const apiAt = (path: string): string => here(`/api${path}`)
/** The same as it is written on paper, with the name of the server. */
export const wholeAddress = (path: string): string => `${location.origin}${here(path)}`
