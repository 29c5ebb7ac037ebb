import type { TestRuleId } from '@jugalis/core'
import { type WebCode, word } from '../../words/word'

/** Rules by the name under which they are known. */
const RULE_NAMES = {
  custom: 'prove-a-rule-of-your',
  'b31.3-hydro': 'prove-asme-b31-3-water',
  'b31.3-pneumatic': 'prove-asme-b31-3-gas',
  'b31.9-hydro': 'prove-asme-b31-9-water',
  'ipc-water': 'prove-ipc-water-supply-by',
  'ipc-air': 'prove-ipc-water-supply-by-air',
  'dwv-water': 'prove-ipc-drainage-by-water',
  'dwv-air': 'prove-ipc-drainage-by-air',
  'en806-a': 'prove-en-806-4-procedure',
  'en806-b': 'prove-en-806-4-procedure-b',
  'en806-c': 'prove-en-806-4-procedure-c',
  'nfpa13-wet': 'prove-nfpa-13-wet',
  'nfpa13-dry': 'prove-nfpa-13-dry-by',
  'press-leak-check-air': 'prove-look-for-unpressed-joints',
  'press-leak-check-water': 'prove-look-for-unpressed-joints-water',
  'dvs2210-hydro': 'prove-dvs-2210-1-industrial',
} as const satisfies Readonly<Record<TestRuleId, WebCode>>
export const ruleName = (id: string | null): string =>
  id === null
    ? word('prove-no-rule-named')
    : Object.hasOwn(RULE_NAMES, id)
      ? word(RULE_NAMES[id as TestRuleId])
      : id
