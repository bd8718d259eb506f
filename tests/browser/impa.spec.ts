import { expect, test, type Page } from './test'
import { toTheShapes } from './onwards'
import { expectNoSeriousFaultInAnyLight } from './seriousFaults'

/** Waits until the figure is saved, as the page itself says. */
const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible()

async function idOf(page: Page, name: string): Promise<number> {
  const shelf = (await (await page.request.get('/api/figures')).json()) as { figures: { id: number; name: string }[] }
  const found = shelf.figures.find((f) => f.name.startsWith(name))
  expect(found, `${name} on the shelf`).toBeTruthy()
  return found!.id
}

const toTheShelf = (page: Page) => page.getByRole('link', { name: /^Impa/ }).click()

/** Drags from the middle of what a locator finds by so many pixels. */
async function drag(page: Page, from: { x: number; y: number }, dx: number, dy: number): Promise<void> {
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(from.x + dx / 2, from.y + dy / 2, { steps: 4 })
  await page.mouse.move(from.x + dx, from.y + dy, { steps: 4 })
  await page.mouse.up()
}

async function middle(page: Page, selector: string): Promise<{ x: number; y: number }> {
  const box = await page.locator(selector).first().boundingBox()
  expect(box).not.toBeNull()
  return { x: box!.x + box!.width / 2, y: box!.y + box!.height / 2 }
}

let foreign: string[] = []
test.beforeEach(({ page, baseURL }) => {
  foreign = []
  page.on('request', (r) => {
    if (!r.url().startsWith(baseURL!) && !/^(data|blob):/.test(r.url())) foreign.push(r.url())
  })
  page.on('console', (m) => {
    if (m.type() === 'error' && !/status of 4\d\d|net::ERR_FAILED/.test(m.text()))
      throw new Error(`The page complained: ${m.text()}`)
  })
})
test.afterEach(() => expect(foreign, 'requests to elsewhere').toEqual([]))

test('a drawing dropped becomes a figure, and everything follows and stays', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible()

  await page.locator('input[type=file]').setInputFiles('demo/bobbin.png')
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Name').fill('Watcher')
  await dialog.getByLabel('Finished height').fill('100')
  await dialog.getByRole('button', { name: 'See its shapes' }).click()
  await toTheShapes(page)

  // Parts: drag one wider and see its grams change.
  await expect(page.locator('[data-part=head]')).toBeVisible()
  await page.getByLabel('Parts, by what they are joined to').getByRole('button', { name: /^Head/ }).click()
  const grams = page.locator('[data-fact=colourG]')
  const before = await grams.innerText()
  await drag(page, await middle(page, '.grip.width'), 40, 0)
  await expect(grams).not.toHaveText(before)
  const wider = await grams.innerText()
  expect(parseFloat(wider)).toBeGreaterThan(parseFloat(before))

  // Undo and redo.
  await page.getByLabel('Undo').click()
  await expect(grams).toHaveText(before)
  await page.keyboard.press('Control+Shift+z')
  await expect(grams).toHaveText(wider)
  await saved(page)

  // Move by dragging and by keys.
  const place = async () =>
    (
      await (await page.request.get(`/api${new URL(page.url()).pathname.replace('/shapes', '')}`)).json()
    ).document.parts.find((p: { key: string }) => p.key === 'head').at
  const at = await place()
  await drag(page, await middle(page, '[data-part=head]'), 30, -20)
  await page.keyboard.press('ArrowUp')
  await saved(page)
  const moved = await place()
  expect(moved.xMm).toBeGreaterThan(at.xMm + 1)
  expect(moved.yMm).toBeGreaterThan(at.yMm + 2)
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')

  // Place an eye at the face.
  await page.getByRole('link', { name: /Face/ }).click()
  const rows = page.getByRole('region', { name: 'Marks' }).locator('tbody tr')
  await expect(page.locator('[data-detail]').first()).toBeVisible()
  await expect(rows.first()).toBeVisible()
  const count = await rows.count()
  await page.getByRole('tab', { name: 'Add to the face' }).click()
  await page.getByRole('button', { name: 'Bead eyes' }).click()
  await expect(page.locator('[data-detail=bead-eyes-bead]').first()).toBeVisible()
  await page.getByRole('tab', { name: 'Marks' }).click()
  await expect(rows).toHaveCount(count + 1)
  const mark = page.locator('[data-mark=bead-eyes-bead]')
  const across = await mark.innerText()
  await drag(page, await middle(page, '[data-detail=bead-eyes-bead]'), 40, 10)
  await expect(mark).not.toHaveText(across)
  const set = await mark.innerText()
  await saved(page)

  // Tick a step by the space bar.
  await page.getByRole('link', { name: /Build/ }).click()
  const step = page.locator('main.present h1')
  const first = await step.innerText()
  await page.keyboard.press('Space')
  await expect(step).not.toHaveText(first)
  const second = await step.innerText()

  // Reload: all is there.
  await page.reload()
  await expect(step).toHaveText(second)
  await expect(page.getByRole('checkbox').first()).toBeChecked()
  await page.getByRole('link', { name: /Face/ }).click()
  await expect(mark).toHaveText(set)
  await page.getByRole('link', { name: /Shapes/ }).click()
  await page.getByLabel('Parts, by what they are joined to').getByRole('button', { name: /^Head/ }).click()
  await expect(grams).toHaveText(wider)
  await toTheShelf(page)
  await expect(page.getByRole('heading', { name: 'Watcher' })).toBeVisible()
})

