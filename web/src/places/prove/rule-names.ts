import type { TestRuleId } from '@jugalis/core'

/** Rules by the name under which they are known. */
export const RULE_NAMES: Readonly<Record<TestRuleId, string>> = {
  custom: 'a rule of your own',
  'b31.3-hydro': 'ASME B31.3, water',
  'b31.3-pneumatic': 'ASME B31.3, gas',
  'b31.9-hydro': 'ASME B31.9, water',
  'ipc-water': 'IPC, water supply by water',
  'ipc-air': 'IPC, water supply by air',
  'dwv-water': 'IPC, drainage by water',
  'dwv-air': 'IPC, drainage by air',
  'en806-a': 'EN 806-4, procedure A',
  'en806-b': 'EN 806-4, procedure B',
  'en806-c': 'EN 806-4, procedure C',
  'nfpa13-wet': 'NFPA 13, wet',
  'nfpa13-dry': 'NFPA 13, dry by air',
  'press-leak-check-air': 'Look for unpressed joints, air',
  'press-leak-check-water': 'Look for unpressed joints, water',
  'dvs2210-hydro': 'DVS 2210-1, industrial plastic',
}
export const ruleName = (id: string | null): string =>
  id === null ? 'no rule named' : (RULE_NAMES[id as TestRuleId] ?? id)
