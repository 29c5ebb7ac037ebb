/** So many of something: `1 piece`, `4 pieces`. @param more where it is not the one with an s. */
export const counted = (n: number, one: string, more = `${one}s`): string => `${n} ${n === 1 ? one : more}`
