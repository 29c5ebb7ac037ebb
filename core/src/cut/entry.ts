import { methodOf } from '../methods/registry.js'
import type { Msg } from '../methods/method.js'
import { msg } from '../sources/source.js'
import { parseLength } from '../units/parse.js'
import type { Item, Line } from '../joint/state.js'

/** Fittings the entry line knows; the first of each pair is what is stored. */
export const FITTINGS: readonly (readonly [string, readonly string[]])[] = [
  ['elbow 90', ['elbow 90', 'elbow', 'ell']],
  ['elbow 45', ['elbow 45']],
  ['tee', ['tee', 't']],
  ['reducer', ['reducer', 'red']],
  ['coupling', ['coupling', 'socket', 'coup']],
  ['union', ['union']],
  ['valve', ['valve', 'ball valve']],
  ['flange', ['flange']],
  ['cap', ['cap', 'end cap']],
  ['tank adapter', ['tank adapter', 'tank']],
]
const MEASURES: Readonly<Record<string, Item['measure']>> = {
  'c-c': 'centre-centre',
  cc: 'centre-centre',
  'c-f': 'centre-face',
  cf: 'centre-face',
  'f-f': 'face-face',
  ff: 'face-face',
  'e-e': 'end-end',
  ee: 'end-end',
}
const LONGEST_MM = 100_000

export type Entry =
  | { ok: true; type: 'fitting'; fitting: string; sizes: string[]; tag: string | null }
  | { ok: true; type: 'piece'; measure: Item['measure']; measuredMm: number }
  | { ok: true; type: 'repeat'; times: number }
  | { ok: false; why: Msg }

/** Reads one typed entry: `tee 110`, `elbow 90 63`, `reducer 110 63`, `valve 63 tag V2`, `1250 c-c`, `x3`. */
export function parseEntry(text: string, units: 'metric' | 'inch', offered: readonly string[] = []): Entry {
  const t = text.trim().toLowerCase().replace(/\s+/g, ' ')
  const no = (code: string, params: Record<string, string | number> = {}): Entry => ({
    ok: false,
    why: msg(code, { text: text.trim(), ...params }),
  })
  const repeat = /^x(\d{1,2})$/.exec(t)
  if (repeat && Number(repeat[1]) > 0) return { ok: true, type: 'repeat', times: Number(repeat[1]) }
  if (/^[-\d]/.test(t)) return pieceEntry(t, units, no)
  const tag = / tag (\S+)$/i.exec(text.trim())?.[1] ?? null
  const body = t.replace(/ tag \S+$/, '')
  const names = FITTINGS.flatMap(([name, words]) => words.map((w) => ({ name, w }))).sort(
    (a, b) => b.w.length - a.w.length,
  )
  const hit = names.find(({ w }) => body === w || body.startsWith(`${w} `))
  if (!hit) return no('entry-not-understood')
  const rest = body.slice(hit.w.length).trim()
  const sizes = rest ? rest.split(/(?<!dn|nps|cts|od|bpe)[ x]+/).map((s) => sizeFor(s, units, offered)) : []
  return { ok: true, type: 'fitting', fitting: hit.name, sizes, tag }
}

/** Families that a bare figure may mean, likeliest first. */
const BARE: Readonly<Record<'metric' | 'inch', readonly string[]>> = {
  metric: ['d', 'DN '],
  inch: ['NPS ', 'CTS ', 'OD ', 'BPE '],
}
/** A typed size as sizes are written: by its own family, else by what the line's pipe is made in. */
function sizeFor(typed: string, units: 'metric' | 'inch', offered: readonly string[]): string {
  const named = /^(dn|nps|cts|od|bpe) ?(.+)$/.exec(typed)
  if (named) return `${(named[1] as string).toUpperCase()} ${named[2]}`
  const figure = typed.replace(/^d/, '')
  const made = BARE[units].map((f) => `${f}${figure}`).find((s) => offered.includes(s))
  return made ?? `${BARE[units][0]}${figure}`
}

function pieceEntry(
  t: string,
  units: 'metric' | 'inch',
  no: (code: string, p?: Record<string, string | number>) => Entry,
): Entry {
  const m = /^(.*?)\s*(c-c|cc|c-f|cf|f-f|ff|e-e|ee)?$/.exec(t)
  const measuredMm = parseLength(m?.[1] ?? '', units)
  if (measuredMm === null || measuredMm <= 0) return no('entry-not-a-length')
  if (measuredMm > LONGEST_MM) return no('entry-too-long', { mm: measuredMm })
  return { ok: true, type: 'piece', measure: MEASURES[m?.[2] ?? 'c-c'] ?? 'centre-centre', measuredMm }
}

export interface ItemPut {
  itemId: string
  afterItemId: string | null
  item: Record<string, unknown>
}
export type Added = { ok: true; puts: ItemPut[] } | { ok: false; why: Msg }

const itemData = (i: Item): Record<string, unknown> => ({
  type: i.type,
  tag: i.tag,
  size: i.size,
  size2: i.size2,
  fitting: i.fitting,
  measure: i.measure,
  measuredMm: i.measuredMm,
  jointA: i.joints[0],
  jointB: i.joints[1],
  tagA: i.jointTags[0],
  tagB: i.jointTags[1],
  ...(i.closing ? { closing: true } : {}),
})
/** The event data that puts an item as it stands. */
export const putOf = (item: Item, afterItemId: string | null = null): ItemPut => ({
  itemId: item.id,
  afterItemId,
  item: itemData(item),
})

