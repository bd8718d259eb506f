import { expect, test, type Page } from './test'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { choose } from './choose'
import { lay, layDemo } from './lay'
import { toTheShapes } from './onwards'
import { expectNoSeriousFault } from './seriousFaults'

type Member = {
  key: string
  name?: string
  mirror?: boolean
  colour: string
  role?: string
  seen?: { taken?: boolean }
  shape: { kind: string; widthMm: number; heightMm?: number }
  at: { xMm: number; yMm: number; zMm: number }
}
type Saved = {
  heightMm: number
  parts: Member[]
  details: Member[]
  colours: { key: string; hex: string }[]
  picture: { originPx: [number, number]; mmPerPx: number; wishes?: { keepsUnsure?: boolean } }
}

const tree = (page: Page) => page.getByLabel('Parts, by what they are joined to')
const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible()
async function document(page: Page): Promise<Saved> {
  await saved(page)
  return (
    (await (await page.request.get(`/api${new URL(page.url()).pathname.replace('/shapes', '')}`)).json()) as {
      document: Saved
    }
  ).document
}

async function drop(page: Page, file: string, height: string): Promise<void> {
  await page.goto('/')
  await page.locator('input[type=file]').setInputFiles(file)
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Finished height').fill(height)
  await dialog.getByRole('button', { name: 'See its shapes' }).click()
  await toTheShapes(page)
  await expect(page.locator('[data-part]').first()).toBeVisible()
}

/** Where a place of the front view, in mm, lies on the screen. */
async function onScreen(page: Page, x: number, y: number): Promise<[number, number]> {
  return page.locator('svg.board').evaluate(
    (svg: SVGSVGElement, [px, py]) => {
      const p = new DOMPoint(px, -py!).matrixTransform(svg.getScreenCTM()!)
      return [p.x, p.y] as [number, number]
    },
    [x, y],
  )
}

async function draw(page: Page, points: [number, number][]): Promise<void> {
  const at = await Promise.all(points.map(([x, y]) => onScreen(page, x, y)))
  await page.mouse.move(...at[0]!)
  await page.mouse.down()
  for (const p of at.slice(1)) await page.mouse.move(...p, { steps: 5 })
  await page.mouse.up()
}

