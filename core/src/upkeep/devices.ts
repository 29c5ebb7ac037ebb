import type { DeviceKind } from '../log/kinds-upkeep.js'
import { care } from '../methods/kit/care.js'
import type { School } from '../methods/joinable.js'
import type { Care } from '../methods/method.js'
import { tableOf } from '../sources/table.js'
import BACKFLOW from './tables/backflow-care.json' with { type: 'json' }
import RELIEF from './tables/relief-care.json' with { type: 'json' }
import SPRINKLERS from './tables/sprinkler-care.json' with { type: 'json' }
import WATER from './tables/water-care.json' with { type: 'json' }

const TABLES = {
  metric: [tableOf(WATER, 'en-806-5-a1')],
  inch: [tableOf(BACKFLOW, 'ipc-312-10'), tableOf(RELIEF, 'nbic-2-relief'), tableOf(SPRINKLERS, 'nfpa-25')],
} as const

/**
 * What a device asks for by the rules of a school; where they have no row, it is looked over as its maker says.
 * @example devicesCares('filter', 'metric')[0]?.id // 'clean'
 */
export function devicesCares(kind: DeviceKind, school: School): Care[] {
  const cares = TABLES[school].flatMap(({ rows, source }) =>
    rows
      .filter((row) => row.device === kind)
      .map((row) =>
        care(row.does as Parameters<typeof care>[0], 'look', { by: 'months', months: row.every }, source),
      ),
  )
  return cares.length ? cares : [care('looked-over', 'look', { by: 'maker' }, 'cp-upkeep')]
}
