import { word } from '../words/word'
import type { TableAsk, TableReply } from './table-reply'

/** What a file of rows holds, as CSV, and what a person should look at; or why it cannot be read. */
export type FileRows = { csv: string; notes: string[] } | { failed: string }

/** Reads CSV or the first sheet of a workbook off the main thread. */
export async function rowsOfFile(file: File): Promise<FileRows> {
  const bytes = await file.arrayBuffer()
  const worker = new Worker(new URL('./table.worker.ts', import.meta.url), { type: 'module' })
  try {
    return await new Promise<FileRows>((done) => {
      worker.onmessage = ({ data }: MessageEvent<TableReply>) => {
        if ('csv' in data)
          done({ csv: data.csv, notes: data.notes.map(({ code, values }) => word(code, values)) })
        else if ('failed' in data) done({ failed: word(data.failed.code, data.failed.values) })
      }
      worker.onerror = () => done({ failed: word('files-not-a-table') })
      const ask: TableAsk = { rows: { bytes } }
      worker.postMessage(ask, [bytes])
    })
  } finally {
    worker.terminate()
  }
}