test(
  'a drawing is reviewed: all taken but one, one cut, two merged, one drawn round; then sized and printed',
  { tag: '@byTurns' },
  async ({ page }) => {
    await drop(page, 'demo/bobbin.png', '100')
    const before = await document(page)

    // Review: everything is taken but one, which is left out.
    await page.getByRole('button', { name: /^Review/ }).click()
    const card = page.getByRole('region', { name: 'Review of what was seen' })
    await expect(card).toContainText('% sure')
    await expect(card).toContainText(/covers \d+ ?% of it/)
    await page.keyboard.press('Escape')
    await expect(card).toBeHidden()
    await page.getByRole('button', { name: /^Review/ }).click()
    // All that is sure enough at once, and that taken back.
    const opened = `${before.parts.length + before.details.length} open`
    await card.getByRole('button', { name: /^Take the \d+ that are/ }).click()
    await expect(card.getByText(opened)).toHaveCount(0)
    await page.keyboard.press('Control+z')
    await expect(card.getByText(opened)).toBeVisible()
    const all = before.parts.length + before.details.length
    for (let i = 0; i < all - 1; i++) {
      const open = await card.getByText(/\d+ open/).innerText()
      if (i % 2) await page.keyboard.press('Enter')
      else await card.getByRole('button', { name: 'Take it' }).click()
      await expect(card.getByText(open)).toHaveCount(0)
    }
    const left = await card.locator('.name').innerText()
    await card.getByRole('button', { name: 'Leave it out' }).click()
    await card.getByRole('button', { name: 'Done' }).click()
    const reviewed = await document(page)
    expect(reviewed.parts.length + reviewed.details.length).toBe(all - 1)
    expect([...reviewed.parts, ...reviewed.details].every((m) => m.seen?.taken)).toBe(true)
    expect([...reviewed.parts, ...reviewed.details].map((m) => m.name)).not.toContain(left)
    await expect(page.getByRole('button', { name: /^Review/ })).toHaveCount(0)

    // Cut the head across; undo is one step.
    const head = reviewed.parts.find((p) => p.key === 'head')!
    await tree(page).getByRole('button', { name: /^Head/ }).click()
    await page.keyboard.press('x')
    await draw(page, [
      [-45, head.at.yMm + 3],
      [45, head.at.yMm + 3],
    ])
    await expect(tree(page).getByRole('button', { name: /^Head, cut off/ })).toBeVisible()
    const cut = await document(page)
    expect(cut.parts).toHaveLength(reviewed.parts.length + 1)

    // And make one of the two again.
    await tree(page)
      .getByRole('button', { name: /^Head(?!, cut)/ })
      .click()
    await tree(page)
      .getByRole('button', { name: /^Head, cut off/ })
      .click({ modifiers: ['Shift'] })
    await page.getByRole('button', { name: 'Make them one' }).click()
    await expect(tree(page).getByRole('button', { name: /^Head, cut off/ })).toHaveCount(0)
    const merged = await document(page)
    expect(merged.parts).toHaveLength(reviewed.parts.length)
    expect(Math.abs(merged.parts.find((p) => p.key === 'head')!.shape.widthMm - head.shape.widthMm)).toBeLessThan(3)

    // Draw round the belly in the drawing: a new part, where it is drawn.
    const body = merged.parts.find((p) => p.key === 'body')!
    await page.keyboard.press('Escape')
    await page.keyboard.press('l')
    const [bx, by] = [body.at.xMm, body.at.yMm - 4]
    await draw(
      page,
      Array.from({ length: 13 }, (_, i): [number, number] => [
        bx + 15 * Math.cos((i * Math.PI) / 6),
        by + 14 * Math.sin((i * Math.PI) / 6),
      ]),
    )
    await expect(tree(page).getByRole('button', { name: /^New part/ })).toBeVisible()
    const drawn = await document(page)
    const belly = drawn.parts.find((p) => p.name === 'New part')!
    expect(Math.hypot(belly.at.xMm - body.at.xMm, belly.at.yMm - (body.at.yMm - 4))).toBeLessThan(4)
    await page.keyboard.press('Control+z')
    await expect(tree(page).getByRole('button', { name: /^New part/ })).toHaveCount(0)

    // Sized by a part: the head is 50 mm wide.
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Size by a part or an object' }).click()
    const sizing = page.getByRole('dialog')
    await choose(page, sizing.locator('.v-select').nth(1), /^Head/)
    await sizing.getByLabel('is to be so wide').fill('50')
    await sizing.getByLabel('is to be so wide').press('Enter')
    await expect(sizing).toContainText('times the wool')
    await sizing.getByRole('button', { name: 'Make it so' }).click()
    await expect(async () =>
      expect(Math.abs((await document(page)).parts.find((p) => p.key === 'head')!.shape.widthMm - 50)).toBeLessThan(
        0.02,
      ),
    ).toPass()

    // Printed: the head's front outline is 50 mm wide on paper, within 0.3 mm.
    await page.getByRole('button', { name: 'Print size cards' }).click()
    const coming = page.waitForEvent('download')
    await page.getByRole('dialog').getByRole('button', { name: 'As PDF' }).click()
    const file = await (await coming).path()
    expect(Math.abs(widestFirstOutlineMm(file) - 50)).toBeLessThan(0.3)
  },
)

