import type { Source, SourceId } from './source.js'

export const MEMORY = 'From memory: check the standard before you rely on it.'
export const published = (id: string, reference: string, edition: string, note = MEMORY): Source => ({
  id,
  kind: 'published',
  reference,
  edition,
  verified: false,
  note,
})
export const practice = (
  id: string,
  reference: string,
  note = 'Common practice, no published source.',
): Source => ({
  id,
  kind: 'common-practice',
  reference,
  verified: false,
  note,
})
export const computed = (id: string, reference: string, from: SourceId[], note = ''): Source => ({
  id,
  kind: 'computed',
  reference,
  verified: false,
  note,
  from,
})
