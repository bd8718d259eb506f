import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/** What depends on the light alone: where all rules were asked by day, these are enough by lamp. */
const OF_LIGHT = ['color-contrast', 'link-in-text-block']

/** The same by day, and what depends on the light by lamp as well. */
export async function expectNoSeriousFaultInAnyLight(page: Page, where: string): Promise<void> {
  await expectNoSeriousFault(page, where)
  await page.getByRole('button', { name: 'Lamp light' }).click()
  await faultless(page, `${where} by lamp`, OF_LIGHT)
  await page.getByRole('button', { name: 'Day light' }).click()
}

/** That axe finds nothing serious or critical on a page that has come to rest. */
export async function expectNoSeriousFault(page: Page, where: string): Promise<void> {
  await page.waitForLoadState('networkidle')
  await faultless(page, where)
}

/** By some of axe's rules, or by all. */
async function faultless(page: Page, where: string, rules: string[] = []): Promise<void> {
  // What is still fading in is pale for a moment.
  await page.waitForFunction(() =>
    document.getAnimations().every((a) => a.playState !== 'running' || a.effect?.getTiming().iterations === Infinity),
  )
  // Legacy: in this one window, which is quicker; what it leaves out, frames from elsewhere, there are none of.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode(true)
  const { violations } = await (rules.length ? axe.withRules(rules) : axe).analyze()
  const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical')
  expect(
    serious.map(
      (v) =>
        `${where}: ${v.id} at ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 4)
          .join(', ')}`,
    ),
  ).toEqual([])
}
