import { readFileSync } from 'node:fs'
import { expect, test, type Page } from './test'
import { asker, layDemo } from './lay'

/** The work on a figure: from the first step to the last look, on one device and on two. */
const title = (page: Page) => page.locator('main.present h1')
const doneCount = (page: Page) => page.locator('.steps input:checked').count()
const minutesOf = async (page: Page, id: number) =>
  ((await (await page.request.get(`/api/figures/${id}/log`)).json()) as { minutes: number }).minutes

// The clock runs ahead here: what Impa learned of this hand is no other test's.
test.afterEach(async ({ page }) => {
  await (
    await asker(page.request)
  )('POST', 'hand/over', { back: false })
})

test(
  'a figure is built through with the clock sped up, its school switched halfway, and the diary tells it',
  { tag: '@byTurns' },
  async ({ page }) => {
    // The page's clock runs ahead: it begins early enough that it never comes to tomorrow.
    await page.clock.install({ time: Date.now() - 6 * 3_600_000 })
    const { id } = await layDemo(page, 'lanto', 'Built through', 'build')
    await expect(title(page)).toHaveText('Set portions aside')
    const all = await page.locator('.steps li').count()
    await page.getByRole('button', { name: 'Begin' }).click()
    for (let done = 0; done < all; done++) {
      if (done === Math.floor(all / 2)) {
        await page.getByRole('combobox', { name: 'Face or limbs first' }).click({ force: true })
        await page.getByRole('option', { name: 'limbs first' }).click()
        await expect(page.getByText(/^Limbs first: .*steps changed places/)).toBeVisible()
        expect(await doneCount(page)).toBe(done)
        // The hands go back to the work: the field has the keys no more.
        await title(page).click()
      }
      await page.clock.runFor(30_000)
      const before = await title(page).innerText()
      await page.keyboard.press('Space')
      await expect(title(page)).not.toHaveText(before)
      expect(await doneCount(page)).toBe(done + 1)
    }
    await expect(title(page)).toHaveText('It is finished')
    await page.getByRole('button', { name: 'What it took' }).click()
    const diary = page.getByRole('dialog', { name: 'Diary' })
    await expect(diary.getByText(/so far, shorter than planned/)).toBeVisible()
    const short = async () => {
      const log = (await (await page.request.get(`/api/figures/${id}/log`)).json()) as {
        steps: { key: string; done: number }[]
      }
      return log.steps.filter((s) => s.done < 0.3).map((s) => s.key)
    }
    await expect.poll(short).toEqual([])
    await expect(diary.getByRole('row')).toHaveCount(all)
    expect(await minutesOf(page, id)).toBeGreaterThan(all * 0.4)
    expect(await minutesOf(page, id)).toBeLessThan(all * 0.6)
  },
)

test(
  'two devices at one figure: each goes on where the other is, no step and no minute counts twice',
  { tag: '@byTurns' },
  async ({ browser, page, baseURL }) => {
    const { id } = await layDemo(page, 'bobbin', 'On two devices', 'build')
    const context = await browser.newContext({ baseURL, viewport: { width: 820, height: 1180 }, hasTouch: true })
    const tablet = await context.newPage()
    await tablet.goto(`/figures/${id}/build`)
    await expect(title(tablet)).toHaveText('Set portions aside')
    const begun = Date.now()
    await page.getByRole('button', { name: 'Begin' }).click()
    await tablet.getByRole('button', { name: 'Begin' }).tap()
    await page.waitForTimeout(3000)
    // Both finish the same step at the same moment.
    await Promise.all([page.keyboard.press('Space'), tablet.getByRole('button', { name: /Done, next/ }).tap()])
    for (const device of [page, tablet]) await expect(title(device)).toHaveText('Core: Head')
    // One looks ahead, and the other shows it.
    await page.getByRole('button', { name: /^Cover: Head/ }).click()
    await expect(title(tablet)).toHaveText('Cover: Head')
    for (const device of [page, tablet]) await device.getByRole('button', { name: 'Pause' }).click()
    await expect.poll(() => minutesOf(page, id)).toBeGreaterThan(3 / 60)
    expect(await minutesOf(page, id)).toBeLessThanOrEqual((Date.now() - begun) / 60_000)
    expect(await doneCount(page)).toBe(1)
    expect(await tablet.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
    await context.close()
  },
)

test(
  'a step says why it comes where it does, and cannot be pulled before what it needs',
  { tag: '@byTurns' },
  async ({ page }) => {
    await layDemo(page, 'wick', 'In order', 'build')
    // By its title alone: the minutes below it are the hand's, which another test may just have taught something.
    const keys = async () =>
      (await page.locator('.steps li button.plain').allInnerTexts()).map((title) => title.split('\n')[0])
    await expect.poll(async () => (await keys()).length).toBeGreaterThan(30)
    const order = await keys()
    await page.getByRole('button', { name: /^Hide the seam of lamp/ }).click()
    await expect(page.getByText('What is held goes onto the arm before that goes on.')).toBeVisible()
    const why = 'Before the scarf: it would be in the way of the seam of the head.'
    await page.getByRole('button', { name: /^Join scarf to body/ }).click()
    await expect(page.getByText(why)).toBeVisible()
    // It goes forward as far as it can, and then says why no farther.
    await expect(async () => {
      await page.getByRole('button', { name: 'Pull forward' }).click()
      await expect(page.getByText(why).nth(1)).toBeVisible({ timeout: 500 })
    }).toPass()
    await expect(page.getByRole('alert').filter({ hasText: why })).toContainText(
      'must be done before "Join scarf to body"',
    )
    // What is free to move moves, and all goes back again, also where that is pressed before the move has come.
    await page.getByRole('button', { name: /^Felt: Hat brim/ }).click()
    await page.getByRole('button', { name: 'Put off' }).click()
    await expect.poll(keys).not.toEqual(order)
    await page.getByRole('button', { name: "Back to Impa's order" }).click()
    await expect.poll(keys).toEqual(order)
  },
)

test(
  'the work is laid into evenings, and goes into a calendar and onto paper',
  { tag: '@byTurns' },
  async ({ page }) => {
    await layDemo(page, 'wick', 'In the evenings', 'build')
    await page.getByRole('button', { name: 'Evenings' }).click()
    const evenings = page.getByRole('dialog', { name: 'Evenings' })
    await expect(evenings.locator('.sittings li')).not.toHaveCount(0)
    const length = evenings.getByLabel('A sitting')
    await length.fill('3')
    await expect(evenings.getByText(/too short: give at least/)).toBeVisible()
    await length.fill('45')
    await expect(evenings.locator('.sittings li').nth(3)).toBeVisible()
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      evenings.getByRole('button', { name: 'Into the calendar' }).click(),
    ])
    expect(readFileSync((await file.path())!, 'utf8')).toContain('BEGIN:VEVENT')
    await evenings.getByRole('button', { name: /^Join lamp to arm/ }).click()
    await expect(title(page)).toHaveText('Join lamp to arm')
    await page.getByRole('button', { name: 'On paper' }).click()
    const [paper] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'As PDF' }).click(),
    ])
    expect(
      readFileSync((await paper.path())!)
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-')
  },
)

