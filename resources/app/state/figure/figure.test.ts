import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { late } from '../../../../tests/Support/late'
import { api, Refusal } from '../../api/client'
import type { Figure } from '../../api/types/figure'
import { useFigure } from './figure'

const plain = (): Figure => ({
  format: 'impa-figure',
  version: 2,
  name: 'Test',
  heightMm: 60,
  colours: [{ key: 'c1', hex: '#aabbcc' }],
  parts: [
    {
      key: 'body',
      shape: { kind: 'ball', widthMm: 40, heightMm: 40, depthMm: 40 },
      at: { xMm: 0, yMm: 20 },
      colour: 'c1',
    },
    {
      key: 'head',
      shape: { kind: 'ball', widthMm: 30, heightMm: 30, depthMm: 30 },
      at: { xMm: 0, yMm: 50 },
      colour: 'c1',
      join: { to: 'body' },
    },
    {
      key: 'ear',
      shape: { kind: 'cone', widthMm: 8, heightMm: 8, depthMm: 8 },
      at: { xMm: 9, yMm: 66 },
      colour: 'c1',
      mirror: true,
      join: { to: 'head' },
    },
  ],
  details: [{ key: 'eye', role: 'eye', on: 'head', kind: 'disc', widthMm: 4, colour: 'c1', xMm: 5, yMm: 0 }],
})
const name = (f: ReturnType<typeof useFigure>) => f.document?.name
const rename = (f: ReturnType<typeof useFigure>, to: string) =>
  f.change((d) => {
    d.name = to
  })

beforeEach(() => {
  localStorage.clear()
  vi.useFakeTimers()
  vi.restoreAllMocks()
  setActivePinia(createPinia())
  vi.spyOn(api, 'figure').mockResolvedValue({ id: 7, revision: 3, picture: null, document: plain() })
  vi.spyOn(api, 'steps').mockResolvedValue({ done: ['core:body'], present: '' })
  vi.spyOn(api, 'board').mockResolvedValue({ document: null } as never)
})

async function opened() {
  const figure = useFigure()
  await figure.open(7)
  return figure
}

describe('details that make one thing', () => {
  const spot = (key: string, xMm: number, mirror = false) => ({
    key,
    role: 'spot' as const,
    on: 'head',
    kind: 'disc' as const,
    widthMm: 4,
    colour: 'c1',
    xMm,
    yMm: 0,
    mirror,
  })
  const eyes = {
    ...plain(),
    details: [spot('white', 5, true), { ...spot('pupil', 5.2, true), keep: 'size' as const }, spot('left', -4)],
  }
  const together = { pupil: { white: 1, left: -1 } }

  it('move as one: what lies on the other side the other way, and what was chosen for the edge is asked anew', async () => {
    vi.spyOn(api, 'figure').mockResolvedValue({ id: 7, revision: 3, picture: null, document: eyes })
    vi.spyOn(api, 'board').mockResolvedValue({ document: null, together } as never)
    const figure = await opened()
    await vi.waitFor(() => expect(figure.board?.together).toEqual(together))
    figure.moveDetails(new Map([['pupil', { dx: 1, dy: -0.5 }]]), 0.1)
    const at = () => figure.details.map((d) => [d.key, d.xMm, d.yMm])
    expect(at()).toEqual([
      ['white', 6, -0.5],
      ['pupil', 6.2, -0.5],
      ['left', -5, -0.5],
    ])
    expect(figure.details[1]!.keep).toBeUndefined()
    figure.selection = { kind: 'detail', key: 'pupil' }
    await vi.advanceTimersByTimeAsync(0)
    figure.byItself = true
    figure.moveDetails(new Map([['pupil', { dx: 1, dy: 0 }]]))
    expect(at().map((d) => d[1])).toEqual([6, 7.2, -5])
    figure.undo()
    figure.undo()
    expect(at().map((d) => d[1])).toEqual([5, 5.2, -4])
    // Another one is asked anew.
    figure.selection = { kind: 'detail', key: 'white' }
    await vi.advanceTimersByTimeAsync(0)
    expect(figure.byItself).toBe(false)
  })
})

