import { choices } from './choices.js'
import type { OrderModel, Task } from './model.js'
import { Room, type Spot } from './room.js'

const MOST_TRIES = 2000

/** Puts what is fixed in its place, all of it together; or says of which joint it cannot be. */
export function placeFixed(
  model: OrderModel,
): { room: Room; spots: Map<number, Spot> } | { stuck: Task; proved: boolean } {
  const fixed = model.tasks
    .filter((task) => task.fixedS !== null)
    .sort(
      (one, other) => (one.fixedS as number) - (other.fixedS as number) || one.who.length - other.who.length,
    )
  let tries = 0
  let deepest = 0
  const place = (
    at: number,
    room: Room,
    spots: Map<number, Spot>,
  ): { room: Room; spots: Map<number, Spot> } | null => {
    const task = fixed[at]
    if (!task) return { room, spots }
    deepest = Math.max(deepest, at)
    const spot = room.spot(task, -Infinity, Infinity)
    if (!spot) return null
    for (const people of choices(spot.people, task.hands)) {
      if (tries++ > MOST_TRIES) return null
      const next = room.copy()
      next.take(task, spot.startS, people)
      const found = place(at + 1, next, new Map([...spots, [task.index, { startS: spot.startS, people }]]))
      if (found) return found
    }
    return null
  }
  return (
    place(0, new Room(model), new Map()) ?? { stuck: fixed[deepest] as Task, proved: tries <= MOST_TRIES }
  )
}
