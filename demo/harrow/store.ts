import { type ItemSaid, NOTHING_SAID, itemEntry } from '@jugalis/core'
import { HOUR_S, type Story } from '../story.js'

const DAY_S = 86_400

/** What stands in the store of the light. Gives the ids of what joints are made with. */
export function tellHarrowStore(story: Story) {
  const dayIn = (days: number): string =>
    new Date((story.nowS + days * DAY_S) * 1000).toISOString().slice(0, 10)
  let after = 0
  const put = (name: string, said: Partial<ItemSaid> & Pick<ItemSaid, 'kind'>): string => {
    const id = story.id(`item ${name}`)
    const { kind, data } = itemEntry({ ...NOTHING_SAID, name, ...said }, id)
    story.tell('Plover', story.begin + ++after, kind, data)
    return id
  }
  const ids = {
    pvc: put('PV-31', {
      kind: 'cement',
      matches: { plastic: 'pvc' },
      expiresOn: dayIn(19),
      amount: '0.95',
      unit: 'l',
    }),
    cpvc: put('CP-08', {
      kind: 'cement',
      matches: { plastic: 'cpvc' },
      expiresOn: dayIn(400),
      amount: '0.47',
      unit: 'l',
    }),
    old: put('PV-12', { kind: 'cement', matches: { plastic: 'pvc' }, expiresOn: dayIn(-41) }),
    jaw: put('J-1', { kind: 'jaw', matches: { size: 'NPS 1' }, checkedOn: dayIn(-200), dueOn: dayIn(165) }),
    tool: put('PT-5', { kind: 'press-tool', checkedOn: dayIn(-60), dueOn: dayIn(300) }),
    wrench: put('TW-2', {
      kind: 'torque-tool',
      checkedOn: dayIn(-355),
      dueOn: dayIn(9),
      certificate: 'C 4471',
    }),
    gauge: put('G-3', { kind: 'gauge', checkedOn: dayIn(-90), dueOn: dayIn(275), certificate: 'C 4402' }),
    blanket: put('HB-1', { kind: 'heat-blanket' }),
    solder: put('SW-1', {
      kind: 'solder-wire',
      matches: { lead: 'free' },
      amount: '7600',
      unit: 'mm',
    }),
  }
  story.tell('Plover', story.begin + HOUR_S, 'store-state', {
    itemId: ids.old,
    state: 'condemned',
    says: 'past its date',
  })
  return ids
}