describe('the figure on the table', () => {
  it('undoes and redoes, and a new change ends what could be redone', async () => {
    const figure = await opened()
    rename(figure, 'One')
    rename(figure, 'Two')
    figure.undo()
    expect(name(figure)).toBe('One')
    figure.redo()
    expect(name(figure)).toBe('Two')
    figure.undo()
    figure.undo()
    expect(name(figure)).toBe('Test')
    rename(figure, 'Three')
    figure.redo()
    expect(name(figure)).toBe('Three')
  })

  it('makes no undo step of a change that changes nothing', async () => {
    const figure = await opened()
    rename(figure, 'Test')
    expect(figure.past).toHaveLength(0)
    expect(figure.saveState).toBe('saved')
  })

  it('saves once after a burst of changes, on the revision it knows', async () => {
    const save = vi.spyOn(api, 'save').mockResolvedValue({ id: 7, revision: 4, picture: null, document: plain() })
    const figure = await opened()
    rename(figure, 'One')
    rename(figure, 'Two')
    await vi.advanceTimersByTimeAsync(600)
    expect(save).toHaveBeenCalledTimes(1)
    expect(save.mock.calls[0]?.slice(0, 2)).toEqual([7, 3])
    expect(figure.saveState).toBe('saved')
    expect(figure.revision).toBe(4)
    expect(localStorage.length).toBe(0)
  })

  it('never has two saves on their way, so that it is not stale by itself', async () => {
    let answer: (revision: number) => void = () => {}
    const save = vi
      .spyOn(api, 'save')
      .mockImplementation(
        () =>
          new Promise(
            (resolve) => (answer = (revision) => resolve({ id: 7, revision, picture: null, document: plain() })),
          ),
      )
    const figure = await opened()
    rename(figure, 'One')
    await vi.advanceTimersByTimeAsync(600)
    rename(figure, 'Two')
    await vi.advanceTimersByTimeAsync(600)
    expect(save).toHaveBeenCalledTimes(1)
    answer(4)
    await vi.advanceTimersByTimeAsync(600)
    expect(save).toHaveBeenCalledTimes(2)
    expect(save.mock.calls[1]?.[1]).toBe(4)
    answer(5)
    await vi.advanceTimersByTimeAsync(0)
    expect(figure.saveState).toBe('saved')
  })

  it('keeps what cannot be saved in the browser, and takes it up again', async () => {
    vi.spyOn(api, 'save').mockRejectedValue(new Refusal(0, 'Impa does not answer.'))
    const figure = await opened()
    rename(figure, 'Offline')
    await vi.advanceTimersByTimeAsync(600)
    expect(figure.saveState).toBe('failed')
    expect(figure.trouble).toContain('does not answer')
    setActivePinia(createPinia())
    const again = await opened()
    expect(name(again)).toBe('Offline')
    again.undo()
    expect(name(again)).toBe('Test')
  })

  it('offers both when somebody else saved, and loses neither', async () => {
    const theirs = { ...plain(), name: 'Theirs' }
    vi.spyOn(api, 'save')
      .mockRejectedValueOnce(new Refusal(409, 'Changed', [], { revision: 9, document: theirs }))
      .mockResolvedValue({ id: 7, revision: 10, picture: null, document: theirs })
    const figure = await opened()
    rename(figure, 'Mine')
    await vi.advanceTimersByTimeAsync(600)
    expect(figure.saveState).toBe('conflict')
    expect(name(figure)).toBe('Mine')
    await figure.settle(false)
    expect(name(figure)).toBe('Theirs')
    figure.undo()
    expect(name(figure)).toBe('Mine')
    await vi.advanceTimersByTimeAsync(600)
    expect(figure.saveState).toBe('saved')
    expect(figure.revision).toBe(10)
  })

  it('keeps mine on the revision that was told', async () => {
    const save = vi
      .spyOn(api, 'save')
      .mockRejectedValueOnce(new Refusal(409, 'Changed', [], { revision: 9, document: plain() }))
      .mockResolvedValue({ id: 7, revision: 10, picture: null, document: plain() })
    const figure = await opened()
    rename(figure, 'Mine')
    await vi.advanceTimersByTimeAsync(600)
    await figure.settle(true)
    expect(save.mock.calls[1]?.[1]).toBe(9)
    expect(name(figure)).toBe('Mine')
    expect(figure.saveState).toBe('saved')
  })

  it('tells where the faults lie and keeps the last board', async () => {
    const figure = await opened()
    const board = figure.board
    vi.spyOn(api, 'board').mockRejectedValue(
      new Refusal(422, 'The figure has a fault', [{ pointer: '/parts/0/shape', detail: 'A ring cannot be made.' }]),
    )
    rename(figure, 'Broken')
    await vi.advanceTimersByTimeAsync(0)
    expect(figure.faults[0]?.pointer).toBe('/parts/0/shape')
    expect(figure.board).toBe(board)
  })

  it('says when there is no such figure', async () => {
    vi.spyOn(api, 'figure').mockRejectedValue(new Refusal(404, 'There is nothing here.'))
    const figure = await opened()
    expect(figure.missing).toBe(true)
  })
})

