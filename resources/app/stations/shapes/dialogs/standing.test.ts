import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import type { BalanceSheet } from '../../../api/types/balance'
import { api, Refusal } from '../../../api/client'
import { onTable, plain, type OnTable } from '../../../../../tests/Support/onTable'
import StandingDialog from './StandingDialog.vue'

const sheet = (more: Partial<BalanceSheet> = {}): BalanceSheet => ({
  format: 'impa-balance',
  version: 1,
  figure: 'Plain',
  massG: 20,
  centreMm: [0, 50, 2],
  tipDeg: 6.2,
  limitsDeg: { falls: 5, touchy: 10 },
  mustStand: true,
  noCure: '',
  stands: true,
  touchy: true,
  footprintMm: [],
  rose: [
    { towardsDeg: 0, tipDeg: 12.5 },
    { towardsDeg: 90, tipDeg: 6.2 },
    { towardsDeg: 180, tipDeg: -3 },
    { towardsDeg: 270, tipDeg: 60 },
  ],
  shakeG: 0.108,
  shelfMm: 1.1,
  cures: [{ kind: 'flatten', amount: 4, unit: 'mm', tipDeg: 10.75, text: 'flatten the base by 4 mm' }],
  hang: { atMm: [0.2, 109.8, -3], askewDeg: 4.4 },
  ...more,
})
let table: OnTable
afterEach(() => {
  table.wrapper.unmount()
  vi.restoreAllMocks()
})
const text = () => document.body.textContent!.replace(/\s+/g, ' ')
async function opened(answer: Promise<BalanceSheet>): Promise<void> {
  vi.spyOn(api, 'balance').mockReturnValue(answer)
  table = await onTable(StandingDialog, { modelValue: false }, plain())
  await table.wrapper.setProps({ modelValue: true })
  await flushPromises()
}

it('draws how far it leans to each side, the front below, from nothing to the rim', async () => {
  await opened(Promise.resolve(sheet()))
  const points = document.querySelector('.leans')!.getAttribute('points')!.split(' ')
  // 12.5 of 25 degrees are half of 90 to the right; what falls at once is in the middle; 60 degrees go no farther than the rim.
  expect(points).toEqual(['45.0,0.0', '0.0,22.3', '0.0,0.0', '-0.0,-90.0'])
})

it('says how firmly it stands, each cure with what it brings, and where it hangs straight', async () => {
  await opened(Promise.resolve(sheet()))
  expect(text()).toContain('It is touchy: it tips at a lean of 6° to its weakest side.')
  expect(text()).toContain('flatten the base by 4 mm tips at 11° then')
  expect(text()).toContain('a push sideways of 11% of its weight, and may stick out 1.1 mm')
  expect(text()).toContain('straight from 110 mm up, 3 mm behind the middle; by its topmost place 4° askew')
})

it('tells of one that falls at once, that none of the cures is enough, and what was refused', async () => {
  await opened(Promise.resolve(sheet({ mustStand: false })))
  expect(text()).toContain('It is not meant to stand.')
  table.wrapper.unmount()
  await opened(
    Promise.resolve(sheet({ tipDeg: -2, stands: false, cures: [], noCure: 'None helps: give it a wider base.' })),
  )
  expect(text()).toContain('It falls at once')
  expect(text()).toContain('give it a wider base')
  expect(text()).not.toContain('push sideways')
  vi.mocked(api.balance).mockRejectedValue(new Refusal(422, 'This figure has a fault.'))
  table.figure.change((d) => (d.name = 'Other'))
  await flushPromises()
  expect(document.querySelector('[role=alert]')!.textContent).toContain('This figure has a fault.')
})
