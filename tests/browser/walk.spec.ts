import { expect, test, type Page } from './test'
import { toTheShapes } from './onwards'
import { minutesText } from '../../resources/app/state/units'

interface Need {
  name: string
  g: number
}

/** What the server says of the figure on the table. */
async function told(page: Page): Promise<{ id: number; document: object }> {
  const id = Number(/figures\/(\d+)/.exec(page.url())![1])
  const figure = (await (await page.request.get(`/api/figures/${id}`)).json()) as { document: object }
  return { id, document: figure.document }
}
const post = async <T>(page: Page, path: string, data: object) => {
  const xsrf = (await page.context().cookies()).find((c) => c.name === 'XSRF-TOKEN')!.value
  const answer = await page.request.post(`/api/${path}`, {
    data,
    headers: { 'X-XSRF-TOKEN': decodeURIComponent(xsrf) },
  })
  expect(answer.ok(), `${path}: ${answer.status()}`).toBe(true)
  return (await answer.json()) as T
}
const station = (page: Page, name: string) => page.getByRole('link', { name: new RegExp(`^${name}`) }).click()

test(
  'a new drawing goes through mix, portions, five steps, a broken needle, evenings and finish, and every room says the same',
  { tag: '@byTurns' },
  async ({ page }) => {
    await page.goto('/')
    await page.locator('input[type=file]').setInputFiles('demo/bobbin.png')
    const fresh = page.getByRole('dialog')
    await fresh.getByLabel('Name').fill('Walker')
    await fresh.getByLabel('Finished height').fill('100')
    await fresh.getByRole('button', { name: 'See its shapes' }).click()
    await toTheShapes(page)

    // A mix, taken.
    await station(page, 'Wool')
    await page.getByRole('tab', { name: 'Colours' }).click()
    await page.getByRole('button', { name: 'Mix it' }).first().click()
    const mixes = page.getByRole('dialog')
    const card = mixes.locator('.card').filter({ has: page.locator('.parts li:nth-child(2)') })
    await expect(card.first()).toBeVisible()
    const wools = (await card.first().locator('.parts li').allInnerTexts()).map((t) =>
      t
        .replace(/^\s*\d+ % /, '')
        .split(/\n|,/)[0]!
        .trim(),
    )
    expect(wools.length).toBeGreaterThan(1)
    await card.first().getByRole('button', { name: 'Take this mix' }).click()
    await expect(mixes).toBeHidden()
    await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible()

    // Portions say it by its wools, mixed first.
    await page.getByRole('tab', { name: 'Portions' }).click()
    const first = page.getByRole('list', { name: 'Mix first' })
    for (const wool of wools) await expect(first).toContainText(wool)
    const mixName = (await first.locator('b').first().innerText()).replace(/\s+[\d.]+ m?g$/, '')
    await expect(page.getByRole('list', { name: 'Portions' })).toContainText(mixName.toLowerCase())

    // So do the steps: it is mixed first, and then weighed by its name.
    await station(page, 'Build')
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Mix: /)
    for (const wool of wools) await expect(page.getByRole('list', { name: mixName })).toContainText(wool)
    const { id, document } = await told(page)
    type Sheet = { sheet: { steps: { key: string; minutes: number; title: string }[] } }
    const { sheet } = await post<Sheet>(page, 'build', { document })
    const titles = sheet.steps.map((s) => s.title)
    for (const title of titles.slice(0, 5)) {
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(title)
      await page.keyboard.press('Space')
    }
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(titles[5]!)
    await expect(page.locator('[data-step-clock]')).not.toHaveText(/-/)

    // A needle breaks: it is asked of, shown at the step, and space means the step again.
    const heading = page.getByRole('heading', { level: 1 })
    while ((await page.getByRole('button', { name: 'Needle broke' }).count()) === 0) {
      const now = await heading.innerText()
      await page.keyboard.press('Space')
      await expect(heading).not.toHaveText(now)
    }
    const at = titles.indexOf(await heading.innerText())
    await page.getByRole('button', { name: 'Needle broke' }).click()
    const log = page.getByRole('group', { name: 'Log' })
    await log.getByLabel('Where it broke').fill('near the rim')
    await log.getByRole('button', { name: 'Not found yet' }).click()
    await expect(log).toContainText('broke: near the rim')
    await expect(log).toContainText('not safe yet')
    await expect(page.getByRole('button', { name: /^Done, next/ })).toBeFocused()
    await page.keyboard.press('Space')
    await expect(heading).toHaveText(titles[at + 1]!)
    const diary = (await (await page.request.get(`/api/figures/${id}/log`)).json()) as {
      tipsMissing: number
      sittings: { entries: { kind: string }[] }[]
    }
    expect(diary.tipsMissing).toBe(1)
    expect(diary.sittings.flatMap((s) => s.entries).filter((e) => e.kind === 'broken')).toHaveLength(1)
    // Back at its step the tip is found.
    await page.getByLabel('Order of work').getByRole('button', { name: titles[at]!, exact: false }).first().click()
    await log.getByRole('button', { name: 'Tip found' }).click()
    await expect(log).toContainText('The tip was found')

    // Evenings lay out what is left.
    const { done } = (await (await page.request.get(`/api/figures/${id}/steps`)).json()) as { done: string[] }
    expect(done).toHaveLength(at + 1)
    // On a slow machine the clock ran long enough at a step to teach the hand: its minutes are asked anew.
    const { sheet: now } = await post<Sheet>(page, 'build', { document })
    const left = now.steps.filter((s) => !done.includes(s.key)).reduce((sum, s) => sum + s.minutes, 0)
    await page.getByRole('button', { name: 'Evenings' }).click()
    const evenings = page.getByRole('dialog', { name: 'Evenings' })
    await expect(evenings).toContainText(`About ${minutesText(left)} of work left`)
    await evenings.getByRole('button', { name: 'Close' }).click()

    // Finish takes what was needed, asked as at the Wool station.
    await station(page, 'Check')
    await page.getByRole('tab', { name: 'Finish' }).click()
    await expect(page.getByRole('list', { name: 'What is left' })).toContainText('No needle tip is missing')
    await page.getByRole('button', { name: 'Take its wool from the stash' }).click()
    const used = page.getByRole('dialog', { name: 'Figure finished' })
    for (const wool of wools) await expect(used.getByLabel(`${wool}, used`)).toBeVisible()
    await used.getByRole('button', { name: 'Take it out of the stash' }).click()
    await expect(page.getByRole('button', { name: 'Its wool is taken from the stash' })).toBeDisabled()
    const wool = (await (await page.request.get(`/api/figures/${id}/wool`)).json()) as {
      used: { name: string; plannedG: number }[]
    }
    const { needs } = await post<{ needs: Need[] }>(page, 'supply', { document, figure: id })
    for (const u of wool.used) expect(u.plannedG).toBeCloseTo(needs.find((n) => n.name === u.name)!.g, 3)
  },
)