test(
  'the finished height and the units change at every station, and everything follows',
  { tag: '@byTurns' },
  async ({ page }) => {
    const id = await idOf(page, 'Lanto')
    await page.goto(`/figures/${id}/build`)
    for (const station of ['Shapes', 'Face', 'Wool']) {
      await expect(page.getByLabel('Tall', { exact: true })).toBeVisible()
      await page.getByRole('link', { name: new RegExp(station) }).click()
    }
    const head = page.getByRole('row', { name: /Head/ })
    const before = parseFloat(await head.locator('td').nth(2).innerText())
    const height = page.getByLabel('Tall', { exact: true })
    await height.fill('280')
    await height.press('Enter')
    await expect(async () =>
      expect(parseFloat(await head.locator('td').nth(2).innerText())).toBeGreaterThan(7 * before),
    ).toPass()
    await page.getByRole('button', { name: /Units/ }).click()
    await expect(head).toContainText('oz')
    await expect(height).toHaveValue('11.02')
    await height.fill('5,5')
    await height.press('Enter')
    await expect(height).toHaveValue('5.5')
    await height.fill('tall')
    await height.press('Enter')
    await expect(page.getByText('A number, please')).toBeVisible()
    await expect(height).toHaveValue('tall')
    await page.getByRole('button', { name: /Units/ }).click()
    await saved(page)
  },
)

test('a shape is added, doubled, mirrored, coloured, joined and taken away', { tag: '@byTurns' }, async ({ page }) => {
  await page.goto(`/figures/${await idOf(page, 'Sorrel')}/shapes`)
  const parts = page.getByLabel('Parts, by what they are joined to').locator('button.part')
  await expect(page.locator('[data-part]').first()).toBeVisible()
  const count = await parts.count()
  await page.getByRole('button', { name: 'Add a shape' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'cone', exact: true }).click()
  await expect(parts).toHaveCount(count + 1)
  const panel = page.getByRole('complementary', { name: 'The selected part' })
  await expect(panel.getByLabel('Name')).toHaveValue('Cone')
  await panel.getByLabel('Name').fill('Horn')
  await panel.getByLabel('Name').press('Tab')
  await panel.getByLabel('A pair, mirrored').click()
  await expect(page.getByRole('button', { name: /^Horn.*x 2/ })).toBeVisible()
  await panel.getByRole('radio').nth(1).click()
  await panel.getByRole('combobox').filter({ hasText: /.*/ }).first().isVisible()
  await panel.getByLabel('Duplicate this part').click()
  await expect(parts).toHaveCount(count + 2)
  await panel.getByLabel('Delete this part').click()
  await expect(parts).toHaveCount(count + 1)
  await page.keyboard.press('Control+z')
  await expect(parts).toHaveCount(count + 2)
  await page.keyboard.press('Control+z')
  await expect(parts).toHaveCount(count + 1)
  await saved(page)
  const canvas = page.locator('.holder canvas')
  await expect(canvas).toBeVisible()
})

