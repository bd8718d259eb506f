import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { onTable, plain, type OnTable } from '../../../../tests/Support/onTable'
import PartTree from './PartTree.vue'
import ReviewCard from './ReviewCard.vue'
import SizingDialog from './dialogs/SizingDialog.vue'
import { api, Refusal } from '../../api/client'

let table: OnTable
afterEach(() => {
  table.wrapper.unmount()
  vi.restoreAllMocks()
})
const button = (text: string) => table.wrapper.findAll('button').find((b) => b.text() === text)!
const name = () => table.wrapper.find('.name').text()

describe('the review, one suggestion after the other', () => {
  it('begins with the first, says why, and chooses it on the board', async () => {
    table = await onTable(ReviewCard)
    expect(name()).toBe('Body')
    expect(table.wrapper.find('.why').text()).toBe('A patch of one colour.')
    expect(table.wrapper.text()).toContain('1 of 3; 3 open')
    expect(table.wrapper.text()).toContain('90 % sure')
    expect(table.figure.selection).toEqual({ kind: 'part', key: 'body' })
  })

  it('is left by Escape', async () => {
    table = await onTable(ReviewCard)
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))
    await nextTick()
    expect(table.wrapper.findComponent(ReviewCard).emitted('close')).toHaveLength(1)
  })

  it('goes in the order that PHP advises, and says that what is unsure comes first', async () => {
    const order = [
      { kind: 'detail' as const, key: 'eye' },
      { kind: 'part' as const, key: 'head' },
      { kind: 'part' as const, key: 'body' },
    ]
    table = await onTable(ReviewCard, {}, plain(), { review: { hard: true, order } })
    expect(table.wrapper.text()).toContain('3 open, unsure first')
    for (const expected of ['Head', 'Body']) {
      await button('Take it').trigger('click')
      expect(name()).toBe(expected)
    }
  })

  it('takes one after the other, parts and colours, until none is open', async () => {
    table = await onTable(ReviewCard)
    for (const expected of ['Head', 'Eye', 'Eye']) {
      await button('Take it').trigger('click')
      expect(name()).toBe(expected)
    }
    expect(table.wrapper.text()).toContain('0 open')
    expect(button('Taken').attributes('disabled')).toBeDefined()
    expect(table.figure.parts.map((p) => p.seen?.taken)).toEqual([true, true, undefined])
    table.figure.undo()
    await nextTick()
    expect(table.wrapper.text()).toContain('1 open')
  })

  it('leaves one out with all that lay on it, and goes on with the next', async () => {
    table = await onTable(ReviewCard)
    await table.wrapper.find('[aria-label="The next one"]').trigger('click')
    expect(name()).toBe('Head')
    vi.mocked(api.edit).mockImplementation((sent) =>
      Promise.resolve({ document: { ...sent, parts: sent.parts.slice(0, 1), details: [] }, kind: 'part', key: '' }),
    )
    await button('Leave it out').trigger('click')
    await flushPromises()
    expect(vi.mocked(api.edit).mock.calls[0]?.slice(1)).toEqual(['remove', { kind: 'part', keys: ['head'] }])
    expect(name()).toBe('Body')
  })

  it('goes round at the end, and follows what is chosen on the board', async () => {
    table = await onTable(ReviewCard)
    await table.wrapper.find('[aria-label="The one before"]').trigger('click')
    expect(name()).toBe('Eye')
    table.figure.choose('head')
    await nextTick()
    expect(name()).toBe('Head')
  })

  it('takes on Enter, but not from a button', async () => {
    table = await onTable(ReviewCard)
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))
    await nextTick()
    expect(name()).toBe('Head')
    button('Leave it out').element.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))
    expect(table.figure.parts[1]?.seen?.taken).toBeUndefined()
  })

  it('is left by Escape from its field as well, but not from a list that is open', async () => {
    table = await onTable(ReviewCard)
    const field = table.wrapper.find('input').element
    const escape = () => field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))
    const list = field.closest('[aria-expanded]') ?? field
    list.setAttribute('aria-expanded', 'true')
    escape()
    expect(table.wrapper.findComponent(ReviewCard).emitted('close')).toBeUndefined()
    list.setAttribute('aria-expanded', 'false')
    escape()
    expect(table.wrapper.findComponent(ReviewCard).emitted('close')).toHaveLength(1)
  })

  it('leaves all rims out by one press, and goes on with what is left', async () => {
    const document = plain()
    const eye = document.details![0]!
    const rim = (key: string) => ({ ...eye, key, role: 'rim' as const, seen: { confidence: 0.5, why: 'It is long.' } })
    document.details = [rim('rim'), { ...eye, seen: { confidence: 0.9, why: 'A disc covers it.' } }, rim('rim-2')]
    table = await onTable(ReviewCard, {}, document)
    const edit = vi.spyOn(api, 'edit').mockImplementation((sent, _, more) => {
      const keys = (more as { keys: string[] }).keys
      const next = { ...sent, details: sent.details!.filter((d) => !keys.includes(d.key)) }
      return Promise.resolve({ document: next, kind: '', key: '' })
    })
    for (let i = 0; i < 6 && !table.wrapper.text().includes('Leave all'); i++)
      await table.wrapper.find('[aria-label="The next one"]').trigger('click')
    await button('Leave all rims out').trigger('click')
    await flushPromises()
    expect(edit.mock.calls.map((c) => c.slice(1))).toEqual([['remove', { kind: 'detail', keys: ['rim', 'rim-2'] }]])
    expect(table.figure.details.map((d) => d.key)).toEqual(['eye'])
    expect(table.wrapper.text()).not.toContain('rims out')
  })

  it('takes all the rest that is at least so sure, and goes on with what is not', async () => {
    table = await onTable(ReviewCard)
    const edit = vi.spyOn(api, 'edit').mockImplementation((sent) => {
      const document = structuredClone(sent)
      for (const m of [...document.parts, ...(document.details ?? [])])
        if ((m.seen?.confidence ?? 0) >= 0.8) m.seen!.taken = true
      return Promise.resolve({ document, kind: '', key: '' })
    })
    await button('95\u00a0%').trigger('click')
    expect(button('Take the 0 that are').attributes('disabled')).toBeDefined()
    await button('80\u00a0%').trigger('click')
    await button('Take the 2 that are').trigger('click')
    await flushPromises()
    expect(edit.mock.calls.map((c) => c.slice(1))).toEqual([['take-surer', { least: 0.8 }]])
    expect(name()).toBe('Head')
    expect(table.wrapper.text()).toContain('1 open')
  })

  it('offers what an unsure one may be instead, and makes it that by one press', async () => {
    const document = plain()
    document.parts[0]!.seen = { confidence: 0.3, why: 'Unsure.', else: 'drop' }
    table = await onTable(ReviewCard, {}, document)
    await button('Rather: drop').trigger('click')
    expect(table.figure.parts[0]?.shape.kind).toBe('drop')
    // It is one now: nothing else is offered, until that is taken back.
    expect(table.wrapper.text()).not.toContain('Rather')
    table.figure.undo()
    await nextTick()
    expect(table.wrapper.text()).toContain('Rather: drop')
    await button('Take it').trigger('click')
    expect(table.wrapper.text()).not.toContain('Rather')
  })

  it('asks PHP to make a part of a colour, and colour of a part', async () => {
    table = await onTable(ReviewCard)
    const edit = vi.spyOn(api, 'edit').mockResolvedValue({ document: plain(), kind: 'detail', key: 'eye' })
    await button('Just a patch on the surface').trigger('click')
    await flushPromises()
    expect(name()).toBe('Eye')
    await button('A part of its own').trigger('click')
    expect(edit.mock.calls.map((c) => c.slice(1))).toEqual([
      ['to-detail', { key: 'body' }],
      ['to-part', { key: 'eye' }],
    ])
  })

  it('lists what was left out as specks', async () => {
    const document = plain()
    document.picture = {
      file: 'a.png',
      widthPx: 10,
      heightPx: 10,
      mmPerPx: 1,
      originPx: [5, 10],
      leftOut: [{ colour: 'red', widthMm: 0.7, xMm: 3, yMm: 12 }],
    } as never
    table = await onTable(ReviewCard, {}, document)
    expect(table.wrapper.find('details').text()).toContain('1 tiny dot left out')
    expect(table.wrapper.find('details li').text()).toBe('red, 0.7 mm, at 3 mm right, 12 mm up')
  })
})

