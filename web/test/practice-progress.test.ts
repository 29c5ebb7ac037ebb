import { dueAt, entriesOf, keptFrom, withAnswer } from '../src/places/practice/progress'

const DAY_MS = 86_400_000
const at = new Date('2027-03-01T08:00:00Z')
const later = (days: number): Date => new Date(at.getTime() + days * DAY_MS)

describe('what a learner is asked again', () => {
  it('what was missed is due within the day, what was right again and again ever later', () => {
    const missed = withAnswer({}, 'press not-pressed', false, at)
    expect(dueAt(missed, later(1)).map((d) => d.what)).toEqual(['not-pressed'])
    let kept = withAnswer({}, 'press short', true, at)
    const waits: number[] = []
    let now = at
    for (let time = 0; time < 5; time++) {
      const due = kept['press short']?.card.due as Date
      waits.push(due.getTime() - now.getTime())
      now = due
      kept = withAnswer(kept, 'press short', true, now)
    }
    waits.forEach((wait, i) => i && expect(wait).toBeGreaterThan(waits[i - 1] as number))
    expect(kept['press short']).toMatchObject({ right: 6, all: 6 })
  })
  it('the longest overdue comes first', () => {
    const kept = withAnswer(withAnswer({}, 'solder moved', false, later(1)), 'solder no-flux', false, at)
    expect(dueAt(kept, later(9)).map((d) => d.what)).toEqual(['no-flux', 'moved'])
  })
  it('kept as text and read again it is the same', () => {
    const kept = withAnswer(withAnswer({}, 'flange one-side', true, at), 'flange one-side', false, later(3))
    expect(keptFrom(JSON.parse(JSON.stringify(kept)))).toEqual(kept)
  })
  it.each([
    ['nothing', null],
    ['a list', [1, 2]],
    ['a text', 'no'],
    ['a card without times', { 'press short': { card: { due: 'soon' }, right: 1, all: 1 } }],
    ['a name that is none', { '<b>': { card: { due: at.toISOString() }, right: 1, all: 1 } }],
    ['no card at all', { 'press short': null }],
  ])('%s is left out', (_what, raw) => {
    expect(entriesOf(keptFrom(raw))).toEqual([])
  })
  it('one that cannot be read does not take the others along', () => {
    const good = withAnswer({}, 'press short', true, at)
    const kept = keptFrom({ ...(JSON.parse(JSON.stringify(good)) as object), 'press cut': { card: 7 } })
    expect(Object.keys(kept)).toEqual(['press short'])
  })
})