/** Width of the outline at the top left of the first page, at 254 dpi: a tenth of a millimetre to a pixel. */
function widestFirstOutlineMm(pdf: string): number {
  const out = join(mkdtempSync(join(tmpdir(), 'impa-')), 'page')
  execFileSync('pdftoppm', ['-r', '254', '-gray', '-singlefile', pdf, out])
  const bytes = readFileSync(`${out}.pgm`)
  const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 40).toString('latin1'))!
  const [width, height, start] = [Number(head[1]), Number(head[2]), head[0].length]
  const dark = (x: number, y: number) => bytes[start + y * width + x]! < 120
  // The card's dashed rim is pale; inside it the first dark run from the left is the front outline.
  let widest = 0
  for (let y = 130; y < height / 2; y++) {
    let first = 0
    for (let x = 130; x < 720; x++) {
      if (!dark(x, y)) continue
      first ||= x
      if (x - first < 520) widest = Math.max(widest, x - first)
    }
  }
  return widest / 10
}

test(
  'several parts move, hide and lock together; the middle line and the picture can be put right',
  { tag: '@byTurns' },
  async ({ page }) => {
    await lay(page, 'sorrel', 100)
    const before = await document(page)
    await tree(page).getByRole('button', { name: /^Head/ }).click()
    await tree(page)
      .getByRole('button', { name: /^Top/ })
      .click({ modifiers: ['Shift'] })
    await expect(page.getByText('2 chosen')).toBeVisible()
    await page.keyboard.press('ArrowUp')
    const moved = await document(page)
    for (const part of before.parts) {
      const by = moved.parts.find((p) => p.key === part.key)!.at.yMm - part.at.yMm
      expect(by).toBeCloseTo(['head', 'top'].includes(part.key) ? 1 : 0)
    }
    await page.keyboard.press('Control+z')

    // Snapping: dragged near the middle line it lies on it; with Alt it stays where it was let go.
    const head = before.parts.find((p) => p.key === 'head')!
    await page.keyboard.press('Escape')
    await draw(page, [
      [head.at.xMm, head.at.yMm + 12],
      [head.at.xMm + 12, head.at.yMm + 20],
      [head.at.xMm + 0.7, head.at.yMm + 18],
    ])
    expect((await document(page)).parts.find((p) => p.key === 'head')!.at.xMm).toBe(0)
    await page.keyboard.press('Control+z')
    await page.keyboard.down('Alt')
    await draw(page, [
      [head.at.xMm, head.at.yMm + 12],
      [head.at.xMm + 0.7, head.at.yMm + 18],
    ])
    await page.keyboard.up('Alt')
    expect((await document(page)).parts.find((p) => p.key === 'head')!.at.xMm).not.toBe(0)
    await page.keyboard.press('Control+z')

    // Order of depth.
    await tree(page).getByRole('button', { name: /^Ear/ }).click()
    await page.keyboard.press('PageDown')
    const order = (d: Saved) => d.parts.toSorted((a, b) => a.at.zMm - b.at.zMm).findIndex((p) => p.key === 'ear')
    expect(order(await document(page))).not.toBe(order(before))

    // Locked, it does not move; hidden, it is not drawn.
    await page.keyboard.press('k')
    await page.keyboard.press('ArrowLeft')
    expect((await document(page)).parts.find((p) => p.key === 'ear')!.at.xMm).toBe(
      before.parts.find((p) => p.key === 'ear')!.at.xMm,
    )
    await page.keyboard.press('h')
    await expect(page.locator('[data-part=ear]')).toHaveCount(0)
    await page.keyboard.press('h')
    await expect(page.locator('[data-part=ear]')).toHaveCount(2)

    // A colour from the drawing: the leaf's green for the ear.
    const top = before.parts.find((p) => p.key === 'top')!
    await page.keyboard.press('p')
    await page.mouse.click(...(await onScreen(page, top.at.xMm, top.at.yMm)))
    await expect(async () => {
      const now = await document(page)
      expect(now.colours.find((c) => c.key === now.parts.find((p) => p.key === 'ear')!.colour)!.hex).toMatch(
        /^#6[0-9a-f]9/,
      )
    }).toPass()

    // The middle line moves 3 mm to the right; what is drawn stays over the drawing.
    await page.keyboard.press('Escape')
    const [ax, ay] = await page.locator('.axis .knob').evaluate((k) => {
      const b = k.getBoundingClientRect()
      return [b.x + b.width / 2, b.y + b.height / 2]
    })
    const [tx] = await onScreen(page, 3, 0)
    await page.mouse.move(ax!, ay!)
    await page.mouse.down()
    await page.mouse.move(tx, ay!, { steps: 4 })
    await page.mouse.up()
    await expect(async () => {
      const now = await document(page)
      expect(now.parts.find((p) => p.key === 'head')!.at.xMm).toBeCloseTo(head.at.xMm - 3, 0)
      expect((now.picture.originPx[0] - before.picture.originPx[0]) * now.picture.mmPerPx).toBeCloseTo(3, 0)
    }).toPass()
  },
)

