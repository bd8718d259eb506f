import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { Card, CardPage, Seen } from '../../api/types/answers'
import { api, Refusal } from '../../api/client'
import { onTable, plain, type OnTable } from '../../../../tests/Support/onTable'
import BinStation from './BinStation.vue'
import NewFigureDialog from './NewFigureDialog.vue'
import ShelfStation from './ShelfStation.vue'

const card = (id: number, name: string, more: Partial<Card> = {}): Card => ({
  id,
  name,
  revision: 1,
  totalG: 21.2,
  handsMinutes: 125,
  steps: 30,
  done: 3,
  changedAt: '2026-11-25',
  ...more,
})
const page = (...figures: Card[]): CardPage => ({ figures, page: 1, pages: 1, count: figures.length })
let table: OnTable
afterEach(() => {
  table.wrapper.unmount()
  vi.restoreAllMocks()
})
const text = () => table.wrapper.text().replace(/\s+/g, ' ')
const button = (words: string) => [...document.querySelectorAll('button')].find((b) => b.textContent?.trim() === words)!
const drop = async (file: File) => {
  await table.wrapper.find('.shelf').trigger('drop', { dataTransfer: { files: [file] } })
  await flushPromises()
}

describe('the shelf', () => {
  async function opened(shelf = page(card(1, 'Bobbin'), card(2, 'Lanto', { done: 0 }))) {
    vi.spyOn(api, 'shelf').mockResolvedValue(shelf)
    table = await onTable(ShelfStation)
    await flushPromises()
  }

  it('shows each figure with its weight, its time and how far it is', async () => {
    await opened()
    for (const words of ['Bobbin', '21.2g', '2 h 5 min']) expect(text()).toContain(words)
    expect(text()).toContain('3 of 30 steps')
    expect(text()).toContain('not begun')
    expect(table.wrapper.find('img').attributes()).toMatchObject({
      alt: 'Bobbin, from the front',
      src: '/api/figures/1/render?px=320&revision=1',
    })
  })

  it('tells that a figure was thrown away in another window, or the bin emptied, and shows what stands there now', async () => {
    await opened()
    const gone = 'There is nothing here under this number. It may have been thrown away for good.'
    vi.spyOn(api, 'throwAway').mockRejectedValueOnce(new Refusal(404, gone)).mockResolvedValue(undefined)
    vi.spyOn(api, 'restore').mockRejectedValue(new Refusal(404, gone))
    vi.spyOn(api, 'shelf').mockResolvedValue(page(card(1, 'Bobbin')))
    await table.wrapper.find('[aria-label="Throw Lanto into the bin"]').trigger('click')
    await flushPromises()
    expect(text()).toContain(gone)
    expect(text()).not.toContain('Lanto')
    await table.wrapper.find('[aria-label="Throw Bobbin into the bin"]').trigger('click')
    await flushPromises()
    expect(text()).not.toContain(gone)
    button('Bring back').click()
    await flushPromises()
    expect(text()).toContain(gone)
  })

  it('throws a figure into the bin and brings it back', async () => {
    await opened()
    const thrown = vi.spyOn(api, 'throwAway').mockResolvedValue(undefined)
    const restored = vi.spyOn(api, 'restore').mockResolvedValue(undefined)
    await table.wrapper.find('[aria-label="Throw Lanto into the bin"]').trigger('click')
    await flushPromises()
    expect(thrown).toHaveBeenCalledWith(2)
    const back = [...document.querySelectorAll('button')].find((b) => /bring|back/i.test(b.textContent ?? ''))!
    back.click()
    await flushPromises()
    expect(restored).toHaveBeenCalledWith(2)
    expect(api.shelf).toHaveBeenCalledTimes(3)
  })

  it('takes a figure file that is dropped, and says each fault of a bad one', async () => {
    await opened()
    const push = vi.spyOn(table.router, 'push')
    const lay = vi
      .spyOn(api, 'lay')
      .mockResolvedValueOnce({ id: 9, revision: 1, picture: null, document: plain() })
      .mockRejectedValueOnce(
        new Refusal(422, 'The figure has faults.', [
          { pointer: '/parts/0/colour', detail: 'There is no such colour.' },
        ]),
      )
    await drop(new File([JSON.stringify(plain())], 'mine.json'))
    expect(lay.mock.calls[0]?.[0].name).toBe('Test')
    expect(push).toHaveBeenCalledWith('/figures/9/shapes')
    await drop(new File(['{}'], 'bad.json'))
    expect(text()).toContain('The figure has faults. /parts/0/colour: There is no such colour.')
    await drop(new File(['no json'], 'worse.json'))
    expect(table.wrapper.find('[role=alert]').exists()).toBe(true)
  })

  it('starts with a plain ball for who has no picture', async () => {
    await opened()
    const lay = vi.spyOn(api, 'lay').mockResolvedValue({ id: 4, revision: 1, picture: null, document: plain() })
    button('Start with a ball').click()
    await flushPromises()
    expect(lay.mock.calls[0]?.[0].parts.map((p) => p.shape.kind)).toEqual(['ball'])
  })

  it('says why it cannot be fetched', async () => {
    vi.spyOn(api, 'shelf').mockRejectedValue(new Refusal(0, 'Impa does not answer.'))
    table = await onTable(ShelfStation)
    await flushPromises()
    expect(text()).toContain('Impa does not answer.')
  })
})

