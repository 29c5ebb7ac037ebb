import { mayBeTakenBack } from '@jugalis/core'
import { shallowRef } from 'vue'
import type { NewEntry } from './drafts'

/** One act of this person: what was written, and, once taken back, the corrections that did so. */
export interface Act {
  ids: string[]
  says: string
  atMs: number
  takenBackBy?: string[]
  /** It is for good: nothing up to it is taken back any more. */
  stands?: true
  /** It was not done: it is no part of this person's work here. */
  refused?: true
}
const REMEMBERED = 200
const corrections = (ids: readonly string[]): NewEntry[] =>
  ids.map((target) => ({ kind: 'correction', data: { target, undo: true } }))

/** What this person did, to take back and do again. Both are entries of their own: nothing is ever unwritten. */
export function useActs(keep: (entries: NewEntry[]) => Promise<string[]>) {
  /** Newest last; what was taken back, newest last. */
  const acts = shallowRef<Act[]>([])
  const takenBack = shallowRef<Act[]>([])
  /** What the strip below speaks of: the newest act, or the newest taken back. */
  const lastAct = shallowRef<Act | null>(null)

  /** @param kinds what was written: a verdict or a signature is told, and stands. */
  function remember(ids: string[], says: string, kinds: readonly string[] = []): void {
    const act = { ids, says, atMs: Date.now() }
    if (!mayBeTakenBack(kinds)) {
      acts.value = []
      takenBack.value = []
      lastAct.value = { ...act, stands: true }
      return
    }
    acts.value = [...acts.value, act].slice(-REMEMBERED)
    takenBack.value = []
    lastAct.value = act
  }
  /** Says that something was not done, and why. */
  const refuse = (says: string): void =>
    void (lastAct.value = { ids: [], says, atMs: Date.now(), stands: true, refused: true })
  /** Takes the newest act back; again, the one before. */
  async function undo(): Promise<void> {
    const act = acts.value.at(-1)
    if (!act) return
    acts.value = acts.value.slice(0, -1)
    const back = { ...act, atMs: Date.now(), takenBackBy: await keep(corrections(act.ids)) }
    takenBack.value = [...takenBack.value, back]
    lastAct.value = back
  }
  /** Does again what was taken back last, while nothing else was done since: the taking back is taken back. */
  async function redo(): Promise<void> {
    const back = takenBack.value.at(-1)
    if (!back?.takenBackBy) return
    takenBack.value = takenBack.value.slice(0, -1)
    await keep(corrections(back.takenBackBy))
    const act = { ids: back.ids, says: back.says, atMs: Date.now() }
    acts.value = [...acts.value, act]
    lastAct.value = act
  }
  function forget(): void {
    acts.value = []
    takenBack.value = []
    lastAct.value = null
  }
  return { acts, takenBack, lastAct, remember, refuse, undo, redo, forget }
}
