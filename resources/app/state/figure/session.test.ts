import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { late } from '../../../../tests/Support/late'
import { plain } from '../../../../tests/Support/onTable'
import type { FigureWool, SavedFigure, Supply } from '../../api/types/answers'
import { api, Refusal } from '../../api/client'
import type { Figure } from '../../api/types/figure'
import { useFigure } from './figure'
import { useSupply } from './supply'

const called = (name: string): Figure => ({ ...plain(), name })
const found = (id: number, revision = 3): SavedFigure => ({
  id,
  revision,
  picture: null,
  document: called(`Figure ${id}`),
})
const rename = (to: string) => useFigure().change((d) => (d.name = to))
const draft = (id: number) => localStorage.getItem(`impa:draft:${id}`)
const settle = () => vi.advanceTimersByTimeAsync(0)

beforeEach(() => {
  localStorage.clear()
  vi.useFakeTimers()
  setActivePinia(createPinia())
  vi.spyOn(api, 'steps').mockResolvedValue({ done: [], present: '' })
  vi.spyOn(api, 'board').mockResolvedValue({ document: null } as never)
  vi.spyOn(api, 'figure').mockImplementation((id) => Promise.resolve(found(id)))
})
afterEach(() => {
  vi.restoreAllMocks()
  vi.useRealTimers()
})

describe("a figure that is opened while another one's answer is late", () => {
  it('is never given the document of the other one, in whatever order they come', async () => {
    const [one, two] = [late<SavedFigure>(), late<SavedFigure>()]
    vi.mocked(api.figure).mockImplementation((id) => (id === 1 ? one : two).promise)
    const save = vi.spyOn(api, 'save').mockImplementation((id, revision) => Promise.resolve(found(id, revision + 1)))
    const figure = useFigure()
    void figure.open(1)
    void figure.open(2)
    two.come(found(2))
    await settle()
    one.come(found(1))
    await settle()
    expect([figure.id, figure.document?.name]).toEqual([2, 'Figure 2'])
    rename('Changed')
    await vi.advanceTimersByTimeAsync(600)
    expect(save.mock.calls.map((c) => [c[0], c[2].name])).toEqual([[2, 'Changed']])
  })

  it('keeps its own revision while a save of the other one is on its way', async () => {
    const answer = late<SavedFigure>()
    const save = vi.spyOn(api, 'save').mockReturnValueOnce(answer.promise)
    const figure = useFigure()
    await figure.open(1)
    rename('One, changed')
    await vi.advanceTimersByTimeAsync(600)
    vi.mocked(api.figure).mockImplementation((id) => Promise.resolve(found(id, 40)))
    await figure.open(2)
    answer.come(found(1, 4))
    await settle()
    expect([figure.id, figure.revision, figure.saveState]).toEqual([2, 40, 'saved'])
    save.mockImplementation((id, revision) => Promise.resolve(found(id, revision + 1)))
    rename('Two, changed')
    await vi.advanceTimersByTimeAsync(600)
    expect(save.mock.calls.map((c) => [c[0], c[1]])).toEqual([
      [1, 3],
      [2, 40],
    ])
  })

  it('is not told of a fault of the other one', async () => {
    const board = late<never>()
    const figure = useFigure()
    await figure.open(1)
    vi.mocked(api.board).mockReturnValueOnce(board.promise)
    rename('Broken')
    await figure.open(2)
    board.fail(new Refusal(422, 'The figure has a fault.'))
    await settle()
    expect(figure.trouble).toBe('')
  })
})

describe('a browser without room', () => {
  it('saves all the same, and says so where it could neither save nor keep it', async () => {
    const figure = useFigure()
    await figure.open(1)
    const real = localStorage
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => real.getItem(key),
      removeItem: (key: string) => real.removeItem(key),
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError')
      },
    })
    const save = vi.spyOn(api, 'save').mockRejectedValueOnce(new Refusal(0, 'Impa does not answer.'))
    rename('Without room')
    await vi.advanceTimersByTimeAsync(600)
    expect([figure.saveState, figure.document?.name]).toEqual(['failed', 'Without room'])
    expect(figure.trouble).toContain('no room to keep it')
    save.mockImplementation((id, revision) => Promise.resolve(found(id, revision + 1)))
    rename('Without room, again')
    await vi.advanceTimersByTimeAsync(600)
    expect(save.mock.calls.map((c) => c[2].name)).toEqual(['Without room', 'Without room, again'])
    expect(figure.saveState).toBe('saved')
    vi.unstubAllGlobals()
  })
})

