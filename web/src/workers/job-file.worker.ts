import { type FileCheck, checkJobFile } from '@jugalis/core'

/** Reads a job file and checks it, off the main thread: nothing of it leaves this browser. */
export interface FileAsk {
  bytes: ArrayBuffer
  head: string | null
}
self.onmessage = ({ data }: MessageEvent<FileAsk>) => {
  let check: FileCheck = { is: 'no-job' }
  try {
    check = checkJobFile(JSON.parse(new TextDecoder().decode(data.bytes)), data.head)
  } catch {
    // What cannot be read is no job.
  }
  self.postMessage(check)
}
