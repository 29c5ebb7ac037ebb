import {
  type Cursor,
  END,
  type EntryReader,
  type Line,
  type Reader,
  completions,
  doubtfulLength,
  entryText,
  placeTexts,
  sizesHere,
  standing,
} from '@jugalis/core'
import { type Ref, computed, onMounted, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import { useParts } from '../../stores/parts'
import type { Edits } from './use-edits'
import { word } from '../../words/word'

const REMEMBERED = 30

/** What was typed before, to be called back. */
function useRecall(text: Ref<string>) {
  const recall = ref<string[]>([])
  const recalled = ref(-1)
  return {
    remember(typed: string): void {
      recalled.value = -1
      recall.value = [typed, ...recall.value.filter((r) => r !== typed)].slice(0, REMEMBERED)
    },
    recallStep(by: 1 | -1): void {
      const next = Math.max(-1, Math.min(recall.value.length - 1, recalled.value + by))
      recalled.value = next
      text.value = next < 0 ? '' : (recall.value[next] ?? '')
    },
  }
}

/** What the text may become: fittings lately typed, groups of this job, words that begin alike. */
function useOffers(line: Ref<Line | null>, text: Ref<string>, readerOf: (line: Line) => Reader) {
  const job = useJob()
  const parts = useParts()
  const groups = computed(() => [...job.state.groups.values()])
  /** Fittings of this line as last typed, newest first. */
  const lately = computed(() => {
    const own = line.value
    if (!own) return []
    const fittings = own.items
      .slice(-60)
      .reverse()
      .filter((i) => i.type === 'fitting')
    // As they would be typed here, where what is usual is what it is at the end of the line.
    const way = standing(own, END)?.way
    const said = fittings.map(({ meets: _place, falls: _falls, held: _held, ...i }) =>
      entryText(i, readerOf(own), { way: i.way && way, offered: sizesHere(own, i.way) }),
    )
    return [...new Set(said)].slice(0, 6)
  })
  const offers = computed(() =>
    completions(
      text.value,
      lately.value,
      groups.value.map((g) => g.name),
      line.value?.school,
      parts.known.map(({ name }) => name),
    ),
  )
  function complete(): boolean {
    const first = offers.value[0]
    if (!first || !text.value.trim()) return false
    text.value = first
    return true
  }
  return { groups, lately, offers, complete }
}

/** Where the next entry goes: at the end, after a part, into a branch. */
function useCursor(line: Ref<Line | null>) {
  const cursor = ref<Cursor>(END)
  watch(
    () => line.value?.id,
    () => void (cursor.value = END),
  )
  const where = computed(() => {
    const own = line.value
    const at = own && standing(own, cursor.value)
    if (!own || !at || cursor.value.after === null) return ''
    return cursor.value.branch
      ? word('set-out-into-the-branch-of', { tag: at.tag })
      : word('set-out-after', { tag: at.tag })
  })
  return { cursor, where, toEnd: () => void (cursor.value = END) }
}

/** The entry line: what is typed, where it goes, what it may become, what was typed before. */
export function useEntry(
  line: Ref<Line | null>,
  { edit, fault, pending }: Edits,
  placed: (id: string) => void,
) {
  const job = useJob()
  const parts = useParts()
  onMounted(() => void parts.load())
  /** Sizes by the line's school, lengths as this person reads them. */
  const readerOf = (l: Line): EntryReader => ({ ...job.reader, units: l.school, parts: parts.known })
  const text = ref('')
  const { cursor, where, toEnd } = useCursor(line)
  const { remember, recallStep } = useRecall(text)
  const offered = useOffers(line, text, readerOf)

  /** Which of two units was meant, where a bare length looks like the other system's. */
  const doubt = ref<ReturnType<typeof doubtfulLength>>(null)
  watch(text, () => void (doubt.value = null))
  function meant(said: string): void {
    text.value = said
    doubt.value = null
    enter()
  }
  function enter(): void {
    const typed = text.value.trim()
    if (!typed) return
    doubt.value = line.value && doubtfulLength(typed, readerOf(line.value))
    if (doubt.value) return
    // The field is free at once: a quick typist is already at the next entry while this one is kept.
    text.value = ''
    remember(typed)
    const group = /^use (.+)$/i.exec(typed)?.[1]?.trim()
    const texts = group
      ? offered.groups.value.find((g) => g.name.toLowerCase() === group.toLowerCase())?.entries
      : [typed]
    if (texts) void put(typed, texts, group !== undefined)
    else {
      fault.value = word('set-out-there-is-no-group', { group })
      text.value ||= typed
    }
  }
  function put(typed: string, texts: readonly string[], isGroup: boolean): Promise<boolean> {
    let next: Cursor = cursor.value
    return edit(
      (line, shop) => {
        const reader = isGroup ? { units: line.school, parts: parts.known } : readerOf(line)
        const done = placeTexts(line, texts, cursor.value, shop, reader)
        if (done.ok) next = done.cursor
        return done
      },
      word('set-out-set-out-2', { typed }),
      (done) => (done ? goOn(next) : (text.value ||= typed)),
    )
  }
  /** Where the entry after this one goes. */
  function goOn(next: Cursor): void {
    const end = line.value && standing(line.value, END)?.id
    // At the end of the main run it stays there, whatever is taken out in the meantime.
    cursor.value = next.after !== null && !next.branch && end === next.after ? END : next
    const at = next.after ?? end
    if (at) placed(at)
  }
  return { text, cursor, where, toEnd, ...offered, recallStep, enter, doubt, meant, pending }
}
export type EntryLineState = ReturnType<typeof useEntry>
