import { onBeforeUnmount, ref } from 'vue'
import { type HeadSaid, headAddress, shortHash, signedHead } from '../../record/head-code'
import { saveFile } from '../../save-file'
import { fileName } from '../../paper/file-name'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { hours } from '../../when'
import { word } from '../../words/word'
import type { PackAsk, PackReply } from '../../workers/pack-reply'

type Progress = Extract<PackReply, { part: string }>
/** What a worker needs to know: who reads, what waits on this device, where the log ends. */
function askOf(as: PackAsk['as'], sectionId: string | null, head: HeadSaid): PackAsk {
  const job = useJob()
  const jobId = job.jobId ?? ''
  return {
    jobId,
    personId: useSession().person?.personId ?? '',
    pending: job.pending,
    names: [...job.members],
    reader: job.reader,
    hours: hours.value,
    sectionId,
    nowS: useClock().nowS,
    head: { seq: head.seq, hash: head.hash, address: headAddress(jobId, head), short: shortHash(head.hash) },
    as,
  }
}
/** Has what is handed over put together in a worker: how far it is, and the way to stop it. */
export function usePack() {
  const job = useJob()
  const progress = ref<Progress | null>(null)
  const fault = ref('')
  const done = ref('')
  let worker: Worker | null = null

  function stop(): void {
    worker?.terminate()
    worker = null
    progress.value = null
  }
  function heard(data: PackReply, name: string): void {
    if ('part' in data) {
      progress.value = data
      return
    }
    stop()
    if ('failed' in data) {
      fault.value = word(data.failed === 'log' ? 'hand-over-pack-no-log' : 'hand-over-pack-failed')
      return
    }
    saveFile(data.made, data.made.type, name)
    const folder = name.endsWith('.zip')
    done.value = word('hand-over-pack-saved', {
      name,
      away: data.away,
      record: folder && !data.record ? 'no' : 'yes',
    })
  }
  /** @param sectionId the one section it is about; null: the whole job. */
  async function make(as: PackAsk['as'], sectionId: string | null): Promise<void> {
    stop()
    fault.value = done.value = ''
    progress.value = { part: 'log', done: 0, all: 1 }
    const jobId = job.jobId ?? ''
    const head = await signedHead(jobId, job.logHead())
    const section = sectionId === null ? '' : `-${job.state.sections.get(sectionId)?.tag ?? ''}`
    const name = `${fileName(`${job.state.job.name}${section}`)}.${as}`
    // Stopped, or left, while the head was asked for.
    if (!progress.value || job.jobId !== jobId) return
    worker = new Worker(new URL('../../workers/pack.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<PackReply>) => heard(data, name)
    worker.onerror = () => heard({ failed: 'paper' }, name)
    // What Vue watches cannot be handed to a worker.
    worker.postMessage(JSON.parse(JSON.stringify(askOf(as, sectionId, head))))
  }
  onBeforeUnmount(stop)
  return { make, stop, progress, fault, done }
}
