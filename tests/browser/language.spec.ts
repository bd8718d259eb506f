import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { toTheShapes } from './onwards'
import { expect, test, type Page } from './test'

type Words = { [key: string]: string | Words }

/** The words of a language by their keys, as its folder has them. */
function wordsOf(language: string): Map<string, string> {
  const folder = join('resources/app/lang', language)
  const found = new Map<string, string>()
  const take = (words: Words, at: string) => {
    for (const [key, is] of Object.entries(words))
      if (typeof is === 'string') found.set(at + key, is.replace("{'@'}", '@'))
      else take(is, `${at}${key}.`)
  }
  for (const file of readdirSync(folder).filter((f) => f.endsWith('.json')))
    take(JSON.parse(readFileSync(join(folder, file), 'utf8')) as Words, '')
  return found
}
const ENGLISH = wordsOf('en')
const GERMAN = wordsOf('de')

/** Lines that stand on the page, whole. */
const lines = async (page: Page) =>
  (await page.locator('body').innerText())
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)

/** English labels that stand there in German; what is alike in both is no sign. */
async function leftInEnglish(page: Page): Promise<string[]> {
  const german = new Set(GERMAN.values())
  const english = new Set([...ENGLISH.values()].filter((word) => !german.has(word) && !word.includes('{')))
  return (await lines(page)).filter((line) => english.has(line))
}

/**
 * Metric amounts that stand there in inches and ounces. What no kitchen scale shows is told in grams as well: in brackets, and so is the
 * range of such a weight.
 */
async function leftInMetric(page: Page): Promise<string[]> {
  const isLight = (line: string) => {
    const range = /^\S+(?: m?g)? (?:to|bis) ([\d.,]+) (m?g)$/.exec(line)
    return range !== null && Number(range[1]!.replace(',', '.')) * (range[2] === 'g' ? 1 : 0.001) < 2.84
  }
  return (await lines(page)).filter(
    (line) => /\d\s?(mm|cm|mg|g)\b/.test(line.replace(/\([^)]*\)/g, '')) && !isLight(line),
  )
}

for (const [language, isImperial] of [
  ['de', false],
  ['de', true],
  ['en', true],
] as const) {
  test.describe(`in ${language}, ${isImperial ? 'in inches' : 'in millimetres'}`, () => {
    test.use({ locale: language === 'de' ? 'de-AT' : 'en-GB' })
    test(
      'a drawing goes to its finish, and every station speaks so',
      { tag: isImperial ? '@byTurns' : [] },
      async ({ page }) => {
        const words = language === 'de' ? GERMAN : ENGLISH
        const w = (key: string) => words.get(key)!
        if (isImperial) await page.addInitScript(() => localStorage.setItem('impa:units', 'imperial'))
        const check = async (where: string) => {
          await page.waitForLoadState('networkidle')
          if (language === 'de') expect(await leftInEnglish(page), where).toEqual([])
          if (isImperial) expect(await leftInMetric(page), where).toEqual([])
        }
        await page.goto('/')
        await expect(page.getByRole('heading', { name: w('shelf.shelfStation.onTheShelf') })).toBeVisible()
        await expect(page.locator('html')).toHaveAttribute('lang', language)
        await check('shelf')
        await page.locator('input[type=file]').setInputFiles('demo/bobbin.png')
        const dialog = page.getByRole('dialog')
        await dialog.getByLabel(w('common.name'), { exact: true }).fill('Walker')
        await dialog.getByRole('button', { name: w('seeing.seeingDialog.seeItsShapes') }).click()
        await toTheShapes(page, w('shelf.newFigureDialog.toTheShapes'))
        // What was made by seeing is called so in her language.
        await expect(
          page.getByLabel(w('shapes.partTree.partsByWhatTheyAre')).getByRole('button', {
            name: language === 'de' ? 'Kopf Kugel' : 'Head ball',
          }),
        ).toBeVisible()
        await page.locator('[data-part=head]').first().click({ force: true })
        await check('shapes')

        const station = (key: string) =>
          page
            .getByRole('navigation', { name: w('shell.stationThread.stations') })
            .getByRole('link', { name: new RegExp(`^${w(key)}`) })
            .click()
        await station('common.wool')
        for (const tab of ['colours', 'portions']) {
          await page.getByRole('tab', { name: w(`wool.woolStation.${tab}`) }).click()
          await check(tab)
        }
        await station('shell.stationThread.face')
        for (const tab of ['howToLay', 'addToTheFace', 'fromAfar']) {
          await page.getByRole('tab', { name: w(`face.faceStation.${tab}`) }).click()
          await check(tab)
        }
        await station('shell.stationThread.build')
        const heading = page.getByRole('heading', { level: 1 })
        const first = await heading.innerText()
        await check('build')
        await page.keyboard.press('Space')
        await expect(heading).not.toHaveText(first)
        for (const dialogOf of ['evenings', 'diary']) {
          await page.getByRole('button', { name: w(`build.buildStation.${dialogOf}`) }).click()
          await check(dialogOf)
          await page
            .getByRole('dialog')
            .getByRole('button', { name: w('common.close'), exact: true })
            .click()
        }
        await station('common.check')
        for (const tab of ['parts', 'mend', 'show', 'finish']) {
          await page.getByRole('tab', { name: w(`check.checkStation.${tab}`), exact: true }).click()
          await check(tab)
        }
        await page.getByRole('button', { name: w('check.finishPane.takeItsWoolFromThe') }).click()
        await page
          .getByRole('dialog')
          .getByRole('button', { name: w('wool.finishDialog.takeItOutOfThe') })
          .click()
        await expect(page.getByText(w('check.finishPane.itsWoolIsTakenFrom'))).toBeVisible()
        for (const [room, to] of [
          ['stash', '/stash'],
          ['hand', '/hand'],
          ['house', '/house'],
        ]) {
          await page.goto(to!)
          await check(room!)
        }
      },
    )
  })
}

