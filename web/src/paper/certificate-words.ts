import { type JobState, layOut } from '@jugalis/core'
import { ruleName } from '../places/prove/rule-names'
import { hhmm, onPaper } from '../when'
import { reading, told } from '../words/word'
import type { CertificateWords } from './certificate-rows'

/** What a certificate of a section is put in words with, for who reads here: its lines, names, clocks of the job. */
export function certificateWords(
  of: { state: JobState; name(personId: string): string; head: CertificateWords['head'] },
  sectionId: string,
  rule: string | null,
): CertificateWords {
  const { state, name, head } = of
  const { zone } = state.job
  const inside = new Set(state.sections.get(sectionId)?.jointIds)
  const lines = [...state.lines.values()].filter((line) =>
    line.items.some((item) => item.joints.some((id) => id !== null && inside.has(id))),
  )
  return {
    say: (message) => told(message),
    name,
    when: (atS) => onPaper(atS, zone),
    clock: (atS) => hhmm(atS, zone),
    rule: ruleName(rule),
    reader: reading.value,
    lines: lines.map((line) => ({ tag: line.tag, laid: layOut(state, line) })),
    inside,
    head,
  }
}
