import type { Role } from '@jugalis/core'
import { RIGHT_MM, type Flow } from './flow'
import { qrCode } from './qr-code'
import { MARGIN_MM } from './sheet'
import { named, word } from '../words/word'

/** Height of the place where two people sign by hand. */
export const INK_MM = 35
/** Side of the code that holds the log's head. */
const CODE_MM = 20
/** Who signed, with what they were on the job when they did. */
export const signerTold = (one: { by: string; role?: Role }, name: (personId: string) => string): string =>
  one.role ? word('paper-signer', { name: name(one.by), role: named(one.role) }) : name(one.by)

/**
 * Where people sign: who did in the app, two lines for ink, the code of the log's head.
 * @param head where the log ended: an address for the code, and its hash as people read it out. @param by what it is worth.
 */
export function signatures(
  flow: Flow,
  signed: readonly (readonly [name: string, says: string])[],
  head: { address: string; short: string },
  by: string,
): void {
  flow.head(word('paper-signed'))
  flow.rows(signed)
  flow.room(INK_MM)
  const { paper } = flow
  const y = flow.y + 9
  paper.line(MARGIN_MM, y, MARGIN_MM + 70, y)
  paper.line(RIGHT_MM - 70, y, RIGHT_MM, y)
  paper.text(word('paper-tester'), MARGIN_MM, y + 4, 2.2)
  paper.text(word('paper-witness'), RIGHT_MM - 70, y + 4, 2.2)
  // By this anybody tells whether the log was written anew since.
  const at = RIGHT_MM - CODE_MM
  paper.figure(word('paper-code-of-head'), () => qrCode(paper, head.address, at, y + 5.5, CODE_MM))
  paper.text(head.short, at - 3, y + 24, 2.2, { end: true })
  flow.y = y + 9
  flow.say(by, 2.2)
  // What follows stands below the code.
  flow.y = Math.max(flow.y, y + 5.5 + CODE_MM + 4)
}
