import { execFileSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from './test'
import { launch } from './launch.mjs'
import { asker, layDemo } from './lay'
import { expectNoSeriousFaultInAnyLight } from './seriousFaults'

/** What the browser's fake camera sees: the demo figure as hands made it, its head 3.5 mm too narrow, on the marker sheet. */
function film(): string {
  const folder = mkdtempSync(join(tmpdir(), 'impa-camera-'))
  const [made, photo, mjpeg] = ['made.json', 'photo.png', 'film.mjpeg'].map((name) => join(folder, name))
  const document = JSON.parse(execFileSync('cat', ['demo/sorrel.impa.json'], { encoding: 'utf8' }))
  document.parts.find((p: { key: string }) => p.key === 'head').shape.widthMm -= 3.5
  writeFileSync(made!, JSON.stringify(document))
  const camera = [
    'artisan',
    'impa:camera',
    'demo/sorrel.impa.json',
    `--deviate=${made}`,
    '--marker',
    '--seed=7',
    '--px=1200',
  ]
  execFileSync('php', [...camera, `--out=${photo}`])
  // Motion JPEG: one picture after the other.
  const toJpeg = '$i = imagecreatefrompng($argv[1]); imagejpeg($i, $argv[2], 94);'
  execFileSync('php', ['-r', toJpeg, '--', photo!, mjpeg!])
  return mjpeg!
}

test.use({
  permissions: ['camera'],
  launchOptions: {
    ...launch,
    args: [
      ...launch.args,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film()}`,
    ],
  },
})

test(
  "a photo by the device's camera tells what deviates, pinned on the photo, and is looked at in a mirror",
  { tag: '@byTurns' },
  async ({ page }) => {
    await layDemo(page, 'sorrel', 'Checked by photo', 'check')
    await expect(page.getByRole('heading', { name: 'No photo yet' })).toBeVisible()
    await page.getByRole('button', { name: "This device's camera" }).click()
    await expect
      .poll(() => page.locator('video').evaluate((v: HTMLVideoElement) => v.videoWidth), { timeout: 30_000 })
      .toBeGreaterThan(0)
    await page.getByRole('button', { name: 'Take the photo' }).click()
    const found = page.getByRole('list', { name: 'What deviates' })
    await expect(found.getByText(/Head [34]\.\d mm too narrow\./)).toBeVisible()
    await expect(page.getByText('measured by the marker sheet')).toBeVisible()
    await found.getByRole('button').first().click()
    await expect(page.locator('.pin.lit')).toHaveCount(1)
    await page.keyboard.press('f')
    await expect(page.getByRole('button', { name: 'Mirror' })).toHaveAttribute('aria-pressed', 'true')
    await expectNoSeriousFaultInAnyLight(page, 'photo check')
    await page.reload()
    await expect(found.getByText(/too narrow/)).toBeVisible()
  },
)

test(
  'the stand-in for a camera photographs the figure as hands would have made it',
  { tag: '@byTurns' },
  async ({ page }) => {
    await layDemo(page, 'bobbin', 'Checked by stand-in', 'check')
    await page.getByRole('button', { name: 'Take a sample photo' }).click()
    await expect(page.getByRole('heading', { name: /^No visible difference|things? to look at\.$/ })).toBeVisible({
      timeout: 60_000,
    })
    await expect(page.getByText(/% of it lies over the plan/)).toBeVisible()
    await page.getByText('What this photo does not tell').click()
    await expect(page.getByText('How deep it is: take a photo from the side.')).toBeVisible()
  },
)

test(
  'a finished part is held against its card, asked about a slipped digit, followed by the plan, and the hand learns',
  { tag: '@byTurns' },
  async ({ page }) => {
    const { id } = await layDemo(page, 'lanto', 'Measured', 'check')
    const field = (name: string) => page.getByRole('textbox', { name, exact: true })
    await page.getByRole('tab', { name: 'Parts' }).click()
    await page.getByRole('button', { name: 'Measure', exact: true }).first().click()
    for (const [name, value] of Object.entries({ Width: '5.2', Height: '50', Depth: '50', Finished: '9.9' }))
      await field(name).fill(value)
    await page.getByRole('button', { name: 'Hold it against its card' }).click()
    await expect(page.getByText(/5\.2 mm wide, where .* was planned: is that right\?/)).toBeVisible()
    await field('Width').fill('52')
    await page.getByRole('button', { name: 'Hold it against its card' }).click()
    await expect(page.getByRole('status').getByText(/mm too|size that was planned/)).toBeVisible()
    await page.getByRole('button', { name: 'Change the plan to this size' }).click()
    await expect(page.getByText(/planned\s+52 × /)).toBeVisible()
    await page.getByRole('link', { name: 'My hand' }).click()
    const record = page.getByRole('button', { name: /Measured, .*of the house's number/ }).first()
    await expect(record).toBeVisible()
    await record.click()
    await expectNoSeriousFaultInAnyLight(page, 'my hand')
    await page.getByRole('button', { name: 'Remove it for good' }).click()
    await expect(record).toHaveCount(0)
    // Nothing of it is left for the other tests.
    const ask = await asker(page.request)
    expect((await (await ask('GET', `figures/${id}/parts`)).json()) as object).toEqual({ parts: [] })
  },
)