test('another language is chosen on the shelf, and stays', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Language: English. Change' }).click()
  await expect(page.getByRole('heading', { name: GERMAN.get('shelf.shelfStation.onTheShelf')! })).toBeVisible()
  await page.goto('/stash')
  await expect(page.getByRole('heading', { name: GERMAN.get('stash.stashStation.theStash')! })).toBeVisible()
})

for (const width of [1280, 820, 640]) {
  test(
    `nothing is cut or left without a key in a language that is two fifths longer, ${width} wide`,
    { tag: width === 1280 ? [] : '@byTurns' },
    async ({ page }) => {
      await page.setViewportSize({ width, height: 800 })
      await page.addInitScript(() => localStorage.setItem('impa:language', 'pseudo'))
      // What the server said: names, and core's sentences, which have tests of their own.
      const answered = new Set<string>()
      const take = (is: unknown): void => {
        if (typeof is === 'string') answered.add(is.toLowerCase())
        else if (is && typeof is === 'object') Object.values(is).forEach(take)
      }
      const answers: Promise<void>[] = []
      page.on('response', (answer) => {
        if (answer.url().includes('/api/')) answers.push(answer.json().then(take, () => {}))
      })
      const { figures } = (await (await page.request.get('/api/figures')).json()) as {
        figures: { id: number; name: string }[]
      }
      const figure = (name: string) => `/figures/${figures.find((f) => f.name.startsWith(name))!.id}`
      const found = { cut: new Set<string>(), raw: new Set<string>() }
      const look = async (where: string) => {
        await page.waitForLoadState('networkidle')
        const seen = await page.evaluate(seenOnPage)
        await Promise.all(answers)
        for (const cut of seen.cut) found.cut.add(`${where}: ${cut}`)
        const known = [...answered].join('\n')
        // Amounts, names of files and of the house are alike in all languages.
        const isAlike = (text: string) =>
          text
            .toLowerCase()
            .replace(/^= /, '')
            .split(/[,:;] |\. |^\d+\. ?/)
            .every(
              (piece) =>
                known.includes(piece.replace(/[.:,;]+$/, '')) || /^[\d\s.,/×²³hminkgcmzoCSVImpa]*$/.test(piece),
            )
        for (const raw of seen.raw)
          if (!isAlike(raw) && !/^(impa|mm \/ g|csv|pdf|dolls|usd|english)$/i.test(raw))
            found.raw.add(`${where}: ${raw}`)
      }
      for (const [where, to] of [
        ['shelf', '/'],
        ['bin', '/bin'],
        ['stash', '/stash'],
        ['hand', '/hand'],
        ['house', '/house'],
        ['shapes', `${figure('Bobbin')}/shapes`],
        ['layers', `${figure('Dusk')}/shapes`],
        ['wool', `${figure('Sorrel')}/wool`],
        ['face', `${figure('Bobbin')}/face`],
        ['build', `${figure('Bobbin')}/build`],
        ['check', `${figure('Bobbin')}/check`],
      ] as const) {
        await page.goto(to)
        await look(where)
        for (const tab of await page.getByRole('tab').all()) {
          await tab.click()
          await look(`${where}, ${await tab.innerText()}`)
        }
        if (where === 'wool') {
          const dialog = page.getByRole('dialog')
          for (const [what, open] of [
            ['help', () => page.keyboard.press('?')],
            ['a number', () => page.locator('.how').first().click()],
          ] as const) {
            await open()
            await expect(dialog.getByRole('progressbar')).toHaveCount(0)
            await expect(dialog.locator('h2, h3').first()).toBeVisible()
            await look(what)
            await page.keyboard.press('Escape')
            await expect(dialog).toHaveCount(0)
          }
        }
        if (where === 'shapes') {
          await page.locator('[data-part=head]').first().click({ force: true })
          await look('a chosen part')
        }
      }
      expect([...found.cut], 'cut').toEqual([])
      expect([...found.raw], 'without a key').toEqual([])
    },
  )
}