test(
  'what must be seen at a step is seen: title, weight, drawing, done when and cautions, on a small screen and a tablet',
  { tag: '@byTurns' },
  async ({ page }) => {
    const shelf = (await (await page.request.get('/api/figures')).json()) as { figures: { id: number; name: string }[] }
    for (const { id } of shelf.figures.filter((f) => /Bobbin|Wick|Dusk/.test(f.name))) {
      await page.goto(`/figures/${id}/build`)
      for (const [width, height] of [
        [1280, 800],
        [1024, 768],
        [820, 1180],
      ] as const) {
        await page.setViewportSize({ width, height })
        const seen = [
          page.getByRole('heading', { level: 1 }),
          page.locator('.foot'),
          page.locator('.drawing'),
          page.getByRole('button', { name: /^(Done, next|Mark as not done)/ }),
        ]
        for (const what of seen) {
          await expect(what).toBeVisible()
          const box = (await what.boundingBox())!
          expect(box.y, `figure ${id} at ${width}`).toBeGreaterThanOrEqual(0)
          expect(box.y + box.height, `figure ${id} at ${width} x ${height}`).toBeLessThanOrEqual(height)
        }
        // Nothing of the header is cut off, and the page does not go sideways.
        expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0)
        for (const name of ['Help', 'Lamp']) {
          const button = page.getByRole('banner').getByRole('button', { name: new RegExp(name, 'i') })
          if (await button.count()) {
            const box = (await button.first().boundingBox())!
            expect(box.x + box.width, `${name} at ${width}`).toBeLessThanOrEqual(width)
          }
        }
      }
      await page.getByRole('button', { name: /^Done, next/ }).click()
      await expect.poll(() => page.evaluate(() => scrollY)).toBe(0)
    }
  },
)