const nextNumber = (tags: readonly (string | null)[], pattern: RegExp): number =>
  Math.max(0, ...tags.map((t) => Number(pattern.exec(t ?? '')?.[1] ?? 0))) + 1

/**
 * What an entry adds at the end of a line. Joints come into being where a piece meets a fitting.
 * @param newId makes ids (core makes none of its own, so that the same input gives the same output).
 */
export function addEntry(line: Line, entry: Entry & { ok: true }, newId: () => string): Added {
  if (entry.type === 'repeat') return repeatLast(line, entry.times, newId)
  return entry.type === 'piece' ? addPiece(line, entry, newId) : addFitting(line, entry, newId)
}

const jointTag = (line: Line, ahead = 0): string =>
  `${line.tag}-${String(
    nextNumber(
      line.items.flatMap((i) => i.jointTags),
      /-(\d+)$/,
    ) + ahead,
  ).padStart(2, '0')}`
const itemTag = (line: Line, letter: 'F' | 'P'): string =>
  `${line.tag}/${letter}${String(
    nextNumber(
      line.items.map((i) => i.tag),
      new RegExp(`/${letter}(\\d+)$`),
    ),
  ).padStart(2, '0')}`
const outlet = (i: Item): string => i.size2 ?? i.size

function addPiece(
  line: Line,
  entry: { measure: Item['measure']; measuredMm: number },
  newId: () => string,
): Added {
  const last = line.items.at(-1)
  if (!last || last.type !== 'fitting') return { ok: false, why: msg('entry-no-fitting') }
  const item: Item = {
    id: newId(),
    type: 'piece',
    tag: itemTag(line, 'P'),
    size: outlet(last),
    size2: null,
    fitting: null,
    measure: entry.measure,
    measuredMm: entry.measuredMm,
    joints: [newId(), null],
    jointTags: [jointTag(line), null],
    cut: null,
  }
  return { ok: true, puts: [putOf(item, last.id)] }
}

function addFitting(
  line: Line,
  entry: { fitting: string; sizes: string[]; tag: string | null },
  newId: () => string,
): Added {
  const last = line.items.at(-1)
  const inherited = last ? outlet(last) : null
  const size = entry.sizes[0] ?? inherited
  if (!size) return { ok: false, why: msg('entry-no-size', { fitting: entry.fitting }) }
  for (const s of [size, ...entry.sizes.slice(1)]) {
    const parsed = methodOf(line.method)?.parse({
      ...line.details,
      material: line.material,
      size: s,
      school: line.school,
      schedule: line.schedule,
      checkOffsetMm: 50,
    })
    if (parsed && !parsed.ok)
      return { ok: false, why: msg('entry-size-unknown', { size: s, material: line.material }) }
  }
  if (last?.type === 'piece' && last.size !== size)
    return { ok: false, why: msg('entry-sizes-differ', { a: last.size, b: size }) }
  const item: Item = {
    id: newId(),
    type: 'fitting',
    tag: entry.tag ?? itemTag(line, 'F'),
    size,
    size2: entry.sizes[1] ?? null,
    fitting: entry.fitting,
    measure: null,
    measuredMm: null,
    joints: [null, null],
    jointTags: [null, null],
    cut: null,
  }
  const puts = [putOf(item, last?.id ?? null)]
  if (last?.type === 'piece')
    puts.unshift(
      putOf({ ...last, joints: [last.joints[0], newId()], jointTags: [last.jointTags[0], jointTag(line)] }),
    )
  return { ok: true, puts }
}

/** `x3`: the last piece and fitting once more, three times. */
function repeatLast(line: Line, times: number, newId: () => string): Added {
  const group = line.items.slice(-2)
  const piece = group.find((i) => i.type === 'piece')
  const fitting = group.find((i) => i.type === 'fitting')
  if (!piece || !fitting || group.at(-1) !== fitting) return { ok: false, why: msg('entry-no-fitting') }
  const work: Line = { ...line, items: [...line.items] }
  const puts: ItemPut[] = []
  for (let k = 0; k < times; k++) {
    const a = addPiece(work, { measure: piece.measure, measuredMm: piece.measuredMm ?? 0 }, newId)
    if (!a.ok) return a
    apply(work, a.puts)
    const b = addFitting(
      work,
      {
        fitting: fitting.fitting ?? '',
        sizes: [fitting.size, fitting.size2].filter((s): s is string => s !== null),
        tag: null,
      },
      newId,
    )
    if (!b.ok) return b
    apply(work, b.puts)
    puts.push(...a.puts, ...b.puts)
  }
  return { ok: true, puts }
}

function apply(line: Line, puts: readonly ItemPut[]): void {
  for (const p of puts) {
    const d = p.item as Record<string, string | number | null>
    const item: Item = {
      id: p.itemId,
      type: d.type as 'piece',
      tag: d.tag as string,
      size: d.size as string,
      size2: (d.size2 ?? null) as string | null,
      fitting: (d.fitting ?? null) as string | null,
      measure: (d.measure ?? null) as Item['measure'],
      measuredMm: (d.measuredMm ?? null) as number | null,
      joints: [(d.jointA ?? null) as string | null, (d.jointB ?? null) as string | null],
      jointTags: [(d.tagA ?? null) as string | null, (d.tagB ?? null) as string | null],
      cut: null,
    }
    const at = line.items.findIndex((i) => i.id === item.id)
    if (at >= 0) line.items[at] = item
    else line.items.push(item)
  }
}
