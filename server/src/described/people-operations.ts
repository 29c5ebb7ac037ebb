import { object, text } from './batch.js'
import { type Operation, job, json } from './operation.js'

const flag = { type: 'boolean' }
/** People: how they come in, what they may, how they go. */
export const PEOPLE_OPERATIONS: readonly Operation[] = [
  {
    method: 'put',
    path: '/session/password',
    says: 'Changes one’s own password; everywhere else one is signed out.',
    who: 'person',
    body: object({ old: text, password: text }),
    status: 204,
  },
  {
    method: 'get',
    path: '/session/all',
    says: 'Everywhere one is signed in.',
    who: 'person',
    status: 200,
    gives: json(),
  },
  {
    method: 'delete',
    path: '/session/all/{key}',
    says: 'Signs oneself out in one place, or (`others`) everywhere but here.',
    who: 'person',
    status: 204,
  },
  {
    method: 'get',
    path: '/welcome/{token}',
    says: 'Who is invited, and to what.',
    who: 'anybody',
    status: 200,
    gives: json(),
  },
  {
    method: 'post',
    path: '/welcome/{token}',
    says: 'Comes in by an invitation, or takes a new password by it. It is good once.',
    who: 'anybody',
    body: object({ name: text, login: text, password: text, org: text }),
    status: 201,
    gives: json(),
  },
  {
    method: 'get',
    path: '/people',
    says: 'People of the organisation, invitations that are open, what was done to people. For administrators.',
    who: 'person',
    status: 200,
    gives: json(),
  },
  {
    method: 'post',
    path: '/people/invitations',
    says: 'Invites somebody, or gives somebody a way to a new password. Its token is told once.',
    who: 'person',
    body: object({ name: text, admin: flag, jobId: text, personId: text }),
    status: 201,
    gives: json(),
  },
  {
    method: 'delete',
    path: '/people/invitations/{key}',
    says: 'Takes an invitation back.',
    who: 'person',
    status: 204,
  },
  {
    method: 'put',
    path: '/people/{personId}',
    says: 'Makes somebody an administrator or not, lets them go or back in.',
    who: 'person',
    body: object({ admin: flag, left: flag }),
    status: 204,
  },
  {
    method: 'delete',
    path: `${job}/members/{personId}`,
    says: 'Takes somebody off the job, or oneself; what they wrote stays under their name.',
    who: 'person',
    status: 204,
  },
]
