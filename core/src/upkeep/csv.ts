import Papa from 'papaparse'
import { recordOf } from '../methods/sources.js'
import { type Reader, torque } from '../units/format.js'
import { dayOf } from '../units/zone.js'
import { say } from '../words/words.js'
import { type CareTask, taskStands } from './due.js'

const HEADER = [
  'section',
  'joint or device',
  'what',
  'stands',
  'due',
  'last done',
  'torque left',
  'every months',
  'every openings',
  'by whose word',
] as const

/**
 * What is due, joint by joint and device by device, as CSV.
 * @param today YYYY-MM-DD. @param zone where the job is. @param reader whose language and units it is in.
 */
export function upkeepCsv(tasks: readonly CareTask[], today: string, zone: string, reader: Reader): string {
  const rows = tasks.flatMap((task) => {
    const { due, source } = task.does
    const months = task.said ? task.said.months : due.by === 'months' ? due.months : null
    return task.items.map((item) => [
      task.section.tag,
      item.tag,
      say(task.does.does, reader),
      taskStands({ ...task, dueOn: item.dueOn }, today),
      item.dueOn ?? '',
      item.last ? dayOf(item.last.atS, zone) : '',
      item.leftNm === null ? '' : torque(item.leftNm, reader),
      months ?? '',
      task.said?.openings ?? '',
      task.said?.reference ?? recordOf(source).reference,
    ])
  })
  return Papa.unparse([[...HEADER], ...rows], { newline: '\r\n', escapeFormulae: true })
}
