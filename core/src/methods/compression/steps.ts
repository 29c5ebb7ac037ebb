import { fig, finding, msg } from '../../sources/source.js'
import type { Code } from '../../sources/wording.js'
import type { RecipeSteps } from '../kit/recipe.js'
import type { Field } from '../method.js'
import { TURNS_TOLERANCE } from './rules.js'
import { type CompressionSpec, kindOf, practice, turns, twin } from './spec.js'
import type { WORDS } from './words.js'

const choice = (key: string, label: Code, ...options: string[]): Field => ({
  key,
  label: msg(label),
  needed: true,
  control: 'choice',
  options,
})
/** Turns where they are counted; else whether the nut is at its stop. */
function tightened(spec: CompressionSpec): Field {
  const { turnsMin, turnsMax, source } = turns(spec)
  if (turnsMin === null)
    return choice('stop', 'field-nut-stop', kindOf(spec) === 'stab' ? 'home' : 'at-stop', 'not-yet')
  return {
    key: 'turns',
    label: msg('field-turns'),
    needed: true,
    unit: 'turns',
    min: 0,
    max: 5,
    control: 'turns',
    target: {
      value: fig(turnsMin, source),
      shortMax: TURNS_TOLERANCE,
      overMax: (turnsMax as number) - turnsMin + TURNS_TOLERANCE,
    },
  }
}

/** Tube or pipe made ready, nut started by hand, turned, looked at. */
export const steps: RecipeSteps<CompressionSpec, typeof WORDS> = (spec) => [
  {
    id: 'ready',
    reaches: 'marked',
    exceptions: [
      ['scratched', 'cut-out'],
      ['oval', 'ready'],
    ],
    tools: ['tool-wheel-cutter', 'tool-deburrer', 'tool-marker'],
    never: ['never-mix-makers'],
    skip: 'stop',
  },
  {
    id: 'start',
    reaches: 'assembled',
    exceptions: [['not-bottomed', 'start']],
    cautions: [finding('warn', 'caution-compression-pressure', practice)],
    tools: ['tool-two-spanners'],
    never: ['never-toothed-wrench'],
  },
  {
    id: 'turn',
    reaches: 'made',
    exceptions: [['over-turned', 'cut-out']],
    reads: [tightened(spec)],
    tools: ['tool-two-spanners'],
    never: ['never-toothed-wrench', 'never-back-off'],
  },
  {
    id: 'look',
    reaches: 'verified',
    exceptions: [['cannot-see', 'on']],
    reads: [
      choice(
        'mark',
        'field-depth-mark',
        ...(twin(spec) ? ['shows-behind-nut', 'not-moved'] : ['at-nut', 'moved-out']),
      ),
    ],
    tools: twin(spec) ? ['tool-gap-gauge'] : [],
  },
]
