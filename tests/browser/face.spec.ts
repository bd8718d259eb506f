import { expect, test, type Page } from './test'
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { choose } from './choose'
import { layDemo } from './lay'
import { expectNoSeriousFault } from './seriousFaults'

type Document = {
  name: string
  colours: { key: string; hex: string; name: string }[]
  parts: { key: string; colour: string; shape: { heightMm: number } }[]
  details: { key: string; on: string; kind: string; colour: string; layer: number; mirror?: boolean; xMm?: number }[]
}

async function newFace(page: Page, name: string): Promise<{ id: number; document: Document }> {
  const laid = await layDemo<Document>(page, 'bobbin', name, 'face')
  await expect(page.locator('[data-detail]').first()).toBeVisible()
  return laid
}

test(
  'a face is read out in the order of laying, measured, and seen from afar',
  { tag: '@byTurns' },
  async ({ page }) => {
    await newFace(page, 'Face read out')

    // Read out, one at a time; what is read is chosen on the head, and shown as the needle sees it.
    await page.getByRole('tab', { name: 'How to lay' }).click()
    const guide = page.locator('.guide')
    await expect(guide).toContainText('mm down')
    await expect(guide).toContainText('Tack it at the top')
    await expect(guide.getByRole('img', { name: /^Straight down on it/ })).toBeVisible()
    const first = await guide.locator('h2').innerText()
    await guide.getByRole('button', { name: 'The next one' }).click()
    await expect(guide.locator('h2')).not.toHaveText(first)
    const second = (await guide.locator('h2').innerText()).replace(/\s*x 2$/, '').trim()
    await page.getByRole('tab', { name: 'Marks' }).click()
    const panel = page.getByRole('region', { name: 'The selected detail' })
    await expect(panel.getByLabel('Name')).toHaveValue(second)

    // From eye to eye, and every mark from another anchor than the crown.
    const measure = page.getByRole('group', { name: 'From mark to mark' })
    await choose(page, measure.locator('.v-select').nth(0), /, right$/)
    await choose(page, measure.locator('.v-select').nth(1), /, left$/)
    await expect(measure.getByRole('status')).toContainText(/mm by calipers, [\d.]+ mm by tape/)
    const marks = page.getByRole('region', { name: 'Marks' })
    await choose(page, marks.locator('.v-select').first(), 'Mouth')
    await expect(page.locator('[data-mark=mouth]')).toHaveText('0')
    await expect(marks).toContainText('Down (-: up)')

    // Seen from three distances beside the drawing's place, as pictures that PHP made.
    await page.getByRole('tab', { name: 'From afar' }).click()
    await expect(page.locator('.afar img')).toHaveCount(3)
    await expect
      .poll(() =>
        page.locator('.afar img').evaluateAll((all) => all.every((i) => (i as HTMLImageElement).naturalWidth === 320)),
      )
      .toBe(true)

    for (const tab of ['Marks', 'How to lay', 'Add to the face', 'From afar']) {
      await page.getByRole('tab', { name: tab }).click()
      await expectNoSeriousFault(page, tab)
    }
  },
)

