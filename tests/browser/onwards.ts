import { expect, type Page } from '@playwright/test'

/** After "See its shapes": it goes on by itself, or tells something first and waits for a word. How long it looks is the machine's affair. */
export async function toTheShapes(page: Page, words = 'To the shapes'): Promise<void> {
  const onwards = page.getByRole('dialog').getByRole('button', { name: words })
  const went = () => /figures\/\d+\/shapes/.test(page.url())
  await expect
    .poll(async () => went() || (await onwards.isEnabled({ timeout: 500 }).catch(() => false)), { timeout: 60_000 })
    .toBe(true)
  if (!went()) await onwards.click()
  await page.waitForURL(/figures\/\d+\/shapes/)
}
