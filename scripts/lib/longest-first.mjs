import { statSync } from 'node:fs'

/** Whole minutes of computing: begun last, they would keep one core busy while the other waits. */
const LONG = ['verdict-trial.', 'spoilt-trial.', 'reach.', 'stock.']
const rank = ({ path }) => {
  const at = LONG.findIndex((name) => path.includes(`/${name}`))
  return at < 0 ? LONG.length : at
}
/** The order in which Jest runs its files: those known to be long, then the larger file first. */
export default class LongestFirst {
  sort(tests) {
    const size = new Map(tests.map((test) => [test, statSync(test.path).size]))
    return [...tests].sort((a, b) => rank(a) - rank(b) || size.get(b) - size.get(a))
  }
  cacheResults() {}
}