describe('a figure that could not be fetched', () => {
  it('is asked for again when it is opened again', async () => {
    vi.mocked(api.figure).mockRejectedValueOnce(new Refusal(0, 'Impa does not answer.'))
    const figure = useFigure()
    await figure.open(1)
    expect([figure.document, figure.trouble]).toEqual([null, 'Impa does not answer.'])
    await figure.open(1)
    expect(figure.document?.name).toBe('Figure 1')
  })
})

describe('a change of the last half second', () => {
  it('is sent before another figure lies on the table', async () => {
    const save = vi.spyOn(api, 'save').mockImplementation((id, revision) => Promise.resolve(found(id, revision + 1)))
    const figure = useFigure()
    await figure.open(1)
    rename('At the last moment')
    await figure.open(2)
    expect(save.mock.calls.map((c) => [c[0], c[2].name])).toEqual([[1, 'At the last moment']])
    await settle()
    expect(draft(1)).toBeNull()
  })

  it('is there, with all that can be undone, for who comes back before it is saved', async () => {
    vi.spyOn(api, 'save').mockReturnValue(late<SavedFigure>().promise)
    const figure = useFigure()
    await figure.open(1)
    rename('Not saved yet')
    await figure.open(2)
    await figure.open(1)
    expect(figure.document?.name).toBe('Not saved yet')
    expect(vi.mocked(api.figure).mock.calls.filter((c) => c[0] === 1)).toHaveLength(1)
    figure.undo()
    expect(figure.document?.name).toBe('Figure 1')
  })

  it('is taken up without a conflict where the save before it landed after all', async () => {
    vi.spyOn(api, 'save').mockReturnValue(late<SavedFigure>().promise)
    const figure = useFigure()
    await figure.open(1)
    rename('On its way')
    await vi.advanceTimersByTimeAsync(600)
    rename('And more')
    // The window closes; the save lands, its answer is never heard.
    setActivePinia(createPinia())
    vi.mocked(api.figure).mockResolvedValue({ ...found(1, 4), document: called('On its way') })
    const again = useFigure()
    await again.open(1)
    expect([again.document?.name, again.saveState, again.revision]).toEqual(['And more', 'waiting', 4])
  })

  it('is a conflict where somebody else saved meanwhile', async () => {
    vi.spyOn(api, 'save').mockReturnValue(late<SavedFigure>().promise)
    const figure = useFigure()
    await figure.open(1)
    rename('On its way')
    await vi.advanceTimersByTimeAsync(600)
    setActivePinia(createPinia())
    vi.mocked(api.figure).mockResolvedValue({ ...found(1, 4), document: called('Of another window') })
    const again = useFigure()
    await again.open(1)
    expect([again.document?.name, again.saveState]).toEqual(['On its way', 'conflict'])
  })
})

describe('a figure open in two windows', () => {
  const refusing = (standing: Figure) =>
    vi
      .spyOn(api, 'save')
      .mockRejectedValueOnce(new Refusal(409, 'Changed elsewhere', [], { revision: 4, document: standing }))
      .mockImplementation((id, revision) => Promise.resolve(found(id, revision + 1)))

  it('is saved where the second took up the draft of the first and was quicker', async () => {
    const save = refusing(called('Mine'))
    const figure = useFigure()
    await figure.open(1)
    rename('Mine')
    await vi.advanceTimersByTimeAsync(600)
    expect([figure.saveState, figure.other, draft(1)]).toEqual(['saved', null, null])
    rename('And more')
    await vi.advanceTimersByTimeAsync(600)
    expect(save.mock.calls.map((c) => c[1])).toEqual([3, 4])
  })

  it('is a conflict where they are not the same', async () => {
    refusing(called('Theirs'))
    const figure = useFigure()
    await figure.open(1)
    rename('Mine')
    await vi.advanceTimersByTimeAsync(600)
    expect([figure.saveState, figure.other?.document.name]).toEqual(['conflict', 'Theirs'])
  })
})

