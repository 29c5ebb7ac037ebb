import { draftsOf } from '../src/stores/drafts'

it('what is no text does not go out: a NUL, half of a character; all that is text does', () => {
  const says = 'a\0b \ud83d\udebf \ud83d c \udebf ä'
  const [draft] = draftsOf([{ kind: 'job-set', data: { name: says, list: [{ of: '\ud800' }] } }], [], {
    wallS: 0,
    offsetS: 0,
  })
  expect(draft?.data).toEqual({ name: 'ab \ud83d\udebf  c  ä', list: [{ of: '' }] })
})
