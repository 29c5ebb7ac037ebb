import { jointPlaces } from '../joint/lookup.js'
import type { JobState } from '../log/state.js'
import { dayOf } from '../units/zone.js'

/** Something of a job that can be looked for by its name. */
export interface Named {
  kind: 'joint' | 'piece' | 'fitting' | 'line' | 'section' | 'thing' | 'test'
  /** Its id, as addresses have it; of a test its section's before it. */
  ref: string
  label: string
  /** What is said beside it: a size, a name. */
  more: string
}

/** Everything in a job that has a name of its own. */
export function namedInJob(state: JobState): Named[] {
  const lines = [...state.lines.values()]
  return [
    ...lines.map((line): Named => ({ kind: 'line', ref: line.id, label: line.tag, more: line.name })),
    ...lines.flatMap((line) =>
      line.items.map((item): Named => ({
        kind: item.type,
        ref: item.id,
        label: item.tag,
        more: [item.fitting ?? '', item.size].filter(Boolean).join(' '),
      })),
    ),
    ...[...jointPlaces(state).values()].map((place): Named => ({
      kind: 'joint',
      ref: place.jointId,
      label: place.tag,
      more: place.way.size,
    })),
    ...[...state.sections.values()].map((section): Named => ({
      kind: 'section',
      ref: section.id,
      label: section.tag,
      more: '',
    })),
    // A test goes by its section, the gauge it was read on, and the day it was begun.
    ...[...state.tests.values()].map((test): Named => ({
      kind: 'test',
      ref: `${test.sectionId}/${test.id}`,
      label: state.sections.get(test.sectionId)?.tag ?? '',
      more: [test.gauge, dayOf(test.begunAtS, state.job.zone)].filter(Boolean).join(' '),
    })),
    ...[...state.store.values()].map((item): Named => ({
      kind: 'thing',
      ref: item.id,
      label: item.name,
      more: [item.kind, item.batch ?? '', item.expiresOn ?? item.dueOn ?? ''].filter(Boolean).join(' '),
    })),
  ]
}