/** In the page: what says something and does not show all of it, and what stands there without an accent. */
function seenOnPage(): { cut: string[]; raw: string[] } {
  const [cut, raw]: [string[], string[]] = [[], []]
  const isShown = (e: Element) => e.checkVisibility({ opacityProperty: true, visibilityProperty: true })
  const accent = /[áéíóúýÁÉÍÓÚÝō]/
  const says = 'button, .v-btn__content, .v-field-label, label, [role=tab], h1, h2, h3, dt, th, legend, summary'
  for (const e of document.querySelectorAll<HTMLElement>(says)) {
    if (!isShown(e) || !e.textContent?.trim() || e.closest('.offscreen')) continue
    const range = document.createRange()
    range.selectNodeContents(e)
    const text = range.getBoundingClientRect()
    const style = getComputedStyle(e)
    let isCut = text.right > innerWidth + 1
    isCut ||= style.overflowX !== 'visible' && style.display !== 'inline' && e.scrollWidth > e.clientWidth + 2
    for (let p: HTMLElement | null = e; p && p !== document.body && !isCut; p = p.parentElement) {
      const { overflowX } = getComputedStyle(p)
      if (overflowX === 'auto' || overflowX === 'scroll') break
      const box = p.getBoundingClientRect()
      isCut = overflowX !== 'visible' && (text.right > box.right + 1.5 || text.left < box.left - 1.5)
    }
    if (isCut) cut.push(e.textContent.trim())
  }
  const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
  for (let node = walk.nextNode(); node; node = walk.nextNode()) {
    const [p, text] = [node.parentElement, node.textContent?.trim() ?? '']
    const isCode = !p || p.closest('script, style, noscript, kbd, code, title') !== null
    if (!isCode && isShown(p) && /[A-Za-z]{2}/.test(text) && !accent.test(text)) raw.push(text)
  }
  for (const e of document.querySelectorAll('[aria-label], [title], [alt], [placeholder]'))
    for (const name of ['aria-label', 'title', 'alt', 'placeholder']) {
      const text = e.getAttribute(name) ?? ''
      if (/[A-Za-z]{2}/.test(text) && !accent.test(text)) raw.push(text)
    }
  return { cut, raw }
}
