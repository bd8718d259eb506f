import { expect, test } from './test'
import { readFileSync } from 'node:fs'
import { layDemo } from './lay'

/** Back up and restore, and files for other programs, as a felter does it. */
test('everything is taken out as one file, and taken in again after a look at what is otherwise', async ({ page }) => {
  const name = 'Out and in'
  const { id, document } = await layDemo<{ name: string }>(page, 'dusk', name, 'check')
  await page.goto('/house')
  const pane = page.getByRole('region', { name: 'Back up and restore' })
  const taken = page.waitForEvent('download')
  await pane.getByRole('link', { name: 'Download everything' }).click()
  const path = await (await taken).path()
  expect(readFileSync(path).subarray(0, 2).toString()).toBe('PK')

  // Meanwhile it is changed here: the archive's is otherwise, and taken instead.
  const { cookies } = await page.context().storageState()
  const token = decodeURIComponent(cookies.find((c) => c.name === 'XSRF-TOKEN')?.value ?? '')
  const changed = await page.request.put(`/api/figures/${id}`, {
    data: { document: { ...document, name: 'Changed here' }, revision: 1 },
    headers: { 'X-XSRF-TOKEN': token },
  })
  expect(changed.ok()).toBe(true)
  await pane
    .getByLabel('An archive of Impa')
    .setInputFiles({ name: 'impa.zip', mimeType: 'application/zip', buffer: readFileSync(path) })
  await expect(pane.getByText(/figures? new, \d+ the same/)).toBeVisible()
  const row = pane.getByRole('listitem').filter({ hasText: name })
  await row.locator('.v-select').click()
  await page.getByRole('option', { name: /take the archive/ }).click()
  await pane.getByRole('button', { name: 'Take it in', exact: true }).click()
  await expect(pane.getByText(/^1 figure taken in/)).toBeVisible()
  const back = (await (await page.request.get(`/api/figures/${id}`)).json()) as { document: { name: string } }
  expect(back.document.name).toBe(name)

  await pane
    .getByLabel('An archive of Impa')
    .setInputFiles({ name: 'cut.zip', mimeType: 'application/zip', buffer: readFileSync(path).subarray(0, 5000) })
  await expect(pane.getByRole('alert')).toContainText('cut off')
})

test('a figure goes to other programs as a model and as outlines', { tag: '@byTurns' }, async ({ page }) => {
  await layDemo(page, 'lanto', 'For others', 'check?tab=finish')
  await page.getByRole('button', { name: 'Files for other programs' }).click()
  for (const [what, begins] of [
    ['Model in the round', 'glTF'],
    ['Outlines from the front', '<svg'],
  ] as const) {
    const taken = page.waitForEvent('download')
    await page.getByRole('button', { name: `Take ${what}` }).click()
    expect(
      readFileSync(await (await taken).path())
        .subarray(0, 4)
        .toString(),
    ).toBe(begins)
  }
})
