import { test } from '@playwright/test'
import { fromNothing } from './empty-help'
import { PHONE } from './help'
import { METRIC_WAYS } from './ways'
import { wholeJob } from './whole-help'

test('a metric job from an empty database, by the thumb', async ({ browser }) => {
  await fromNothing(
    browser,
    (page) =>
      wholeJob(page, {
        name: 'Kelp Shed',
        school: 'metric:',
        ways: METRIC_WAYS,
        wall: '23',
        air: '24',
        working: '4',
        test: '6 bar',
        fall: '0.2',
        gaugeStep: '0.02',
        reads: '6',
        held: 'C',
        foreign: /\d ?(?:psi|°F|in-lb|ft-lb|in|ft)\b/,
      }),
    { viewport: PHONE, hasTouch: true },
  )
})
