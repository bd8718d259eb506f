// One picture of each main view from the demo, as docs/screenshots/*.png. Run against a served demo:
//   node tests/browser/pictures.mjs http://127.0.0.1:8765 [folder] [names...]
import { chromium } from '@playwright/test'
import { launch } from './launch.mjs'

const [base = 'http://127.0.0.1:8765', folder = 'docs/screenshots', ...only] = process.argv.slice(2)
const browser = await chromium.launch(launch)
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
page.on(
  'console',
  (m) =>
    ['error', 'warning'].includes(m.type()) &&
    !m.text().includes('GPU stall') &&
    console.log(m.type(), m.text().slice(0, 300)),
)
page.on('pageerror', (e) => console.log('pageerror', e.message))

const { figures } = await (await page.request.get(`${base}/api/figures`)).json()
const id = (name) => figures.find((f) => f.name.startsWith(name)).id
const settle = async () => {
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(500)
}
const views = {
  shelf: async () => page.goto(`${base}/`),
  shapes: async () => {
    await page.goto(`${base}/figures/${id('Bobbin')}/shapes`)
    await page.locator('[data-part=head]').first().click()
  },
  'shapes-review': async () => {
    await page.goto(`${base}/figures/${id('Sorrel')}/shapes`)
    await page.getByRole('button', { name: /^Review/ }).click()
  },
  layers: async () => {
    await page.goto(`${base}/figures/${id('Dusk')}/shapes`)
    await page.getByRole('group', { name: 'The layers, pulled apart' }).waitFor()
  },
  'shapes-round': async () => {
    await page.goto(`${base}/figures/${id('Sorrel')}/shapes`)
    await page.getByLabel('Show the 3D view large').click()
    await page.getByLabel('Pulled apart').fill('0.4')
    await page.getByLabel('grid of 10 mm').check()
  },
  wool: async () => page.goto(`${base}/figures/${id('Sorrel')}/wool`),
  'wool-mix': async () => {
    await page.goto(`${base}/figures/${id('Lanto')}/wool`)
    await page.getByRole('tab', { name: 'Colours' }).click()
    await page.locator('.colours li').nth(2).getByRole('button', { name: 'Mix it' }).click()
    await page.locator('.card').nth(2).waitFor()
  },
  'wool-portions': async () => {
    await page.goto(`${base}/figures/${id('Lanto')}/wool`)
    await page.getByRole('tab', { name: 'Portions' }).click()
  },
  // Of a demo that is shared (bin/demo --share=127.0.0.1).
  house: async () => {
    await page.goto(`${base}/house`)
    await page.getByRole('button', { name: 'Pair a tablet' }).click()
    await page.getByAltText(/^The address and the code/).waitFor()
  },
  stash: async () => {
    await page.goto(`${base}/stash`)
    await page.getByRole('button', { name: /^Heather dusk/ }).click()
    await page.getByRole('button', { name: 'Use a practice scale' }).click()
    await page.getByLabel('On the practice scale').fill('13.4')
    await page.waitForTimeout(3000)
    await page.getByText('at rest').waitFor()
  },
  face: async () => {
    await page.goto(`${base}/figures/${id('Bobbin')}/face`)
    await page.locator('[data-detail=cheek]').first().click()
  },
  'face-lay': async () => {
    await page.goto(`${base}/figures/${id('Bobbin')}/face`)
    await page.getByRole('tab', { name: 'How to lay' }).click()
    await page.locator('.guide').waitFor()
  },
  'face-afar': async () => {
    await page.goto(`${base}/figures/${id('Bobbin')}/face`)
    await page.getByRole('tab', { name: 'From afar' }).click()
    await page.locator('.afar img').nth(2).waitFor()
  },
  build: async () => {
    await page.goto(`${base}/figures/${id('Wick')}/build`)
    await page.getByRole('button', { name: /^Join scarf to body/ }).click()
    await page.locator('.drawing img').waitFor()
  },
  'build-evenings': async () => {
    await page.goto(`${base}/figures/${id('Wick')}/build`)
    await page.getByRole('button', { name: 'Evenings' }).click()
    await page.locator('.sittings li').first().waitFor()
  },
  'build-tablet': async () => {
    await page.setViewportSize({ width: 820, height: 1180 })
    await page.goto(`${base}/figures/${id('Lanto')}/build`)
  },
  check: async () => {
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.goto(`${base}/figures/${id('Sorrel')}/check`)
    await page.getByRole('button', { name: 'Take a sample photo' }).click()
    await page.locator('.pin').first().waitFor()
  },
  hand: async () => {
    await page.goto(`${base}/hand`)
    await page.locator('circle').first().click()
  },
  set: async () => {
    await page.goto(`${base}/`)
    await page.getByRole('link', { name: /^The night choir/ }).click()
    await page.locator('.row-of img').nth(6).waitFor()
  },
}
for (const [name, show] of Object.entries(views)) {
  if (only.length && !only.includes(name)) continue
  await show()
  await settle()
  await page.screenshot({ path: `${folder}/${name}.png` })
  // What was put on for a picture is taken off again.
  for (const undo = page.getByRole('button', { name: 'Undo' }); (await undo.count()) && (await undo.isEnabled());)
    await undo.click()
  await settle()
}
await browser.close()
