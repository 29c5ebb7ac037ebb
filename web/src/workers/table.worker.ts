import { readSchedule } from '@jugalis/core'
import { type Cells, NotATable, csvOf, readTable } from './read-table'
import type { TableAsk, TableReply } from './table-reply'

/** Opens a file of rows and reads it as a schedule, off the main thread; it is ended from outside to stop it. */
const HEAD_ROWS = 30
const reply = (r: TableReply): void => self.postMessage(r)
let table: Cells = []
/** The file as it was opened: another of its sheets may be asked for. */
let file = new Uint8Array()
self.onmessage = async (event: MessageEvent<TableAsk>) => {
  try {
    if ('open' in event.data || 'sheet' in event.data) {
      reply({ progress: { says: { code: 'files-opening' }, share: 0 } })
      if ('open' in event.data) file = new Uint8Array(event.data.open.bytes)
      const { rows, ...more } = await readTable(file, 'sheet' in event.data ? event.data.sheet : null)
      table = rows
      const widest = rows.reduce((n, r) => Math.max(n, r.length), 0)
      reply({ found: { rows: rows.length, head: rows.slice(0, HEAD_ROWS), widest, ...more } })
      return
    }
    if ('rows' in event.data) {
      const { rows, notes } = await readTable(new Uint8Array(event.data.rows.bytes))
      return reply({ csv: csvOf(rows), notes })
    }
    const { ask, like } = event.data.read
    const read = readSchedule(
      table,
      ask,
      like,
      () => crypto.randomUUID(),
      (done) =>
        reply({
          progress: {
            says: { code: 'files-row-of', values: { row: done, rows: table.length } },
            share: done / Math.max(1, table.length),
          },
        }),
    )
    reply(read.ok ? { lines: read.lines, rows: read.rows } : { faults: read.faults })
  } catch (x) {
    reply({
      failed: x instanceof NotATable ? x.says : { code: 'files-unreadable', values: { why: String(x) } },
    })
  }
}
