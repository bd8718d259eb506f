import { expect, test } from './test'
import { readFileSync } from 'node:fs'
import { choose, list } from './choose'
import { asker, layDemo } from './lay'
import { expectNoSeriousFault } from './seriousFaults'

test(
  'a set is made from the shelf: colourways by hue, one ledger over all, like pieces together, undone and kept',
  { tag: '@byTurns' },
  async ({ page }) => {
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
  },
)

test(
  'kits of a member are weighed off, packed, printed and refused out of number; a figure is tried in a jar',
  { tag: '@byTurns' },
  async ({ page }) => {
    const { id } = await layDemo(page, 'lanto', 'A workshop', 'check')
    await page.getByRole('tab', { name: 'Show' }).click()
    await expect(page.getByText('It fits.')).toBeVisible()
    await page.getByLabel('Mouth').fill('30')
    await page.getByLabel('Mouth').press('Enter')
    await expect(page.getByText('It does not fit.')).toBeVisible()
    await expect(page.getByText(/A jar with a mouth of \d+ mm/)).toBeVisible()
    await page.getByRole('button', { name: /^Make it .* high$/ }).click()
    await expect(page.getByText('It fits.')).toBeVisible()
    await page.getByLabel('Undo').click()
    await expect(page.getByText('It does not fit.')).toBeVisible()
    await expectNoSeriousFault(page, 'a figure in a jar')

    const ask = await asker(page.request)
    const laid = await ask('POST', 'sets', { name: 'A workshop set', members: [{ figure: id, count: 1 }] })
    const { id: set } = (await laid.json()) as { id: number }
    await page.goto(`/sets/${set}`)
    await page.getByRole('tab', { name: 'Kits' }).click()
    await expect(page.getByText('13 bags of wool')).toBeVisible()
    await page.getByLabel('People').fill('30')
    await expect(page.getByText('31 bags of wool')).toBeVisible()
    const labels = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Print the labels' }).click()
    expect((await labels).suggestedFilename()).toBe('A workshop, labels.pdf')
    const sheet = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Print list and run' }).click()
    expect((await sheet).suggestedFilename()).toBe('A workshop, kits.pdf')
    await page.getByLabel('People').fill('1000')
    await expect(page.getByText('hold it twice')).toBeVisible()
    await expectNoSeriousFault(page, 'the kits of a set')
  },
)

test('a figure is shared as a booklet, and the file is taken in on a shelf', { tag: '@byTurns' }, async ({ page }) => {
  const { id } = await layDemo(page, 'lanto', 'To be shared', 'check')
  await page.getByRole('tab', { name: 'Finish' }).click()
  await page.getByRole('button', { name: 'A booklet to share' }).click()
  await expect(page.getByRole('button', { name: 'As PDF' })).toBeDisabled()
  await choose(page, list(page, 'Whose is the design?'), 'I drew and designed it')
  await page.getByLabel('Made by').fill('Mara')
  const pdf = page.waitForEvent('download')
  await page.getByRole('button', { name: 'As PDF' }).click()
  expect((await pdf).suggestedFilename()).toBe('To be shared, booklet.pdf')
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: 'As a file for Impa' }).click()
  const path = await (await file).path()
  await page.goto('/')
  await page.getByLabel('Picture or figure file').setInputFiles({
    name: 'shared.impa.json',
    mimeType: 'application/json',
    buffer: readFileSync(path),
  })
  await page.waitForURL((url) => /\/figures\/\d+\/shapes/.test(url.pathname) && !url.pathname.includes(`/${id}/`))
  await expect(page.getByText('6 parts, 1 pair')).toBeVisible()
})
