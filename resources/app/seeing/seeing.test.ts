import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { Seen, SheetFound } from '../api/types/answers'
import { api, Refusal } from '../api/client'
import type { Brush, Figure } from '../api/types/figure'
import LookAgainDialog from '../stations/shapes/dialogs/LookAgainDialog.vue'
import { onTable, plain, type OnTable } from '../../../tests/Support/onTable'
import BrushBoard from './BrushBoard.vue'
import SeeingDialog from './SeeingDialog.vue'
import SheetCorners from './SheetCorners.vue'
import { MOST_STROKES } from './useSeeing'

const stroke = (as: Brush['as'] = 'ink'): Brush => ({ as, width: 0.03, points: [[0.5, 0.5]] })
const picture = { file: 'cat.png', widthPx: 100, heightPx: 100, mmPerPx: 1, originPx: [50, 90] as [number, number] }
const drawn = (wishes?: NonNullable<Figure['picture']>['wishes']): Figure => ({
  ...plain(),
  picture: { ...picture, wishes },
})
let table: OnTable | null = null
afterEach(() => {
  table?.wrapper.unmount()
  table = null
  vi.restoreAllMocks()
})
const said = () => document.body.textContent?.replace(/\s+/g, ' ') ?? ''
const button = (words: string) =>
  [...document.querySelectorAll<HTMLButtonElement>('.v-card button')].find((b) => b.textContent?.trim() === words)!

describe('the board that is brushed', () => {
  const on = (as: Brush['as'] | null) => {
    const wrapper = mount(BrushBoard, { props: { src: '/x.png', strokes: [], as, width: 0.03 } })
    const sheet = wrapper.find('svg')
    sheet.element.getBoundingClientRect = () => ({ left: 100, top: 50, width: 200, height: 400 }) as DOMRect
    return { wrapper, sheet }
  }
  const moved = (x: number, y: number) => ({ clientX: x, clientY: y, button: 0, pointerId: 1 })

  it('tells where the brush went, in shares of the drawing, and no farther than its edge', async () => {
    const { wrapper, sheet } = on('paper')
    await sheet.trigger('pointerdown', moved(200, 250))
    await sheet.trigger('pointermove', moved(200.2, 250.2))
    await sheet.trigger('pointermove', moved(250, 350))
    expect(wrapper.findAll('polyline.paper')).toHaveLength(1)
    await sheet.trigger('pointermove', moved(900, -20))
    await sheet.trigger('pointerup')
    const [told] = wrapper.emitted<[Brush]>('stroke')![0]!
    expect(told).toEqual({
      as: 'paper',
      width: 0.03,
      points: [
        [0.5, 0.5],
        [0.75, 0.75],
        [1, 0],
      ],
    })
    expect(wrapper.findAll('polyline')).toHaveLength(0)
  })

  it('holds no more points than PHP takes, however long the brush goes about', async () => {
    const { wrapper, sheet } = on('ink')
    await sheet.trigger('pointerdown', moved(100, 50))
    for (let i = 0; i < 600; i++) void sheet.trigger('pointermove', moved(100 + (i % 2) * 50, 60))
    await sheet.trigger('pointerup')
    expect(wrapper.emitted<[Brush]>('stroke')![0]![0].points.length).toBeLessThanOrEqual(500)
  })

  it('is only looked at with no brush in hand, or another button', async () => {
    for (const [as, which] of [
      [null, 0],
      ['ink', 2],
    ] as const) {
      const { wrapper, sheet } = on(as)
      await sheet.trigger('pointerdown', { ...moved(200, 250), button: which })
      await sheet.trigger('pointerup')
      expect(wrapper.emitted('stroke')).toBeUndefined()
    }
  })

  it('is brushed without a pointer: arrows move, with Shift finely, the space bar dabs', async () => {
    const { wrapper, sheet } = on('figure')
    await sheet.trigger('keydown', { key: 'ArrowRight' })
    await sheet.trigger('keydown', { key: 'ArrowUp', shiftKey: true })
    expect(wrapper.find('circle.cursor').exists()).toBe(true)
    await sheet.trigger('keydown', { key: ' ' })
    expect(wrapper.emitted<[Brush]>('stroke')![0]![0]).toEqual({ as: 'figure', width: 0.03, points: [[0.53, 0.495]] })
  })
})

