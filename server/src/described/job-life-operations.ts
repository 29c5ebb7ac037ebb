import { object, text } from './batch.js'
import { type Operation, job, json } from './operation.js'

const flag = { type: 'boolean' }
/** Ways of a job from its copy to its end. */
export const JOB_LIFE_OPERATIONS: readonly Operation[] = [
  {
    method: 'post',
    path: `${job}/copy`,
    says: 'Begins a job in which all is set out as in this one and nothing is done.',
    who: 'person',
    body: object({ jobId: text, name: text, measures: flag }),
    status: 201,
    gives: json(),
  },
  {
    method: 'put',
    path: `${job}/away`,
    says: 'Puts the job away from the list of jobs, or back into it.',
    who: 'person',
    body: object({ away: flag }),
    status: 204,
  },
  {
    method: 'put',
    path: `${job}/owner`,
    says: 'Hands the job to another of its members.',
    who: 'person',
    body: object({ personId: text }),
    status: 204,
  },
  {
    method: 'delete',
    path: job,
    says: 'Takes out a job in which nothing was ever set out or written.',
    who: 'person',
    status: 204,
  },
]
