import { onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useFigure } from '../state/figure'
import { round } from '../drawing/geometry'
import { STATIONS } from './router'
import { isTyping } from './typing'

/** Whether the list of keys is shown. */
export const showKeys = ref(false)

/** Keys that work at every station; the app asks for them once. Typing in a field is never taken for one. */
export function useKeys() {
  const route = useRoute()
  const router = useRouter()
  const figure = useFigure()

  function nudge(dx: number, dy: number): void {
    const chosen = figure.selection
    if (chosen?.kind === 'part') {
      const keys = figure.chosen.filter((k) => !figure.locked.includes(k))
      figure.change((d) => d.parts.filter((p) => keys.includes(p.key)).forEach((p) => {
        p.at.xMm = round(p.at.xMm + dx)
        p.at.yMm = round(p.at.yMm + dy)
      }))
    } else if (chosen?.kind === 'detail') {
      const keys = figure.chosenDetails
      figure.change((f) => f.details?.filter((d) => keys.includes(d.key)).forEach((d) => {
        d.xMm = round((d.xMm ?? 0) + dx)
        d.yMm = round((d.yMm ?? 0) + dy)
      }))
    }
  }

  function turn(deg: number): void {
    const chosen = figure.selection
    if (chosen?.kind === 'part') {
      figure.changePart(chosen.key, (p) => {
        p.turnDeg = { ...p.turnDeg, z: round(((p.turnDeg?.z ?? 0) + deg) % 360, 0.1) }
      })
    } else if (chosen?.kind === 'detail') {
      figure.changeDetail(chosen.key, (d) => (d.turnDeg = round(((d.turnDeg ?? 0) + deg) % 360, 0.1)))
    }
  }

  function thicken(mm: number): void {
    const chosen = figure.selection
    if (chosen?.kind === 'part') figure.changePart(chosen.key, (p) => (p.shape.depthMm = Math.max(0.5, round(p.shape.depthMm + mm, 0.1))))
    else if (chosen?.kind === 'detail') figure.changeDetail(chosen.key, (d) => (d.widthMm = Math.max(0.3, round((d.widthMm ?? 1) + mm * 0.2, 0.1))))
  }

  function mirror(): void {
    const chosen = figure.selection
    if (chosen?.kind === 'part') figure.changePart(chosen.key, (p) => (p.mirror = !p.mirror))
    else if (chosen?.kind === 'detail') figure.changeDetail(chosen.key, (d) => (d.mirror = !d.mirror))
  }

  const plain: Record<string, (shift: boolean) => void> = {
    ArrowLeft: (shift) => nudge(shift ? -0.1 : -1, 0),
    ArrowRight: (shift) => nudge(shift ? 0.1 : 1, 0),
    ArrowUp: (shift) => nudge(0, shift ? 0.1 : 1),
    ArrowDown: (shift) => nudge(0, shift ? -0.1 : -1),
    '[': () => turn(5),
    ']': () => turn(-5),
    '{': () => turn(1),
    '}': () => turn(-1),
    ',': () => thicken(-1),
    '.': () => thicken(1),
    PageUp: () => figure.selectedPart && figure.reorder(figure.selectedPart.key, true),
    PageDown: () => figure.selectedPart && figure.reorder(figure.selectedPart.key, false),
    h: () => figure.selectedPart && figure.hide(figure.selectedPart.key),
    k: () => figure.selectedPart && figure.lock(figure.selectedPart.key),
    g: () => { if (figure.chosen.length > 1) void figure.recut('merge', { keys: figure.chosen }) },
    m: mirror,
    d: () => figure.doubleSelected(),
    Delete: () => figure.removeSelected(),
    Backspace: () => figure.removeSelected(),
    Escape: () => (figure.selection = null),
  }

  function onKey(event: KeyboardEvent): void {
    if (isTyping(event)) return
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
      event.preventDefault()
      if (event.shiftKey) figure.redo()
      else figure.undo()
      return
    }
    if (event.ctrlKey || event.metaKey || event.altKey) return
    if (event.key === '?') showKeys.value = true
    const station = STATIONS[Number(event.key) - 1]
    if (event.key.toLowerCase() === 's') void router.push('/stash')
    if (station === 'shelf') void router.push('/')
    else if (station && route.params.id) void router.push({ name: station, params: { id: route.params.id } })
    const act = plain[event.key.length === 1 ? event.key.toLowerCase() : event.key]
    if (act && figure.selection && ['shapes', 'face'].includes(String(route.name))) {
      event.preventDefault()
      act(event.shiftKey)
    }
  }

  onMounted(() => window.addEventListener('keydown', onKey))
  onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
}
