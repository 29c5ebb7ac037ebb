import { computed, practice, published } from './records.js'
import type { Source } from './records.js'

/** Sources of pressure tests: rules, ratings, energy, and how a test is judged. */
export const TESTING_SOURCES = [
  published(
    'b31-3-hydro',
    'ASME B31.3, 345.4: hydrostatic test at 1.5 x design x stress ratio; held at least 10 min (345.2)',
    'recent',
  ),
  published(
    'b31-3-pneumatic',
    'ASME B31.3, 345.5: pneumatic test at 1.1 x design, first look at the lower of half of it or 25 psi, stepped, held 10 min, lowered to design for the look-over; relief at most test plus the lower of 50 psi or 10 %',
    'recent',
  ),
  published('b31-9-hydro', 'ASME B31.9, 937.3: hydrostatic test at 1.5 x design, at least 10 min', 'recent'),
  published('ipc-312-5', 'IPC 312.5: water supply at working pressure, or 50 psi air, 15 min', '2021'),
  published('ipc-312-2', 'IPC 312.2 and 312.3: drainage by 10 ft of water, or 5 psi air, 15 min', '2021'),
  published(
    'en-806-4',
    'EN 806-4, 6.1: 1.1 x design; procedures A (10 min, no fall), B (30 min pumped, lowered to half, 30 min) and C (30 min, then at most 0.6 bar in 30 min and 0.2 bar in 2 h)',
    '2010',
  ),
  published(
    'nfpa-13-wet',
    'NFPA 13, hydrostatic test: 200 psi, or 50 psi above working where that is more than 150 psi; 2 h without loss; read at the low point',
    'recent',
  ),
  published(
    'nfpa-13-dry',
    'NFPA 13, air test of dry systems: 40 psi, 24 h, at most 1.5 psi lost',
    'recent',
    'From memory. Some common practice says 36 psi and 2 psi: the published figure is used.',
  ),
  published(
    'dvs-2210-1-2',
    'DVS 2210-1, supplement 2: industrial plastic pressure pipe, about 1.5 x operating, not above PN + 5 bar, in stages',
    'recent',
    'From memory and not sure: the stages and their times are to be checked before you rely on them.',
  ),
  practice(
    'cp-after-test',
    'What follows a test: water out of carbon steel, process plastic kept full, drinking water filled shortly before use',
  ),
  practice('cp-gauge-range', 'Gauge range 1.5 to 4 times the test pressure'),
  published('asme-pcc-2', 'ASME PCC-2, part 5: stored energy of gas tests, TNT and distance', 'recent'),
  published(
    'astm-d1785-derate',
    'Service factors of PVC by temperature, as handbooks print them with ASTM D1785',
    'recent',
  ),
  published(
    'astm-f441-derate',
    'Service factors of CPVC by temperature, as handbooks print them with ASTM F441',
    'recent',
  ),
  published('iso-1452-2', 'ISO 1452-2: PVC-U nominal pressure, and its factor by temperature', '2009'),
  published(
    'iso-15493-pn',
    'ISO 15493, 15874: PN of ABS, PVC-C and PP-R pipe at 20 °C; by ratio as ISO 161-1, ABS with 8 MPa',
    'recent',
  ),
  published(
    'iso-15874-2',
    'ISO 15874-2, PP-R: reference curves of lasting strength; coefficient 1.5, 50 years, above 70 °C 25',
    '2013',
  ),
  published(
    'astm-d2241',
    'ASTM D2241, PVC pipe by ratio: walls; SDR 21 200 psi, SDR 26 160 psi at 73 °F',
    'recent',
  ),
  published(
    'astm-d1527',
    'ASTM D1527, ABS pipe Sch 40 and 80: rating by 2 S t / (D - t) with 1000 psi (ABS 1210)',
    'recent',
    'From memory, and not sure which compound: the pipe\u2019s print line goes first.',
  ),
  practice(
    'cp-abs-derate',
    'Share of its rating that ABS pipe keeps: 0.8 to 30, 0.6 to 40, 0.4 to 50, 0.2 to 60 °C',
    'Common practice, no published source, and not sure: the maker\u2019s curve goes first.',
  ),
  published(
    'asme-b31-copper',
    'ASME B31, annealed copper tube: 2 S t / (D - 0.8 t), 6000 psi to 100 °F, wall 10 % under its name',
    'recent',
  ),
  published(
    'half-when-threaded',
    'Threaded Sch 80 plastic pipe: half the rating; no threads on Sch 40 (ASTM D1785)',
    'recent',
  ),
  computed('hydrostatic', 'Standard gravity times density times height', []),
  published('kell-1975', 'Kell, density and isothermal compressibility of water, 0 to 100 °C', '1975'),
  practice(
    'cp-pipe-stretch',
    'Moduli, Poisson numbers, creep and heat conducted of pipe materials',
    'Common practice, no published source: usual handbook figures. The maker\u2019s figure wins.',
  ),
  practice('cp-heat-passed', 'Heat passed to still air 10, from still water 150 W/(m² K)'),
  practice('cp-fill-rate', 'Fill at no more than 0.3 m/s, vents open at the high points'),
  computed('gas-law', 'Ideal gas at constant volume', []),
  computed(
    'ours-trapped-water',
    'Balance of trapped water, its air and its pipe',
    ['kell-1975', 'cp-pipe-stretch', 'cp-expansion'],
    'Ours: docs/verdict.md.',
  ),
  computed(
    'ours-verdict',
    'Straight line through what temperature does not explain, with all doubt in it',
    ['ours-trapped-water', 'gas-law'],
    'Ours: docs/verdict.md.',
  ),
] as const satisfies readonly Source[]