test(
  'three new drawings stand, hang together and have their names after three actions at most',
  { tag: '@byTurns' },
  async ({ page }) => {
    await page.goto('/')
    const drawings = await page.evaluate(async () => {
      const ink = '#1b1512'
      type Pen = OffscreenCanvasRenderingContext2D
      const oval = (c: Pen, x: number, y: number, w: number, h: number, colour: string, line = 0) => {
        c.beginPath()
        c.ellipse(x, y, w / 2, h / 2, 0, 0, 7)
        c.fillStyle = colour
        c.fill()
        c.lineWidth = line
        if (line) c.stroke()
      }
      const box = (c: Pen, x: number, y: number, w: number, h: number, r: number, colour: string) => {
        c.beginPath()
        c.roundRect(x - w / 2, y - h / 2, w, h, r)
        c.fillStyle = colour
        c.fill()
      }
      const both = (draw: (side: number) => void) => [-1, 1].forEach(draw)
      const drawn: ((c: Pen) => void)[] = [
        // A robot of boxes with a screen for a face.
        (c) => {
          both((s) => box(c, 200 + s * 100, 265, 30, 100, 12, '#4a6a90'))
          both((s) => box(c, 200 + s * 42, 360, 48, 50, 12, '#4a6a90'))
          box(c, 200, 270, 170, 140, 30, '#b07040')
          box(c, 200, 120, 190, 150, 40, '#4a6a90')
          box(c, 200, 125, 140, 84, 22, '#f2e6cc')
          both((s) => oval(c, 200 + s * 32, 118, 18, 22, ink))
        },
        // A white bear in ink on white paper.
        (c) => {
          both((s) => oval(c, 200 + s * 68, 58, 60, 60, '#ffffff', 6))
          both((s) => oval(c, 200 + s * 45, 362, 70, 44, '#ffffff', 6))
          oval(c, 200, 275, 170, 180, '#ffffff', 6)
          oval(c, 200, 120, 180, 150, '#ffffff', 6)
          both((s) => oval(c, 200 + s * 35, 110, 16, 20, ink))
          oval(c, 200, 140, 24, 16, ink)
        },
        // A dog seen from its side.
        (c) => {
          for (const x of [125, 175, 265, 315]) oval(c, x, 335, 34, 90, '#b07040')
          oval(c, 120, 110, 44, 70, '#4a6a90')
          oval(c, 220, 260, 250, 120, '#b07040')
          oval(c, 345, 205, 40, 90, '#4a6a90')
          oval(c, 110, 180, 120, 110, '#b07040')
          oval(c, 85, 170, 12, 14, ink)
          oval(c, 50, 195, 24, 18, ink)
        },
      ]
      return Promise.all(
        drawn.map(async (draw) => {
          const canvas = new OffscreenCanvas(400, 400)
          const c = canvas.getContext('2d')!
          c.fillStyle = '#ffffff'
          c.fillRect(0, 0, 400, 400)
          c.strokeStyle = ink
          draw(c)
          return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())]
        }),
      )
    })
    const expected = [
      ['Arm', 'Body', 'Foot', 'Head'],
      ['Body', 'Ear', 'Foot', 'Head'],
      ['Body', 'Ear', 'Head', 'Leg', 'Snout', 'Tail'],
    ]
    for (const [i, bytes] of drawings.entries()) {
      await page.goto('/')
      let actions = 0
      const name = `new ${i}`
      await page
        .locator('input[type=file]')
        .setInputFiles({ name: `${name}.png`, mimeType: 'image/png', buffer: Buffer.from(bytes) })
      actions++
      await page.getByRole('dialog').getByRole('button', { name: 'See its shapes' }).click()
      actions++
      const asked = page.getByRole('dialog').getByRole('button', { name: 'To the shapes' })
      const went = () => /figures\/\d+\/shapes/.test(page.url())
      await expect
        .poll(async () => went() || (await asked.isEnabled({ timeout: 500 }).catch(() => false)), { timeout: 60_000 })
        .toBe(true)
      if (!went()) {
        await asked.click()
        actions++
      }
      await page.waitForURL(/figures\/\d+\/shapes/)
      expect(actions, name).toBeLessThanOrEqual(3)
      await expect(page.getByText('firmly', { exact: false }).first()).toBeVisible()
      await expect(page.getByRole('button', { name: 'Bring them together' })).toHaveCount(0)
      const { document } = (await told(page)) as unknown as { document: { parts: { name: string }[] } }
      const names = [...new Set(document.parts.map((p) => p.name.replace(/ \d+$/, '')))].sort()
      expect(names, name).toEqual(expected[i])
    }
  },
)
