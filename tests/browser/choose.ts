import { expect, type Locator, type Page } from '@playwright/test'

/** Chooses from the list that a field opens. The list of the field before may still be closing, and may hold the same words: it is waited for. */
export async function choose(page: Page, field: Locator, option: string | RegExp): Promise<void> {
  const listbox = page.getByRole('listbox')
  await expect(listbox).toHaveCount(0)
  // A list that is still opening may miss the press, and stays open: it is pressed again.
  await expect(async () => {
    if ((await listbox.count()) === 0) await field.click({ timeout: 10_000 })
    await listbox.getByRole('option', { name: option }).first().click({ timeout: 10_000 })
    await expect(listbox).toHaveCount(0, { timeout: 5_000 })
  }).toPass()
}

/** The field of a list, by the words on it. */
export const list = (page: Page, words: string): Locator => page.locator('.v-select').filter({ hasText: words })
