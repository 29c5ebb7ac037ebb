import type { CrewMember } from './state-plan.js'
import { type Data, type Handler, num, str, texts } from './fold-help.js'

const objects = (value: unknown): Data[] =>
  Array.isArray(value) ? value.filter((one): one is Data => typeof one === 'object' && one !== null) : []

function memberOf(data: Data): CrewMember {
  const [breakFromMin, breakUntilMin] = [num(data.breakFromMin), num(data.breakUntilMin)]
  return {
    id: str(data.id),
    name: str(data.name),
    days: Array.isArray(data.days) ? data.days.filter((day): day is number => typeof day === 'number') : [],
    fromMin: num(data.fromMin) ?? 0,
    untilMin: num(data.untilMin) ?? 0,
    ...(breakFromMin === null ? {} : { breakFromMin }),
    ...(breakUntilMin === null ? {} : { breakUntilMin }),
    ...(Array.isArray(data.makes) ? { makes: texts(data.makes) } : {}),
  }
}

export const PLAN_HANDLERS: Readonly<Record<string, Handler>> = {
  'crew-set': (state, _event, data) => {
    const walkMin = num(data.walkMin)
    state.plan = {
      ...state.plan,
      crew: objects(data.people).map(memberOf),
      ...(walkMin === null ? {} : { walkMin }),
    }
  },
  'work-time': (state, _event, data) => {
    const works = new Map(state.plan.works)
    const minutes = num(data.minutes)
    if (minutes === null) works.delete(str(data.method))
    else works.set(str(data.method), minutes)
    state.plan = { ...state.plan, works }
  },
  'joint-fixed': (state, event, data) => {
    const fixed = new Map(state.plan.fixed)
    const crew = texts(data.crew)
    // A plan speaks of times on everybody's clocks, not of what the device's clock showed.
    const startS = num(data.startS)
    if (!crew.length && startS === null) fixed.delete(str(event.jointId))
    else fixed.set(str(event.jointId), { crew, startS })
    state.plan = { ...state.plan, fixed }
  },
  'shutdown-set': (state, _event, data) => {
    const shutdowns = new Map(state.plan.shutdowns)
    const [shut] = objects([data.shut])
    if (shut)
      shutdowns.set(str(data.sectionId), {
        fromS: num(shut.fromS) ?? 0,
        untilS: num(shut.untilS) ?? 0,
        beforeMin: num(shut.beforeMin) ?? 0,
        afterMin: num(shut.afterMin) ?? 0,
      })
    else shutdowns.delete(str(data.sectionId))
    state.plan = { ...state.plan, shutdowns }
  },
  'plan-pinned': (state, event, data) => {
    const joints = objects(data.joints).map((one) => ({
      jointId: str(one.jointId),

      startS: num(one.startS) ?? 0,
      endS: num(one.endS) ?? 0,
      crew: texts(one.crew),
    }))
    const pinned = {
      aim: data.aim === 'last' ? ('last' as const) : ('each' as const),
      joints,
      valueS: num(data.valueS) ?? 0,
      boundS: num(data.boundS) ?? 0,
      by: event.actorId,
      atS: event.occurredAtS,
    }
    state.plan = { ...state.plan, pinned: joints.length ? pinned : null }
  },
}
