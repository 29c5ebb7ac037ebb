import type { JointFacts, OrderPlan, Stuck } from '@jugalis/core'
import { type WebCode, capital, word } from '../../words/word'
import { methodTold } from './said'

type Facts = ReadonlyMap<string, JointFacts>
const STUCK: Readonly<Record<Stuck['code'], WebCode>> = {
  'no-crew': 'plan-nobody-yet',
  'too-few-hands': 'plan-stuck-too-few-hands',
  'nobody-may': 'plan-stuck-nobody-may',
  'no-figure': 'plan-stuck-no-figure',
  'no-method': 'plan-stuck-no-method',
  circle: 'plan-stuck-circle',
  'too-many': 'plan-stuck-too-many',
}
/** Why there is nothing to ask of a planner. */
export function stuckSays(stuck: Stuck, facts: Facts): string {
  const one = facts.get(stuck.jointId ?? '')
  return word(STUCK[stuck.code], {
    tag: one?.tag ?? '',
    count: stuck.count ?? 0,
    method: one ? methodTold(one.place.way.method) : '',
  })
}

/** What would help, by why there is no plan. */
const WHY: Readonly<Record<string, { says: WebCode; mends: readonly WebCode[] }>> = {
  'fixed-cannot': { says: 'plan-why-fixed-cannot', mends: ['plan-mend-free', 'plan-mend-hands'] },
  'longer-than-a-shift': { says: 'plan-why-longer-than-a-shift', mends: ['plan-mend-shift'] },
  'no-shift-left': { says: 'plan-why-no-shift-left', mends: ['plan-mend-shift', 'plan-mend-hands'] },
  'outside-its-window': { says: 'plan-why-outside', mends: ['plan-mend-permit', 'plan-mend-shift'] },
  'ready-too-late': { says: 'plan-why-ready-too-late', mends: ['plan-mend-later', 'plan-mend-pressure'] },
  'ends-too-late': {
    says: 'plan-why-ends-too-late',
    mends: ['plan-mend-later', 'plan-mend-hands', 'plan-mend-shift'],
  },
  'not-enough-time': {
    says: 'plan-why-not-enough-time',
    mends: ['plan-mend-hands', 'plan-mend-shift', 'plan-mend-later'],
  },
  'made-too-late': { says: 'plan-why-made-too-late', mends: ['plan-mend-later', 'plan-mend-pressure'] },
}
/** Why no plan keeps all that is asked, and what would help. */
export function reasonSays({ reasons, status }: OrderPlan, facts: Facts): string {
  const [reason] = reasons
  if (!reason) return word('plan-none-found')
  const tag = facts.get(reason.joint ?? '')?.tag ?? ''
  const why = WHY[reason.code]
  const mends = (why?.mends ?? []).map((code) => word(code))
  return [
    why ? word(why.says, { tag }) : '',
    status === 'none-found' ? word('plan-none-found') : '',
    mends.length ? capital(word('plan-mend', { list: mends.join(', ') })) : '',
  ]
    .filter(Boolean)
    .join(' ')
}