describe('the bin', () => {
  it('brings back one, and empties only when asked twice', async () => {
    vi.spyOn(api, 'bin').mockResolvedValue(page(card(1, 'Bobbin')))
    const restore = vi.spyOn(api, 'restore').mockResolvedValue(undefined)
    const empty = vi.spyOn(api, 'emptyBin').mockResolvedValue(undefined)
    table = await onTable(BinStation)
    await flushPromises()
    button('Bring back').click()
    await flushPromises()
    expect(restore).toHaveBeenCalledWith(1)
    button('Empty the bin').click()
    await flushPromises()
    expect(empty).not.toHaveBeenCalled()
    expect(document.body.textContent).toContain('One figure and all its notes are then gone for good.')
    ;[...document.querySelectorAll<HTMLButtonElement>('.v-card-actions button')]
      .find((b) => b.textContent === 'Empty the bin')!
      .click()
    await flushPromises()
    expect(empty).toHaveBeenCalledTimes(1)
  })

  it('tells that somebody else let a figure go meanwhile, and shows what lies there now', async () => {
    const gone = 'There is nothing here under this number. It may have been thrown away for good.'
    const bin = vi.spyOn(api, 'bin').mockResolvedValue(page(card(1, 'Bobbin')))
    vi.spyOn(api, 'restore').mockRejectedValue(new Refusal(404, gone))
    table = await onTable(BinStation)
    await flushPromises()
    bin.mockResolvedValue(page())
    button('Bring back').click()
    await flushPromises()
    expect(table.wrapper.find('[role=alert]').text()).toBe(gone)
    expect(text()).toContain('The bin is empty.')
  })

  it('says what lies in it when nothing does', async () => {
    vi.spyOn(api, 'bin').mockResolvedValue(page())
    table = await onTable(BinStation)
    await flushPromises()
    expect(text()).toContain('The bin is empty.')
  })
})

describe('a new figure from a picture', () => {
  const seen = (more: Partial<Seen> = {}): Seen => ({ document: plain(), notices: [], figures: [], views: [], ...more })
  async function opened() {
    vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:picture', revokeObjectURL: () => {} }))
    vi.spyOn(api, 'picture').mockResolvedValue({ id: 5, widthPx: 100, heightPx: 100 })
    table = await onTable(NewFigureDialog, { file: null })
    await table.wrapper.setProps({ file: new File(['x'], 'my cat.png') })
    await flushPromises()
  }

  it('goes straight to the shapes where there is nothing to say', async () => {
    await opened()
    const look = vi.spyOn(api, 'breakDown').mockResolvedValue(seen())
    const lay = vi.spyOn(api, 'lay').mockResolvedValue({ id: 8, revision: 1, picture: 5, document: plain() })
    const push = vi.spyOn(table.router, 'push')
    button('See its shapes').click()
    await flushPromises()
    expect(look.mock.calls[0]?.slice(0, 4)).toEqual([
      5,
      { heightMm: 110, shades: 0.2, figure: 0, roundToMm: 0, brushes: [], views: [], flat: '', keepsUnsure: false },
      'my cat',
      'my cat.png',
    ])
    expect(lay.mock.calls[0]?.[1]).toBe(5)
    expect(push).toHaveBeenCalledWith('/figures/8/shapes')
  })

  it('tells what was noticed first, and waits', async () => {
    await opened()
    vi.spyOn(api, 'breakDown').mockResolvedValue(seen({ notices: ['The figure is cut off at the left edge.'] }))
    const lay = vi.spyOn(api, 'lay').mockResolvedValue({ id: 8, revision: 1, picture: 5, document: plain() })
    button('See its shapes').click()
    await flushPromises()
    expect(document.body.textContent).toContain('cut off at the left edge')
    expect(lay).not.toHaveBeenCalled()
    button('To the shapes').click()
    await flushPromises()
    expect(lay).toHaveBeenCalledTimes(1)
  })

  it('shows how far it is, can be stopped, and says what was refused', async () => {
    await opened()
    let stopped = false
    vi.spyOn(api, 'breakDown').mockImplementationOnce(
      (_p, _w, _n, _f, onProgress, signal) =>
        new Promise((_resolve, reject) => {
          onProgress('Sorting the colours', 0.3)
          signal.addEventListener('abort', () => {
            stopped = true
            reject(new DOMException('', 'AbortError'))
          })
        }),
    )
    button('See its shapes').click()
    await flushPromises()
    expect(document.body.textContent).toContain('Sorting the colours')
    ;[...document.querySelectorAll<HTMLButtonElement>('.v-card-actions button')][0]!.click()
    await flushPromises()
    expect(stopped).toBe(true)
    expect(document.querySelector('.v-card [role=alert].v-alert')).toBeNull()
    vi.spyOn(api, 'breakDown').mockRejectedValue(new Refusal(422, 'The picture shows nothing but its background.'))
    button('See its shapes').click()
    await flushPromises()
    expect(document.body.textContent).toContain('The picture shows nothing but its background.')
  })
})