test(
  'what a picture shows and the round hides is brought forwards or laid round; two heights are made one',
  { tag: '@byTurns' },
  async ({ page }) => {
    await layDemo<Saved>(page, 'bobbin', 'Rolled scarf', 'shapes', (figure) => {
      figure.heightMm = 125
      const scarf = figure.parts.find((p) => p.key === 'scarf')!
      Object.assign(scarf, { shape: { kind: 'sausage', widthMm: 8, heightMm: 36, depthMm: 8 }, turnDeg: { z: 90 } })
    })
    const scarf = async () => (await document(page)).parts.find((p) => p.key === 'scarf')!
    await tree(page)
      .getByRole('button', { name: /^Scarf/ })
      .click()
    const before = await scarf()
    await page.getByRole('button', { name: 'Bring it forwards to show' }).click()
    await expect.poll(async () => (await scarf()).at.zMm - before.at.zMm).toBeGreaterThan(5)
    await page.keyboard.press('Control+z')
    await expect.poll(scarf).toEqual(before)

    const round = page.getByRole('button', { name: 'Lay it round as a ring' })
    await round.click()
    await expect.poll(async () => (await scarf()).shape.kind).toBe('ring')
    await expect(round).toHaveCount(0)

    // Nothing chosen: the figure says 125 mm and stands 110.
    await page.keyboard.press('Escape')
    const says = page.getByRole('button', { name: 'Set the height to this' })
    await says.click()
    await expect.poll(async () => (await document(page)).heightMm).toBeCloseTo(110, 0)
    await expect(says).toHaveCount(0)
    await page.keyboard.press('Control+z')
    await page.getByRole('button', { name: 'Resize it to that height' }).click()
    await expect.poll(async () => (await scarf()).shape.widthMm).toBeGreaterThan(before.shape.heightMm!)
    await expect(says).toHaveCount(0)
    expect((await document(page)).heightMm).toBeCloseTo(125, 0)
  },
)

test(
  'the figure is compared with its drawing, looked at nearer and from all sides',
  { tag: '@byTurns' },
  async ({ page }) => {
    await lay(page, 'bobbin', 100)
    const show = page.locator('.compare')
    await choose(page, show, 'Slider')
    await expect(page.getByText(/9\d\.\d % alike/)).toBeVisible()
    await page.getByLabel('From the drawing to the figure').fill('0.2')
    await choose(page, show, 'Differences')
    await expect(page.locator('g.difference image')).toBeVisible()
    await choose(page, show, 'Outlines')
    const scale = () => page.locator('svg.board').evaluate((svg: SVGSVGElement) => svg.getScreenCTM()!.a)
    const far = await scale()
    await page.locator('svg.board').hover()
    await page.mouse.wheel(0, -600)
    await expect(async () => expect(await scale()).toBeGreaterThan(1.5 * far)).toPass()
    await page.getByRole('button', { name: 'All of it (0)' }).click()
    await expect(async () => expect(await scale()).toBeCloseTo(far)).toPass()
    await page.keyboard.press('+')
    await expect(async () => expect(await scale()).toBeGreaterThan(1.3 * far)).toPass()
    await page.keyboard.press('0')
    await expect(async () => expect(await scale()).toBeCloseTo(far)).toPass()
    await page.getByLabel('Show the 3D view large').click()
    await page.getByLabel('Pulled apart').fill('0.5')
    await page.getByLabel('a colour for every part').check()
    await page.getByLabel('grid of 10 mm').check()
    await page.getByRole('button', { name: 'front' }).click()
    await expect(page.locator('.holder canvas')).toBeVisible()
  },
)

