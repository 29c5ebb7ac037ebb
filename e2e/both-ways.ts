import { type BrowserContextOptions, type Page, test } from '@playwright/test'
import { fromNothing } from './empty-help'

/** A story told in each way there is, each on a server whose database holds one person and nothing else. */
export function bothWays<Way extends { how: string; device: BrowserContextOptions }>(
  ways: readonly Way[],
  says: string,
  story: (page: Page, own: Way) => Promise<void>,
): void {
  for (const own of ways)
    test(`${own.how}: ${says}`, async ({ browser }) => {
      test.slow()
      await fromNothing(browser, (page) => story(page, own), own.device)
    })
}
