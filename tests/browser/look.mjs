import { chromium } from '@playwright/test'
import { launch } from './launch.mjs'
const base = 'http://127.0.0.1:8770'
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
const id = (n) => figures.find((f) => f.name.startsWith(n)).id
const settle = async () => {
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(600)
}
const what = process.argv.slice(2)
if (what.includes('layers')) {
  await page.goto(`${base}/figures/${id('Dusk')}/shapes`)
  await settle()
  await page.screenshot({ path: '/tmp/l1.png' })
  await page.getByRole('tab', { name: 'On the sheets' }).click()
  await settle()
  await page.screenshot({ path: '/tmp/l2.png' })
}
if (what.includes('sew')) {
  await page.goto(`${base}/figures/${id('Wick')}/shapes`)
  await settle()
  await page.locator('[data-part=crown]').first().click()
  await page.getByRole('button', { name: 'Cut and sew it' }).click()
  await settle()
  await page.screenshot({ path: '/tmp/l3.png' })
}
if (what.includes('shelf')) {
  await page.goto(`${base}/`)
  await settle()
  await page.screenshot({ path: '/tmp/l4.png' })
}
if (what.includes('build')) {
  await page.goto(`${base}/figures/${id('Dusk')}/build`)
  await settle()
  await page.screenshot({ path: '/tmp/l5.png' })
}
if (what.includes('wool')) {
  await page.goto(`${base}/figures/${id('Dusk')}/wool`)
  await settle()
  await page.screenshot({ path: '/tmp/l6.png' })
}
if (what.includes('face')) {
  await page.goto(`${base}/figures/${id('Dusk')}/face`)
  await settle()
  await page.screenshot({ path: '/tmp/l7.png' })
}
if (what.includes('acc')) {
  await page.goto(`${base}/figures/${id('Wick')}/shapes`)
  await settle()
  await page.screenshot({ path: '/tmp/l8.png' })
}
await browser.close()
