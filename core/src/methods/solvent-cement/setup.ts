import { plasticOf } from '../joinable.js'
import { dewPointC } from '../../conditions/dew-point.js'
import {
  type Fig,
  type Finding,
  type Level,
  fig,
  finding,
  msg,
  noFig,
  type SourceId,
} from '../../sources/source.js'
import { EDGE_C, fToC } from '../../units/units.js'
import { odMm, sizeOf, type SolventSpec } from './spec.js'
import type { Code } from '../../sources/wording.js'

type Joint = Pick<SolventSpec, 'material' | 'size' | 'school'>

/** Cement body by size. Inch school by nominal size and service; metric school: gap-filling. Common practice. */
export function cementBody(joint: Joint, pressureService: boolean): { value: string; source: SourceId } {
  if (joint.school === 'metric') return { value: 'gap-filling', source: 'cp-gap-filling' }
  const inch = sizeOf(joint).nominal
  const [regularTo, heavyTo] = pressureService ? [2, 12] : [4, 18]
  const bodies = [
    [regularTo, 'regular'],
    [6, 'medium'],
    [heavyTo, 'heavy'],
  ] as const
  const value = bodies.find(([to]) => inch <= to)?.[1] ?? 'extra-heavy'
  return { value, source: 'cp-cement-body' }
}

/** Is primer part of this joint? Inch PVC and CPVC, unless a one-step CPVC cement is used. ABS never. */
export const usesPrimer = (joint: Joint, cement?: string | null): boolean =>
  joint.school === 'inch' && joint.material !== 'abs' && !(cement === 'one-step' && joint.material === 'cpvc')

/** Narrowest applicator in mm: half the outside diameter. Source: `astm-d2855-tools`. */
export const applicatorMinMm = (joint: Joint): Fig => fig(odMm(joint) / 2, 'astm-d2855-tools')

/** People who coat at the same time. */
export function crew(joint: Joint): Fig {
  const size = sizeOf(joint)
  const two =
    joint.school === 'inch' ? size.nominal >= 6 : size.nominal > (joint.material === 'abs' ? 75 : 90)
  return fig(two ? 2 : 1, 'cp-crew')
}

/** From 6 in, and above d110, a joint is pulled home by a tool and stays in it until it is set. */
export function usesPuller(joint: Joint): boolean {
  const { nominal } = sizeOf(joint)
  return joint.school === 'inch' ? nominal >= 6 : nominal > 110
}
/** From 4 in up a brush is warned against: it starves the joint. d110 is the metric pipe of that size. */
export function brushStarves(joint: Joint): boolean {
  const { nominal } = sizeOf(joint)
  return joint.school === 'inch' ? nominal >= 4 : nominal >= 110
}

export interface Chamfer {
  minMm: number | null
  maxMm: number | null
  minDeg: number | null
  maxDeg: number | null
  source: SourceId
}
/**
 * Least and most of the chamfer on the pipe's end, mm, and its angle. Source: `astm-d2855-tools` (inch),
 * `cp-chamfer-metric` (metric).
 */
export function chamfer(joint: Joint): Chamfer {
  if (joint.school === 'inch') {
    const mm = (3 / 32) * 25.4
    return { minMm: mm, maxMm: mm, minDeg: 10, maxDeg: 15, source: 'astm-d2855-tools' }
  }
  const nominal = sizeOf(joint).nominal
  const [minMm, maxMm] = nominal <= 50 ? [2, 3] : nominal <= 225 ? [3, 6] : [6, 8]
  return { minMm, maxMm, minDeg: null, maxDeg: null, source: 'cp-chamfer-metric' }
}

/**
 * Seconds the cement stays open, metric school, by the hotter of air and pipe. Never longer when colder; above 20 °C
 * half for each 10 K (ours). Inch school has no figure: assemble while wet.
 */
export function openTimeS(joint: Joint, airC: number, pipeC: number): Fig {
  if (joint.school === 'inch') return noFig(msg('assemble-while-wet'))
  const base = joint.material === 'abs' ? 60 : joint.material === 'pvc-u' ? 240 : null
  if (base === null) return noFig(msg('no-open-time', { material: joint.material }))
  const hot = Math.max(airC, pipeC)
  return hot <= 20 ? fig(base, 'cp-open-time') : fig(base * 0.5 ** ((hot - 20) / 10), 'ours-open-time-hot')
}