test('two windows: the stale one is told, and keeps or takes', { tag: '@byTurns' }, async ({ page, context }) => {
  const id = await idOf(page, 'Bobbin')
  const other = await context.newPage()
  await page.goto(`/figures/${id}/shapes`)
  await other.goto(`/figures/${id}/shapes`)
  // Both stand there as they were saved: a window that opens later takes up what the first has not saved yet.
  for (const p of [page, other]) await expect(p.getByLabel('Name')).toHaveValue(/Bobbin/)
  for (const [p, name] of [
    [page, 'Mine'],
    [other, 'Theirs'],
  ] as const) {
    await p.getByLabel('Name').fill(name)
    await p.getByLabel('Name').press('Tab')
    if (p === page) await saved(page)
  }
  const dialog = other.getByRole('dialog')
  await expect(dialog).toContainText('changed in another window')
  await dialog.getByRole('button', { name: 'Take the other' }).click()
  await expect(other.getByLabel('Name')).toHaveValue('Mine')
  await other.getByLabel('Undo').click()
  await expect(other.getByLabel('Name')).toHaveValue('Theirs')
  await saved(other)
  await page.getByLabel('Name').fill('Bobbin again')
  await page.getByLabel('Name').press('Tab')
  await page.getByRole('dialog').getByRole('button', { name: 'Keep mine' }).click()
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Name')).toHaveValue('Bobbin again')
})

test('what cannot be saved is kept in the browser and taken up again', { tag: '@byTurns' }, async ({ page }) => {
  const id = await idOf(page, 'Sorrel')
  await page.goto(`/figures/${id}/shapes`)
  await expect(page.getByLabel('Name')).toHaveValue(/Sorrel/)
  await page.route('**/api/figures/*', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  )
  await page.getByLabel('Name').fill('Sorrel, offline')
  await page.getByLabel('Name').press('Tab')
  await expect(page.getByText('Not saved, kept in this browser')).toBeVisible()
  await page.unroute('**/api/figures/*')
  await page.reload()
  await expect(page.getByLabel('Name')).toHaveValue('Sorrel, offline')
  await saved(page)
})

test('bad input is told in words', { tag: '@byTurns' }, async ({ page }) => {
  await page.goto('/')
  const file = page.locator('input[type=file]')
  await file.setInputFiles({ name: 'drawing.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') })
  await page.getByRole('dialog').getByRole('button', { name: 'See its shapes' }).click()
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('This is not a picture')
  await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).click()
  await file.setInputFiles({
    name: 'figure.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"impa-figure","version":1}'),
  })
  await expect(page.getByRole('alert')).toContainText('/name: This is missing.')
  await page.goto('/figures/9999/shapes')
  await page.getByRole('link', { name: 'Back to the shelf' }).click()
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible()
})

