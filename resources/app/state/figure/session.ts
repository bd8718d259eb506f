import { computed, ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import type { Board, StepsDone } from '../../api/types/answers'
import { api, Refusal, type Fault } from '../../api/client'
import type { Figure } from '../../api/types/figure'
import { inWords } from '../../shared/useAsyncAction'
import { own } from '../own'
import { t } from '../../lang'

export type SaveState = 'saved' | 'waiting' | 'saving' | 'conflict' | 'failed'

/** What stands in this browser until it is saved: on which revision, and what was on its way when it was written. */
interface Draft {
  revision: number
  document: Figure
  sent?: string
}

const SAVE_AFTER_MS = 500
const NO_ROOM = t('state.session.thisIsNotSavedAnd')

/**
 * One open figure: its document, whether it is saved, and what the server reckons of it. Whatever answers come, and however
 * late, they are about this figure and change nothing else.
 */
export interface Session {
  readonly id: number
  revision: Ref<number>
  picture: Ref<number | null>
  document: ShallowRef<Figure | null>
  /** As it stood on the server when a draft was taken up in its place: what undo goes back to. */
  before: ShallowRef<Figure | null>
  board: ShallowRef<Board | null>
  faults: ShallowRef<Fault[]>
  trouble: Ref<string>
  missing: Ref<boolean>
  saveState: Ref<SaveState>
  other: ShallowRef<{ revision: number; document: Figure } | null>
  done: Ref<string[]>
  /** Key of the step that lies open, on whatever device; empty for the next one. */
  present: Ref<string>
  reckoning: Ref<boolean>
  /** Asks again what is reckoned of it, as where the units are others now. */
  reckon(): Promise<void>
  load(): Promise<void>
  /** Nothing goes out any more of its own accord. */
  close(): void
  lay(next: Figure): void
  edit<T>(ask: () => Promise<T>): Promise<T>
  /** Does something once every edit on its way has come: at once where there is none. */
  after(then: () => void): void
  save(keepalive?: boolean): Promise<void>
  saved(): Promise<boolean>
  settle(keepMine: boolean): Promise<Figure | null>
  mark(step: string, isDone: boolean): Promise<void>
  show(step: string): Promise<void>
  freshen(): Promise<void>
  tell(error: unknown): void
}

export function openSession(id: number): Session {
  const revision = ref(0)
  const picture = ref<number | null>(null)
  const document_ = shallowRef<Figure | null>(null)
  const before = shallowRef<Figure | null>(null)
  const board = shallowRef<Board | null>(null)
  const faults = shallowRef<Fault[]>([])
  const trouble = ref('')
  const missing = ref(false)
  const saveState = ref<SaveState>('saved')
  const other = shallowRef<{ revision: number; document: Figure } | null>(null)
  const done = ref<string[]>([])
  const present = ref('')
  const reckoning = ref(false)
  const draftKey = `draft:${id}`
  /** False where the browser had no room for the draft: the save does not hang on it. */
  let isDrafted = true
  let timer = 0
  let loading: Promise<void> | null = null
  let asked: AbortController | null = null
  // One save at a time: a second one on its way would be stale by the first, and told so.
  let onItsWay: Promise<void> | null = null
  let sent: Figure | null = null
  // What PHP is asked to change, one after the other.
  const edits = ref(0)
  let lastEdit: Promise<unknown> = Promise.resolve()

  const load = (): Promise<void> => (loading = fetchAll())

  async function fetchAll(): Promise<void> {
    try {
      const [found, steps] = await Promise.all([api.figure(id), api.steps(id)])
      revision.value = found.revision
      picture.value = found.picture
      document_.value = found.document
      takeSteps(steps)
      takeUpDraft(found.revision, found.document)
      await reckon()
    } catch (error) {
      missing.value = error instanceof Refusal && error.status === 404
      tell(error)
    }
  }

  /** What was made last time and could not be saved any more is taken up again. */
  function takeUpDraft(savedRevision: number, saved: Figure): void {
    const draft = JSON.parse(own.read(draftKey) ?? 'null') as Draft | null
    if (!draft) return
    // The save that was on its way when the window closed has landed: nobody else changed it.
    const isOwn = draft.revision + 1 === savedRevision && draft.sent === JSON.stringify(saved)
    document_.value = draft.document
    if (draft.revision === savedRevision || isOwn) {
      before.value = saved
      saveSoon()
    } else {
      other.value = { revision: savedRevision, document: saved }
      saveState.value = 'conflict'
    }
  }

  function keepDraft(): void {
    const draft: Draft = { revision: revision.value, document: document_.value! }
    if (sent) draft.sent = JSON.stringify(sent)
    isDrafted = own.write(draftKey, JSON.stringify(draft))
  }

  function lay(next: Figure): void {
    document_.value = next
    keepDraft()
    void reckon()
    saveSoon()
  }

  async function reckon(): Promise<void> {
    if (!document_.value) return
    asked?.abort()
    const mine = (asked = new AbortController())
    reckoning.value = true
    try {
      const answer = await api.board(document_.value, mine.signal)
      if (mine.signal.aborted) return
      board.value = answer
      faults.value = []
      trouble.value = ''
    } catch (error) {
      if (mine.signal.aborted) return
      tell(error)
    }
    reckoning.value = false
  }

  /** An edit that PHP makes, after those asked before it. Until it is laid, what stands here is not saved. */
  async function edit<T>(ask: () => Promise<T>): Promise<T> {
    const mine = edits.value++ ? lastEdit.then(ask) : ask()
    lastEdit = mine.catch(() => null)
    try {
      return await mine
    } finally {
      edits.value--
    }
  }

  function after(then: () => void): void {
    if (edits.value) lastEdit = lastEdit.then(then)
    else then()
  }

  function saveSoon(): void {
    if (saveState.value === 'conflict') return
    saveState.value = 'waiting'
    window.clearTimeout(timer)
    timer = window.setTimeout(() => void save(), SAVE_AFTER_MS)
  }

  /** Sends what stands here now; what is on its way already is waited for, and what changed meanwhile goes after it. */
  async function save(keepalive = false): Promise<void> {
    window.clearTimeout(timer)
    if (onItsWay) return onItsWay
    if (!document_.value || saveState.value === 'conflict') return
    onItsWay = send(document_.value, keepalive)
    await onItsWay
  }

  async function send(now: Figure, keepalive: boolean): Promise<void> {
    saveState.value = 'saving'
    sent = now
    if (own.read(draftKey)) keepDraft()
    try {
      revision.value = await revisionOf(now, keepalive)
      sent = null
      onItsWay = null
      if (document_.value === now) {
        saveState.value = 'saved'
        own.remove(draftKey)
      } else {
        keepDraft()
        saveSoon()
      }
    } catch (error) {
      sent = null
      onItsWay = null
      if (error instanceof Refusal && error.status === 409) {
        other.value = { revision: error.body.revision as number, document: error.body.document as Figure }
        saveState.value = 'conflict'
      } else {
        saveState.value = 'failed'
        tell(error)
        if (!isDrafted) trouble.value = `${NO_ROOM} (${inWords(error)})`
      }
    }
  }

  /**
   * Sends a document; under which revision it stands now. Where it stands there already nobody else's change is in the way: a
   * window opened meanwhile took up this one's draft, or an answer was lost.
   */
  async function revisionOf(now: Figure, keepalive: boolean): Promise<number> {
    try {
      return (await api.save(id, revision.value, now, keepalive)).revision
    } catch (error) {
      const isThere =
        error instanceof Refusal && error.status === 409 && JSON.stringify(error.body.document) === JSON.stringify(now)
      if (isThere) return error.body.revision as number
      throw error
    }
  }

  /** Waits until the server has what stands here; false where it cannot be had. */
  async function saved(): Promise<boolean> {
    await loading
    while (edits.value) await lastEdit
    if (saveState.value === 'failed') await save()
    while (saveState.value === 'waiting' || saveState.value === 'saving') await save()
    return saveState.value === 'saved'
  }

  function close(): void {
    window.clearTimeout(timer)
    asked?.abort()
  }

  /** After somebody else saved: keeps this window's figure, or takes the other one; gives back what was let go. */
  async function settle(keepMine: boolean): Promise<Figure | null> {
    const theirs = other.value
    const mine = document_.value
    if (!theirs || !mine) return null
    revision.value = theirs.revision
    other.value = null
    saveState.value = 'waiting'
    if (keepMine) {
      await save()
      return null
    }
    lay(theirs.document)
    return mine
  }

  /** A step is one of the plan that is saved: so that is saved first. */
  /** Of several answers on their way only the one that was asked last counts. */
  let stepsAsked = 0
  async function askSteps(ask: () => Promise<StepsDone>): Promise<void> {
    const mine = ++stepsAsked
    const steps = await ask()
    if (mine === stepsAsked) takeSteps(steps)
  }

  function takeSteps(steps: StepsDone): void {
    if (steps.done.join() !== done.value.join()) done.value = steps.done
    present.value = steps.present
  }

  /** Lays a step open, on every device; empty for the next one. */
  async function show(step: string): Promise<void> {
    present.value = step
    try {
      if (await saved()) await askSteps(() => api.present(id, step))
    } catch (error) {
      tell(error)
    }
  }

  /** What another device did meanwhile. Silent where the server does not answer: it is asked again soon. */
  async function freshen(): Promise<void> {
    await askSteps(() => api.steps(id)).catch(() => undefined)
  }

  async function mark(step: string, isDone: boolean): Promise<void> {
    try {
      if (await saved()) await askSteps(() => api.mark(id, step, isDone))
    } catch (error) {
      tell(error)
    }
  }

  function tell(error: unknown): void {
    trouble.value = inWords(error)
    faults.value = error instanceof Refusal ? error.errors : []
  }

  return {
    id,
    revision,
    picture,
    document: document_,
    before,
    board,
    faults,
    trouble,
    missing,
    saveState: computed(() => (edits.value && saveState.value === 'saved' ? 'waiting' : saveState.value)),
    edit,
    after,
    other,
    done,
    present,
    show,
    freshen,
    reckoning,
    reckon,
    load,
    close,
    lay,
    save,
    saved,
    settle,
    mark,
    tell,
  }
}