test('a face is placed, varied, mirrored, flipped, mended and printed', { tag: '@byTurns' }, async ({ page }, info) => {
  const { id, document } = await newFace(page, 'Face made')
  const saved = async () => (await (await page.request.get(`/api/figures/${id}`)).json()).document as Document
  const panel = page.getByRole('region', { name: 'The selected detail' })

  // Placed: brows from the pieces; varied: their tilt, one step of undo for one pull.
  await page.getByRole('tab', { name: 'Add to the face' }).click()
  await page.getByRole('button', { name: 'Brows' }).click()
  await expect(page.locator('[data-detail=brows-brow]')).toHaveCount(2)
  const brow = page.locator('[data-detail=brows-brow] .ring path, [data-detail=brows-brow] path').first()
  const before = await brow.getAttribute('d')
  await page.getByLabel('Tilt').fill('-25')
  await expect.poll(() => brow.getAttribute('d')).not.toBe(before)
  await expect.poll(async () => (await saved()).details.some((d) => d.key === 'brows-brow')).toBe(true)

  // Looked at from near, it gets another point, which is taken out again.
  await page.getByRole('button', { name: 'Near to the chosen one' }).click()
  await expect(page.locator('.point')).toHaveCount(4)
  await page.locator('.between').first().click()
  await expect(page.locator('.point')).toHaveCount(5)
  await page.keyboard.press('Delete')
  await expect(page.locator('.point')).toHaveCount(4)
  await page.getByRole('button', { name: 'Near to the chosen one' }).click()

  // Dragged: PHP tells where it lies by tape while it goes.
  const cheek = page.locator('[data-detail=cheek]').first()
  const box = (await cheek.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 - 30, box.y + box.height / 2 + 10, { steps: 4 })
  await expect(page.locator('.reading')).toContainText(/[\d.]+ mm across, [\d.]+ mm down/)
  await page.mouse.up()

  // Mirrored and turned upside down on one key each.
  const plane = page.locator('svg.head > g')
  const upright = await plane.getAttribute('transform')
  await page.keyboard.press('f')
  await expect(page.getByRole('button', { name: 'Mirror' })).toHaveAttribute('aria-pressed', 'true')
  expect(await plane.getAttribute('transform')).toContain('scale(-1 1)')
  await page.keyboard.press('u')
  expect(await plane.getAttribute('transform')).toContain('rotate(180)')
  await page.keyboard.press('f')
  await page.keyboard.press('u')
  expect(await plane.getAttribute('transform')).toBe(upright)

  // Pushed off the head it is marked in place, and the nearest mend brings it back.
  await cheek.click()
  await panel.getByLabel('Right').fill('90')
  await panel.getByLabel('Right').press('Enter')
  await expect(panel.getByRole('note').first()).toContainText('does not lie on head')
  await panel.getByRole('button', { name: 'Bring it onto the part' }).click()
  await expect(panel.getByRole('note').filter({ hasText: 'does not lie' })).toHaveCount(0)
  // It now lies at the edge, and slides; kept in size it is seen narrower.
  const wide = Number(await panel.getByLabel('Width').inputValue())
  await panel.getByRole('button', { name: /^Keep it in size/ }).click()
  await expect(panel).toContainText('Kept in size on the wool.')
  expect(Number(await panel.getByLabel('Width').inputValue())).toBeLessThan(wide)

  // In the head's own colour it is lost; the advice is taken, and it reads; undo goes back.
  const skin = document.colours.find((c) => c.key === document.parts.find((p) => p.key === 'head')!.colour)!.name
  await panel.getByRole('radio', { name: skin, exact: true }).click()
  await expect(panel.getByRole('note').filter({ hasText: '20 is crisp' })).toHaveCount(1)
  await panel.getByRole('button', { name: /^Felt it in/ }).click()
  await expect(panel.getByRole('note').filter({ hasText: '20 is crisp' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(panel.getByRole('note').filter({ hasText: '20 is crisp' })).toHaveCount(1)

  // Or it is meant so, and is not said again until it is asked for.
  await panel
    .getByRole('note')
    .filter({ hasText: '20 is crisp' })
    .getByRole('button', { name: 'Keep it like this' })
    .click()
  await expect(panel).toContainText('Kept like this: close to its ground in colour.')
  await expect(panel.getByRole('note').filter({ hasText: '20 is crisp' })).toHaveCount(0)
  await panel.getByRole('button', { name: 'Advise again' }).click()
  await expect(panel.getByRole('note').filter({ hasText: '20 is crisp' })).toHaveCount(1)

  // Turned to three quarters and to the side, and back.
  for (const view of ['Three-quarter', 'Side']) {
    await page.getByRole('button', { name: view, exact: true }).click()
    await expect(page.locator('.round .turning')).toBeVisible()
  }
  await page.getByRole('button', { name: 'Front', exact: true }).click()

  // Printed: the PDF has two pages, and its ruler is 100 mm.
  await page.getByRole('button', { name: 'The face on paper' }).click()
  const coming = page.waitForEvent('download')
  await page.getByRole('button', { name: 'As PDF' }).click()
  const file = info.outputPath('face.pdf')
  await (await coming).saveAs(file)
  expect(execFileSync('pdfinfo', [file]).toString()).toMatch(/Pages:\s+2/)
  const words = execFileSync('pdftotext', ['-bbox', file, '-']).toString()
  expect(words).toContain('darts')
})

test('a face is copied from another head onto this one', async ({ page }) => {
  const { document } = await newFace(page, 'Face copied')
  await page.getByRole('button', { name: 'Copy a face' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: /^Sorrel/ }).click()
  await dialog.getByRole('button', { name: 'Copy it' }).click()
  await expect(dialog).toHaveCount(0)
  const other = JSON.parse(readFileSync('demo/sorrel.impa.json', 'utf8')) as Document
  const on = other.details.filter((d) => d.on === 'head').length
  expect(on).toBeGreaterThan(2)
  await expect(page.getByRole('region', { name: 'Marks' }).locator('tbody tr')).toHaveCount(on)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('region', { name: 'Marks' }).locator('tbody tr')).toHaveCount(
    document.details.filter((d) => d.on === 'head').length,
  )
})
