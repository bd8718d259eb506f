import { expect, test } from '@playwright/test'
import { layDemo } from './lay'

test('a set is made from the shelf: colourways by hue, one ledger over all, like pieces together, undone and kept', async ({
  page,
}) => {
  await layDemo(page, 'bobbin', 'A choir', 'shapes')
  await page.goto('/')
  await page.getByRole('button', { name: 'New set' }).click()
  await page.getByRole('checkbox', { name: 'A choir' }).check()
  await page.getByRole('button', { name: 'Make the set' }).click()
  await page.waitForURL(/\/sets\/\d+/)
  await page.locator('fieldset label').first().click()
  await page.getByLabel('How many').last().fill('5')
  await page.getByRole('button', { name: 'Make colourways of it' }).click()
  await expect(page.getByText('5 figures')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Figures of the set' }).getByRole('listitem')).toHaveCount(5)
  await expect(page.getByText(/The stash is enough for \d of 5|enough for all of them/).first()).toBeVisible()

  await page.getByRole('button', { name: 'Take A choir 5 out of the set' }).click()
  await expect(page.getByText('4 figures')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('5 figures')).toBeVisible()

  await page.getByRole('tab', { name: 'Wool' }).click()
  await expect(
    page.getByRole('row').filter({ hasText: 'core wool' }).or(page.getByRole('row').nth(1)).first(),
  ).toBeVisible()
  await page.getByRole('tab', { name: 'Order' }).click()
  await expect(page.getByText('less laying ready')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Order of work of the set' }).getByText('Core: Head')).toHaveCount(1)
  await expect(page.getByRole('list', { name: 'Sittings' }).getByRole('listitem').first()).toContainText('1 h')

  // Kept: it stands on the shelf, and is as it was when it is opened again.
  await page.goto('/')
  await page.getByRole('link', { name: 'A choir, a set' }).click()
  await expect(page.getByText('5 figures')).toBeVisible()
})