describe('several parts at once', () => {
  it('chooses one, adds and lets go of others, and starts anew without Shift', async () => {
    const figure = await opened()
    figure.choose('head')
    expect(figure.chosen).toEqual(['head'])
    figure.choose('ear', true)
    expect(figure.chosen).toEqual(['head', 'ear'])
    figure.choose('head', true)
    expect(figure.chosen).toEqual(['ear'])
    figure.choose('ear', true)
    expect(figure.chosen).toEqual([])
    figure.choose('body', true)
    figure.choose('head')
    expect(figure.chosen).toEqual(['head'])
  })

  it('is asked of PHP for all that is chosen, and laid as one step of undo', async () => {
    const figure = await opened()
    figure.choose('head')
    figure.choose('ear', true)
    const left = { ...plain(), parts: plain().parts.slice(0, 1), details: [] }
    const ask = vi.spyOn(api, 'edit').mockResolvedValue({ document: left, kind: 'part', key: '' })
    await figure.removeSelected()
    expect(ask.mock.calls[0]?.slice(1)).toEqual(['remove', { kind: 'part', keys: ['head', 'ear'] }])
    expect(figure.parts.map((p) => p.key)).toEqual(['body'])
    expect(figure.selection).toBeNull()
    figure.undo()
    expect(figure.parts.map((p) => p.key)).toEqual(['body', 'head', 'ear'])
    expect(figure.details).toHaveLength(1)
  })

  it('hides and locks, and shows and frees again', async () => {
    const figure = await opened()
    figure.hide('ear')
    figure.lock('head')
    expect(figure.hidden).toEqual(['ear'])
    expect(figure.locked).toEqual(['head'])
    figure.hide('ear')
    figure.lock('head')
    expect([figure.hidden, figure.locked]).toEqual([[], []])
  })
})

describe('order of depth', () => {
  it('is changed by PHP, and several parts stay chosen', async () => {
    const figure = await opened()
    const ask = vi.spyOn(api, 'edit').mockImplementation((sent) => {
      const document = structuredClone(sent)
      document.parts[0]!.at.zMm = 9.5
      return Promise.resolve({ document, kind: 'part', key: document.parts[0]!.key })
    })
    figure.choose('head')
    figure.choose('ear', true)
    await figure.reorder('body', true)
    expect(ask.mock.calls[0]?.slice(1)).toEqual(['depth', { key: 'body', nearer: true }])
    expect(figure.parts[0]?.at.zMm).toBe(9.5)
    expect(figure.chosen).toEqual(['head', 'ear'])
  })
})