test(
  'an inked beetle is dropped: the line round it is no part, its feelers are cords that want a wire, and the review says so',
  { tag: '@byTurns' },
  async ({ page }) => {
    await page.goto('/')
    const beetle = await page.evaluate(async () => {
      const canvas = new OffscreenCanvas(500, 500)
      const c = canvas.getContext('2d')!
      c.fillStyle = '#ffffff'
      c.fillRect(0, 0, 500, 500)
      c.strokeStyle = '#1c1820'
      c.lineCap = 'round'
      const oval = (x: number, y: number, w: number, h: number, colour: string) => {
        c.beginPath()
        c.ellipse(x, y, w, h, 0, 0, 7)
        c.fillStyle = colour
        c.fill()
        c.lineWidth = 8
        c.stroke()
      }
      for (const side of [-1, 1]) {
        c.lineWidth = 6
        c.beginPath()
        c.moveTo(250 + side * 30, 100)
        c.quadraticCurveTo(250 + side * 45, 50, 250 + side * 95, 25)
        c.stroke()
      }
      oval(250, 330, 130, 140, '#c0402f')
      oval(250, 165, 95, 80, '#4a6a90')
      return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())]
    })
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'beetle.png', mimeType: 'image/png', buffer: Buffer.from(beetle) })
    await page.getByRole('dialog').getByRole('button', { name: 'See its shapes' }).click()
    await toTheShapes(page)
    await expect(tree(page).getByRole('listitem')).toHaveCount(3)
    await expect(tree(page).getByRole('button', { name: /^Feeler/ })).toContainText('cord')
    await expect(page.getByText(/Feeler is [\d.]+ mm long and [\d.]+ mm thick: .* it wants a wire/)).toBeVisible()
    await page.getByRole('button', { name: /^Review/ }).click()
    const review = page.getByRole('region', { name: 'Review of what was seen' })
    for (let i = 0; i < 3 && !(await review.getByText('Feeler').isVisible()); i++) {
      await review.getByRole('button', { name: 'Take it' }).click()
    }
    await expect(review).toContainText('a thin line, followed by a cord')
    await review.getByRole('button', { name: 'Take it' }).click()
    await saved(page)

    // One feeler is no feeler but a scratch on the paper: a stroke of the brush says so, and all else stays.
    await page.keyboard.press('a')
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('3 colours told apart')
    await dialog.getByRole('radio', { name: 'This is paper' }).click()
    await dialog.getByRole('radio', { name: 'A wide brush' }).click()
    const sheet = dialog.getByRole('application')
    await expect(dialog.getByAltText('The drawing')).toBeVisible()
    const box = (await sheet.boundingBox())!
    const at = (x: number, y: number) => [box.x + (box.width * x) / 500, box.y + (box.height * y) / 500] as const
    await page.mouse.move(...at(350, 20))
    await page.mouse.down()
    await page.mouse.move(...at(300, 45), { steps: 4 })
    await page.mouse.move(...at(286, 72), { steps: 4 })
    await page.mouse.up()
    await dialog.getByRole('button', { name: 'See its shapes' }).click()
    await expect(dialog).toContainText('2 parts stay as they were')
    await dialog.getByRole('button', { name: 'Take these shapes' }).click()
    await expect(dialog).toBeHidden()
    await saved(page)
    const brushed = await document(page)
    expect(brushed.parts.filter((p) => p.shape.kind === 'cord' && p.mirror)).toHaveLength(0)
    await page.keyboard.press('Control+z')
    await expect(tree(page).getByRole('button', { name: /^Feeler/ })).toContainText('x 2')
  },
)

