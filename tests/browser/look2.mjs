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
await page.goto(`${base}/figures/${id('Wick')}/shapes`)
await settle()
await page.getByRole('button', { name: 'Things it has with it' }).click()
await settle()
await page.screenshot({ path: '/tmp/m1.png' })
const d = page.getByRole('dialog', { name: 'Things it has with it' })
await d.getByLabel('From the shelf').locator('xpath=ancestor::*[contains(@class,"v-select")]').first().click()
await page.getByRole('option', { name: /Lanto/ }).click()
await d.getByLabel('Part').locator('xpath=ancestor::*[contains(@class,"v-select")]').first().click()
await page.getByRole('option', { name: 'Arm' }).last().click()
await d.getByRole('button', { name: 'Bring it in' }).click()
await settle()
await page.screenshot({ path: '/tmp/m2.png' })
await d.getByRole('button', { name: 'Close' }).click()
await settle()
await page.screenshot({ path: '/tmp/m3.png' })
await browser.close()
