import { greatest } from '../../units/extent.js'
import { type Fig, fig, msg, noFig } from '../../sources/source.js'
import { paceOf } from '../cure/pace.js'
import type { Clock, Ctx, Done, Life } from '../method.js'
import { cureRule } from './rule.js'
import { PRIMER_WINDOW_S, holdS, openTimeS, usesPrimer } from './setup.js'
import type { SolventSpec } from './spec.js'

/** Let go before the hold was over: what the interruption is called in the record. */
export const LET_GO = 'let-go-early'

const of = (life: Life, step: string): Done[] => life.done.filter((d) => d.step === step)

/** When the joint is home, at the latest possible moment; null before. */
export function homeAtS(life: Life): number | null {
  const home = of(life, 'home')
  return home.length ? greatest(home.map((d) => d.latestS)) : null
}

/** Clocks, ladder and inspection of one joint ask for the same, one after the other: the last answer is kept. */
function once<T>(find: (spec: SolventSpec, life: Life, ctx: Ctx) => T): typeof find {
  let last: { spec: SolventSpec; life: Life; ctx: Ctx; answer: T } | null = null
  return (spec, life, ctx) => {
    if (last?.life !== life || last.ctx !== ctx || last.spec !== spec)
      last = { spec, life, ctx, answer: find(spec, life, ctx) }
    return last.answer
  }
}

/** When the joint may be moved with care: the end of its set time along the wall's temperatures. */
export const setAtS = once((spec, life, ctx): Fig => {
  const home = homeAtS(life)
  if (home === null) return noFig(msg('not-home'))
  const found = cureRule(spec, ctx.pin.table)
  if (!found.ok) return noFig(found.why)
  const { rule } = found
  const finish = paceOf(ctx.wall, `${rule.id}#set`, rule.setS, ctx.mode).finish(home)
  return finish ? fig(finish.atS, rule.setSource) : noFig(msg('no-set-time', { size: spec.size }))
})

/** Primer dries: the window for the coat after it. */
function primerClock(life: Life): Clock | null {
  const primed = of(life, 'prime').at(-1)
  if (!primed) return null
  const next = of(life, 'cement').find((d) => life.done.indexOf(d) > life.done.indexOf(primed))
  const stoppedAtS = next?.latestS ?? homeAtS(life)
  return {
    id: 'primer',
    step: 'prime',
    kind: 'window',
    label: msg('clock-primer'),
    shows: 'window',
    fromS: primed.earliestS,
    untilS: fig(primed.earliestS + PRIMER_WINDOW_S, 'cp-primer-window'),
    ...(stoppedAtS === null ? {} : { stoppedAtS }),
    onMiss: { backTo: 'prime', say: msg('primer-dried') },
    why: [],
  }
}
/** Cement closes: the window in which the pipe goes home. */
function openClock(spec: SolventSpec, life: Life, { airC, wallC }: Temperatures): Clock | null {
  const coat = lastCoat(of(life, 'cement'))
  if (!coat) return null
  const open = airC === null || wallC === null ? noFig(msg('no-temperature')) : openTimeS(spec, airC, wallC)
  // By the order of entries, not by their times: a corrected time may lie before the coat it followed.
  const closing = of(life, 'home')
    .filter((d) => life.done.indexOf(d) > life.done.indexOf(coat))
    .map((d) => d.latestS)
  return {
    id: 'open',
    step: 'cement',
    kind: 'window',
    label: msg('clock-open'),
    shows: 'window',
    fromS: coat.earliestS,
    untilS: open.value === null ? open : fig(coat.earliestS + open.value, open.source),
    ...(closing.length ? { stoppedAtS: greatest(closing) } : {}),
    onMiss: { backTo: 'cut-out', say: msg('cement-closed') },
    why:
      open.value === null
        ? []
        : [msg('open-by-temperature', { temperatureC: Math.max(airC ?? 0, wallC ?? 0) })],
  }
}
/** How long the pipe is held in its socket: it pushes itself out while the cement is soft. */
function holdClock(spec: SolventSpec, life: Life, homeS: number, { airC, wallC }: Temperatures): Clock {
  const letGoS = life.interrupted.find((i) => i.kind === LET_GO && i.atS >= homeS)?.atS ?? Infinity
  const hold = airC === null || wallC === null ? holdS(spec, 0, 0) : holdS(spec, airC, wallC)
  return {
    id: 'hold',
    step: 'home',
    kind: 'dwell',
    label: msg('clock-hold'),
    shows: 'hold',
    fromS: homeS,
    untilS: hold.value === null ? hold : fig(Math.min(homeS + hold.value, letGoS), hold.source),
    onMiss: { backTo: 'cut-out', say: msg('let-go-early') },
    why: [],
  }
}
const setClock = (fromS: number, untilS: Fig): Clock => ({
  id: 'set',
  step: 'home',
  kind: 'dwell',
  label: msg('clock-set'),
  shows: 'set',
  fromS,
  untilS,
  onMiss: { backTo: 'cut-out', say: msg('moved-before-set') },
  why: [],
})
/** Of the air, and of the pipe's wall; null = not read. */
interface Temperatures {
  airC: number | null
  wallC: number | null
}

/** The running and finished clocks of one life. Windows run from the earliest possible moment, dwells from the latest. */
export const clocks = once((spec, life, ctx): Clock[] => {
  const now = { airC: ctx.airC, wallC: ctx.wallC ?? ctx.airC }
  const homeS = homeAtS(life)
  return [
    usesPrimer(spec) ? primerClock(life) : null,
    openClock(spec, life, now),
    homeS === null ? null : holdClock(spec, life, homeS, now),
    homeS === null ? null : setClock(homeS, setAtS(spec, life, ctx)),
  ].filter((c) => c !== null)
})

/** A re-coat while the first coat was soft starts the window again; a doubled entry does not. */
function lastCoat(cement: readonly Done[]): Done | undefined {
  const again = cement.filter((d) => d.readings.again === true)
  return (
    again.at(-1) ??
    cement.reduce<Done | undefined>((a, b) => (!a || b.earliestS < a.earliestS ? b : a), undefined)
  )
}
