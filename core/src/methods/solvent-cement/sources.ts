import { computed, practice, published } from '../../sources/records.js'
import type { Source } from '../../sources/records.js'

/** Where its figures and steps come from. */
export const SOURCES = [
  published(
    'iso-727-1',
    'ISO 727-1, plain sockets for PVC-U, PVC-C and ABS, metric: L = 0.5 d + 6 mm (at least 12)',
    '2002',
  ),
  published('astm-d2466', 'ASTM D2466, socket lengths of PVC fittings, Sch 40, minimum', 'recent'),
  published('astm-d2467', 'ASTM D2467, socket lengths of PVC fittings, Sch 80, minimum', 'recent'),
  published(
    'astm-f438',
    'ASTM F438, CPVC fittings Sch 40, socket lengths',
    'recent',
    'From memory, taken to equal D2466: check the standard before you rely on it.',
  ),
  published(
    'astm-f439',
    'ASTM F439, CPVC fittings Sch 80, socket lengths',
    'recent',
    'From memory, taken to equal D2467: check the standard before you rely on it.',
  ),
  published(
    'astm-d2855',
    'ASTM D2855, solvent-cemented joints: set and cure schedule, current handbook form',
    '2015 and later, as handbooks print it',
  ),
  published(
    'astm-d2855-96',
    'ASTM D2855-96, appendix: joint cure schedule to 180 psi; set periods of section 6',
    '1996',
  ),
  published(
    'astm-d2855-tools',
    'ASTM D2855: applicator at least half the pipe diameter; chamfer 10 to 15 degrees, about 3/32 in',
    'recent',
  ),
  practice(
    'cp-hours-per-bar',
    'PVC-U, metric: one hour per bar after the last joint, d16 to d160, 10 to 40 °C',
  ),
  practice(
    'cp-abs-day',
    'ABS, metric: 24 h at 10 to 30 °C, 48 h below 10 or above 30 °C',
    'Common practice, no published source. The hot half is unverified.',
  ),
  practice(
    'cp-set-metric',
    'Leave alone 5 min (PVC-U), 10 min (ABS), 15 min (ABS at 10 °C and below); small and middling pipe',
  ),
  practice('cp-hold', 'Hold after push-home, by school, size and cold'),
  practice('cp-open-time', 'Open time of gap-filling cement at 20 °C and 1 mm layer: ABS 1 min, PVC-U 4 min'),
  computed(
    'ours-open-time-hot',
    'Above 20 °C: half the open time for each 10 K',
    ['cp-open-time'],
    'Our cautious figure, no source.',
  ),
  practice('cp-primer-window', 'Primer is good for about 5 min, then prime again'),
  practice('cp-cement-body', 'Cement body by size, inch school'),
  practice('cp-gap-filling', 'Metric school: gap-filling cement after cleaner, no separate primer'),
  practice('cp-primer', 'PVC and CPVC are primed (inch); ABS is never primed; metric school uses cleaner'),
  practice('cp-chamfer-metric', 'Chamfer 2 to 3 mm to d50, 3 to 6 mm to d225, 6 to 8 mm above'),
  practice(
    'cp-puller',
    'Large joints are pulled home by a tool and stay in it until set: inch from 6 in, metric above d110',
  ),
  practice('cp-brush', 'From 4 in (d110) up swab or roller: a brush puts on too little cement'),
  practice(
    'cp-temperature-limits',
    'Cementing 40 to 110 °F with ordinary cement; metric ABS +5 to +40 °C; PVC-U below +5 °C only protected',
  ),
  practice('cp-condensation', 'No condensation on the surfaces: pipe wall above the dew point'),
  practice(
    'cp-right-cement',
    'Cement is made for one plastic; transition cement (ASTM D3138) joins PVC to ABS, non-pressure only',
  ),
  practice('cp-shelf-life', 'Cement keeps 24 months from filling; ordinal date code YYDDD on the tin'),
  practice(
    'ours-check-mark',
    'Check mark may stand 2 mm short to 3 mm over its offset',
    'Our figure, common practice.',
  ),
  practice('cp-pipe-in-pipe', 'Inner pipe is longer by the difference of the socket depths, at each end'),
  practice(
    'cp-joints-per-quart',
    'Joints that a quart of cement makes, by size; of primer a quart makes twice as many',
    'As handbooks print it for planning, from memory. Metric pipe is read at the inch size next above its own.',
  ),
  practice('cp-steps', 'Solvent cementing, step by step, as the trade does it'),
] as const satisfies readonly Source[]
declare module '../../sources/source.js' {
  interface SourceBook {
    'solvent-cement': typeof SOURCES
  }
}
