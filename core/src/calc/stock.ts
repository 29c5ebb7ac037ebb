import { greatest } from '../units/extent.js'
import type { PlanOptions } from '../cut/stock/plan.js'
import { planStock } from '../cut/stock/plan.js'
import type { StockInput } from '../cut/stock/model.js'
import { flag, list, may, need, number, object, text } from '../schema/shape.js'
import { number as inWords } from '../units/format.js'
import { Refusal, calculation } from './calculation.js'

/** Most pieces that one question may ask for. */
export const MOST_PIECES = 2000
export const LONGEST_MS = 5000
const LONG = 1_000_000

let engine: Pick<PlanOptions, 'solve' | 'clock'> | null = null
/** Brings the solver: it is loaded where the calculation runs, off the main thread. */
export const usePlanner = (e: Pick<PlanOptions, 'solve' | 'clock'>): void => void (engine = e)

export const stockPlanCalc = calculation({
  name: 'stock-plan',
  summary: 'Which pieces to cut from which bars, with the least new stock opened.',
  heavy: true,
  inputs: [
    need(
      'stock',
      list(
        object(
          need('lengthMm', number({ above: 0, max: LONG }), 'Length'),
          may(
            'count',
            number({ min: 0, max: 10_000, integer: true }),
            'How many; if absent any, of offcuts one',
          ),
          may('offcut', flag, 'Left from earlier work: costs nothing'),
        ),
        1,
        500,
      ),
      'What may be cut from',
    ),
    need('kerfMm', number({ min: 0, max: 100 }), 'Width of the saw cut'),
    need(
      'pieces',
      list(
        object(
          need('id', text, 'Name of the piece'),
          need('lengthMm', number({ above: 0, max: LONG }), 'Length'),
          need('count', number({ min: 1, max: MOST_PIECES, integer: true }), 'How many'),
        ),
        1,
        MOST_PIECES,
      ),
      'What is wanted',
    ),
  ],
  rules: `At most ${MOST_PIECES} pieces in all. Planning ends after ${LONGEST_MS / 1000} s with the best plan so far.`,
  sources: ['stock-plan'],
  example: {
    input: {
      stock: [{ lengthMm: 6000 }, { lengthMm: 2100, offcut: true }],
      kerfMm: 3,
      pieces: [
        { id: 'a', lengthMm: 2000, count: 3 },
        { id: 'b', lengthMm: 1990, count: 1 },
      ],
    },
    result: {
      bars: [
        { stockMm: 2100, offcut: true, cuts: [{ id: 'a', atMm: 0, lengthMm: 2000 }], leftMm: 97 },
        {
          stockMm: 6000,
          offcut: false,
          cuts: [
            { id: 'a', atMm: 0, lengthMm: 2000 },
            { id: 'a', atMm: 2003, lengthMm: 2000 },
            { id: 'b', atMm: 4006, lengthMm: 1990 },
          ],
          leftMm: 1,
        },
      ],
      barsUsed: 1,
      lowerBoundBars: 1,
      lowerBoundMm: 6000,
      proven: true,
      status: 'optimal',
    },
  },
  check(input: StockInput) {
    const wanted = input.pieces.reduce((sum, p) => sum + p.count, 0)
    if (wanted > MOST_PIECES)
      throw new Refusal(
        'bad-input',
        `${wanted} pieces are asked for; at most ${MOST_PIECES} at once.`,
        'pieces',
      )
    const longest = greatest([...input.stock.filter((s) => s.count !== 0).map((s) => s.lengthMm), 0])
    const at = input.pieces.findIndex((p) => p.lengthMm > longest)
    if (at >= 0)
      throw new Refusal(
        'does-not-fit',
        `${input.pieces[at]?.id} is ${inWords(input.pieces[at]?.lengthMm ?? 0, 2)} mm long; the longest stock is ${inWords(longest, 2)} mm.`,
        `pieces[${at}].lengthMm`,
      )
  },
  compute(input: StockInput, working) {
    if (!engine) throw new Error('no solver was brought')
    const plan = planStock(input, { ...engine, limitMs: LONGEST_MS })
    for (const [figure, value] of Object.entries(plan))
      working.put(figure, value, 'stock-plan', ['given', 'stock-plan'])
    for (const figure of ['lowerBoundBars', 'lowerBoundMm'] as const)
      if (plan[figure] === null)
        working.lacks(
          figure,
          plan.status === 'infeasible' ? 'not-enough-stock' : 'not-settled',
          plan.status === 'infeasible'
            ? 'There is not enough stock, so there is no least plan.'
            : 'Time ran out before this bound was settled.',
        )
  },
})
