import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { MM_PER_INCH, inchToMm, psiToBar } from '../units/units.js'
import { type Size, outsideDiameterMm } from './size.js'

/** ASTM D1785: least wall in inches and rating in psi at 73 °F of PVC 1120 pipe, Sch 40 then Sch 80 (from memory). */
const D1785: Readonly<Record<string, readonly [number, number, number, number]>> = {
  '1/2': [0.109, 600, 0.147, 850],
  '3/4': [0.113, 480, 0.154, 690],
  '1': [0.133, 450, 0.179, 630],
  '1-1/4': [0.14, 370, 0.191, 520],
  '1-1/2': [0.145, 330, 0.2, 470],
  '2': [0.154, 280, 0.218, 400],
  '2-1/2': [0.203, 300, 0.276, 420],
  '3': [0.216, 260, 0.3, 370],
  '3-1/2': [0.226, 240, 0.318, 350],
  '4': [0.237, 220, 0.337, 320],
  '5': [0.258, 190, 0.375, 290],
  '6': [0.28, 180, 0.432, 280],
  '8': [0.322, 160, 0.5, 250],
  '10': [0.365, 140, 0.593, 230],
  '12': [0.406, 130, 0.687, 230],
  '14': [0.437, 130, 0.75, 220],
  '16': [0.5, 130, 0.843, 220],
  '18': [0.562, 130, 0.937, 220],
  '20': [0.593, 120, 1.031, 220],
  '24': [0.687, 120, 1.218, 210],
}
const cell = (sizeText: string, schedule: string, k: 0 | 1): number | undefined =>
  D1785[sizeText.replace('NPS ', '')]?.[schedule === '80' ? 2 + k : k]

/** Least wall in mm of inch plastic pipe. @param schedule `40` or `80`. Source: ASTM D1785. */
export function plasticWallMm(sizeText: string, schedule: string): Fig {
  const inch = cell(sizeText, schedule, 0)
  return inch === undefined
    ? noFig(msg('wall-unknown', { size: sizeText }))
    : fig(inchToMm(inch), 'astm-d1785-rating')
}
/** Pressure rating in bar at 23 °C of PVC 1120 pipe with plain ends. Source: ASTM D1785. */
export function ratingAt23Bar(sizeText: string, schedule: string): Fig {
  const psi = cell(sizeText, schedule, 1)
  return psi === undefined
    ? noFig(msg('rating-unknown', { size: sizeText }))
    : fig(psiToBar(psi), 'astm-d1785-rating')
}

/** ASTM D2241 and D2846: diameter over ratio in inches to three places, none thinner than these (from memory). */
const LEAST_INCH = { NPS: 0.06, CTS: 0.068 } as const
/** Least wall in inches of inch plastic pipe by its ratio. @param series as `SDR 21`. Sources: ASTM D2241, D2846. */
export function sdrWallInch(size: Size, series: string): number | null {
  const odMm = outsideDiameterMm(size)
  if (odMm === null || (size.family !== 'NPS' && size.family !== 'CTS')) return null
  const inch = odMm / MM_PER_INCH / Number(series.slice('SDR '.length))
  return Math.max(LEAST_INCH[size.family], Math.round(inch * 1000) / 1000)
}
