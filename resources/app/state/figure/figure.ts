import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { api, type EditAct } from '../../api/client'
import type { Detail, Figure, Part } from '../../api/types/figure'
import { useHistory, type History } from './history'
import { useSelection } from './selection'
import { openSession, type Session } from './session'

export type { SaveState } from './session'
export type { Selection } from './selection'

interface Open {
  session: Session
  history: History
}

/** The figure on the table, and the ways to change it. What is open, saved and undone is its own; see session and history. */
export const useFigure = defineStore('figure', () => {
  // Every figure that is open or not saved yet: who comes back to one before it is saved finds it as it was left.
  const open_ = new Map<number, Open>()
  const current = shallowRef<Open | null>(null)
  const session = computed(() => current.value?.session ?? null)

  const document_ = computed(() => session.value?.document.value ?? null)
  const parts = computed<Part[]>(() => document_.value?.parts ?? [])
  const details = computed<Detail[]>(() => document_.value?.details ?? [])
  const chosen = useSelection(parts, details)
  const colourOf = (key: string) => document_.value?.colours.find((c) => c.key === key)?.hex ?? '#999999'
  const colourName = (key: string) => document_.value?.colours.find((c) => c.key === key)?.name ?? key

  async function open(figureId: number): Promise<void> {
    const before = current.value
    if (before?.session.id === figureId && before.session.document.value) return
    if (before) leave(before)
    chosen.clear()
    const kept = open_.get(figureId)
    // What could not be fetched, or is still on its way, is asked for anew.
    if (kept?.session.document.value) {
      current.value = kept
      return
    }
    const opened: Open = { session: openSession(figureId), history: useHistory() }
    open_.set(figureId, opened)
    current.value = opened
    await opened.session.load()
    const was = opened.session.before.value
    if (was) opened.history.remember(JSON.stringify(was))
  }

  /** What was changed in the last half second is sent before another figure lies on the table. */
  function leave({ session: left }: Open): void {
    void left.saved().then((isSaved) => {
      if (isSaved && current.value?.session !== left && open_.get(left.id)?.session === left) open_.delete(left.id)
    })
  }

  /** A figure that goes into the bin is saved first, as it may be brought back; then nothing is asked about it any more. */
  async function letGo(figureId: number): Promise<void> {
    const gone = open_.get(figureId)
    if (!gone) return
    await gone.session.saved()
    gone.session.close()
    open_.delete(figureId)
    if (current.value === gone) current.value = null
  }

  onScopeDispose(() => open_.forEach(({ session }) => session.close()))

  /** Changes the document through a function; one step of undo. Changes of one gesture are one step together. */
  function change(how: (document: Figure) => void, gesture = ''): void {
    if (current.value) changeIn(current.value, how, gesture)
  }

  function changeIn({ session, history }: Open, how: (document: Figure) => void, gesture = ''): void {
    if (!session.document.value) return
    const before = JSON.stringify(session.document.value)
    const next = JSON.parse(before) as Figure
    how(next)
    if (JSON.stringify(next) === before) return
    history.remember(before, gesture)
    session.lay(next)
  }

  const changePart = (key: string, how: (part: Part) => void) =>
    change((d) =>
      d.parts
        .filter((p) => p.key === key)
        .forEach((p) => {
          const was = [p.shape.depthMm, p.at.zMm ?? 0]
          how(p)
          // What she says of its depth is no guess any more.
          if (p.seen && (p.shape.depthMm !== was[0] || (p.at.zMm ?? 0) !== was[1])) delete p.seen.depth
        }),
    )
  const changeDetail = (key: string, how: (detail: Detail) => void) =>
    change((d) => d.details?.filter((x) => x.key === key).forEach(how))

  /**
   * An edit that PHP makes; one step of undo, laid on the figure it was asked for. What was changed meanwhile is not lost: it is
   * asked again about that. Null where that figure is not on the table any more; throws what was refused.
   */
  async function edit<T extends { document: Figure | null }>(
    ask: (now: Figure) => Promise<T>,
    gesture = '',
  ): Promise<T | null> {
    const asked = current.value
    if (!asked) return null
    return asked.session.edit(async () => {
      for (;;) {
        const now = asked.session.document.value
        if (!now) return null
        const answer = await ask(now)
        if (asked.session.document.value !== now) continue
        const next = answer.document
        if (next) changeIn(asked, (d) => replaceWith(d, next), gesture)
        return current.value === asked ? answer : null
      }
    })
  }

  /** An edit whose refusal is told of the figure as a whole. */
  async function editAndTell<T extends { document: Figure | null }>(
    ask: (now: Figure) => Promise<T>,
  ): Promise<T | null> {
    const asked = session.value
    try {
      return await edit(ask)
    } catch (error) {
      asked?.tell(error)
      return null
    }
  }

  /** Such as a cut; what was made by it is looked at. */
  async function apply(act: EditAct, more: object): Promise<string | null> {
    const cut = await editAndTell((now) => api.edit(now, act, more))
    if (!cut) return null
    chosen.also.value = []
    chosen.selection.value = cut.kind && cut.key ? { kind: cut.kind, key: cut.key } : null
    return cut.key
  }

  function undo(): void {
    step((history, now) => history.back(now))
  }

  function redo(): void {
    step((history, now) => history.forth(now))
  }

  /** After every edit that was asked for before. */
  function step(which: (history: History, now: string) => string | undefined): void {
    const asked = current.value
    asked?.session.after(() => {
      const now = asked.session.document.value
      const found = now ? which(asked.history, JSON.stringify(now)) : undefined
      if (found !== undefined) asked.session.lay(JSON.parse(found) as Figure)
    })
  }

  /** Makes the whole figure larger or smaller; PHP knows what grows along. */
  async function rescale(heightMm: number): Promise<void> {
    if (document_.value && heightMm !== document_.value.heightMm) await editAndTell((now) => api.rescale(now, heightMm))
  }

  async function settle(keepMine: boolean): Promise<void> {
    const asked = current.value
    const gone = await asked?.session.settle(keepMine)
    if (gone) asked?.history.remember(JSON.stringify(gone))
  }

  /** Brings a part before or behind the next one in the order of depth. */
  const reorder = (key: string, nearer: boolean) => editAndTell((now) => api.edit(now, 'depth', { key, nearer }))

  /** Moves the middle line; what is drawn stays where it is, twins are mirrored about the new line. */
  async function moveAxis(mm: number): Promise<void> {
    await editAndTell((now) => api.edit(now, 'axis', { mm }))
  }

  /** Whether the chosen detail is taken by itself, not with what makes one thing with it. */
  const byItself = ref(false)
  watch(chosen.chosenDetails, (now, was) => {
    if (now.join() !== was.join()) byItself.value = false
  })
  const alone = () => (byItself.value ? { alone: true } : {})
  /** These details and all that make one thing with any of them, as PHP says: 1 as they go, -1 mirrored. */
  function withOthers(keys: string[]): Map<string, number> {
    const ways = new Map(keys.map((key) => [key, 1]))
    const together = byItself.value ? {} : (session.value?.board.value?.together ?? {})
    for (const key of keys)
      for (const [other, way] of Object.entries(together[key] ?? {})) if (!ways.has(other)) ways.set(other, way)
    return ways
  }
  /** Moves details, each so far to the right and up as seen from its side, with all that make one thing with them. */
  function moveDetails(moves: Map<string, { dx: number; dy: number }>, step = 0.01): void {
    const all = new Map(moves)
    for (const [key, by] of moves)
      for (const [other, way] of withOthers([key])) if (!all.has(other)) all.set(other, { dx: way * by.dx, dy: by.dy })
    const rounded = (mm: number) => Math.round(mm / step) * step
    change((f) =>
      f.details?.forEach((d) => {
        const by = all.get(d.key)
        if (!by) return
        d.xMm = Number(rounded((d.xMm ?? 0) + by.dx).toFixed(4))
        d.yMm = Number(rounded((d.yMm ?? 0) + by.dy).toFixed(4))
        // What was chosen for the edge held for where it lay.
        delete d.keep
      }),
    )
  }
  /** A detail made one of a pair, or alone. */
  const pairDetail = (key: string, pair: boolean) => apply('twin', { key, pair, ...alone() })

  const keysOf = (kind: 'part' | 'detail') => (kind === 'part' ? chosen.chosen.value : chosen.chosenDetails.value)

  /** Gives what is selected a colour by its value; the figure's colours grow if it is a new one. */
  async function paint(hex: string, name: string): Promise<void> {
    const kind = chosen.selection.value?.kind
    if (kind) await apply('paint', { kind, keys: keysOf(kind), hex, name })
  }

  async function removeSelected(): Promise<void> {
    const kind = chosen.selection.value?.kind
    if (kind) await apply('remove', { kind, keys: keysOf(kind), ...alone() })
  }

  async function doubleSelected(): Promise<void> {
    const one = chosen.selection.value
    if (one) await apply('double', { kind: one.kind, key: one.key, ...alone() })
  }

  const of = <T>(pick: (session: Session) => T, none: T) => computed(() => (session.value ? pick(session.value) : none))

  return {
    ...chosen,
    session,
    id: of((s) => s.id, 0),
    revision: of((s) => s.revision.value, 0),
    picture: of((s) => s.picture.value, null as number | null),
    document: document_,
    board: of((s) => s.board.value, null),
    faults: of((s) => s.faults.value, []),
    trouble: of((s) => s.trouble.value, ''),
    missing: of((s) => s.missing.value, false),
    saveState: of((s) => s.saveState.value, 'saved' as const),
    other: of((s) => s.other.value, null),
    done: of((s) => s.done.value, []),
    present: of((s) => s.present.value, ''),
    reckoning: of((s) => s.reckoning.value, false),
    past: computed(() => current.value?.history.past.value ?? []),
    future: computed(() => current.value?.history.future.value ?? []),
    parts,
    details,
    colourOf,
    colourName,
    open,
    letGo,
    change,
    changePart,
    changeDetail,
    edit,
    editAndTell,
    apply,
    undo,
    redo,
    rescale,
    settle,
    reorder,
    moveAxis,
    paint,
    removeSelected,
    doubleSelected,
    byItself,
    withOthers,
    moveDetails,
    pairDetail,
    partPair: (key: string) => apply('part-pair', { key, ...alone() }),
    save: (keepalive = false) => session.value?.save(keepalive),
    saved: async () => (await session.value?.saved()) ?? false,
    show: (step: string) => session.value?.show(step),
    freshen: () => session.value?.freshen(),
    mark: (step: string, isDone: boolean) => session.value?.mark(step, isDone),
    tell: (error: unknown) => session.value?.tell(error),
  }
})

/** All of a document gives way to another: what the other has no more, such as a side picture, goes. */
function replaceWith(document: Figure, next: Figure): void {
  for (const name of Object.keys(document)) if (!(name in next)) delete document[name as keyof Figure]
  Object.assign(document, next)
}
