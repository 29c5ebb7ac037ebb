import type { Item, Line, ReadLine, RowFault, ScheduleAsk } from '@jugalis/core'
import { onBeforeUnmount, ref, shallowRef } from 'vue'
import type { FoundTable, TableAsk, TableReply } from '../../workers/table-reply'
import { word } from '../../words/word'

/** A file of rows on its way into lines: opened and read in a worker that can be stopped. */
export function useImport() {
  const found = shallowRef<FoundTable | null>(null)
  const read = shallowRef<{ lines: ReadLine[]; rows: number } | null>(null)
  const faults = shallowRef<RowFault[]>([])
  const failed = ref('')
  const running = ref<{ says: string; share: number } | null>(null)
  let worker: Worker | null = null

  function ask(what: TableAsk, transfer: Transferable[] = []): void {
    failed.value = ''
    faults.value = []
    read.value = null
    running.value = { says: word('set-out-starting'), share: 0 }
    worker ??= new Worker(new URL('../../workers/table.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = (event: MessageEvent<TableReply>) => {
      if ('progress' in event.data) {
        const { says, share } = event.data.progress
        return void (running.value = { says: word(says.code, says.values), share })
      }
      running.value = null
      if ('found' in event.data) found.value = event.data.found
      else if ('lines' in event.data) read.value = event.data
      else if ('faults' in event.data) faults.value = event.data.faults
      else if ('failed' in event.data) failed.value = word(event.data.failed.code, event.data.failed.values)
    }
    worker.onerror = () => {
      failed.value = word('set-out-the-file-could-not')
      running.value = null
    }
    worker.postMessage(what, transfer)
  }
  async function open(file: File): Promise<void> {
    // Nothing of the file before stays on the screen while this one is read.
    found.value = null
    read.value = null
    faults.value = []
    failed.value = ''
    const bytes = await file.arrayBuffer()
    ask({ open: { name: file.name, bytes } }, [bytes])
  }
  const turnTo = (sheet: string): void => ask({ sheet })
  const check = (how: ScheduleAsk, like: Line): void =>
    ask({ read: { ask: how, like: JSON.parse(JSON.stringify(like)) as Line } })
  /** Ends the worker in the middle of its work, and the file goes with it: it is chosen anew. Nothing was taken. */
  function stop(): void {
    worker?.terminate()
    worker = null
    found.value = null
    running.value = null
  }
  onBeforeUnmount(stop)
  return { found, read, faults, failed, running, open, turnTo, check, stop }
}

/** First parts of what was read, for looking at before it is taken. */
export const previewOf = (lines: readonly ReadLine[], most = 12): { tag: string | null; item: Item }[] =>
  lines.flatMap((l) => l.items.slice(0, most).map((item) => ({ tag: l.tag, item }))).slice(0, most)