describe('a figure that goes into the bin', () => {
  it('is saved first, lies no more on the table, and nothing is asked about it afterwards', async () => {
    const save = vi.spyOn(api, 'save').mockImplementation((id, revision) => Promise.resolve(found(id, revision + 1)))
    const figure = useFigure()
    await figure.open(1)
    rename('At the last moment')
    await figure.letGo(1)
    expect(save.mock.calls.map((c) => [c[0], c[2].name])).toEqual([[1, 'At the last moment']])
    expect([figure.id, figure.document]).toEqual([0, null])
    await vi.advanceTimersByTimeAsync(5000)
    expect(save).toHaveBeenCalledTimes(1)
  })

  it('asks nothing more of a server that would not save it, and is asked for anew when it is brought back', async () => {
    const save = vi.spyOn(api, 'save').mockRejectedValue(new Refusal(507, 'The disk is full.'))
    const figure = useFigure()
    await figure.open(1)
    rename('Never saved')
    await figure.letGo(1)
    const tries = save.mock.calls.length
    await vi.advanceTimersByTimeAsync(5000)
    expect(save).toHaveBeenCalledTimes(tries)
    await figure.open(1)
    expect(figure.document?.name).toBe('Never saved')
    expect(vi.mocked(api.figure)).toHaveBeenCalledTimes(2)
  })

  it('waits until it was fetched, so that no answer tells of a figure that is not there', async () => {
    const answer = late<SavedFigure>()
    vi.mocked(api.figure).mockReturnValue(answer.promise)
    const figure = useFigure()
    void figure.open(1)
    let isGone = false
    void figure.letGo(1).then(() => (isGone = true))
    await settle()
    expect(isGone).toBe(false)
    answer.come(found(1))
    await settle()
    expect(isGone).toBe(true)
  })
})

describe('wool that is set aside or used up', () => {
  const wool: FigureWool = { revision: 'r1', state: 'aside', elsewhere: [], aside: [], used: [] }
  beforeEach(() => {
    vi.spyOn(api, 'supply').mockResolvedValue({ needs: [], matches: [], insides: [] } as unknown as Supply)
    vi.spyOn(api, 'figureWool').mockResolvedValue({ ...wool, state: 'open' })
  })

  it('waits for the save that is on its way, and for the one after it', async () => {
    const [first, second] = [late<SavedFigure>(), late<SavedFigure>()]
    vi.spyOn(api, 'save').mockReturnValueOnce(first.promise).mockReturnValueOnce(second.promise)
    const aside = vi.spyOn(api, 'setAside').mockResolvedValue(wool)
    const [figure, supply] = [useFigure(), useSupply()]
    await figure.open(1)
    rename('One')
    await vi.advanceTimersByTimeAsync(600)
    rename('Two')
    const done = supply.setAside()
    first.come(found(1, 4))
    await settle()
    expect(aside).not.toHaveBeenCalled()
    second.come(found(1, 5))
    await done
    expect(aside).toHaveBeenCalledTimes(1)
    expect(figure.saveState).toBe('saved')
  })

  it('is left as it was where the figure cannot be saved, and says so', async () => {
    vi.spyOn(api, 'save').mockRejectedValue(new Refusal(0, 'Impa does not answer.'))
    const finish = vi.spyOn(api, 'finishWool').mockResolvedValue(wool)
    const [figure, supply] = [useFigure(), useSupply()]
    await figure.open(1)
    rename('One')
    await supply.finish({ 1: 3 })
    expect(finish).not.toHaveBeenCalled()
    expect(supply.trouble).toContain('not saved yet')
  })

  it('shows nothing of a figure that was left before its answer came', async () => {
    const [reckoned, asked] = [late<Supply>(), late<FigureWool>()]
    const [figure, supply] = [useFigure(), useSupply()]
    await figure.open(1)
    vi.mocked(api.supply).mockReturnValueOnce(reckoned.promise)
    vi.mocked(api.figureWool).mockReturnValueOnce(asked.promise)
    void supply.open()
    await figure.open(2)
    reckoned.come({ needs: [{ lackG: 9 }], matches: [], insides: [] } as unknown as Supply)
    asked.come(wool)
    await settle()
    expect([supply.supply, supply.wool]).toEqual([null, null])
  })
})

describe('a step', () => {
  it('is marked once the plan it belongs to is saved', async () => {
    const answer = late<SavedFigure>()
    vi.spyOn(api, 'save').mockReturnValue(answer.promise)
    const mark = vi.spyOn(api, 'mark').mockResolvedValue({ done: ['core:body'], present: '' })
    const figure = useFigure()
    await figure.open(1)
    rename('One')
    const done = figure.mark('core:body', true)
    await settle()
    expect(mark).not.toHaveBeenCalled()
    answer.come(found(1, 4))
    await done
    expect(figure.done).toEqual(['core:body'])
  })
})