describe('the middle line', () => {
  it('is led elsewhere by PHP, which knows what lies beside it; one step back undoes it', async () => {
    const figure = await opened()
    const ask = vi.spyOn(api, 'edit').mockImplementation((sent) => {
      const document = structuredClone(sent)
      for (const part of document.parts) part.at.xMm -= 3
      return Promise.resolve({ document, kind: '', key: '' })
    })
    const before = figure.parts.map((p) => p.at.xMm)
    await figure.moveAxis(3)
    expect(ask.mock.calls[0]?.slice(1)).toEqual(['axis', { mm: 3 }])
    expect(figure.parts.map((p) => p.at.xMm)).toEqual(before.map((x) => x - 3))
    figure.undo()
    expect(figure.parts.map((p) => p.at.xMm)).toEqual(before)
  })
})

describe('a depth that is a guess', () => {
  it('is none any more once she says how deep it is, or how far forwards; what else she changes leaves it one', async () => {
    const document = plain()
    document.parts.forEach((p) => (p.seen = { confidence: 0.9, why: '', depth: 'guessed' }))
    vi.mocked(api.figure).mockResolvedValue({ id: 7, revision: 3, picture: null, document } as never)
    const figure = await opened()
    const [one, two, three] = figure.parts.map((p) => p.key)
    figure.changePart(one!, (p) => (p.shape.widthMm += 2))
    figure.changePart(two!, (p) => (p.shape.depthMm += 2))
    figure.changePart(three!, (p) => (p.at.zMm = 4))
    expect(figure.parts.map((p) => p.seen?.depth)).toEqual(['guessed', undefined, undefined])
  })
})

describe('everyday changes', () => {
  it('are asked of PHP for what is selected, a part or a detail', async () => {
    const figure = await opened()
    const ask = vi
      .spyOn(api, 'edit')
      .mockImplementation((sent) => Promise.resolve({ document: sent, kind: 'part', key: 'head' }))
    await figure.paint('#102030', 'Picked')
    expect(ask).not.toHaveBeenCalled()
    figure.choose('head')
    await figure.paint('#102030', 'Picked')
    await figure.doubleSelected()
    figure.choose('eye', false, 'detail')
    await figure.paint('#aabbcc', 'Picked')
    await figure.doubleSelected()
    expect(ask.mock.calls.map((c) => c.slice(1))).toEqual([
      ['paint', { kind: 'part', keys: ['head'], hex: '#102030', name: 'Picked' }],
      ['double', { kind: 'part', key: 'head' }],
      ['paint', { kind: 'detail', keys: ['eye'], hex: '#aabbcc', name: 'Picked' }],
      ['double', { kind: 'part', key: 'head' }],
    ])
  })

  it('lose nothing that was changed while PHP was asked: it is asked again about that', async () => {
    const figure = await opened()
    figure.choose('head')
    const asked: Figure[] = []
    const answers: (() => void)[] = []
    vi.spyOn(api, 'edit').mockImplementation((sent) => {
      asked.push(sent)
      return new Promise((resolve) =>
        answers.push(() => resolve({ document: { ...sent, parts: sent.parts.slice(0, 1) }, kind: 'part', key: '' })),
      )
    })
    const done = figure.removeSelected()
    rename(figure, 'Meanwhile')
    answers[0]?.()
    await vi.advanceTimersByTimeAsync(0)
    answers[1]?.()
    await done
    expect(asked.map((d) => d.name)).toEqual(['Test', 'Meanwhile'])
    expect(name(figure)).toBe('Meanwhile')
    expect(figure.parts).toHaveLength(1)
  })

  it('are waited for before anything counts as saved, and go one after the other', async () => {
    const figure = await opened()
    const save = vi.spyOn(api, 'save').mockResolvedValue({ id: 7, revision: 4 } as never)
    const answers: (() => void)[] = []
    vi.spyOn(api, 'edit').mockImplementation(
      (sent) =>
        new Promise((resolve) =>
          answers.push(() => resolve({ document: { ...sent, parts: sent.parts.slice(1) }, kind: 'part', key: '' })),
        ),
    )
    figure.choose('ear')
    void figure.removeSelected()
    void figure.removeSelected()
    const saved = figure.saved()
    await vi.advanceTimersByTimeAsync(5000)
    expect(figure.saveState).toBe('waiting')
    expect(answers).toHaveLength(1)
    expect(save).not.toHaveBeenCalled()
    answers[0]?.()
    await vi.advanceTimersByTimeAsync(0)
    answers[1]?.()
    expect(await saved).toBe(true)
    expect(save).toHaveBeenCalledExactlyOnceWith(7, 3, expect.objectContaining({ parts: [plain().parts[2]] }), false)
    expect(figure.saveState).toBe('saved')
  })

  it('land on the figure they were asked for, also when another lies on the table', async () => {
    const figure = await opened()
    const save = vi.spyOn(api, 'save').mockResolvedValue({ id: 7, revision: 4 } as never)
    const asked = late<{ document: Figure; kind: 'part'; key: string }>()
    vi.spyOn(api, 'edit').mockReturnValue(asked.promise)
    figure.choose('ear')
    void figure.removeSelected()
    vi.mocked(api.figure).mockResolvedValueOnce({
      id: 8,
      revision: 1,
      picture: null,
      document: { ...plain(), name: 'Other' },
    })
    await figure.open(8)
    asked.come({ document: { ...plain(), parts: plain().parts.slice(0, 1) }, kind: 'part', key: 'body' })
    await vi.advanceTimersByTimeAsync(1000)
    expect(name(figure)).toBe('Other')
    expect(figure.parts).toHaveLength(3)
    expect(figure.selection).toBeNull()
    expect(save).toHaveBeenCalledExactlyOnceWith(
      7,
      3,
      expect.objectContaining({ name: 'Test', parts: [plain().parts[0]] }),
      false,
    )
  })

  it('do not hold up those that come after when they are refused', async () => {
    const figure = await opened()
    vi.spyOn(api, 'rescale').mockRejectedValueOnce(new Error('Too small.'))
    vi.spyOn(api, 'edit').mockImplementation(async (sent) => ({
      document: { ...sent, parts: sent.parts.slice(0, 2) },
      kind: 'part',
      key: '',
    }))
    figure.choose('ear')
    await Promise.all([figure.rescale(1), figure.removeSelected()])
    expect(figure.parts).toHaveLength(2)
  })
})

