import { expect, test } from './test'
import { choose, list } from './choose'
import { layDemo } from './lay'
import { expectNoSeriousFault } from './seriousFaults'

test(
  'a drawing becomes layers: pulled apart, tied, laid on the sheets, printed, worked from the ground up',
  { tag: '@byTurns' },
  async ({ page }) => {
    await page.goto('/')
    await page.locator('input[type=file]').setInputFiles('demo/dusk.png')
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('Name').fill('A mask')
    await choose(page, list(page, 'Made'), 'flat: layers of felt sheet')
    await dialog.getByRole('button', { name: 'See its shapes' }).click()
    await page.waitForURL(/\/figures\/\d+\/shapes/)

    const apart = page.getByRole('group', { name: 'The layers, pulled apart' })
    await expect(apart.getByRole('button')).toHaveCount(10)
    await apart.getByRole('button', { name: '1. Ground' }).focus()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('complementary', { name: 'The selected part' }).getByLabel('Name')).toHaveValue(
      'Ground',
    )
    const thread = page.locator('[data-fact=thread]')
    const was = await thread.textContent()
    await choose(page, list(page, 'Rims are held by'), 'blanket stitch')
    await expect(thread).not.toHaveText(was!)
    await choose(page, list(page, 'Ribbon'), 'ties at both sides')
    await expect(page.getByLabel('Each end, long')).toBeVisible()

    await expectNoSeriousFault(page, 'layers pulled apart')

    await page.getByRole('tab', { name: 'On the sheets' }).click()
    await expect(page.getByRole('list', { name: 'On the sheets' }).getByRole('listitem')).toHaveCount(4)
    await page.getByLabel('Sheet, wide').fill('100')
    await page.getByLabel('Sheet, wide').press('Enter')
    await page.getByLabel('Sheet, long').fill('100')
    await page.getByLabel('Sheet, long').press('Enter')
    await expect(page.getByRole('list', { name: 'Mind this' })).toContainText('take a larger sheet')

    await expectNoSeriousFault(page, 'layers on the sheets')

    await page.getByRole('button', { name: 'Print templates' }).click()
    const file = page.waitForEvent('download')
    await page.getByRole('button', { name: 'As PDF' }).click()
    expect((await file).suggestedFilename()).toBe('A mask, templates.pdf')
    await page.getByRole('button', { name: 'Close' }).click()

    await page.getByRole('link', { name: /^Build/ }).click()
    const order = page.getByRole('complementary', { name: 'Order of work' })
    await expect(order).toContainText('Press layer 1')
    await expect(order.getByRole('listitem').last()).toContainText('Inspect')
  },
)

test(
  'a hat is cut and sewn; a figure of the shelf is held by another, and undone',
  { tag: '@byTurns' },
  async ({ page }) => {
    await layDemo(page, 'lanto', 'A held pod', 'shapes')
    await layDemo(page, 'wick', 'With a pod', 'shapes')
    await page.locator('[data-part=crown]').first().click()
    await page.getByRole('button', { name: 'Cut and sew it' }).click()
    const pieces = page.getByRole('list', { name: 'Pieces' }).getByRole('listitem')
    await expect(pieces).toHaveCount(3)
    await page.getByLabel('It stays open, as a hat').check()
    await expect(pieces).toHaveCount(1)
    await expectNoSeriousFault(page, 'cut and sew')
    await page.getByRole('button', { name: 'Close' }).click()

    await page.getByRole('button', { name: 'Make it an accessory' }).click()
    const things = page.getByRole('list', { name: 'Things' }).getByRole('listitem')
    await expect(things).toHaveCount(1)
    await choose(page, list(page, 'From the shelf'), 'A held pod')
    await choose(page, list(page, 'Part'), 'Arm')
    await page.getByRole('button', { name: 'Bring it in' }).click()
    await expect(things).toHaveCount(2)
    await expect(things.last()).toContainText('times as large as arm is thick')
    await expectNoSeriousFault(page, 'things it has with it')
    await page.getByRole('button', { name: 'Close' }).click()
    await expect(page.getByText('16 parts')).toBeVisible()
    await page.getByRole('button', { name: /^Undo/ }).click()
    await expect(page.getByText('9 parts')).toBeVisible()
  },
)