describe('looking at a drawing', () => {
  const glance = (colours = 4, other: string | null = null) => ({
    image: 'data:image/png;base64,x',
    other,
    colours,
    notices: [],
  })
  const seen = (more: Partial<Seen> = {}): Seen => ({
    document: drawn(),
    notices: ['So it is.'],
    figures: [],
    views: [],
    ...more,
  })
  beforeEach(() => {
    vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:picture', revokeObjectURL: () => {} }))
    vi.spyOn(api, 'picture').mockResolvedValue({ id: 5, widthPx: 100, heightPx: 100 })
    vi.spyOn(api, 'glance').mockResolvedValue(glance())
    vi.spyOn(api, 'sheet').mockResolvedValue({ corners: null, askew: false })
    take.mockReset()
  })
  const take = vi.fn<(seen: Seen, picture: number) => Promise<void>>()
  async function opened() {
    const source = { picture: new File(['x'], 'my cat.png'), name: 'my cat.png' }
    table = await onTable(SeeingDialog, { title: 'A new figure', source: null, onwards: 'On', take })
    await table.wrapper.setProps({ source })
    await flushPromises()
  }
  async function brushed(as: Brush['as'] = 'ink') {
    table!.wrapper.findComponent(BrushBoard).vm.$emit('stroke', stroke(as))
    await flushPromises()
  }

  it('is glanced at as soon as it lies there, and with every wish and stroke, before anything is made', async () => {
    await opened()
    const look = vi.spyOn(api, 'breakDown')
    expect(api.glance).toHaveBeenLastCalledWith(5, { shades: 0.2, figure: 0, brushes: [], keepsUnsure: false })
    expect(said()).toContain('4 colours told apart')
    vi.spyOn(api, 'glance').mockResolvedValue(glance(1))
    const slider = document.querySelector<HTMLInputElement>('.shades input')!
    slider.value = '0.8'
    slider.dispatchEvent(new Event('input'))
    await flushPromises()
    expect(api.glance).toHaveBeenLastCalledWith(5, { shades: 0.8, figure: 0, brushes: [], keepsUnsure: false })
    expect(said()).toContain('1 colour told apart')
    await brushed()
    expect(api.glance).toHaveBeenLastCalledWith(5, { shades: 0.8, figure: 0, brushes: [stroke()], keepsUnsure: false })
    expect(look).not.toHaveBeenCalled()
  })

  it('shows both readings where it is unsure what belongs to it; the chosen one is looked at, and again after it was made', async () => {
    await opened()
    const readings = () => [...document.querySelectorAll<HTMLButtonElement>('.readings [role=radio]')]
    expect(readings()).toHaveLength(0)
    vi.spyOn(api, 'glance').mockImplementation((_, wishes) =>
      Promise.resolve({
        ...glance(4, wishes.keepsUnsure ? 'data:,without' : 'data:,with'),
        image: wishes.keepsUnsure ? 'data:,with' : 'data:,without',
      }),
    )
    await brushed()
    const shown = () =>
      readings().map((r) => [r.textContent?.trim(), r.querySelector('img')!.src, r.getAttribute('aria-checked')])
    expect(shown()).toEqual([
      ['Without it', 'data:,without', 'true'],
      ['With it', 'data:,with', 'false'],
    ])
    const look = vi.spyOn(api, 'breakDown').mockResolvedValue(seen())
    readings()[1]!.click()
    await flushPromises()
    expect(shown()).toEqual([
      ['Without it', 'data:,without', 'false'],
      ['With it', 'data:,with', 'true'],
    ])
    expect(look).not.toHaveBeenCalled()
    button('See its shapes').click()
    await flushPromises()
    readings()[0]!.click()
    await flushPromises()
    expect(look.mock.calls.map((call) => call[1].keepsUnsure)).toEqual([true, false])
  })

  it('says why it cannot be, where nothing stands out', async () => {
    vi.spyOn(api, 'glance').mockRejectedValue(new Refusal(422, 'The picture shows nothing but its background.'))
    await opened()
    expect(said()).toContain('nothing but its background')
  })

  it('is looked at anew after every stroke once it was looked at, and a stroke is taken back', async () => {
    await opened()
    const look = vi.spyOn(api, 'breakDown').mockResolvedValue(seen())
    button('See its shapes').click()
    await flushPromises()
    await brushed('paper')
    await brushed('figure')
    expect(look.mock.calls.map((call) => call[1].brushes.map((b) => b.as))).toEqual([
      [],
      ['paper'],
      ['paper', 'figure'],
    ])
    document.querySelector<HTMLButtonElement>('[aria-label^="Take back the last stroke"]')!.click()
    await flushPromises()
    expect(look.mock.lastCall?.[1].brushes).toEqual([stroke('paper')])
  })

  it('takes the answer to the last stroke, however late the one before comes', async () => {
    await opened()
    const answers: ((seen: Seen) => void)[] = []
    const signals: AbortSignal[] = []
    vi.spyOn(api, 'breakDown').mockResolvedValueOnce(seen())
    button('See its shapes').click()
    await flushPromises()
    vi.spyOn(api, 'breakDown').mockImplementation((_p, _w, _n, _f, _on, signal) => {
      signals.push(signal)
      return new Promise((resolve) => answers.push(resolve))
    })
    await brushed()
    await brushed()
    expect(signals.map((s) => s.aborted)).toEqual([true, false])
    answers[1]!(seen({ notices: ['The last.'] }))
    await flushPromises()
    answers[0]!(seen({ notices: ['The one before.'] }))
    await flushPromises()
    expect(said()).toContain('The last.')
    expect(said()).not.toContain('The one before.')
  })

  it('shows which view each figure of a sheet is taken for, and takes another word for it', async () => {
    await opened()
    const box = [0, 0, 0.3, 1] as [number, number, number, number]
    const sheet = seen({ figures: [box, box, box], views: ['front', 'left', 'back'] })
    const look = vi.spyOn(api, 'breakDown').mockResolvedValue(sheet)
    button('See its shapes').click()
    await flushPromises()
    expect([...document.querySelectorAll('.which')].map((b) => b.textContent?.trim())).toEqual([
      'front',
      'side',
      'back',
    ])
    expect(said()).not.toContain('Which one is meant?')
    const selects = table!.wrapper.findAllComponents({ name: 'VSelect' })
    selects[1]!.vm.$emit('update:modelValue', 'front')
    await flushPromises()
    expect(look.mock.lastCall?.[1].views).toEqual(['none', 'front', 'back'])
    selects[0]!.vm.$emit('update:modelValue', 'right')
    await flushPromises()
    selects[2]!.vm.$emit('update:modelValue', 'left')
    await flushPromises()
    expect(look.mock.lastCall?.[1].views).toEqual(['none', 'front', 'left'])
    const asked = look.mock.calls.length
    selects[1]!.vm.$emit('update:modelValue', 'back')
    await flushPromises()
    // Without a front there is nothing to look at yet.
    expect(look.mock.calls).toHaveLength(asked)
    document.querySelector<HTMLButtonElement>('.which')!.click()
    await flushPromises()
    expect(look.mock.lastCall?.[1]).toMatchObject({ figure: 1, views: [] })
  })

  it('straightens a sheet that lies askew: its corners are found, dragged, and the sheet takes the place of the photo', async () => {
    const corners: NonNullable<SheetFound['corners']> = [
      [0.2, 0.1],
      [0.8, 0.15],
      [0.9, 0.9],
      [0.1, 0.8],
    ]
    vi.spyOn(api, 'sheet').mockResolvedValueOnce({ corners, askew: true })
    await opened()
    expect(said()).toContain('A sheet lies askew')
    const straighten = vi
      .spyOn(api, 'straighten')
      .mockRejectedValueOnce(new Refusal(422, 'A sheet has four corners.'))
      .mockResolvedValue({ id: 6, widthPx: 100, heightPx: 140 })
    document.querySelector<HTMLButtonElement>('[aria-label^="Straighten a sheet"]')!.click()
    await flushPromises()
    const sheet = table!.wrapper.findComponent(SheetCorners)
    sheet.element.getBoundingClientRect = () => ({ left: 0, top: 0, width: 100, height: 200 }) as DOMRect
    const handles = sheet.findAll('.corner')
    expect(handles).toHaveLength(4)
    await handles[1]!.trigger('pointerdown', { pointerId: 1 })
    await sheet.trigger('pointermove', { clientX: 85, clientY: -20 })
    await sheet.trigger('pointerup')
    await handles[3]!.trigger('keydown', { key: 'ArrowDown' })
    button('Straighten it').click()
    await flushPromises()
    expect(straighten.mock.lastCall).toEqual([5, [corners[0], [0.85, 0], corners[2], [0.1, 0.81]]])
    expect(said()).toContain('A sheet has four corners.')
    button('Straighten it').click()
    await flushPromises()
    expect(document.querySelector('.board img')?.getAttribute('src')).toBe('/api/pictures/6')
    expect(api.glance).toHaveBeenLastCalledWith(6, { shades: 0.2, figure: 0, brushes: [], keepsUnsure: false })
    const look = vi.spyOn(api, 'breakDown').mockResolvedValue(seen())
    button('See its shapes').click()
    await flushPromises()
    expect(look.mock.lastCall?.[0]).toBe(6)
    button('On').click()
    await flushPromises()
    expect(take.mock.lastCall?.[1]).toBe(6)
  })

  it('says why what was seen could not be laid on the table, and keeps it', async () => {
    await opened()
    vi.spyOn(api, 'breakDown').mockResolvedValue(seen())
    take.mockRejectedValueOnce(new Refusal(507, 'The disk is full.'))
    button('See its shapes').click()
    await flushPromises()
    button('On').click()
    await flushPromises()
    expect(said()).toContain('The disk is full.')
    button('On').click()
    await flushPromises()
    expect(take).toHaveBeenCalledTimes(2)
    expect(take.mock.lastCall?.[1]).toBe(5)
  })

  it('lets no more strokes lie on it than PHP takes, and says so', async () => {
    await opened()
    for (let i = 0; i < MOST_STROKES + 2; i++) await brushed()
    expect(vi.mocked(api.glance).mock.lastCall?.[1].brushes).toHaveLength(MOST_STROKES)
    expect(said()).toContain('take some back to brush on')
  })
})

