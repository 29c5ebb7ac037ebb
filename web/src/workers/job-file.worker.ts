import { type FileCheck, type SignedCheck, checkFileSigned, checkJobFile } from '@jugalis/core'
import { canVerify, verifies } from '../record/verifies'

/** Reads a job file and checks it, off the main thread: nothing of it leaves this browser. */
export interface FileAsk {
  bytes: ArrayBuffer
  head: string | null
}
/** What a file comes to: itself, and its signatures where it holds and this page can check them. */
export interface FileSaid {
  check: FileCheck
  signed: SignedCheck | null
  /** Names of people by their ids, as the file has them. */
  names: ReadonlyMap<string, string>
}
function namesIn(raw: unknown): ReadonlyMap<string, string> {
  const { people } = raw as { people?: { personId?: unknown; name?: unknown }[] }
  return new Map((people ?? []).map((one) => [String(one.personId), String(one.name)]))
}
async function look({ bytes, head }: FileAsk): Promise<FileSaid> {
  const none: FileSaid = { check: { is: 'no-job' }, signed: null, names: new Map() }
  try {
    const raw: unknown = JSON.parse(new TextDecoder().decode(bytes))
    const check = checkJobFile(raw, head)
    if (check.is !== 'whole') return { ...none, check }
    const signed = canVerify() ? await checkFileSigned(raw, verifies) : null
    return { check, signed, names: namesIn(raw) }
  } catch {
    // What cannot be read is no job.
    return none
  }
}
self.onmessage = ({ data }: MessageEvent<FileAsk>) => void look(data).then((said) => self.postMessage(said))
