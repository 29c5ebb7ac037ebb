import type { CodesOf, Wordings } from '../sources/wording.js'

/** What every bolted joint says. */
export const BOLTED = {
  'field-bolts': 'Bolts',
  'field-dry-torque': 'Torque, dry',
  'field-k-dry': 'Nut factor, dry',
  'field-k-lubricated': 'Nut factor, lubricated',
  'field-faces': 'Faces',
  'tool-rigging': 'rigging rated for the load',
  'tool-parts-list': 'parts list, permit',
  'tool-seal-lubricant': 'seal lubricant',
  'torque-over':
    '{torqueNm, number, torque}; {wantNm, number, torque} is asked for. Loosen and tighten again.',
  'torque-unknown':
    '{torqueNm, number, torque} was read, but no torque is known here: put the maker\u2019s into the line. Until then nobody can judge it.',
  'torque-under': '{torqueNm, number, torque}; {wantNm, number, torque} is asked for. Tighten on.',
  'torque-by-maker': 'By the maker\u2019s sheet.',
  'interrupted-bolts-loose': 'Not tightened: it stays on the list.',
  'test-rigging-off': 'Rigging released, supports carry the pipe.',
  'choice-torque-lubricated':
    'Published torques are dry. Give both nut factors, or the bolts are overtightened.',
} as const satisfies Wordings
declare module '../sources/wording.js' {
  interface WordBook extends CodesOf<typeof BOLTED> {}
}
