import { expect, type APIRequestContext, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'

/** Asks as a page does: with its token. No page needs to be open. */
export async function asker(
  request: APIRequestContext,
): Promise<(method: string, path: string, data?: unknown) => ReturnType<APIRequestContext['fetch']>> {
  await request.get('/api/figures')
  const { cookies } = await request.storageState()
  const token = decodeURIComponent(cookies.find((c) => c.name === 'XSRF-TOKEN')?.value ?? '')
  return (method, path, data) =>
    request.fetch(`/api/${path}`, { method, data, headers: { Accept: 'application/json', 'X-XSRF-TOKEN': token } })
}

async function post<T>(request: APIRequestContext, path: string, data: unknown): Promise<T> {
  const answer = await (await asker(request))('POST', path, data)
  expect(answer.ok(), `${path}: ${answer.status()}`).toBe(true)
  return (await answer.json()) as T
}

/** A demo figure under a name of its own, so that tests do not stand in each other's way, changed or not, opened at a station. */
export async function layDemo<T extends object>(
  page: Page,
  demo: string,
  name: string,
  station: string,
  change: (document: T) => void = () => {},
): Promise<{ id: number; document: T }> {
  const document = { ...(JSON.parse(readFileSync(`demo/${demo}.impa.json`, 'utf8')) as T), name }
  change(document)
  const { id } = await post<{ id: number }>(page.request, 'figures', { document })
  await page.goto(`/figures/${id}/${station}`)
  return { id, document }
}

/** Documents that were seen in a demo drawing, by its name and height: looked at once for all tests of a worker. */
const seen = new Map<string, Promise<unknown>>()

/** A demo drawing as a figure of its own at the Shapes station, without the way through the dialog. */
export async function lay(page: Page, drawing: string, heightMm: number): Promise<void> {
  const { request } = page
  const { id: picture } = await post<{ id: number }>(request, 'pictures', readFileSync(`demo/${drawing}.png`))
  const key = `${drawing} ${heightMm}`
  if (!seen.has(key)) {
    const wishes = { picture, heightMm, name: drawing, file: `${drawing}.png` }
    seen.set(
      key,
      post<{ document: unknown }>(request, 'breakdown', wishes).then((b) => b.document),
    )
  }
  const { id } = await post<{ id: number }>(request, 'figures', { document: await seen.get(key), picture })
  await page.goto(`/figures/${id}/shapes`)
  await expect(page.locator('[data-part]').first()).toBeVisible()
}
