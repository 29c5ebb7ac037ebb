import { type Handler, instant, num, str, strOrNull } from './fold-help.js'
import { DEVICE_KINDS } from './kinds-upkeep.js'
import type { JobState } from './state.js'
import { type Upkeep, blankUpkeep } from './state-upkeep.js'

/** The upkeep of a section, made where nothing of it was said yet. */
function upkeepOf(state: JobState, sectionId: string): Upkeep {
  const known = state.upkeep.get(sectionId)
  if (known) return known
  const upkeep = blankUpkeep()
  state.upkeep.set(sectionId, upkeep)
  return upkeep
}

export const UPKEEP_HANDLERS: Readonly<Record<string, Handler>> = {
  'in-use': (state, _e, data) => {
    upkeepOf(state, str(data.sectionId)).inUseOn = strOrNull(data.fromOn)
  },
  'device-set': (state, _e, data) => {
    const upkeep = upkeepOf(state, str(data.sectionId))
    const id = str(data.deviceId)
    const kind = DEVICE_KINDS.find((one) => one === data.kind) ?? 'other device'
    const device = { id, kind, name: str(data.name) }
    const at = upkeep.devices.findIndex((one) => one.id === id)
    if (data.gone === true) upkeep.devices = upkeep.devices.filter((one) => one.id !== id)
    else if (at >= 0) upkeep.devices[at] = device
    else upkeep.devices.push(device)
  },
  'care-interval': (state, event, data) => {
    const { intervals } = upkeepOf(state, str(data.sectionId))
    const [months, openings] = [num(data.months), num(data.openings)]
    if (months === null && openings === null) intervals.delete(str(data.care))
    else
      intervals.set(str(data.care), {
        months,
        openings,
        reference: str(data.reference),
        by: event.actorId,
        atS: event.occurredAtS,
      })
  },
  'care-done': (state, event, data) => {
    const { done } = upkeepOf(state, str(data.sectionId))
    done.push({
      eventId: event.id,
      care: str(data.care),
      ofId: str(data.ofId),
      atS: instant(event, data.atS) ?? event.occurredAtS,
      by: event.actorId,
      good: data.good === true,
      foundNm: num(data.foundNm),
      leftNm: num(data.leftNm),
      renewed: data.renewed === true,
      lotId: strOrNull(data.lotId),
      says: str(data.says),
    })
    // Written down later than it was done: order is by when it was done, what is alike stays as it came.
    const [before, last] = done.slice(-2)
    if (before && last && before.atS > last.atS) done.sort((one, other) => one.atS - other.atS)
  },
}
