import { expect, test, type Page } from './test'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { choose, list } from './choose'
import { layDemo } from './lay'
import { expectNoSeriousFaultInAnyLight } from './seriousFaults'

interface Wool {
  id: number
  name: string
  gramsLeft: number
  freeG: number
  asideG: number
}
const wools = async (page: Page) => ((await (await page.request.get('/api/wools')).json()) as { wools: Wool[] }).wools
const wool = async (page: Page, name: string) => (await wools(page)).find((w) => w.name === name)!

test('the stash comes from a table; what it would change is shown first, bad lines are told, nothing counts twice', async ({
  page,
}) => {
  await page.goto('/stash')
  const table =
    'name;colour;preparation;grams;price;pack grams\nTest moss;#6d7a3f;carded batting;14,5;4,20;25\nTest ink;#2a2118;carded batting;3;4;10\nAmber;#e6a940;carded batting;9;4;25\nBad one;blueish;carded batting;3;;\nTest moss;#6d7a3f;;2;;\n'
  for (const round of [1, 2]) {
    await page.getByRole('button', { name: 'Take in a file' }).click()
    const dialog = page.getByRole('dialog', { name: 'Wools from a file' })
    await dialog
      .getByLabel('Table or palette')
      .setInputFiles({ name: 'mine.csv', mimeType: 'text/csv', buffer: Buffer.from(table) })
    await expect(dialog.getByRole('status')).toContainText(
      round === 1 ? '2 new, 1 changed, 0 the same, 2 refused' : '0 new, 0 changed, 3 the same, 2 refused',
    )
    await expect(dialog).toContainText('semicolons')
    await expect(dialog).toContainText('Line 5, colour: "blueish" is no colour')
    await expect(dialog).toContainText('Line 6, name: "Test moss" is already on line 2')
    // Only of this table's: other tests lay wools of their own in the same drawer meanwhile.
    const there = (await wools(page)).map((w) => w.name).filter((n) => ['Test moss', 'Test ink', 'Bad one'].includes(n))
    expect(there.sort()).toEqual(round === 1 ? [] : ['Test ink', 'Test moss'])
    if (round === 1) await dialog.getByRole('button', { name: 'Take them in' }).click()
    else await dialog.getByRole('button', { name: 'Cancel' }).click()
    await expect(dialog).toBeHidden()
  }
  await expect(page.getByRole('button', { name: 'Test moss, 14.5 g left' })).toBeVisible()
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: 'CSV' }).click()
  expect(readFileSync(await (await file).path(), 'utf8')).toContain(
    'Test moss,#6d7a3f,wool,carded batting,14.5,,,4.2,25,',
  )
})

test(
  'a wool is put on the scale, taken at rest, changed, thrown away and taken back',
  { tag: '@byTurns' },
  async ({ page }) => {
    await page.goto('/stash')
    await page.getByRole('button', { name: 'Add a wool' }).click()
    const fresh = page.getByRole('region', { name: 'A new wool' })
    await fresh.getByRole('button', { name: 'Put it in the drawer' }).click()
    await expect(fresh).toContainText('needs a name')
    await fresh.getByLabel('Name').fill('Test fog')
    await fresh.getByLabel('Colour, empty if undyed').fill('b9bdc0')
    await fresh.getByLabel('Grams left').fill('12,x')
    await fresh.getByRole('button', { name: 'Put it in the drawer' }).click()
    await expect(fresh).toContainText('"12,x" is no number')
    await expect(fresh.getByLabel('Name')).toHaveValue('Test fog')
    await fresh.getByLabel('Grams left').fill('12,5')
    await fresh.getByRole('button', { name: 'Put it in the drawer' }).click()
    const panel = page.getByRole('region', { name: 'Test fog' })
    await expect(panel).toBeVisible()

    await panel.getByRole('button', { name: 'Use a practice scale' }).click()
    await panel.getByLabel('On the practice scale').fill('500')
    await expect(panel).toContainText('too heavy for it')
    await expect(panel.getByRole('button', { name: /^Take the weight/ })).toBeDisabled()
    await panel.getByLabel('On the practice scale').fill('8.4')
    await expect(panel).toContainText('at rest')
    await panel.getByRole('button', { name: /^Take 8\.4/ }).click()
    await expect.poll(async () => Math.abs((await wool(page, 'Test fog')).gramsLeft - 8.4)).toBeLessThan(0.06)

    await panel.getByRole('button', { name: 'Delete this wool' }).click()
    await expect(page.getByRole('button', { name: /^Test fog/ })).toHaveCount(0)
    await page.getByRole('button', { name: 'Take it back' }).click()
    await expect(page.getByRole('button', { name: /^Test fog/ })).toBeVisible()

    await choose(page, page.locator('.ramp .v-select').nth(0), 'Snow tops')
    await choose(page, page.locator('.ramp .v-select').nth(1), 'Harbour')
    await expect(page.getByRole('list', { name: 'From Snow tops to Harbour' }).getByRole('listitem')).toHaveCount(5)
  },
)

