import { expect, type Locator, type Page } from '@playwright/test'

/** Chooses from the list that a field opens. The list of the field before may still be closing, and may hold the same words: it is waited for. */
export async function choose(page: Page, field: Locator, option: string | RegExp): Promise<void> {
  await expect(page.getByRole('listbox')).toHaveCount(0)
  await field.click()
  await page.getByRole('listbox').getByRole('option', { name: option }).first().click()
}

/** The field of a list, by the words on it. */
export const list = (page: Page, words: string): Locator => page.locator('.v-select').filter({ hasText: words })