test('the bin takes, gives back and is emptied', { tag: '@byTurns' }, async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start with a ball' }).click()
  await page.waitForURL(/shapes/)
  await toTheShelf(page)
  await page.getByLabel('Throw New figure into the bin').click()
  await page.getByRole('button', { name: 'Bring back' }).click()
  await page.getByLabel('Throw New figure into the bin').click()
  // Gone from the shelf is in the bin: who looks sooner sees an old list.
  await expect(page.getByLabel('Throw New figure into the bin')).toHaveCount(0)
  await page.getByRole('link', { name: 'Bin', exact: true }).click()
  await page.getByRole('button', { name: 'Bring back' }).click()
  await expect(page.getByText('The bin is empty')).toBeVisible()
  await toTheShelf(page)
  await page.getByLabel('Throw New figure into the bin').click()
  // Gone from the shelf is in the bin: who looks sooner sees an old list.
  await expect(page.getByLabel('Throw New figure into the bin')).toHaveCount(0)
  await page.getByRole('link', { name: 'Bin', exact: true }).click()
  await page.getByRole('button', { name: 'Empty the bin' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Empty the bin' }).click()
  await expect(page.getByText('The bin is empty')).toBeVisible()
})

test('everything works by keys alone', { tag: '@byTurns' }, async ({ page }) => {
  const id = await idOf(page, 'Lanto')
  await page.goto(`/figures/${id}/shapes`)
  await expect(page.locator('[data-part]').first()).toBeVisible()
  for (const [key, station] of [
    ['3', 'wool'],
    ['4', 'face'],
    ['5', 'build'],
    ['2', 'shapes'],
  ] as const) {
    await page.keyboard.press(key)
    await page.waitForURL(new RegExp(`/${station}$`))
  }
  await page.locator('[data-part=head]').focus()
  await expect(page.getByRole('complementary', { name: 'The selected part' }).getByLabel('Name')).toHaveValue('Head')
  const turn = page.getByRole('textbox', { name: 'Turn' })
  await page.locator('[data-part=head]').press('[')
  await expect(turn).toHaveValue('5')
  await page.keyboard.press('Control+z')
  await expect(turn).toHaveValue('0')
  await page.keyboard.press('Escape')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toContainText('nudge what is selected')
  // A dialog that is still opening does not hear Escape yet: who is so quick presses it again.
  await expect(async () => {
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toBeHidden({ timeout: 2_000 })
  }).toPass()
  await page.keyboard.press('1')
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible()
})

test(
  'axe finds no serious fault on any main view by day or by lamp, and nothing scrolls sideways',
  { tag: '@byTurns' },
  async ({ page }) => {
    const id = await idOf(page, 'Lanto')
    for (const path of [
      '/',
      '/bin',
      '/house',
      ...['shapes', 'wool', 'face', 'build'].map((s) => `/figures/${id}/${s}`),
    ]) {
      await page.goto(path)
      if (path.endsWith('shapes'))
        await page.getByLabel('Parts, by what they are joined to').getByRole('button', { name: /^Head/ }).click()
      if (path.endsWith('face')) await page.getByRole('button', { name: /^Eye/ }).first().click()
      await expectNoSeriousFaultInAnyLight(page, path)
      const sideways = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
      expect(sideways, `${path} scrolls sideways`).toBeLessThanOrEqual(0)
    }
  },
)

test('a tablet beside the mat: Build and Face work by touch', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL, viewport: { width: 820, height: 1180 }, hasTouch: true })
  const page = await context.newPage()
  const id = await idOf(page, 'Lanto')
  await page.goto(`/figures/${id}/build`)
  const step = page.locator('main.present h1')
  const first = await step.innerText()
  await page.getByRole('button', { name: /Done, next/ }).tap()
  await expect(step).not.toHaveText(first)
  await page.goto(`/figures/${id}/face`)
  await page.locator('[data-detail=mouth]').first().tap()
  await expect(page.getByRole('region', { name: 'The selected detail' }).getByLabel('Name')).toHaveValue('Mouth')
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  await context.close()
})

test('who is here for the first time is shown what it does, and once round an example', async ({ page }) => {
  await page.goto('/')
  const told = page.getByRole('region', { name: 'What Impa does' })
  await expect(told).toContainText('Drop a drawing of your character')
  await told.getByRole('button', { name: 'Try it with an example' }).click()
  const bubble = page.getByRole('dialog', { name: 'A look around' })
  for (const [i, station] of ['shapes', 'shapes', 'wool', 'face', 'build', 'check'].entries()) {
    await expect(bubble).toContainText(`${i + 1} of 6`)
    await expect(page).toHaveURL(new RegExp(`/${station}$`))
    await expect(page.locator('.tour-ring')).toBeVisible()
    await bubble.getByRole('button').last().click()
  }
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible()
  await expect(bubble).toBeHidden()
  await expect(told).toBeHidden()
  // The example on the shelf served: there is no second one.
  await expect(page.getByText('Bobbin, night watch', { exact: true })).toHaveCount(1)
  await page.reload()
  await expect(page.getByText('Bobbin, night watch', { exact: true })).toBeVisible()
  await expect(told).toBeHidden()
})

test('an empty shelf shows what it does, and lays an example on it', async ({ page }) => {
  const { figures } = (await (await page.request.get('/api/figures')).json()) as { figures: { id: number }[] }
  await page.goto('/')
  const xsrf = (await page.context().cookies()).find((c) => c.name === 'XSRF-TOKEN')!.value
  const headers = { 'X-XSRF-TOKEN': decodeURIComponent(xsrf) }
  for (const { id } of figures) expect((await page.request.delete(`/api/figures/${id}`, { headers })).ok()).toBe(true)
  await page.reload()
  const told = page.getByRole('region', { name: 'What Impa does' })
  await expect(told.getByRole('button', { name: 'Hide this' })).toBeHidden()
  await told.getByRole('button', { name: 'Try it with an example' }).click()
  await expect(page.getByRole('dialog', { name: 'A look around' })).toBeVisible()
  await expect(page.locator('[data-part=head]')).toBeVisible()
  await page.getByRole('button', { name: 'Skip' }).click()
  await page.goto('/')
  await expect(page.getByText('Bobbin, night watch', { exact: true })).toBeVisible()
})
