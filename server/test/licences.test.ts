import { readFileSync } from 'node:fs'
import path from 'node:path'

/** What ships with the app may be given on: its licences are read from what is installed, without asking anybody. */
const ALLOWED = new Set([
  'MIT',
  'ISC',
  'BSD-2-Clause',
  'BSD-3-Clause',
  '0BSD',
  'Apache-2.0',
  'OFL-1.1',
  'CC0-1.0',
  'Zlib',
])
/** Those that tell it in words of their own, looked at by hand. */
const READ: Readonly<Record<string, string>> = {
  // Bitstream Vera with public-domain additions: free to use, change and give on under another name.
  'dejavu-fonts-ttf': 'SEE LICENSE IN README.md AND LICENSE',
}
interface Locked {
  dev?: boolean
  link?: boolean
  license?: string
}
const lock = JSON.parse(readFileSync('package-lock.json', 'utf8')) as { packages: Record<string, Locked> }
const shipped = Object.entries(lock.packages).filter(
  ([at, { dev, link }]) => at.includes('node_modules/') && !dev && !link,
)
/** `A OR B` may be chosen from, of `A AND B` all hold. */
const isAllowed = (licence: string): boolean =>
  licence
    .replace(/[()]/g, '')
    .split(' OR ')
    .some((all) => all.split(' AND ').every((one) => ALLOWED.has(one.trim())))

it('every package that ships has a licence of the list, and is installed under the one that is locked', () => {
  expect(shipped.length).toBeGreaterThan(100)
  const odd = shipped.flatMap(([at, { license = 'none' }]) => {
    const name = at.split('node_modules/').at(-1) ?? ''
    const own = JSON.parse(readFileSync(path.join(at, 'package.json'), 'utf8')) as { license?: string }
    const fits = (READ[name] === license || isAllowed(license)) && own.license === license
    return fits ? [] : [`${name}: ${license}, installed ${own.license ?? 'none'}`]
  })
  expect(odd).toEqual([])
})
it('a list that is not kept is none: what nobody may give on is found', () => {
  expect(['GPL-3.0', 'MIT AND GPL-3.0', 'none', ''].some(isAllowed)).toBe(false)
  expect(['MIT', '(MIT OR GPL-3.0)', '(MIT AND Zlib)'].every(isAllowed)).toBe(true)
})
