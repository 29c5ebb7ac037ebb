import type { School } from '../methods/joinable.js'

/** Jobs that are begun again and again. */
export const TEMPLATES = [
  'bathroom-copper',
  'condensate',
  'drain',
  'chilled-water',
  'sprinkler',
  'hygienic-spool',
  'service-line',
] as const
export type TemplateId = (typeof TEMPLATES)[number]
/** What a line of one carries; the book of words has it. */
export type TemplateCarries =
  'hot' | 'cold' | 'condensate' | 'waste' | 'chilled' | 'sprinkler' | 'product' | 'service'

/** How its ends are joined, in what sizes: as most do it in a school. Common practice, changed on the line by whoever does otherwise. */
interface Joined {
  method: string
  material: string
  schedule?: string
  details?: Readonly<Record<string, unknown>>
  /** The size it begins with, and the one that leaves it, as they are typed in that school. */
  sizes: readonly [size: string, small?: string]
}
export interface TemplateLine {
  tag: string
  carries: TemplateCarries
  /** Its parts as they would be typed; `{size}` and `{small}` stand for its sizes. No piece is measured yet. */
  entries: string
  /** It falls as what it carries asks for, and is no pressure line. */
  falls?: 'drain' | 'condensate'
  joined: Readonly<Record<School, Joined>>
}

/** Each piece is measured between the faces of its two fittings: that asks for nobody's take-off. */
const TO_TAPS =
  'valve {size}; ? f-f; tee {size} {size} {small}; branch; ? f-f; elbow 90; ? f-f; valve; ..; ? f-f; reducer {size} {small}; ? f-f; elbow 90; ? f-f; valve'
const COPPER: TemplateLine['joined'] = {
  inch: { method: 'solder', material: 'copper', sizes: ['3/4', '1/2'] },
  metric: { method: 'press', material: 'copper', sizes: ['22', '15'] },
}

export const TEMPLATE_LINES: Readonly<Record<TemplateId, readonly TemplateLine[]>> = {
  'bathroom-copper': [
    { tag: 'H', carries: 'hot', entries: TO_TAPS, joined: COPPER },
    { tag: 'C', carries: 'cold', entries: TO_TAPS, joined: COPPER },
  ],
  condensate: [
    {
      tag: 'K',
      carries: 'condensate',
      entries: 'trap {size}; ? f-f; elbow 90; ? f-f; coupling; ? f-f; elbow 90',
      falls: 'condensate',
      joined: {
        inch: { method: 'solvent-cement', material: 'pvc', schedule: '40', sizes: ['3/4'] },
        metric: { method: 'solvent-cement', material: 'pvc-u', sizes: ['32'] },
      },
    },
  ],
  drain: [
    {
      tag: 'D',
      carries: 'waste',
      entries:
        'cleanout {size}; ? f-f; wye {size} {size} {small}; branch; ? f-f; elbow 90; ? f-f; p-trap; ..; ? f-f; elbow 45; ? f-f; elbow 45',
      falls: 'drain',
      joined: {
        inch: { method: 'solvent-cement', material: 'pvc', schedule: '40', sizes: ['3', '2'] },
        metric: { method: 'solvent-cement', material: 'pvc-u', sizes: ['110', '50'] },
      },
    },
  ],
  'chilled-water': [
    {
      tag: 'CW',
      carries: 'chilled',
      entries:
        'valve {size}; ? f-f; tee {size} {size} {small}; branch; ? f-f; valve; ..; ? f-f; elbow 90; ? f-f; union; ? f-f; elbow 90',
      joined: {
        inch: { method: 'solvent-cement', material: 'abs', schedule: '80', sizes: ['2', '1-1/4'] },
        metric: { method: 'solvent-cement', material: 'abs', sizes: ['63', '32'] },
      },
    },
  ],
  sprinkler: [
    {
      tag: 'SP',
      carries: 'sprinkler',
      entries:
        'valve {size}; ? f-f; tee {size} {size} {small}; branch; ? f-f; elbow 90; ..; ? f-f; tee {size} {size} {small}; branch; ? f-f; elbow 90; ..; ? f-f; cap',
      joined: {
        inch: { method: 'press', material: 'carbon-steel', sizes: ['2', '1'] },
        metric: { method: 'press', material: 'carbon-steel', sizes: ['54', '28'] },
      },
    },
  ],
  'hygienic-spool': [
    {
      tag: 'P',
      carries: 'product',
      entries: 'valve {size}; ? f-f; elbow 90; ? f-f; tee; ? f-f; valve',
      joined: {
        inch: { method: 'sanitary-clamp', material: 'stainless', sizes: ['2'] },
        metric: { method: 'sanitary-clamp', material: 'stainless', sizes: ['40'] },
      },
    },
  ],
  'service-line': [
    {
      tag: 'SV',
      carries: 'service',
      entries: 'valve {size}; ? f-f; coupling; ? f-f; elbow 90; ? f-f; valve',
      joined: {
        inch: { method: 'compression', material: 'pe', details: { kind: 'stab' }, sizes: ['1'] },
        metric: { method: 'compression', material: 'copper', sizes: ['28'] },
      },
    },
  ],
}