test(
  'of two figures on one picture it is asked which, and looking can be stopped',
  { tag: '@byTurns' },
  async ({ page }) => {
    await page.goto('/')
    const two = await page.evaluate(async () => {
      const canvas = new OffscreenCanvas(900, 500)
      const c = canvas.getContext('2d')!
      c.fillStyle = '#ffffff'
      c.fillRect(0, 0, 900, 500)
      for (const [x, colour] of [
        [230, '#c04050'],
        [670, '#3060b0'],
      ] as const) {
        c.fillStyle = colour
        c.beginPath()
        c.ellipse(x, 260, 130, 190, 0, 0, 7)
        c.fill()
      }
      return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())]
    })
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'two.png', mimeType: 'image/png', buffer: Buffer.from(two) })
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: 'See its shapes' }).click()
    await expect(dialog).toContainText('Which one is meant?')
    await dialog.getByRole('button', { name: 'Only figure 2 from the left' }).click()
    await page.waitForURL(/shapes/)
    const one = await document(page)
    expect(one.parts).toHaveLength(1)
    expect(one.colours[0]!.hex).toBe('#3060b0')

    await page.goto('/')
    await page.locator('input[type=file]').setInputFiles('demo/bobbin.png')
    await page.route('**/api/breakdown', async (route) => {
      await new Promise((r) => setTimeout(r, 1500))
      await route.continue().catch(() => undefined)
    })
    await dialog.getByRole('button', { name: 'See its shapes' }).click()
    await dialog.getByRole('button', { name: 'Stop' }).click()
    await expect(dialog.getByRole('button', { name: 'See its shapes' })).toBeEnabled()
    await expect(dialog.getByRole('alert')).toHaveCount(0)
  },
)

test(
  'both readings of what belongs to a figure are shown and one is taken; all rims of eyes and beak leave by one press',
  { tag: '@byTurns' },
  async ({ page }) => {
    await page.goto('/')
    const [handle, bird] = await page.evaluate(async () => {
      const png = async (draw: (c: OffscreenCanvasRenderingContext2D) => void) => {
        const canvas = new OffscreenCanvas(400, 400)
        const c = canvas.getContext('2d')!
        c.fillStyle = '#ffffff'
        c.fillRect(0, 0, 400, 400)
        c.strokeStyle = '#1b1512'
        draw(c)
        return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())]
      }
      return Promise.all([
        png((c) => {
          c.lineWidth = 6
          c.arc(200, 200, 130, 0.16, 2 * Math.PI - 0.16)
          c.arc(200, 200, 70, 2 * Math.PI - 0.16, 0.16, true)
          c.closePath()
          c.stroke()
        }),
        png((c) => {
          const oval = (x: number, y: number, rx: number, ry: number, colour: string, inked = false) => {
            c.fillStyle = colour
            c.beginPath()
            c.ellipse(x, y, rx, ry, 0, 0, 7)
            c.fill()
            if (inked) c.stroke()
          }
          c.lineWidth = 5
          oval(200, 280, 80, 85, '#4a6a90')
          oval(200, 130, 85, 75, '#4a6a90')
          for (const side of [-1, 1]) {
            oval(200 + side * 38, 115, 23, 27, '#ffffff', true)
            oval(200 + side * 34, 120, 9, 11, '#1b1512')
          }
          c.fillStyle = '#e0a030'
          c.beginPath()
          c.moveTo(175, 150)
          c.lineTo(225, 150)
          c.lineTo(200, 185)
          c.closePath()
          c.fill()
          c.stroke()
        }),
      ])
    })
    const give = (name: string, bytes: number[]) =>
      page
        .locator('input[type=file]')
        .setInputFiles({ name: `${name}.png`, mimeType: 'image/png', buffer: Buffer.from(bytes) })
    await give('handle', handle!)
    const dialog = page.getByRole('dialog')
    await expect(dialog.getByText('Impa is not sure what belongs to the figure')).toBeVisible()
    await expect(dialog.getByRole('radio', { name: 'Without it' })).toBeChecked()
    await dialog.getByRole('radio', { name: 'With it', exact: true }).click()
    await expect(dialog.getByRole('radio', { name: 'With it', exact: true })).toBeChecked()
    await dialog.getByRole('button', { name: 'See its shapes' }).click()
    await toTheShapes(page)
    const whole = await document(page)
    expect(whole.picture.wishes?.keepsUnsure).toBe(true)
    expect(whole.parts.map((p) => p.shape.kind)).toEqual(['ball'])

    await page.goto('/')
    await give('bird', bird!)
    await dialog.getByRole('button', { name: 'See its shapes' }).click()
    await toTheShapes(page)
    const rims = async () => (await document(page)).details.filter((d) => d.role === 'rim').length
    expect(await rims()).toBe(2)
    await page.getByRole('button', { name: /^Review/ }).click()
    const review = page.getByRole('region', { name: 'Review of what was seen' })
    const all = review.getByRole('button', { name: 'Leave all rims out' })
    for (let i = 0; i < 8 && !(await all.isVisible()); i++)
      await review.getByRole('button', { name: 'Take it' }).click()
    await all.click()
    await saved(page)
    expect(await rims()).toBe(0)
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Undo' }).click()
    await saved(page)
    expect(await rims()).toBe(2)
  },
)

