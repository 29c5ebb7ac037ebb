import { practice, published } from './records.js'
import type { Source } from './records.js'

const UNSURE = 'From memory, and not sure: check the standard before you rely on it.'
const GENERIC =
  'Common practice, no published source. Fittings differ: load the maker\u2019s chart or measure the fitting.'

/** Sources of dimensions: pipe, tube, cups, sockets, flanges. */
export const SIZE_SOURCES = [
  published(
    'astm-b88',
    'ASTM B88, copper water tube: outside diameter = nominal + 1/8 in; walls K, L, M',
    'recent',
  ),
  published('asme-b16-22', 'ASME B16.22, wrought copper solder fittings: depth of cup', '2018'),
  published(
    'en-1254-1',
    'EN 1254-1, capillary fittings for copper: shortest length of a capillary end',
    '1998',
    'From memory; 64 mm and above less sure: check the standard before you rely on it.',
  ),
  published(
    'en-1057',
    'EN 1057, copper tube, metric: walls by the lists sold (GW 392; BS 2871-1 tables X and Y)',
    '2006',
    UNSURE,
  ),
  published('astm-d1785-rating', 'ASTM D1785, PVC 1120 pipe: walls and pressure ratings at 73 °F', 'recent'),
  published('asme-b36-10', 'ASME B36.10M, steel pipe: outside diameters; walls Sch 10, 40, 80', 'recent'),
  published('asme-b36-19', 'ASME B36.19M, stainless pipe: walls Sch 5S, 10S, 40S', 'recent'),
  published(
    'iso-4065',
    'ISO 4065, wall of plastics pipe: diameter by SDR, rounded up to 0.1 mm',
    '1996',
    UNSURE,
  ),
  published('asme-bpe', 'ASME BPE, hygienic tube: diameters, walls, ferrule flanges', 'recent'),
  published(
    'asme-bpe-intrusion',
    'ASME BPE, hygienic clamp joint: gasket intrusion at most 0.025 in',
    'recent',
  ),
  published('din-11866', 'DIN 11866 series A, hygienic tube: diameters and walls', 'recent'),
  published('din-32676', 'DIN 32676 series A, clamp flanges: outside diameters', 'recent'),
  published(
    'dvs-2207-11',
    'DVS 2207-11, heated-tool socket welding of PP: tool 260 ± 10 °C; heating, changeover and cooling times',
    '2008',
    'From memory; d50 heating and cooling from d63 up less sure: check the guideline before you rely on it.',
  ),
  practice(
    'cp-fusion-depth',
    'Welding depth as printed beside the DVS 2207-11 times',
    'Common practice. ISO 15874-3 sockets are deeper (0.3 d + 8.5 mm): mark what the tool maker\u2019s chart says.',
  ),
  practice(
    'cp-press-depth',
    'Generic press insertion, inch and metric, as fittings of the ASME B16.51 kind have it',
    GENERIC,
  ),
  practice('cp-press-depth-multilayer', 'Generic press insertion of multilayer pipe', GENERIC),
  practice(
    'cp-pfa-wall',
    'Fluoropolymer tube for flares: 0.047 in (1/4), 0.062 in (3/8 to 1), 0.075 in (1-1/4)',
  ),
  practice('cp-press-tube', 'Usual walls of stainless and carbon steel press tube', GENERIC),
  practice('cp-multilayer-wall', 'Usual walls of multilayer pipe', GENERIC),
  practice('cp-tube-od', 'Tube named by its outside diameter'),
] as const satisfies readonly Source[]
