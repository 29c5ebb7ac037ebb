import { test } from '@playwright/test'
import { fromNothing } from './empty-help'
import { INCH_WAYS } from './ways'
import { wholeJob } from './whole-help'

test('an inch job from an empty database, by the mouse', async ({ browser }) => {
  await fromNothing(browser, (page) =>
    wholeJob(page, {
      name: 'Bluff Yard',
      school: 'inch: primer, quarter turn',
      ways: INCH_WAYS,
      wall: '75',
      air: '76',
      working: '60',
      test: '90 psi',
      fall: '3',
      gaugeStep: '0.5',
      reads: '90',
      held: 'L',
      foreign: /\d ?(?:bar|°C|mm|Nm)\b/,
    }),
  )
})