test('a side picture gives the parts their depths', { tag: '@byTurns' }, async ({ page }) => {
  await lay(page, 'lanto', 100)
  const before = await document(page)
  await page.getByLabel('Side picture', { exact: true }).setInputFiles('demo/lanto-side.png')
  await expect(page.getByText(/\d+ of \d+ parts took their depth/)).toBeVisible()
  const after = await document(page)
  expect(after.parts.map((p) => p.shape.widthMm)).toEqual(before.parts.map((p) => p.shape.widthMm))
  await expect(page.locator('svg.strip image')).toBeVisible()
})

test(
  'review, sizing, cards and comparing have no serious fault for a screen reader',
  { tag: '@byTurns' },
  async ({ page }) => {
    await lay(page, 'sorrel', 100)
    await page.getByRole('button', { name: /^Review/ }).click()
    await expectNoSeriousFault(page, 'review')
    await page.getByRole('region', { name: 'Review of what was seen' }).getByRole('button', { name: 'Done' }).click()
    await page.getByRole('button', { name: 'Look at the drawing again (A)' }).click()
    await expect(page.getByRole('dialog')).toContainText('told apart')
    await page.getByRole('radio', { name: 'This is ink' }).click()
    await expectNoSeriousFault(page, 'look again')
    await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await choose(page, page.locator('.compare'), 'Slider')
    await expect(page.getByText(/% alike/)).toBeVisible()
    await expectNoSeriousFault(page, 'slider')
    await page.keyboard.press('Escape')
    await page.locator('svg.board').click({ position: { x: 20, y: 200 } })
    await page.getByRole('button', { name: 'How it stands' }).click()
    await expect(page.getByRole('dialog')).toContainText('it hangs straight from')
    await expectNoSeriousFault(page, 'standing')
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click()
    await page.getByRole('button', { name: 'Size by a part or an object' }).click()
    await expect(page.getByRole('dialog')).toContainText('times the wool')
    await expectNoSeriousFault(page, 'sizing')
    await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).click()
    await page.getByRole('button', { name: 'Print size cards' }).click()
    await expect(page.getByRole('dialog')).toContainText('Print at 100 %')
    await expectNoSeriousFault(page, 'cards')
  },
)
