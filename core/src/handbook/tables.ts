import { allMethods } from '../methods/registry.js'
import { allRecords, recordOf } from '../methods/sources.js'
import type { Source } from '../sources/records.js'
import type { TableFile } from '../sources/table.js'
import ARMS from '../line/laying/tables/arms.json' with { type: 'json' }
import CONDENSATE_FALLS from '../line/laying/tables/condensate-falls.json' with { type: 'json' }
import DENSITIES from '../line/laying/tables/densities.json' with { type: 'json' }
import DRAIN_FALLS from '../line/laying/tables/drain-falls.json' with { type: 'json' }
import GROWTH from '../line/laying/tables/growth.json' with { type: 'json' }
import HANGERS from '../line/laying/tables/hangers.json' with { type: 'json' }
import METALS from '../line/laying/tables/metal-moduli.json' with { type: 'json' }
import MODULI from '../line/laying/tables/moduli.json' with { type: 'json' }
import WARM_HANGERS from '../line/laying/tables/warm-hangers.json' with { type: 'json' }
import PIPE_STRETCH from '../prove/verdict/physics/pipe-stretch.json' with { type: 'json' }
import ABS_DERATING from '../prove/test-plan/tables/abs-derating.json' with { type: 'json' }
import COPPER_STRESS from '../prove/test-plan/tables/copper-stress.json' with { type: 'json' }
import CPVC_DERATING from '../prove/test-plan/tables/cpvc-derating.json' with { type: 'json' }
import D2241_PRESSURES from '../prove/test-plan/tables/d2241-pressures.json' with { type: 'json' }
import D2846_PRESSURES from '../prove/test-plan/tables/d2846-pressures.json' with { type: 'json' }
import GAS_DISTANCES from '../prove/test-plan/tables/gas-distances.json' with { type: 'json' }
import PVC_DERATING from '../prove/test-plan/tables/pvc-derating.json' with { type: 'json' }
import PVC_U_DERATING from '../prove/test-plan/tables/pvc-u-derating.json' with { type: 'json' }
import PVC_U_PRESSURES from '../prove/test-plan/tables/pvc-u-pressures.json' with { type: 'json' }
import B16_22_CUPS from '../sizes/tables/b16-22-cups.json' with { type: 'json' }
import B36_10_WALLS from '../sizes/tables/b36-10-walls.json' with { type: 'json' }
import B36_19_WALLS from '../sizes/tables/b36-19-walls.json' with { type: 'json' }
import B88_WALLS from '../sizes/tables/b88-walls.json' with { type: 'json' }
import BPE_TUBE from '../sizes/tables/bpe-tube.json' with { type: 'json' }
import D1785_PIPE from '../sizes/tables/d1785-pipe.json' with { type: 'json' }
import D2466_SOCKETS from '../sizes/tables/d2466-sockets.json' with { type: 'json' }
import D2467_SOCKETS from '../sizes/tables/d2467-sockets.json' with { type: 'json' }
import D2846_SOCKETS from '../sizes/tables/d2846-sockets.json' with { type: 'json' }
import DN_FLANGES from '../sizes/tables/dn-flanges.json' with { type: 'json' }
import DN_TUBE from '../sizes/tables/dn-tube.json' with { type: 'json' }
import EN_1057_WALLS from '../sizes/tables/en-1057-walls.json' with { type: 'json' }
import EN_1254_1_CUPS from '../sizes/tables/en-1254-1-cups.json' with { type: 'json' }
import F438_SOCKETS from '../sizes/tables/f438-sockets.json' with { type: 'json' }
import F439_SOCKETS from '../sizes/tables/f439-sockets.json' with { type: 'json' }
import METRIC_DIAMETERS from '../sizes/tables/metric-diameters.json' with { type: 'json' }
import MULTILAYER_WALLS from '../sizes/tables/multilayer-walls.json' with { type: 'json' }
import NPS_DIAMETERS from '../sizes/tables/nps-diameters.json' with { type: 'json' }
import PFA_WALLS from '../sizes/tables/pfa-walls.json' with { type: 'json' }
import PRESS_INCH from '../sizes/tables/press-inch.json' with { type: 'json' }
import PRESS_METRIC from '../sizes/tables/press-metric.json' with { type: 'json' }
import PRESS_MULTILAYER from '../sizes/tables/press-multilayer.json' with { type: 'json' }
import PRESS_TUBE_WALLS from '../sizes/tables/press-tube-walls.json' with { type: 'json' }
import BACKFLOW_CARE from '../upkeep/tables/backflow-care.json' with { type: 'json' }
import RELIEF_CARE from '../upkeep/tables/relief-care.json' with { type: 'json' }
import SPRINKLER_CARE from '../upkeep/tables/sprinkler-care.json' with { type: 'json' }
import WATER_CARE from '../upkeep/tables/water-care.json' with { type: 'json' }

/** Tables that no single method owns; a test looks whether each file is here. */
const SHARED: readonly TableFile[] = [
  ARMS,
  CONDENSATE_FALLS,
  DENSITIES,
  DRAIN_FALLS,
  GROWTH,
  HANGERS,
  METALS,
  MODULI,
  WARM_HANGERS,
  PIPE_STRETCH,
  ABS_DERATING,
  COPPER_STRESS,
  CPVC_DERATING,
  D2241_PRESSURES,
  D2846_PRESSURES,
  GAS_DISTANCES,
  PVC_DERATING,
  PVC_U_DERATING,
  PVC_U_PRESSURES,
  BACKFLOW_CARE,
  RELIEF_CARE,
  SPRINKLER_CARE,
  WATER_CARE,
  B16_22_CUPS,
  B36_10_WALLS,
  B36_19_WALLS,
  B88_WALLS,
  BPE_TUBE,
  D1785_PIPE,
  D2466_SOCKETS,
  D2467_SOCKETS,
  D2846_SOCKETS,
  DN_FLANGES,
  DN_TUBE,
  EN_1057_WALLS,
  EN_1254_1_CUPS,
  F438_SOCKETS,
  F439_SOCKETS,
  METRIC_DIAMETERS,
  MULTILAYER_WALLS,
  NPS_DIAMETERS,
  PFA_WALLS,
  PRESS_INCH,
  PRESS_METRIC,
  PRESS_MULTILAYER,
  PRESS_TUBE_WALLS,
]
/** Every published and practice table, by its id: those that are shared, and each method's own. */
export const allTables = (): TableFile[] =>
  [...SHARED, ...allMethods().flatMap((m) => m.tables.map((t) => t.file))].sort((a, b) =>
    a.id < b.id ? -1 : 1,
  )
/**
 * Tables of one source.
 * @example tablesOf('astm-d2855').map((t) => t.id) // ['current-cure', 'current-set']
 */
export const tablesOf = (source: string): TableFile[] => allTables().filter((t) => t.source === source)

/** A source is checked once a named person compared every table of it with a copy. */
const withChecked = (record: Source, tables: readonly TableFile[]): Source =>
  tables.length && tables.every((t) => t.checked) ? { ...record, verified: true } : record
/** Every source that core's own tables and rules name: those that are shared, and each method's own. */
export const allSources = (): readonly Source[] => allRecords().map((s) => withChecked(s, tablesOf(s.id)))
/**
 * The source of an id, charts' and computed ones too. Ids come from code: an unknown one is a fault of ours and
 * throws.
 * @example sourceOf('iso-727-1').kind // 'published'
 */
export const sourceOf = (id: string): Source => withChecked(recordOf(id), tablesOf(id))
