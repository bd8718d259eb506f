import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { readFileSync } from 'node:fs'

test.setTimeout(60_000)

test('a face is read out in the order of laying, measured, seen from afar, and mended where it does not read', async ({ page }) => {
  await page.goto('/')
  const document = JSON.parse(readFileSync('demo/bobbin.impa.json', 'utf8')) as { name: string; colours: { key: string; hex: string; name: string }[]; parts: { key: string; colour: string }[]; details: { key: string; on: string; colour: string; layer: number; mirror?: boolean }[] }
  document.name = 'Face walk'
  const token = decodeURIComponent((await page.context().cookies()).find((c) => c.name === 'XSRF-TOKEN')!.value)
  const { id } = (await (await page.request.post('/api/figures', { data: { document }, headers: { 'X-XSRF-TOKEN': token, Accept: 'application/json' } })).json()) as { id: number }
  await page.goto(`/figures/${id}/face`)

  // Read out, one at a time; what is read is chosen on the head.
  await page.getByRole('tab', { name: 'How to lay' }).click()
  const guide = page.locator('.guide')
  await expect(guide).toContainText('mm down')
  await expect(guide).toContainText('Tack it at the top')
  const first = await guide.locator('h2').innerText()
  await guide.getByRole('button', { name: 'The next one' }).click()
  await expect(guide.locator('h2')).not.toHaveText(first)
  await expect(page.getByRole('region', { name: 'The selected detail' }).getByLabel('Name')).toHaveValue((await guide.locator('h2').innerText()).replace(/\s*x 2$/, '').trim())

  // Seen from three distances, as pictures that PHP made.
  await page.getByRole('tab', { name: 'From afar' }).click()
  await expect(page.locator('.afar img')).toHaveCount(3)
  await expect.poll(() => page.locator('.afar img').evaluateAll((all) => all.every((i) => (i as HTMLImageElement).naturalWidth === 320))).toBe(true)

  // From eye to eye.
  await page.getByRole('tab', { name: 'Marks' }).click()
  const measure = page.getByRole('group', { name: 'From mark to mark' })
  await measure.locator('.v-select').nth(0).click()
  await page.getByRole('option', { name: /, right$/ }).first().click()
  await measure.locator('.v-select').nth(1).click()
  await page.getByRole('option', { name: /, left$/ }).first().click()
  await expect(measure.getByRole('status')).toContainText(/mm by calipers, [\d.]+ by tape/)

  // A new spot of the head's own colour is lost; a mend is taken, and it reads; undo goes back.
  await page.getByRole('button', { name: 'Spot', exact: true }).click()
  const panel = page.getByRole('region', { name: 'The selected detail' })
  await panel.getByRole('radio', { name: document.colours.find((c) => c.key === document.parts.find((p) => p.key === 'head')!.colour)!.name, exact: true }).click()
  await expect(panel.getByRole('note')).toContainText('20 is crisp')
  await panel.getByRole('note').getByRole('button', { name: /^Felt it in/ }).click()
  await expect(panel.getByRole('note')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(panel.getByRole('note')).toContainText('20 is crisp')

  for (const tab of ['Marks', 'How to lay', 'From afar']) {
    await page.getByRole('tab', { name: tab }).click()
    await page.waitForLoadState('networkidle')
    const { violations } = await new AxeBuilder({ page }).analyze()
    expect(violations.filter((v) => ['serious', 'critical'].includes(v.impact ?? '')).map((v) => `${tab}: ${v.id} ${v.nodes[0]?.html}`)).toEqual([])
  }
})
