import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, Refusal, type Board, type Fault } from '../api/client'
import type { Detail, Figure, Part } from '../api/figure'

export type SaveState = 'saved' | 'waiting' | 'saving' | 'conflict' | 'failed'
export interface Selection { kind: 'part' | 'detail'; key: string }
type Act = Parameters<typeof api.recut>[1]

const SAVE_AFTER_MS = 500
const MOST_UNDO = 200

/** The figure on the table: its document, what the server reckons of it, its history, and whether it is saved. */
export const useFigure = defineStore('figure', () => {
  const id = ref(0)
  const revision = ref(0)
  const picture = ref<number | null>(null)
  const document_ = shallowRef<Figure | null>(null)
  const board = shallowRef<Board | null>(null)
  const faults = shallowRef<Fault[]>([])
  const trouble = ref('')
  const missing = ref(false)
  const saveState = ref<SaveState>('saved')
  const other = shallowRef<{ revision: number; document: Figure } | null>(null)
  const selection = ref<Selection | null>(null)
  /** Parts chosen besides the selected one. */
  const also = ref<string[]>([])
  const hidden = ref<string[]>([])
  const locked = ref<string[]>([])
  const past = shallowRef<string[]>([])
  const future = shallowRef<string[]>([])
  const done = ref<string[]>([])
  const reckoning = ref(false)

  let saveTimer = 0
  let reckonAbort: AbortController | null = null
  // One save at a time: a second one on its way would be stale by the first, and told so.
  let onItsWay = false

  const parts = computed<Part[]>(() => document_.value?.parts ?? [])
  const details = computed<Detail[]>(() => document_.value?.details ?? [])
  const selectedPart = computed(() => {
    const chosen = selection.value
    if (!chosen) return null
    const key = chosen.kind === 'part' ? chosen.key : details.value.find((d) => d.key === chosen.key)?.on
    return parts.value.find((p) => p.key === key) ?? null
  })
  /** Every chosen part, the selected one first. */
  const chosen = computed(() => (selection.value?.kind === 'part' ? [selection.value.key, ...also.value.filter((k) => k !== selection.value?.key && parts.value.some((p) => p.key === k))] : []))
  /** Every chosen detail, the selected one first. */
  const chosenDetails = computed(() => (selection.value?.kind === 'detail' ? [selection.value.key, ...also.value.filter((k) => k !== selection.value?.key && details.value.some((d) => d.key === k))] : []))
  const selectedDetail = computed(() => (selection.value?.kind === 'detail' ? (details.value.find((d) => d.key === selection.value?.key) ?? null) : null))
  const colourOf = (key: string) => document_.value?.colours.find((c) => c.key === key)?.hex ?? '#999999'
  const colourName = (key: string) => document_.value?.colours.find((c) => c.key === key)?.name ?? key

  const draftKey = () => `impa:draft:${id.value}`

  async function open(figureId: number): Promise<void> {
    if (id.value === figureId && document_.value) return
    id.value = figureId
    document_.value = null
    board.value = null
    selection.value = null
    also.value = hidden.value = locked.value = []
    past.value = []
    future.value = []
    other.value = null
    missing.value = false
    trouble.value = ''
    faults.value = []
    try {
      const [saved, steps] = await Promise.all([api.figure(figureId), api.steps(figureId)])
      revision.value = saved.revision
      picture.value = saved.picture
      document_.value = saved.document
      done.value = steps.done
      saveState.value = 'saved'
      takeUpDraft(saved.revision)
      await reckon()
    } catch (error) {
      missing.value = error instanceof Refusal && error.status === 404
      tell(error)
    }
  }

  /** What was typed last time and could not be saved any more is taken up again. */
  function takeUpDraft(savedRevision: number): void {
    const draft = JSON.parse(localStorage.getItem(draftKey()) ?? 'null') as { revision: number; document: Figure } | null
    if (draft && draft.revision === savedRevision) {
      past.value = [JSON.stringify(document_.value)]
      document_.value = draft.document
      saveSoon()
    } else if (draft && document_.value) {
      other.value = { revision: savedRevision, document: document_.value }
      document_.value = draft.document
      saveState.value = 'conflict'
    }
  }

  let lastGesture = ''
  /** Changes the document through a function; one step of undo. Changes of one gesture, such as a slider's way, are one step together. */
  function change(how: (document: Figure) => void, gesture = ''): void {
    if (!document_.value) return
    const before = JSON.stringify(document_.value)
    const next = JSON.parse(before) as Figure
    how(next)
    if (JSON.stringify(next) === before) return
    if (!gesture || gesture !== lastGesture) past.value = [...past.value.slice(-MOST_UNDO), before]
    lastGesture = gesture
    future.value = []
    lay(next)
  }

  function changePart(key: string, how: (part: Part) => void): void {
    change((d) => d.parts.filter((p) => p.key === key).forEach(how))
  }

  function changeDetail(key: string, how: (detail: Detail) => void): void {
    change((d) => d.details?.filter((x) => x.key === key).forEach(how))
  }

  /** Chooses a part or a detail, or with others: adds it to them or lets it go. */
  function choose(key: string, withOthers = false, kind: Selection['kind'] = 'part'): void {
    const before = kind === 'part' ? chosen.value : chosenDetails.value
    if (!withOthers || !before.length) {
      selection.value = { kind, key }
      also.value = []
    } else if (before.includes(key)) {
      const [first, ...rest] = before.filter((k) => k !== key)
      selection.value = first === undefined ? null : { kind, key: first }
      also.value = rest
    } else {
      also.value = [...before.slice(1), key]
    }
  }

  const flip = (list: typeof hidden, key: string) => { list.value = list.value.includes(key) ? list.value.filter((k) => k !== key) : [...list.value, key] }

  /** A cut of the felter's own, reckoned by PHP; one step of undo. */
  async function recut(act: Act, more: object): Promise<string | null> {
    if (!document_.value) return null
    try {
      const cut = await api.recut(document_.value, act, more)
      change((d) => Object.assign(d, cut.document))
      also.value = []
      selection.value = { kind: act === 'to-detail' ? 'detail' : 'part', key: cut.key }
      return cut.key
    } catch (error) {
      tell(error)
      return null
    }
  }

  /** Brings a part before or behind the next one in the order of depth. */
  function reorder(key: string, forwards: boolean): void {
    const own = parts.value.find((p) => p.key === key)?.at.zMm ?? 0
    const depths = parts.value.filter((p) => p.key !== key).map((p) => p.at.zMm ?? 0).filter((z) => (forwards ? z >= own : z <= own)).sort((a, b) => (forwards ? a - b : b - a))
    const next = depths[0]
    if (next !== undefined) changePart(key, (p) => (p.at.zMm = Math.round((next + (forwards ? 0.5 : -0.5)) * 10) / 10))
  }

  /** Moves the middle line; what is drawn stays where it is, twins are mirrored about the new line. */
  function moveAxis(mm: number): void {
    change((d) => {
      for (const p of d.parts) p.at.xMm = Math.round((p.at.xMm - mm) * 100) / 100
      if (d.picture) d.picture.originPx[0] = Math.round((d.picture.originPx[0] + mm / d.picture.mmPerPx) * 100) / 100
    })
  }

  /** Gives what is selected a colour by its value; the figure's colours grow if it is a new one. */
  function paint(hex: string, name: string): void {
    change((d) => {
      let colour = d.colours.find((c) => c.hex.toLowerCase() === hex.toLowerCase())
      if (!colour) {
        colour = { key: freeKey(d.colours, 'colour'), name, hex }
        d.colours.push(colour)
      }
      const { key } = colour
      if (selection.value?.kind === 'detail') d.details?.filter((x) => x.key === selection.value?.key).forEach((x) => (x.colour = key))
      else d.parts.filter((p) => chosen.value.includes(p.key)).forEach((p) => (p.colour = key))
    })
  }

  function undo(): void {
    lastGesture = ''
    const before = past.value.at(-1)
    if (!before || !document_.value) return
    past.value = past.value.slice(0, -1)
    future.value = [...future.value, JSON.stringify(document_.value)]
    lay(JSON.parse(before) as Figure)
  }

  function redo(): void {
    const after = future.value.at(-1)
    if (!after || !document_.value) return
    future.value = future.value.slice(0, -1)
    past.value = [...past.value, JSON.stringify(document_.value)]
    lay(JSON.parse(after) as Figure)
  }

  function lay(next: Figure): void {
    document_.value = next
    localStorage.setItem(draftKey(), JSON.stringify({ revision: revision.value, document: next }))
    void reckon()
    saveSoon()
  }

  async function reckon(): Promise<void> {
    if (!document_.value) return
    reckonAbort?.abort()
    const abort = (reckonAbort = new AbortController())
    reckoning.value = true
    try {
      board.value = await api.board(document_.value, abort.signal)
      faults.value = []
      trouble.value = ''
    } catch (error) {
      if (abort.signal.aborted) return
      tell(error)
    }
    if (reckonAbort === abort) reckoning.value = false
  }

  /** Makes the whole figure larger or smaller; PHP knows what grows along. */
  async function rescale(heightMm: number): Promise<void> {
    if (!document_.value || heightMm === document_.value.heightMm) return
    try {
      const scaled = await api.rescale(document_.value, heightMm)
      const next = scaled.document
      if (next) change((d) => Object.assign(d, next))
    } catch (error) {
      tell(error)
    }
  }

  function saveSoon(): void {
    if (saveState.value === 'conflict') return
    saveState.value = 'waiting'
    window.clearTimeout(saveTimer)
    saveTimer = window.setTimeout(() => void save(), SAVE_AFTER_MS)
  }

  async function save(keepalive = false): Promise<void> {
    window.clearTimeout(saveTimer)
    if (!document_.value || onItsWay || saveState.value === 'conflict') return
    const sent = document_.value
    saveState.value = 'saving'
    onItsWay = true
    try {
      const saved = await api.save(id.value, revision.value, sent, keepalive)
      revision.value = saved.revision
      if (document_.value === sent) {
        saveState.value = 'saved'
        localStorage.removeItem(draftKey())
      } else {
        localStorage.setItem(draftKey(), JSON.stringify({ revision: saved.revision, document: document_.value }))
        saveSoon()
      }
    } catch (error) {
      if (error instanceof Refusal && error.status === 409) {
        other.value = { revision: error.body.revision as number, document: error.body.document as Figure }
        saveState.value = 'conflict'
      } else {
        saveState.value = 'failed'
        tell(error)
      }
    } finally {
      onItsWay = false
    }
  }

  /** After somebody else saved: keep this window's figure, or take the other one (this one stays in undo). */
  async function settle(keepMine: boolean): Promise<void> {
    const theirs = other.value
    if (!theirs || !document_.value) return
    revision.value = theirs.revision
    other.value = null
    saveState.value = 'waiting'
    if (keepMine) {
      await save()
    } else {
      past.value = [...past.value, JSON.stringify(document_.value)]
      lay(theirs.document)
    }
  }

  async function mark(step: string, isDone: boolean): Promise<void> {
    try {
      done.value = (await api.mark(id.value, step, isDone)).done
    } catch (error) {
      tell(error)
    }
  }

  function tell(error: unknown): void {
    trouble.value = error instanceof Error ? error.message : String(error)
    faults.value = error instanceof Refusal ? error.errors : []
  }

  /** A key that no member of the list has yet. */
  function freeKey(list: { key: string }[], wish: string): string {
    const taken = new Set(list.map((m) => m.key))
    if (!taken.has(wish)) return wish
    let n = 2
    while (taken.has(`${wish}-${n}`)) n++
    return `${wish}-${n}`
  }

  function removeSelected(): void {
    const one = selection.value
    if (!one) return
    const keys = one.kind === 'detail' ? chosenDetails.value : chosen.value
    change((d) => {
      if (one.kind === 'detail') d.details = d.details?.filter((x) => !keys.includes(x.key))
      else keys.forEach((key) => removePart(d, key))
    })
    selection.value = null
  }

  function removePart(d: Figure, key: string): void {
    const gone = d.parts.find((p) => p.key === key)
    d.parts = d.parts.filter((p) => p.key !== key)
    d.details = d.details?.filter((x) => x.on !== key)
    // What hung on it hangs on what it hung on.
    for (const p of d.parts) {
      if (p.join?.to !== key) continue
      if (gone?.join?.to && gone.join.to !== p.key) p.join.to = gone.join.to
      else delete p.join
    }
  }

  function doubleSelected(): void {
    const one = selection.value
    let made: Selection | null = null
    change((d) => {
      if (one?.kind === 'part') {
        const part = d.parts.find((p) => p.key === one.key)
        if (!part) return
        const copy = JSON.parse(JSON.stringify(part)) as Part
        copy.key = freeKey(d.parts, part.key)
        copy.name = `${part.name ?? part.key} again`
        copy.at.xMm += 6
        copy.at.yMm += 6
        d.parts.push(copy)
        made = { kind: 'part', key: copy.key }
      } else if (one?.kind === 'detail') {
        const detail = d.details?.find((x) => x.key === one.key)
        if (!detail) return
        const copy = JSON.parse(JSON.stringify(detail)) as Detail
        copy.key = freeKey(d.details ?? [], detail.key)
        copy.name = `${detail.name ?? detail.key} again`
        copy.xMm = (copy.xMm ?? 0) + 2
        copy.yMm = (copy.yMm ?? 0) + 2
        d.details?.push(copy)
        made = { kind: 'detail', key: copy.key }
      }
    })
    if (made) selection.value = made
  }

  return {
    id, revision, picture, document: document_, board, faults, trouble, missing, saveState, other, selection, past, future, done, reckoning,
    also, chosen, chosenDetails, hidden, locked, choose, hide: (key: string) => flip(hidden, key), lock: (key: string) => flip(locked, key), recut, reorder, moveAxis, paint,
    parts, details, selectedPart, selectedDetail, colourOf, colourName,
    open, change, changePart, changeDetail, undo, redo, rescale, save, settle, mark, freeKey, removeSelected, doubleSelected, tell,
  }
})