describe("cuts of the felter's own", () => {
  it('asks PHP, lays the answer as one step of undo, and looks at what was made', async () => {
    const figure = await opened()
    const made = plain()
    made.parts.push({
      key: 'head-2',
      shape: { kind: 'ball', widthMm: 9, heightMm: 9, depthMm: 9 },
      at: { xMm: 0, yMm: 58 },
      colour: 'c1',
      join: { to: 'head' },
    })
    const ask = vi.spyOn(api, 'edit').mockResolvedValue({ document: made, kind: 'part', key: 'head-2' })
    expect(
      await figure.apply('split', {
        key: 'head',
        line: [
          [-9, 50],
          [9, 50],
        ],
      }),
    ).toBe('head-2')
    expect(ask.mock.calls[0]?.slice(1)).toEqual([
      'split',
      {
        key: 'head',
        line: [
          [-9, 50],
          [9, 50],
        ],
      },
    ])
    expect(figure.parts).toHaveLength(4)
    expect(figure.selection).toEqual({ kind: 'part', key: 'head-2' })
    figure.undo()
    expect(figure.parts).toHaveLength(3)
  })

  it('selects the detail that a part became', async () => {
    const figure = await opened()
    vi.spyOn(api, 'edit').mockResolvedValue({ document: plain(), kind: 'detail', key: 'eye' })
    await figure.apply('to-detail', { key: 'ear' })
    expect(figure.selection).toEqual({ kind: 'detail', key: 'eye' })
  })

  it('tells why when it cannot be done, and changes nothing', async () => {
    const figure = await opened()
    vi.spyOn(api, 'edit').mockRejectedValue(new Refusal(422, 'The line leaves Head in one piece.'))
    expect(await figure.apply('split', { key: 'head', line: [] })).toBeNull()
    expect(figure.trouble).toBe('The line leaves Head in one piece.')
    expect(figure.past).toHaveLength(0)
  })
})
