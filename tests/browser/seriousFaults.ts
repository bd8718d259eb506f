import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/** That axe finds nothing serious or critical on a page that has come to rest. */
export async function expectNoSeriousFault(page: Page, where: string): Promise<void> {
  await page.waitForLoadState('networkidle')
  // What is still fading in is pale for a moment.
  await page.waitForFunction(() =>
    document.getAnimations().every((a) => a.playState !== 'running' || a.effect?.getTiming().iterations === Infinity),
  )
  // Legacy: in this one window, which is quicker; what it leaves out, frames from elsewhere, there are none of.
  const { violations } = await new AxeBuilder({ page })
    .options({ resultTypes: ['violations'] })
    .setLegacyMode(true)
    .analyze()
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
