import { practice, published } from './records.js'
import type { Source } from './records.js'

/** Where figures of what is looked after come from. */
export const UPKEEP_SOURCES = [
  practice(
    'cp-upkeep',
    'Joints in use are looked at as often as their maker or the plant says',
    'Common practice: no figure of ours. The maker\u2019s interval is written into the section.',
  ),
  practice('cp-torque-fell', 'A torque that fell by more than a third is told: gasket, heat, vibration'),
  published(
    'en-806-5-a1',
    'EN 806-5, annex A: how often parts of drinking-water installations are inspected and maintained',
    '2012',
  ),
  published(
    'ipc-312-10',
    'International Plumbing Code, 312.10: backflow preventers inspected and tested yearly',
    '2021',
  ),
  published(
    'nbic-2-relief',
    'National Board Inspection Code, part 2: relief valves of hot-water heating boilers, tried quarterly, tested yearly',
    'recent',
    'From memory, and not sure: the authority and the maker go first.',
  ),
  published(
    'nfpa-25',
    'NFPA 25: wet sprinkler systems looked over yearly, alarm quarterly, main drain yearly, inside every five years',
    '2020',
  ),
] as const satisfies readonly Source[]
