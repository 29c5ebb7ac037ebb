import { type HistoryRow, type JointFacts, readingSaid } from '@jugalis/core'
import { named, reading, told, word } from '../../words/word'

const stepOf = (facts: JointFacts, row: HistoryRow) => facts.steps.find(({ id }) => id === row.step)
/** What happened to a joint, of one row of its history: a step by what it does, all else by a sentence of its own. */
export function whatHappened(facts: JointFacts, row: HistoryRow): string {
  if (row.kind === 'step-done') {
    const step = stepOf(facts, row)
    const does = step ? told(step.does) : named(row.step ?? '')
    return row.says ? word('make-history-left-out', { does, says: row.says }) : does
  }
  return word(`make-history-${row.kind}`, {
    says: row.says,
    why: row.says ? 'yes' : 'no',
    answer: row.answer ? named(row.answer) : '',
    things: row.things.join(', '),
    section: row.section ?? '',
    bar: row.bar ?? 0,
  })
}
/** What was read at it, each by its name. */
export const readingsTold = (facts: JointFacts, row: HistoryRow): string =>
  (stepOf(facts, row)?.reads ?? [])
    .flatMap((field) => {
      const said = readingSaid(field, row.readings[field.key], reading.value)
      return said ? `${told(field.label)}: ${said}` : []
    })
    .join('; ')
