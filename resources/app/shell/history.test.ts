import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import { api, Refusal } from '../api/client'
import { onTable, plain, type OnTable } from '../../../tests/Support/onTable'
import HistoryDialog from './HistoryDialog.vue'

let table: OnTable
const dialog = () => document.querySelector<HTMLElement>('[role=dialog][aria-label=History]') ?? document.body
const says = () => (dialog().textContent ?? '').replace(/\s+/g, ' ')
const button = (words: string) => [...dialog().querySelectorAll('button')].find((b) => b.textContent?.includes(words))!
afterEach(() => {
  table.wrapper.unmount()
  vi.restoreAllMocks()
})

async function opened(): Promise<void> {
  vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:x' }))
  vi.spyOn(api, 'render').mockResolvedValue(new Blob())
  vi.spyOn(api, 'revisions').mockResolvedValue({
    revisions: [
      { revision: 2, at: Date.UTC(2026, 10, 27), changes: ['Head is 3.0 mm wider'] },
      { revision: 1, at: Date.UTC(2026, 10, 26), changes: [] },
    ],
  })
  table = await onTable(HistoryDialog, { modelValue: true }, plain())
  await flushPromises()
}

it('says what changed, shows one beside now, and goes back to it in one step of undo', async () => {
  await opened()
  expect(says()).toContain('Head is 3.0 mm wider')
  expect(says()).toContain('as it was laid on the shelf')
  const was = { ...plain(), heightMm: 60 }
  vi.spyOn(api, 'revision').mockResolvedValue({
    document: was,
    totalG: 12.3,
    wool: [
      { name: 'core wool', hex: null, wasG: 8, isG: 8.001 },
      { name: 'Teal', hex: '#30a0a0', wasG: 4.3, isG: 2.2 },
    ],
  })
  button('as it was laid').click()
  await flushPromises()
  expect(says()).toContain('then: 12.3 g')
  button('Go back to this').click()
  await flushPromises()
  expect(table.figure.document?.heightMm).toBe(60)
  table.figure.undo()
  expect(table.figure.document?.heightMm).toBe(80)
})

it('branches off a figure of its own, or says why that cannot be', async () => {
  await opened()
  const branch = vi
    .spyOn(api, 'branch')
    .mockRejectedValueOnce(new Refusal(422, 'A figure is made 10 to 1000 % as large.'))
  button('Make a copy from here').closest('form')!.dispatchEvent(new Event('submit'))
  await flushPromises()
  expect(says()).toContain('A figure is made 10 to 1000 % as large.')
  branch.mockResolvedValue({ id: 9, revision: 1, picture: null, document: plain() })
  const push = vi.spyOn(table.router, 'push').mockResolvedValue()
  button('Make a copy from here').closest('form')!.dispatchEvent(new Event('submit'))
  await flushPromises()
  expect(branch.mock.lastCall).toEqual([7, { name: 'Test, another', percent: 120, colours: {} }])
  expect(push).toHaveBeenCalledWith('/figures/9/shapes')
})
