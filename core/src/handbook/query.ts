import { append } from '../units/extent.js'
import { fToC, psiToBar } from '../units/units.js'

/** What somebody typed into the Handbook, understood. */
export interface Query {
  /** Sizes it may mean: exact texts, or a nominal in inches or mm of any family. */
  sizeTexts: string[]
  inch: number | null
  mm: number | null
  schedule: '40' | '80' | null
  temperatureC: number | null
  bar: number | null
  humidityPct: number | null
  methods: string[]
  materials: string[]
  /** Stems of figure keys. */
  figures: string[]
  /** Words that mean nothing here. */
  unknown: string[]
}

const METHODS: Readonly<Record<string, readonly string[]>> = {
  'solvent-cement': ['solvent', 'cement', 'cemented', 'glue', 'glued'],
  'adhesive-bond': ['adhesive', 'bond', 'bonded', 'resin', 'frp'],
  'socket-fusion': ['fusion', 'fuse', 'welding'],
  flare: ['flare', 'flared'],
  press: ['press', 'pressed', 'crimp'],
  solder: ['solder', 'soldered', 'sweat', 'capillary'],
  compression: ['compression', 'ferrule', 'ferrules', 'nut'],
  'sanitary-clamp': ['clamp', 'sanitary', 'hygienic', 'ferrule-clamp'],
  'split-coupling': ['coupling', 'split'],
  'expansion-joint': ['expansion', 'rubber'],
  flange: ['flange', 'flanges', 'bolts'],
}
const MATERIALS: Readonly<Record<string, readonly string[]>> = {
  'pvc-u': ['pvc-u', 'pvcu', 'upvc', 'u-pvc'],
  pvc: ['pvc'],
  cpvc: ['cpvc', 'pvc-c'],
  abs: ['abs'],
  'pp-r': ['pp-r', 'ppr', 'pp'],
  'pp-r-layered': ['layered', 'pp-r-layered'],
  pfa: ['pfa', 'fluoropolymer'],
  copper: ['copper', 'cu'],
  'carbon-steel': ['carbon-steel', 'steel'],
  stainless: ['stainless', 'inox'],
  multilayer: ['multilayer', 'mlcp'],
  pe: ['pe', 'polyethylene'],
  pex: ['pex', 'pe-x'],
  'epoxy-resin': ['epoxy'],
  'vinyl-ester-resin': ['vinyl-ester', 'vinylester'],
  'cored-resin': ['cored'],
}
const FIGURES: Readonly<Record<string, readonly string[]>> = {
  depth: ['depth', 'insertion', 'insert', 'cup', 'socket', 'mark'],
  cure: ['cure', 'test', 'wait', 'pressure'],
  set: ['set', 'move', 'handling'],
  hold: ['hold'],
  open: ['open'],
  primer: ['primer', 'prime'],
  torque: ['torque', 'tighten'],
  turns: ['turns', 'turn'],
  heat: ['heat', 'heating'],
  cool: ['cool', 'cooling'],
  gap: ['gap'],
  wire: ['wire'],
  wall: ['wall', 'thickness'],
  diameter: ['od', 'diameter', 'outside'],
  crew: ['crew', 'people'],
  applicator: ['applicator', 'brush', 'dauber'],
  tilt: ['tilt', 'misalignment', 'angle'],
  intrusion: ['intrusion'],
  flange: ['flange-od'],
  changeover: ['changeover'],
  weld: ['weld', 'clearance', 'bend'],
}
const SKIP = new Set([
  'in',
  'mm',
  'of',
  'for',
  'at',
  'the',
  'a',
  'to',
  'and',
  'with',
  'pipe',
  'tube',
  'joint',
  'what',
  'is',
  'how',
  'long',
  'deep',
  'inch',
  'nps',
  'cts',
  'sch',
  'schedule',
  'time',
  'times',
  'bar',
  'psi',
  'c',
  'f',
  '°c',
  '°f',
  '%',
  'rh',
])

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`
const NOMINAL = String.raw`(\d+(?:[ -]\d+\/\d+)?|\d+\/\d+)`
const inches = (text: string): number =>
  text.split(/[ -]/).reduce((found, part) => {
    const [a = '0', b = '1'] = part.split('/')
    return found + Number(a) / Number(b)
  }, 0)
const figure = (text: string): number => Number(text.replace(',', '.'))

/**
 * Reads a question such as `2 in sch 80 cure 45 F` or `22 mm solder depth`. Never throws.
 * @example parseQuery('2 in sch 80 cure 45 F').temperatureC // 7.22
 */
export function parseQuery(text: string): Query {
  const query: Query = {
    sizeTexts: [],
    inch: null,
    mm: null,
    schedule: null,
    temperatureC: null,
    bar: null,
    humidityPct: null,
    methods: [],
    materials: [],
    figures: [],
    unknown: [],
  }
  let rest = ` ${text
    .toLowerCase()
    .replace(/[?!,;:]+(?=\s|$)/g, ' ')
    .replace(/[″”“]/g, '"')} `
  /** Takes what a pattern finds out of the text, so that its figures are not read twice. */
  const take = (pattern: string, use: (m: RegExpExecArray) => void): void => {
    const match = new RegExp(String.raw`(?<=\s)${pattern}(?=\s)`, 'i').exec(rest)
    if (!match) return
    use(match)
    rest = rest.replace(match[0], ' ')
  }
  take(String.raw`sch(?:edule)?\.? ?(40|80)`, (m) => (query.schedule = m[1] as '40' | '80'))
  take(String.raw`(-?\d+(?:[.,]\d+)?) ?°? ?f`, (m) => (query.temperatureC = fToC(figure(m[1] as string))))
  take(String.raw`(-?\d+(?:[.,]\d+)?) ?°? ?c`, (m) => (query.temperatureC = figure(m[1] as string)))
  take(String.raw`${NUMBER} ?bar`, (m) => (query.bar = figure(m[1] as string)))
  take(String.raw`${NUMBER} ?psi`, (m) => (query.bar = psiToBar(figure(m[1] as string))))
  take(String.raw`(?:rh ?)?${NUMBER} ?% ?(?:rh)?`, (m) => (query.humidityPct = figure(m[1] as string)))
  take(String.raw`(nps|cts|od|bpe) ?${NOMINAL} ?(?:in(?:ch)?|")?`, (match) =>
    query.sizeTexts.push(`${(match[1] as string).toUpperCase()} ${(match[2] as string).replace(' ', '-')}`),
  )
  take(String.raw`dn ?(\d+)`, (m) => query.sizeTexts.push(`DN ${m[1]}`))
  take(String.raw`d ?${NUMBER}(?: ?mm)?`, (match) =>
    query.sizeTexts.push(`d${(match[1] as string).replace(',', '.')}`),
  )
  take(String.raw`${NOMINAL} ?(?:inch|in|")`, (m) => (query.inch = inches(m[1] as string)))
  take(String.raw`${NUMBER} ?mm`, (m) => (query.mm = figure(m[1] as string)))
  for (const word of rest.split(/\s+/).filter(Boolean)) understand(word, query)
  return query
}

function understand(word: string, query: Query): void {
  const hit = (table: Readonly<Record<string, readonly string[]>>): string[] =>
    Object.entries(table).flatMap(([id, words]) => (words.includes(word) ? [id] : []))
  const [methods, materials, figures] = [hit(METHODS), hit(MATERIALS), hit(FIGURES)]
  append(query.methods, methods)
  append(query.materials, materials)
  append(query.figures, figures)
  if (methods.length || materials.length || figures.length || SKIP.has(word)) return
  // A bare figure may be either: a size in inches or in millimetres.
  if (/^\d+(?:[-]\d+\/\d+)?$|^\d+\/\d+$/.test(word) && query.inch === null && query.mm === null) {
    query.inch = inches(word)
    query.mm = inches(word)
  } else query.unknown.push(word)
}