test(
  'a weight from the stand-in for a scale stands beside what was wanted, and a broken needle is not forgotten',
  { tag: '@byTurns' },
  async ({ page }) => {
    await layDemo(page, 'lanto', 'Weighed in', 'build')
    await page.getByRole('button', { name: 'Weigh in' }).click()
    await page.getByRole('button', { name: 'Use a practice scale' }).click()
    await page.getByLabel('On the practice scale').fill('0.9')
    await page.getByRole('button', { name: /^Take 0\.9|^Take 0,9/ }).click()
    await expect(page.getByText(/on the pan 0\.\d+ g/)).toBeVisible()
    await page.getByRole('button', { name: /^Core: Head/ }).click()
    await page.getByRole('button', { name: 'Needle broke' }).click()
    await page.getByRole('button', { name: 'Not found yet' }).click()
    await expect(page.getByRole('group', { name: 'Log' })).toContainText('not safe yet')
    await page.getByRole('button', { name: 'Diary' }).click()
    const diary = page.getByRole('dialog', { name: 'Diary' })
    await expect(diary.getByText(/it is not safe yet/)).toBeVisible()
    await expect(diary.getByText(/Weighed: 0\.\d+ g/)).toBeVisible()
    await diary.getByRole('button', { name: 'Tip found' }).click()
    await expect(diary.getByText(/it is not safe yet/)).toBeHidden()
  },
)

test('wires are drawn on the figure, dragged, and cut from what is at hand', { tag: '@byTurns' }, async ({ page }) => {
  await layDemo(page, 'lanto', 'With wires', 'shapes')
  await page.getByRole('button', { name: 'Wires' }).click()
  const wires = page.getByRole('dialog', { name: 'Wires' })
  await expect(wires.getByText('No limb of this figure needs a wire.')).toBeVisible()
  await wires.getByLabel('For every long limb, to be posed').check()
  await wires.getByLabel('Lengths at hand').fill('50')
  await expect(wires.getByText(/the longest you have is 50 mm/)).toBeVisible()
  await wires.getByLabel('Lengths at hand').fill('50, 120')
  await wires.getByRole('button', { name: 'Draw them on the figure' }).click()
  const cut = wires.locator('section p').first()
  await expect(cut).toBeVisible()
  const before = await cut.innerText()
  await wires.getByRole('button', { name: 'Close' }).click()
  const point = await page.locator('[data-wire=wire-arm]').first().boundingBox()
  await page.mouse.move(point!.x + point!.width / 2, point!.y + point!.height / 2)
  await page.mouse.down()
  await page.mouse.move(point!.x + 30, point!.y + 50, { steps: 4 })
  await page.mouse.up()
  await page.getByRole('button', { name: 'Wires' }).click()
  await expect(cut).not.toHaveText(before)
  await page.keyboard.press('Escape')
})

test('a top-heavy figure is cured by one press, and the press is taken back', { tag: '@byTurns' }, async ({ page }) => {
  await layDemo(page, 'lanto', 'Top-heavy', 'shapes')
  await page.getByRole('button', { name: 'How it stands' }).click()
  const stands = page.getByRole('dialog', { name: 'How it stands' })
  await expect(stands.getByText(/^It is touchy/)).toBeVisible()
  await stands
    .getByRole('button', { name: /^Try it/ })
    .first()
    .click()
  await expect(stands.getByText(/^It stands firmly/)).toBeVisible()
  await expect(stands.locator('.before')).toBeVisible()
  await stands.getByRole('button', { name: 'As it was' }).click()
  await expect(stands.getByText(/^It is touchy/)).toBeVisible()
})
