import { expect, test, type BrowserContext, type Page } from './test'
import jsQR from 'jsqr'
import { PNG } from 'pngjs'
import { asker, layDemo } from './lay'
import { launch } from './launch.mjs'

/** A tablet beside the mat: paired once, at the same step as the machine it is paired with, and at work without the network. */
// The tablet takes the certificate as if it had been told to trust it: a service worker wants that.
test.use({ launchOptions: { ...launch, args: [...launch.args, '--ignore-certificate-errors'] } })

const title = (page: Page) => page.locator('main.present h1')
const done = async (page: Page, id: number) =>
  ((await (await page.request.get(`/api/figures/${id}/steps`)).json()) as { done: string[] }).done

/** What a camera reads from the picture on the screen. */
async function readCode(page: Page): Promise<string> {
  const shot = PNG.sync.read(await page.getByAltText(/^The address and the code/).screenshot())
  return jsQR(new Uint8ClampedArray(shot.data), shot.width, shot.height)?.data ?? ''
}

async function paired(page: Page, context: BrowserContext): Promise<Page> {
  await page.goto('/house')
  await page.getByRole('button', { name: 'Pair a tablet' }).click()
  const address = await readCode(page)
  expect(address).toMatch(/^https:\/\/127\.0\.0\.1:\d+\/pair#code=/)
  const tablet = await context.newPage()
  await tablet.goto(address)
  await tablet.getByLabel('What this device is called').fill('Kitchen tablet')
  await tablet.getByRole('button', { name: 'Pair it' }).click()
  await expect(page.getByRole('list', { name: 'Paired' })).toContainText('Kitchen tablet')
  return tablet
}

test(
  'a tablet is paired by the picture, goes on at the same step, keeps its ticks without the network, hands them over once, and is sent away',
  { tag: '@byTurns' },
  async ({ page, browser }) => {
    const { id } = await layDemo(page, 'lanto', 'Beside the mat', 'build')
    await expect(title(page)).toHaveText('Set portions aside')
    await page.keyboard.press('Space')
    await expect(title(page)).not.toHaveText('Set portions aside')
    const second = await title(page).innerText()
    // Where she is, is told once she has been there for a moment.
    await expect
      .poll(async () => ((await (await page.request.get('/api/place')).json()) as { page: string }).page)
      .toBe(`/figures/${id}/build`)

    const context = await browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 820, height: 1180 } })
    const stranger = await browser.newContext({ ignoreHTTPSErrors: true })
    const tablet = await paired(page, context)
    // The picture took it to where the machine was.
    await expect(tablet).toHaveURL(new RegExp(`/figures/${id}/build`))
    await expect(title(tablet)).toHaveText(second)
    const share = new URL(tablet.url()).origin
    expect((await stranger.request.get(`${share}/api/figures`)).status()).toBe(401)

    await expect(tablet.getByText('Every step is kept on this device')).toBeVisible({ timeout: 120_000 })
    await expect
      .poll(() => tablet.evaluate(async () => Boolean((await navigator.serviceWorker.ready).active)))
      .toBe(true)
    // Once more under the worker, so that the page itself is kept.
    await tablet.reload()
    await expect(title(tablet)).toHaveText(second)
    await tablet.getByRole('button', { name: 'Begin' }).click()

    await context.setOffline(true)
    const before = await done(page, id)
    for (let step = 0; step < 3; step++) {
      const now = await title(tablet).innerText()
      await tablet.getByRole('button', { name: /^Done, next/ }).click()
      await expect(title(tablet)).not.toHaveText(now)
      await expect(tablet.locator('.drawing img')).toBeVisible()
    }
    await expect(tablet.getByText(/what you tick is kept here; \d+ things wait/)).toBeVisible()
    // Opened anew without the network it is where it was.
    const fifth = await title(tablet).innerText()
    await tablet.reload()
    await expect(title(tablet)).toHaveText(fifth)
    await expect(tablet.locator('.drawing img')).toBeVisible()
    await expect(tablet.locator('.steps input:checked')).toHaveCount(before.length + 3)
    expect(await done(page, id)).toEqual(before)
    // Meanwhile the machine ticks one of them as well.
    const same = await tablet.locator('.steps input:checked').count()
    await page.goto(`/figures/${id}/build`)
    await expect(title(page)).toHaveText(second)
    await page.keyboard.press('Space')
    await expect.poll(async () => (await done(page, id)).length).toBe(before.length + 1)

    await context.setOffline(false)
    await expect.poll(async () => (await done(page, id)).length, { timeout: 30_000 }).toBe(before.length + 3)
    await expect(tablet.getByText(/things? waits?/)).toHaveCount(0)
    expect(new Set(await done(page, id)).size).toBe(same)
    await expect(title(page)).toHaveText(fifth, { timeout: 30_000 })

    await page.goto('/house')
    await page.getByRole('button', { name: 'Disconnect' }).click()
    await expect(page.getByRole('list', { name: 'Paired' })).toHaveCount(0)
    expect((await context.request.get(`${share}/api/figures`)).status()).toBe(401)
    await context.close()
    await stranger.close()
  },
)

test('Face and Check go on at the same place on another device', { tag: '@byTurns' }, async ({ page, browser }) => {
  const { id } = await layDemo(page, 'lanto', 'Face on the tablet', 'face')
  const context = await browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 820, height: 1180 } })
  await page.getByRole('tab', { name: 'How to lay' }).click()
  await page.getByRole('button', { name: 'The next one' }).click()
  const laid = await page.locator('.guide h2').innerText()
  const place = async () => ((await (await page.request.get('/api/place')).json()) as { page: string }).page
  await expect.poll(place).toMatch(/tab=lay&lay=2/)
  const tablet = await paired(page, context)
  await expect(tablet.locator('.guide h2')).toHaveText(laid)
  await page.goto(`/figures/${id}/check`)
  await page.getByRole('tab', { name: 'Finish' }).click()
  await expect.poll(place).toMatch(/check\?tab=finish/)
  await tablet.goto('/')
  await tablet.getByRole('link', { name: 'Go on there' }).click()
  await expect(tablet.getByRole('tab', { name: 'Finish' })).toHaveAttribute('aria-selected', 'true')
  await (
    await asker(page.request)
  )(
    'DELETE',
    `devices/${((await (await page.request.get('/api/devices')).json()) as { devices: { id: number }[] }).devices[0]!.id}`,
  )
  await context.close()
})
