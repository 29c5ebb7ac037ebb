import { type ItemSaid, NOTHING_SAID, itemEntry } from '@jugalis/core'
import { TIN, idOf } from './ids.js'
import { HOUR_S, MIN_S, type Story } from './story.js'

const DAY_S = 86_400

/** What stands in the store: tins near, within and past their dates, tools with their services, gaskets of one lot. */
export function tellStore(story: Story): void {
  const { begin, nowS } = story
  const dayIn = (days: number): string => new Date((nowS + days * DAY_S) * 1000).toISOString().slice(0, 10)
  /** A code with the day of filling in it: two digits of the year, three of the day. */
  const coded = (daysAgo: number, rest: string): string => {
    const filled = new Date((nowS - daysAgo * DAY_S) * 1000)
    const day = Math.floor((filled.getTime() - Date.UTC(filled.getUTCFullYear(), 0, 1)) / (DAY_S * 1000)) + 1
    return `${String(filled.getUTCFullYear() % 100)}${String(day).padStart(3, '0')}${rest}`
  }
  let after = MIN_S
  const put = (id: string, said: Partial<ItemSaid> & Pick<ItemSaid, 'kind' | 'name'>): void => {
    const { kind, data } = itemEntry({ ...NOTHING_SAID, ...said }, id)
    story.tell('Rook', begin + after++, kind, data)
  }
  const tin = { kind: 'cement', openDays: '60', amount: '1', unit: 'l' } as const
  const pvc = { plastic: 'pvc-u', body: 'gap-filling' }
  put(TIN, { ...tin, name: coded(706, 'B7'), matches: pvc, expiresOn: dayIn(24) })
  put(idOf('tin 2'), { ...tin, name: coded(120, 'C2'), matches: pvc, expiresOn: dayIn(610) })
  put(idOf('tin old'), { ...tin, name: coded(745, 'A1'), matches: pvc, expiresOn: dayIn(-15) })
  put(idOf('tin abs'), { ...tin, name: coded(200, 'F4'), matches: { plastic: 'abs' }, expiresOn: dayIn(530) })
  put(idOf('cleaner'), { kind: 'cleaner', name: 'K-3', amount: '1', unit: 'l' })
  put(idOf('gaskets'), {
    kind: 'gasket',
    name: 'L-1180',
    batch: '1180',
    matches: { size: 'DN 40', rubber: 'EPDM' },
    amount: '24',
    unit: 'count',
    expiresOn: dayIn(900),
  })
  put(idOf('gauge'), {
    kind: 'gauge',
    name: 'G-07',
    checkedOn: dayIn(-340),
    dueOn: dayIn(25),
    certificate: 'K 2207',
  })
  put(idOf('press tool'), { kind: 'press-tool', name: 'PT-2', checkedOn: dayIn(-120), dueOn: dayIn(245) })
  put(idOf('jaw'), { kind: 'jaw', name: 'J-22', matches: { size: 'd22', profile: 'K' }, dueOn: dayIn(245) })
  // The old tin stood behind the others: found on the first morning, and thrown away.
  story.tell('Rook', begin + HOUR_S, 'store-state', {
    itemId: idOf('tin old'),
    state: 'condemned',
    says: 'past its date, thick',
  })
}
