const DIGITS = 9
const keys = new Map<string, string>()
/** Worked out once for a tag: lists of thousands are sorted again and again. */
function keyOf(tag: string): string {
  let key = keys.get(tag)
  if (key === undefined) keys.set(tag, (key = tag.replace(/\d+/g, (n) => n.padStart(DIGITS, '0'))))
  return key
}
/**
 * Order of tags as people count: Q2-9 before Q2-10. For sorting.
 * @example ['Q-10', 'Q-2'].sort(tagOrder) // ['Q-2', 'Q-10']
 */
export function tagOrder(a: string, b: string): number {
  const [x, y] = [keyOf(a), keyOf(b)]
  return x < y ? -1 : x > y ? 1 : 0
}
