import { expect, test, type Page } from './test'
import { choose, list } from './choose'
import { expectNoSeriousFault } from './seriousFaults'

const figure = async (page: Page, name: string): Promise<string> => {
  const { figures } = (await (await page.request.get('/api/figures')).json()) as {
    figures: { id: number; name: string }[]
  }
  return `/figures/${figures.find((f) => f.name.startsWith(name))!.id}`
}

test('help says what to do next here, leads there, finds pages and words with their drawings, and lists keys last', async ({
  page,
}) => {
  const wick = await figure(page, 'Wick')
  await page.goto(`${wick}/wool`)
  await expect(page.getByRole('heading', { name: 'In all' })).toBeVisible()
  await page.keyboard.press('?')
  const help = page.getByRole('dialog', { name: 'Help' })
  await expect(help.getByRole('heading', { name: 'Do next' })).toBeVisible()
  await expect(help.getByText('Set the wool aside, so that no other figure counts on it.')).toBeVisible()
  // The page of the station lies open; keys are at the very end.
  await expect(help.getByText('Every part takes an inside and a colour.')).toBeVisible()
  await expect(help.locator('summary').last()).toHaveText('Keys')
  await expectNoSeriousFault(page, 'help')
  const search = help.getByRole('searchbox')
  await search.fill('gaug')
  await expect(help.getByText('the higher the number, the finer')).toBeVisible()
  const drawing = help.getByRole('img', { name: 'gauge' })
  // Its drawing is there: something of it has a size.
  await expect
    .poll(() => drawing.locator('use').evaluate((use) => (use as SVGGraphicsElement).getBBox().height))
    .toBeGreaterThan(10)
  await search.fill('photograph')
  await help.getByRole('button', { name: 'How to photograph a figure' }).click()
  await expect(help.getByText('Lay a sheet of paper under it.')).toBeVisible()
  await search.fill('no such thing')
  await expect(help.getByText('Nothing found for “no such thing”.')).toBeVisible()
  await search.fill('wick')
  await help.getByRole('link', { name: /^Wick/ }).click()
  await expect(page).toHaveURL(/shapes$/)
  await expect(help).toBeHidden()
})

test('a number says how it came about, and its card comes to the number that was pressed', async ({ page }) => {
  await page.goto(`${await figure(page, 'Bobbin')}/wool`)
  const pressed = page.getByRole('button', { name: /g core wool$/ }).first()
  const shown = Number((await pressed.innerText()).match(/[\d.]+/)![0])
  await pressed.click()
  const card = page.getByRole('dialog', { name: 'How do you know?' })
  await expect(card.getByText('8 times out of 10')).toBeVisible()
  const sum = await card.locator('.sum li').first().locator('.values').innerText()
  const [cm3, density, waste, is] = sum.match(/[\d.]+(?=[^\d.]|$)/g)!.map(Number)
  expect(cm3! * density! * waste!).toBeCloseTo(is!, 1)
  expect(is).toBeCloseTo(shown, 1)
  await expectNoSeriousFault(page, 'a number card')
  await page.keyboard.press('Escape')
  await expect(card).toBeHidden()
  // And so do the lean, the minutes of a step, what is to be at hand, how small a detail may be.
  await page.getByRole('button', { name: /^; get .* ready$/ }).click()
  await expect(card.getByText('The rest is kept back')).toBeVisible()
  await page.keyboard.press('Escape')
  await page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: /^Build/ })
    .click()
  await page.getByRole('button', { name: /^about .* min$/ }).click()
  await expect(card.locator('.sum li').first()).toBeVisible()
  await page.keyboard.press('Escape')
  // On the shelf no figure lies open: the card's own figure is asked, and comes to the card's own weight.
  await page.goto('/')
  const shelfCard = page.getByRole('article').filter({ hasText: 'Bobbin, night watch' }).first()
  const weight = shelfCard.getByRole('button', { name: /\d\s*g$/ })
  const told = (await weight.innerText()).replace(/\s/g, '')
  await weight.click()
  await expect.poll(async () => (await card.locator('.head b').innerText()).replace(/\s/g, '')).toBe(told)
})

test('a word of the trade opens its card where it stands in a sentence', { tag: '@byTurns' }, async ({ page }) => {
  await page.goto(`${await figure(page, 'Bobbin')}/wool`)
  await page.getByRole('button', { name: 'core', exact: true }).first().click()
  const card = page.getByRole('dialog', { name: 'core' })
  await expect(card.getByText('felted from cheap undyed wool')).toBeVisible()
})

test(
  'who wants just what she needs is shown no wires, percentages or odds, until she asks; and turns it back in the house',
  { tag: '@byTurns' },
  async ({ page }) => {
    await page.goto('/')
    await page.getByRole('button', { name: 'Just what I need' }).click()
    const bobbin = await figure(page, 'Bobbin')
    await page.goto(`${bobbin}/shapes`)
    const wires = page.getByRole('button', { name: 'Wires', exact: true })
    await expect(page.getByRole('button', { name: 'Show wires' })).toBeVisible()
    await expect(wires).toBeHidden()
    await page.getByRole('button', { name: 'Show wires' }).click()
    await expect(wires).toBeVisible()
    await page.goto(`${bobbin}/wool`)
    await expect(page.getByRole('button', { name: 'Show how much to keep back' })).toBeVisible()
    await expect(list(page, 'If it runs out')).toBeHidden()
    await page.goto('/hand')
    await expect(page.getByRole('button', { name: 'Show the curves' })).toBeVisible()
    await page.goto('/house')
    await choose(page, list(page, 'How much to show'), 'Everything')
    await page.goto(`${bobbin}/wool`)
    await expect(list(page, 'If it runs out')).toBeVisible()
  },
)

test('prices are in the currency that was chosen in the house', { tag: '@byTurns' }, async ({ page }) => {
  await page.goto('/house')
  await choose(page, list(page, 'Currency'), 'EUR')
  await page.goto(`${await figure(page, 'Bobbin')}/wool`)
  await expect(page.getByText(/It costs about €\d+\.\d\d/)).toBeVisible()
  await page.goto('/house')
  await choose(page, list(page, 'Currency'), 'None')
  await page.goto(`${await figure(page, 'Bobbin')}/wool`)
  await expect(page.getByText(/It costs about \d+\.\d\d/)).toBeVisible()
})
