import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Figure } from '../api/figure'

const kept = new Map<string, string>()
vi.stubGlobal('localStorage', { getItem: (k: string) => kept.get(k) ?? null, setItem: (k: string, v: string) => kept.set(k, v), removeItem: (k: string) => kept.delete(k) })
vi.stubGlobal('window', { setTimeout: (f: () => void, ms: number) => setTimeout(f, ms), clearTimeout: (t: number) => clearTimeout(t) })

const { api, Refusal } = await import('../api/client')
const { useFigure } = await import('./figure')

const plain = (): Figure => ({
  format: 'impa-figure', version: 1, name: 'Test', heightMm: 60, colours: [{ key: 'c1', hex: '#aabbcc' }],
  parts: [
    { key: 'body', shape: { kind: 'ball', widthMm: 40, heightMm: 40, depthMm: 40 }, at: { xMm: 0, yMm: 20 }, colour: 'c1' },
    { key: 'head', shape: { kind: 'ball', widthMm: 30, heightMm: 30, depthMm: 30 }, at: { xMm: 0, yMm: 50 }, colour: 'c1', join: { to: 'body' } },
    { key: 'ear', shape: { kind: 'cone', widthMm: 8, heightMm: 8, depthMm: 8 }, at: { xMm: 9, yMm: 66 }, colour: 'c1', mirror: true, join: { to: 'head' } },
  ],
  details: [{ key: 'eye', on: 'head', kind: 'disc', widthMm: 4, colour: 'c1', xMm: 5, yMm: 0 }],
})
const name = (f: ReturnType<typeof useFigure>) => f.document?.name
const rename = (f: ReturnType<typeof useFigure>, to: string) => f.change((d) => { d.name = to })

beforeEach(() => {
  kept.clear()
  vi.useFakeTimers()
  vi.restoreAllMocks()
  setActivePinia(createPinia())
  vi.spyOn(api, 'figure').mockResolvedValue({ id: 7, revision: 3, picture: null, document: plain() })
  vi.spyOn(api, 'steps').mockResolvedValue({ done: ['core:body'] })
  vi.spyOn(api, 'board').mockResolvedValue({ document: null } as never)
})

async function opened() {
  const figure = useFigure()
  await figure.open(7)
  return figure
}

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
    expect(kept.size).toBe(0)
  })

  it('never has two saves on their way, so that it is not stale by itself', async () => {
    let answer: (revision: number) => void = () => {}
    const save = vi.spyOn(api, 'save').mockImplementation(() => new Promise((resolve) => (answer = (revision) => resolve({ id: 7, revision, picture: null, document: plain() }))))
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
    vi.spyOn(api, 'save').mockRejectedValueOnce(new Refusal(409, 'Changed', [], { revision: 9, document: theirs })).mockResolvedValue({ id: 7, revision: 10, picture: null, document: theirs })
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
    const save = vi.spyOn(api, 'save').mockRejectedValueOnce(new Refusal(409, 'Changed', [], { revision: 9, document: plain() })).mockResolvedValue({ id: 7, revision: 10, picture: null, document: plain() })
    const figure = await opened()
    rename(figure, 'Mine')
    await vi.advanceTimersByTimeAsync(600)
    await figure.settle(true)
    expect(save.mock.calls[1]?.[1]).toBe(9)
    expect(name(figure)).toBe('Mine')
    expect(figure.saveState).toBe('saved')
  })

  it('takes a part away with its details, and hangs what hung on it one further', async () => {
    const figure = await opened()
    figure.selection = { kind: 'part', key: 'head' }
    figure.removeSelected()
    expect(figure.parts.map((p) => p.key)).toEqual(['body', 'ear'])
    expect(figure.parts[1]?.join?.to).toBe('body')
    expect(figure.details).toEqual([])
    figure.undo()
    expect(figure.details).toHaveLength(1)
  })

  it('doubles under a key of its own', async () => {
    const figure = await opened()
    figure.selection = { kind: 'part', key: 'ear' }
    figure.doubleSelected()
    figure.doubleSelected()
    expect(figure.parts.map((p) => p.key)).toEqual(['body', 'head', 'ear', 'ear-2', 'ear-2-2'])
    expect(figure.selection).toEqual({ kind: 'part', key: 'ear-2-2' })
    figure.selection = { kind: 'detail', key: 'eye' }
    figure.doubleSelected()
    expect(figure.details.map((d) => d.key)).toEqual(['eye', 'eye-2'])
    expect(figure.selectedPart?.key).toBe('head')
  })

  it('tells where the faults lie and keeps the last board', async () => {
    const figure = await opened()
    const board = figure.board
    vi.spyOn(api, 'board').mockRejectedValue(new Refusal(422, 'The figure has a fault', [{ pointer: '/parts/0/shape', detail: 'A ring cannot be made.' }]))
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
