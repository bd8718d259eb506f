import { chromium } from '@playwright/test'
import { launch } from './launch.mjs'
const browser = await chromium.launch(launch)
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
page.on('pageerror', (e) => console.log('pageerror', e.message))
const base = 'http://127.0.0.1:8770'
const { figures } = await (await page.request.get(`${base}/api/figures`)).json()
const id = figures.find((f) => f.name.startsWith('Sorrel')).id
await page.goto(`${base}/hand`)
for (const [what, g, w] of [['Springy ball', 3.5, 34], ['Soft ball', 2.5, 34], ['Firm ball', 4.2, 34.4], ['Old head', 9.6, 46], ['Slip', 35, 34]])
  await page.evaluate(async (data) => { const t = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? ''); await fetch('/api/hand', { method: 'POST', headers: { 'content-type': 'application/json', accept: 'application/json', 'X-XSRF-TOKEN': t }, body: JSON.stringify(data) }) }, { uuid: crypto.randomUUID(), kind: 'ball', firmness: what.startsWith('Soft') ? 'soft' : what.startsWith('Firm') ? 'firm' : 'springy', widthMm: w, heightMm: w, depthMm: w, grams: g, what, weighedG: g * 1.1, minutes: 12, sure: true })
await page.goto(`${base}/hand`)
await page.waitForTimeout(1500)
await page.screenshot({ path: '/tmp/h0.png' }); console.log(await page.locator('circle').count()); await page.locator('circle').nth(1).click()
await page.waitForTimeout(500)
await page.screenshot({ path: '/tmp/h1.png' })
await page.goto(`${base}/figures/${id}/check`)
await page.waitForTimeout(1000)
await page.getByRole('button', { name: 'Measure', exact: true }).first().click()
for (const [l, v] of [['Width', '50'], ['Height', '48'], ['Depth', '49'], ['Finished', '8']]) await page.getByRole('textbox', { name: l, exact: true }).fill(v)
await page.getByRole('button', { name: 'Hold it against its card' }).click()
await page.waitForTimeout(1200)
await page.screenshot({ path: '/tmp/h2.png' })
await browser.close()
