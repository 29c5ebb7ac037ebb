import { named, word } from '../words/word'

/** One of the things it fits. */
export function fitSaid(key: string, value: string): string {
  if (key === 'profile') return word('thing-profile', { profile: value })
  if (key.endsWith('Mm')) return word('thing-measure', { mm: Number(value) })
  return named(value === 'free' ? `${key}-free` : value)
}
/** What a thing fits, in words. A profile is its maker's own letter, not a name of ours. */
export const fitsSaid = (matches: Readonly<Record<string, string>>): string =>
  Object.entries(matches)
    .filter(([, value]) => value !== 'yes' && value !== 'no')
    .map(([key, value]) => fitSaid(key, value))
    .join(' ')
