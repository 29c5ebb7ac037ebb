import { type Handler, str, strOrNull, texts } from './fold-help.js'
import { asRole } from './roles.js'

export const PEOPLE_HANDLERS: Readonly<Record<string, Handler>> = {
  'role-given': (state, _event, data) => {
    const role = asRole(str(data.role))
    if (role) state.roles.set(str(data.personId), role)
  },
  qualified: (state, event, data) => {
    const id = str(data.qualificationId)
    if (data.withdrawn === true) return void state.qualifications.delete(id)
    state.qualifications.set(id, {
      id,
      personId: str(data.personId),
      methods: texts(data.methods),
      covers: str(data.covers),
      paper: str(data.paper),
      untilOn: strOrNull(data.untilOn),
      by: event.actorId,
      atS: event.occurredAtS,
    })
  },
}
