import { expect, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'

/** Documents that were seen in a demo drawing, by its name and height: looked at once for all tests of a worker. */
const seen = new Map<string, Promise<unknown>>()

/** Sends as the page does: with its token. */
async function send(page: Page, path: string, data: unknown): Promise<{ id: number; document: unknown }> {
  const cookies = await page.context().cookies()
  const token = decodeURIComponent(cookies.find((c) => c.name === 'XSRF-TOKEN')?.value ?? '')
  const isFile = Buffer.isBuffer(data)
  const answer = await page.request.post(`/api/${path}`, {
    data,
    headers: {
      Accept: 'application/json',
      'X-XSRF-TOKEN': token,
      'Content-Type': isFile ? 'application/octet-stream' : 'application/json',
    },
  })
  expect(answer.ok(), `${path}: ${answer.status()}`).toBe(true)
  return (await answer.json()) as { id: number; document: unknown }
}

/** A demo drawing as a figure of its own at the Shapes station, without the way through the dialog. */
export async function lay(page: Page, drawing: string, heightMm: number): Promise<void> {
  await page.goto('/bin')
  const picture = (await send(page, 'pictures', readFileSync(`demo/${drawing}.png`))).id
  const key = `${drawing} ${heightMm}`
  if (!seen.has(key)) {
    const wishes = { picture, heightMm, name: drawing, file: `${drawing}.png` }
    seen.set(
      key,
      send(page, 'breakdown', wishes).then((b) => b.document),
    )
  }
  const { id } = await send(page, 'figures', { document: await seen.get(key), picture })
  await page.goto(`/figures/${id}/shapes`)
  await expect(page.locator('[data-part]').first()).toBeVisible()
}
