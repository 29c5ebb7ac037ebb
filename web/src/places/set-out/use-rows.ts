import {
  type Item,
  type Line,
  doubtfulLength,
  copyBelow,
  moveAfter,
  neighbours,
  nextItemTag,
  retyped,
  takeOut,
} from '@jugalis/core'
import { type Ref, computed, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import { useParts } from '../../stores/parts'
import type { Edits } from './use-edits'
import { word } from '../../words/word'

/** Which rows of a line are chosen: one, or all from one to another; and which is being typed over. */
function useChosen(line: Ref<Line | null>) {
  const currentId = ref<string | null>(null)
  /** The other end of what is chosen, when it is more than one row. */
  const anchorId = ref<string | null>(null)
  const editing = ref<string | null>(null)
  const items = computed<Item[]>(() => line.value?.items ?? [])
  const indexOf = (id: string | null): number => items.value.findIndex((i) => i.id === id)
  const current = computed(() => items.value[indexOf(currentId.value)] ?? null)
  const chosen = computed<Item[]>(() => {
    const [a, b] = [indexOf(currentId.value), indexOf(anchorId.value)]
    if (a < 0) return []
    return b < 0 ? items.value.slice(a, a + 1) : items.value.slice(Math.min(a, b), Math.max(a, b) + 1)
  })
  const chosenIds = computed(() => new Set(chosen.value.map((i) => i.id)))
  function choose(id: string | null, extend = false): void {
    if (extend) anchorId.value ??= currentId.value
    else anchorId.value = null
    currentId.value = id
    if (editing.value !== id) editing.value = null
  }
  function step(by: number, extend = false): void {
    const at = indexOf(currentId.value)
    const next = items.value[at < 0 ? (by > 0 ? 0 : items.value.length - 1) : at + by]
    if (next) choose(next.id, extend)
  }
  /** Opens a row for typing over; null closes it. */
  const typeOver = (id: string | null): void => void (editing.value = id)
  watch(
    () => line.value?.id,
    () => void (currentId.value = anchorId.value = editing.value = null),
  )
  return { items, indexOf, current, currentId, chosen, chosenIds, editing, choose, step, typeOver }
}
type Chosen = ReturnType<typeof useChosen>
const name = (list: readonly Item[]): string =>
  list.length === 1 ? (list[0] as Item).tag : word('set-out-parts', { parts: list.length })

/** What is done with the chosen rows: taken out, copied below, moved. */
function useMoves({ items, indexOf, chosen, chosenIds, choose }: Chosen, edit: Edits['edit']) {
  async function remove(): Promise<void> {
    const gone = chosen.value
    if (!gone.length) return
    const at = indexOf((gone[0] as Item).id)
    const ids = new Set(chosenIds.value)
    if (!(await edit((l, shop) => takeOut(l, ids, shop), word('set-out-taken-out', { name: name(gone) }))))
      return
    choose(items.value[Math.min(at, items.value.length - 1)]?.id ?? null)
  }
  async function copy(): Promise<void> {
    const ids = new Set(chosenIds.value)
    const before = new Set(items.value.map((i) => i.id))
    const done = await edit(
      (l, shop) => copyBelow(l, ids, shop, (type, all) => nextItemTag(l, all, type)),
      word('set-out-copied-below', { name: name(chosen.value) }),
    )
    const fresh = items.value.filter((i) => !before.has(i.id))
    if (done && fresh.length) {
      choose((fresh[0] as Item).id)
      if (fresh.length > 1) choose((fresh.at(-1) as Item).id, true)
    }
  }
  const moveTo = (ids: ReadonlySet<string>, after: string | null, what = ids): Promise<boolean> =>
    edit(
      (l, shop) => moveAfter(l, ids, after, shop),
      word('set-out-moved', { what: name(items.value.filter((i) => what.has(i.id))) }),
    )
  /** One place up or down in its run: the part on that side changes places with what is chosen. */
  async function nudge(by: 1 | -1): Promise<void> {
    const edge = by > 0 ? chosen.value.at(-1) : chosen.value[0]
    const last = chosen.value.at(-1)
    const next = edge && neighbours(items.value).get(edge.id)?.[by > 0 ? 1 : 0]
    if (!next || !last || (next.run ?? null) !== (edge.run ?? null)) return
    const ids = new Set(chosenIds.value)
    await (by > 0 ? moveTo(ids, next.id) : moveTo(new Set([next.id]), last.id, ids))
  }
  return { remove, copy, moveTo, nudge }
}

/** The rows of a line: which are chosen, and what can be done with them. */
export function useRows(line: Ref<Line | null>, { edit, fault }: Edits) {
  const job = useJob()
  const parts = useParts()
  const rows = useChosen(line)
  watch(
    () => line.value?.id,
    () => void (fault.value = ''),
  )
  const refused = (why: string): Promise<boolean> => {
    fault.value = why
    return Promise.resolve(false)
  }
  /** Reads a row as it was typed over. */
  function change(item: Item, typed: string): Promise<boolean> {
    const own = line.value
    if (!own) return Promise.resolve(false)
    const reader = { ...job.reader, units: own.school, parts: parts.known }
    const doubt = doubtfulLength(typed, reader)
    if (doubt) return refused(word('set-out-which-was-meant-or', { own: doubt.own, other: doubt.other }))
    return edit((now, shop) => {
      const own = now.items.find((i) => i.id === item.id)
      return own ? retyped(now, own, typed, shop, reader) : { ok: true, edits: [], items: now.items }
    }, `${item.tag}: ${typed}.`)
  }
  return { ...rows, ...useMoves(rows, edit), change }
}
export type Rows = ReturnType<typeof useRows>
