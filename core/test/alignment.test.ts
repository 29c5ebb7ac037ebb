import { alignmentOf, foldJob, jointPlaces } from '../src/index.js'
import { bench } from './line-bench.js'

/** What the joints of a line say of how their fittings stand. */
function stands(...texts: string[]): string[] {
  const b = bench(...texts)
  const state = foldJob(b.log.events)
  return [...jointPlaces(state).values()].map((place) => {
    const found = alignmentOf(state, place)
    const joint = `${place.part.tag}>${place.fitting?.tag ?? '-'}`.replaceAll('Q2/', '')
    return found
      ? `${joint} ${found.what} ${found.towards.join(' ')} ${found.clock ?? '-'}`
      : `${joint} as it likes`
  })
}

describe('how a fitting stands on its pipe', () => {
  it('an elbow by its other end, on the clock as one looks into it', () => {
    expect(
      stands('from +1.000 east', 'cap 63', '500', 'elbow 90 up', '500', 'elbow 90 south', '500', 'cap'),
    ).toEqual([
      'P01>F01 as it likes',
      // Eastward, up is twelve; from above back down into the elbow, on a riser, there is no clock.
      'P01>F02 end up 12',
      'P02>F02 end west -',
      'P02>F03 end south -',
      // From the south end one looks north into it: what points down is at six.
      'P03>F03 end down 6',
      'P03>F04 as it likes',
    ])
  })
  it('a tee by its branch; seen from the other side left and right change places', () => {
    const found = stands(
      'from +1.000 east',
      'cap 63',
      '500',
      'tee branch south',
      '500',
      'cap',
      'branch',
      '300',
      'cap',
    )
    // Looking east, south is to the right: three. Looking back west it is to the left: nine. From the branch one looks
    // north, and the way on, east, is to the right.
    expect(found.filter((one) => one.includes('>F02')).sort()).toEqual([
      'P01>F02 branch south 3',
      'P02>F02 branch south 9',
      'P03>F02 end east 3',
    ])
  })
  it('an elbow of 45 degrees between two headings; a line without a place says nothing', () => {
    expect(stands('from +1.000 east', 'cap 63', '500', 'elbow 45 up', '500', 'cap')[1]).toBe(
      'P01>F02 end east up 12',
    )
    expect(stands('cap 63', '500', 'elbow 45', '500', 'cap').every((one) => one.endsWith('likes'))).toBe(true)
  })
})