export const PRIMER_WINDOW_S = 300
/** How long primer stays wet, s; no figure for a cement that takes none. */
export const primerWindowS = (joint: Joint, cement?: string | null): Fig =>
  usesPrimer(joint, cement) ? fig(PRIMER_WINDOW_S, 'cp-primer-window') : noFig(msg('no-primer-used'))

/** Seconds to hold after push-home; cold is 10 °C or less, by the colder of air and pipe. */
export function holdS(joint: Joint, airC: number, pipeC: number): Fig {
  const nominal = sizeOf(joint).nominal
  if (joint.school === 'metric') return fig(nominal <= 63 ? 30 : nominal <= 110 ? 60 : 180, 'cp-hold')
  const cold = Math.min(airC, pipeC) <= 10 + EDGE_C
  return fig(nominal >= 8 ? 180 : nominal >= 4 || cold ? 60 : 30, 'cp-hold')
}

export interface Conditions {
  airC: number
  pipeC: number
  relativeHumidityPct: number
}
export interface Tin {
  cement?: string | null
  tinExpired?: boolean | null
  cementRatedMinC?: number | null
}

/** What speaks against cementing here and now. A finding of level `stop` means: not like this. */
export function setupFindings(joint: Joint, pressureService: boolean, now: Conditions, tin: Tin): Finding[] {
  const out: Finding[] = []
  const say = (
    level: Level,
    code: Code,
    source: SourceId,
    params: Record<string, string | number> = {},
  ): void => {
    out.push(finding(level, code, source, params))
  }
  const dewC = dewPointC(now.airC, now.relativeHumidityPct)
  if (now.pipeC <= dewC + EDGE_C)
    say('stop', 'condensation', 'cp-condensation', {
      pipeC: now.pipeC,
      dewC,
      side: now.pipeC < dewC ? 'below' : 'at',
    })
  temperatureFindings(joint, now, tin, say)
  cementFindings(joint, pressureService, tin, say)
  if (tin.tinExpired) say('stop', 'tin-expired', 'cp-shelf-life')
  return out
}

type Say = (level: Level, code: Code, source: SourceId, params?: Record<string, string | number>) => void
function temperatureFindings(joint: Joint, now: Conditions, tin: Tin, say: Say): void {
  const coldest = Math.min(now.airC, now.pipeC)
  const hottest = Math.max(now.airC, now.pipeC)
  const source = 'cp-temperature-limits'
  if (joint.school === 'inch') {
    const limitC = Math.min(fToC(40), tin.cementRatedMinC ?? fToC(40))
    if (coldest < limitC - EDGE_C) say('stop', 'too-cold', source, { temperatureC: coldest, limitC })
    if (hottest > fToC(110) + EDGE_C)
      say('stop', 'too-hot', source, { temperatureC: hottest, limitC: fToC(110) })
  } else if (joint.material === 'abs') {
    if (coldest < 5 - EDGE_C) say('stop', 'too-cold', source, { temperatureC: coldest, limitC: 5 })
    if (hottest > 40 + EDGE_C) say('stop', 'too-hot', source, { temperatureC: hottest, limitC: 40 })
  } else if (joint.material === 'pvc-u') {
    if (coldest < 5 - EDGE_C)
      say('warn', 'cold-needs-provision', source, { temperatureC: coldest, limitC: 5 })
  } else say('note', 'no-temperature-limit', source, { material: joint.material })
}

function cementFindings(joint: Joint, pressureService: boolean, tin: Tin, say: Say): void {
  const cement = tin.cement
  if (!cement) return
  const source = 'cp-right-cement'
  if (cement === 'transition') {
    if (joint.material === 'cpvc') say('stop', 'wrong-cement', source, { cement, material: joint.material })
    else if (pressureService) say('stop', 'transition-under-pressure', source)
    else say('warn', 'transition-one-joint', source)
  } else if (cement === 'one-step') {
    if (joint.material === 'cpvc') say('warn', 'one-step-if-code-permits', source)
    else say('stop', 'wrong-cement', source, { cement, material: joint.material })
  } else if (plasticOf(cement) !== plasticOf(joint.material))
    say('stop', 'wrong-cement', source, { cement, material: joint.material })
}