test('a colour is taken from a photo, the light taken out by the card beside it', async ({ page }) => {
  await page.goto('/stash')
  await page.getByRole('button', { name: 'Add a wool' }).click()
  await page.getByRole('button', { name: 'Take the colour from a photo' }).click()
  const dialog = page.getByRole('dialog', { name: 'Colour from a photo' })
  // Half wool, half grey card, under a warm lamp.
  const png = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 300, height: 150 })
    const pen = canvas.getContext('2d')!
    pen.fillStyle = '#2c6a4b'
    pen.fillRect(0, 0, 150, 150)
    pen.fillStyle = '#6a5a43'
    pen.fillRect(150, 0, 150, 150)
    return canvas.toDataURL('image/png').split(',')[1]!
  })
  await dialog
    .getByLabel('Photo of the wool')
    .setInputFiles({ name: 'wool.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') })
  const photo = dialog.getByRole('application')
  await expect(dialog).toContainText('Point at the wool.')
  const box = (await photo.boundingBox())!
  await photo.click({ position: { x: box.width * 0.25, y: box.height / 2 } })
  await expect(dialog).toContainText('Point at the grey card.')
  await photo.click({ position: { x: box.width * 0.75, y: box.height / 2 } })
  await expect(dialog.getByText(/^#[0-9a-f]{6}$/)).toBeVisible()
  const corrected = await dialog.getByText(/^#[0-9a-f]{6}$/).innerText()
  // Less red and more blue than the photo shows.
  expect(parseInt(corrected.slice(5), 16)).toBeGreaterThan(0x4b)
  await dialog.getByRole('button', { name: 'Take this colour' }).click()
  await expect(page.getByLabel('Colour, empty if undyed')).toHaveValue(corrected)
})

test(
  'a figure is matched, a mix chosen and corrected by a swatch, portions printed true, wool set aside and used',
  { tag: '@byTurns' },
  async ({ page }) => {
    await layDemo(page, 'lanto', 'Wool walk', 'wool')
    const totals = page.getByRole('region', { name: 'Totals' })
    await expect(totals).toContainText('Undyed core batting')
    await expect(page.getByRole('row', { name: /Head/ })).toContainText('core wool')

    // Its ink has nothing near in the stash, or a wool of another test: a mix is chosen for slate.
    await page.getByRole('tab', { name: 'Colours' }).click()
    const slate = page.locator('.colours li', { hasText: 'Slate' })
    await slate.getByRole('button', { name: 'Mix it' }).click()
    const dialog = page.getByRole('dialog', { name: 'Mixes for Slate' })
    const cards = dialog.locator('.card')
    await expect(cards.first()).toContainText('%')
    const mix = cards.filter({ hasText: 'Harbour' }).first()
    await mix.getByRole('button', { name: 'Take this mix' }).click()
    await expect(slate).toContainText('Harbour')
    await slate.getByRole('button', { name: 'Mix it' }).click()
    await dialog.getByLabel('as #2f8f86').fill('#4f7d93')
    await dialog.getByRole('button', { name: 'Note it' }).click()
    await expect(dialog).toContainText('Noted.')
    await dialog.getByRole('button', { name: 'Close' }).click()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(slate).toContainText('Slate water')
    await expect(slate).not.toContainText('Harbour')

    await page.getByRole('tab', { name: 'Portions' }).click()
    await expect(page.getByRole('list', { name: 'Portions' }).getByRole('listitem').first()).toContainText(
      'Split in two equal pieces',
    )
    await page.getByRole('button', { name: 'Measure this screen' }).click()
    await page.getByRole('button', { name: 'It fits' }).click()
    await expect(page.getByText('At true size on this screen.')).toBeVisible()
    await page.getByLabel('Grams', { exact: true }).fill('0,6')
    await page.getByLabel('Shares').fill('3 : 2 : 1')
    await page.getByRole('button', { name: 'Split', exact: true }).click()
    await expect(page.getByText('0.30 g + 0.20 g + 0.10 g')).toBeVisible()
    const file = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Print the sheet' }).click()
    const folder = mkdtempSync(join(tmpdir(), 'impa-'))
    const pdf = join(folder, 'portions.pdf')
    await (await file).saveAs(pdf)
    const words = execFileSync('pdftotext', ['-layout', pdf, '-']).toString()
    expect(words).toContain('Wool walk: portions')
    expect(words).toContain('Split in two equal pieces')
    expect(words).toMatch(/Weigh 9\.\d g core wool/)

    // Set aside, seen in the stash, given back.
    const before = await wool(page, 'Amber')
    await page.getByRole('button', { name: 'Set the wool aside' }).click()
    await expect(totals).toContainText('Set aside:')
    const aside = await wool(page, 'Amber')
    expect(aside.gramsLeft).toBe(before.gramsLeft)
    expect(aside.asideG).toBeGreaterThan(before.asideG + 3)
    await page.getByRole('button', { name: 'Give it back' }).click()
    await expect.poll(async () => (await wool(page, 'Amber')).asideG).toBeCloseTo(before.asideG, 6)

    // Finished: what was weighed leaves the stash, once.
    await page.getByRole('button', { name: 'Figure finished' }).click()
    const finish = page.getByRole('dialog', { name: 'Figure finished' })
    await finish.getByLabel('Amber, used').fill('4,1')
    await finish.getByRole('button', { name: 'Take it out of the stash' }).click()
    await expect(totals).toContainText('its wool is taken out')
    await expect(totals.getByRole('row', { name: /Amber/ })).toContainText('4.10 g')
    expect((await wool(page, 'Amber')).gramsLeft).toBeCloseTo(before.gramsLeft - 4.1, 4)
    await page.reload()
    await expect(totals).toContainText('its wool is taken out')
  },
)

test(
  'the shopping list is asked of the stand-in shop, which may be sold out or closed',
  { tag: '@byTurns' },
  async ({ page }) => {
    await layDemo(page, 'sorrel', 'Shopping walk', 'wool')
    await page.getByRole('tab', { name: /^To buy/ }).click()
    await expect(page.locator('.list li').first()).toContainText(/\d+ x \d+ g/)
    await expect(page.locator('.list')).toContainText('Together')
    for (const [button, begins] of [
      ['As CSV', 'wool,for,grams lacking'],
      ['Print the list', '%PDF'],
    ] as const) {
      const file = page.waitForEvent('download')
      await page.getByRole('button', { name: button }).click()
      expect(readFileSync(await (await file).path(), 'latin1').slice(0, 40)).toContain(begins)
    }
    await choose(page, list(page, 'Sample shop'), 'closed')
    await expect(page.getByRole('alert')).toContainText('does not answer')
    await expect(page.locator('.list')).toContainText('lacking')
    await choose(page, list(page, 'If it runs out'), /Never again/)
    await expect(page.locator('.list')).toContainText('lacking')
  },
)

test(
  'the wool pages and the stash have no serious fault, by day and by lamp',
  { tag: '@byTurns' },
  async ({ page }) => {
    const isNotWider = async () =>
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280)
    await layDemo(page, 'lanto', 'Axe walk', 'wool')
    for (const tab of ['Ledger', 'Colours', 'Portions', 'To buy']) {
      await page.getByRole('tab', { name: new RegExp(`^${tab}`) }).click()
      await expectNoSeriousFaultInAnyLight(page, tab)
      await isNotWider()
    }
    await page.goto('/stash')
    await page.getByRole('button', { name: /^Amber/ }).click()
    await expectNoSeriousFaultInAnyLight(page, 'stash')
    await isNotWider()
  },
)
