import { wholeAddress } from '../../base'
import type { OnShelf } from '@jugalis/core'
import { saveFile, PDF } from '../../save-file'
import { useJob } from '../../stores/job'
import { fitsSaid } from '../../things/fits'
import { capital, named } from '../../words/word'
import { standingSaid } from './use-store'

/** Labels of things of the store, each with a code that opens it; saved as a PDF under a name. */
export function useLabels() {
  const job = useJob()
  const url = (id: string): string => wholeAddress(`/job/${job.jobId}/store/${id}`)
  return async (things: readonly OnShelf[], name: string): Promise<void> => {
    const paper = await import('../../paper')
    const labels = things.map((on) => ({
      tag: on.item.name,
      lines: [capital(named(on.item.kind)), fitsSaid(on.item.matches), standingSaid(on)].filter(Boolean),
      url: url(on.item.id),
    }))
    const bytes = await paper.labelSheets(job.state.job.name, labels, paper.sheetOf(job.reader))
    saveFile(new Uint8Array(bytes), PDF, `${name}.pdf`)
  }
}