describe('the tree of parts', () => {
  const rows = () =>
    table.wrapper.findAll('li').map((l) => [l.find('.part').text().replace(/\s+/g, ' '), l.attributes('style')])

  it('hangs each part on what it is joined to, and counts twins', async () => {
    table = await onTable(PartTree)
    expect(rows()).toEqual(
      [
        ['Bodyball', 'padding-left: 0px;'],
        ['Headball', 'padding-left: 14px;'],
        ['Earcone x 2', 'padding-left: 28px;'],
      ].map(([a, b]) => [a!.replace('cone x', 'conex'), b]),
    )
  })

  it('chooses on a click, adds with Shift, hides and locks', async () => {
    table = await onTable(PartTree)
    const [, head, ear] = table.wrapper.findAll('.part')
    await head!.trigger('click')
    await ear!.trigger('click', { shiftKey: true })
    expect(table.figure.chosen).toEqual(['head', 'ear'])
    await table.wrapper.find('[aria-label="Hide Head"]').trigger('click')
    await table.wrapper.find('[aria-label="Lock Ear"]').trigger('click')
    expect([table.figure.hidden, table.figure.locked]).toEqual([['head'], ['ear']])
    expect(head!.classes()).toContain('gone')
  })

  it('says what to do first where there is none', async () => {
    table = await onTable(PartTree, {}, { ...plain(), parts: [], details: [] })
    expect(table.wrapper.text()).toContain('Add a shape: start with the largest.')
  })
})

describe('sizing', () => {
  it('asks PHP what a wish comes to, and makes it so', async () => {
    vi.spyOn(api, 'sizing').mockResolvedValue({ heightMm: 160.004, factor: 2, woolTimes: 8 })
    const rescale = vi.spyOn(api, 'rescale').mockResolvedValue({ document: { ...plain(), heightMm: 160 } } as never)
    table = await onTable(SizingDialog, { modelValue: false })
    await table.wrapper.setProps({ modelValue: true })
    await vi.waitFor(() => expect(document.body.textContent).toContain('8.00 times'))
    expect(vi.mocked(api.sizing).mock.calls.at(-1)?.[1]).toMatchObject({ by: 'part', part: 'body', widthMm: 40 })
    const make = [...document.querySelectorAll('button')].find((b) => b.textContent === 'Make it so')!
    make.click()
    await vi.waitFor(() => expect(rescale).toHaveBeenCalledWith(expect.anything(), 160))
    expect(table.figure.document?.heightMm).toBe(160)
  })

  it('says what PHP refused, and makes nothing', async () => {
    vi.spyOn(api, 'sizing').mockRejectedValue(new Refusal(422, 'The opening is too narrow.'))
    table = await onTable(SizingDialog, { modelValue: false })
    await table.wrapper.setProps({ modelValue: true })
    await vi.waitFor(() => expect(document.body.textContent).toContain('The opening is too narrow.'))
    expect(
      [...document.querySelectorAll('button')].find((b) => b.textContent === 'Make it so')!.hasAttribute('disabled'),
    ).toBe(true)
  })
})