describe('a figure looked at again', () => {
  it('begins with the wishes it was made with, sends what was made of it, and is one step of undo', async () => {
    const brushes = [stroke('paper')]
    const was = drawn({ shades: 0.6, figure: 2, roundToMm: 1, brushes, views: [], flat: 'batting' })
    vi.spyOn(api, 'glance').mockResolvedValue({ image: 'data:,', other: null, colours: 2, notices: [] })
    table = await onTable(LookAgainDialog, { modelValue: false }, was)
    vi.spyOn(api, 'figure').mockResolvedValue({ id: 9, revision: 1, picture: 7, document: was })
    await table.figure.open(9)
    await table.wrapper.setProps({ modelValue: true })
    await flushPromises()
    expect(api.glance).toHaveBeenLastCalledWith(7, { shades: 0.6, figure: 2, brushes, keepsUnsure: false })
    const next = { ...was, parts: was.parts.slice(0, 2) }
    const look = vi
      .spyOn(api, 'breakDown')
      .mockResolvedValue({ document: next, notices: ['2 parts stay as they were; 1 is gone.'], figures: [], views: [] })
    button('See its shapes').click()
    await flushPromises()
    expect(look.mock.lastCall?.[0]).toBe(7)
    const wishes = {
      heightMm: 80,
      shades: 0.6,
      figure: 2,
      roundToMm: 1,
      brushes,
      views: [],
      flat: 'batting',
      keepsUnsure: false,
    }
    expect(look.mock.lastCall?.[1]).toEqual(wishes)
    expect(look.mock.lastCall?.[6]).toMatchObject({ name: 'Test' })
    expect(said()).toContain('2 parts stay as they were; 1 is gone.')
    expect(table.figure.parts).toHaveLength(3)
    button('Take these shapes').click()
    await flushPromises()
    await nextTick()
    expect(table.figure.parts).toHaveLength(2)
    expect(table.wrapper.emitted('update:modelValue')?.at(-1)).toEqual([false])
    table.figure.undo()
    expect(table.figure.parts).toHaveLength(3)
  })
})
