import { useRoute, useRouter } from 'vue-router'
import { useFigure } from '../state/figure/figure'
import { round } from '../drawing/geometry'
import { STATIONS } from './router'
import { showHelp } from '../help/asked'
import { useHotkeys } from '../shared/useHotkeys'

/** Keys that work at every station; the app asks for them once. Typing in a field is never taken for one. */
export function useKeys() {
  const route = useRoute()
  const router = useRouter()
  const figure = useFigure()

  function nudge(dx: number, dy: number): void {
    const chosen = figure.selection
    if (chosen?.kind === 'part') {
      const keys = figure.chosen.filter((k) => !figure.locked.includes(k))
      figure.change((d) =>
        d.parts
          .filter((p) => keys.includes(p.key))
          .forEach((p) => {
            p.at.xMm = round(p.at.xMm + dx)
            p.at.yMm = round(p.at.yMm + dy)
          }),
      )
    } else if (chosen?.kind === 'detail') {
      figure.moveDetails(new Map(figure.chosenDetails.map((key) => [key, { dx, dy }])))
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
    if (chosen?.kind === 'part')
      figure.changePart(chosen.key, (p) => (p.shape.depthMm = Math.max(0.5, round(p.shape.depthMm + mm, 0.1))))
    else if (chosen?.kind === 'detail')
      figure.changeDetail(chosen.key, (d) => (d.widthMm = Math.max(0.3, round((d.widthMm ?? 1) + mm * 0.2, 0.1))))
  }

  function mirror(): void {
    const chosen = figure.selection
    if (chosen?.kind === 'part') figure.changePart(chosen.key, (p) => (p.mirror = !p.mirror))
    else if (chosen?.kind === 'detail') void figure.pairDetail(chosen.key, !figure.selectedDetail?.mirror)
  }

  /** An act on what is chosen, at the stations where that is seen. */
  const onChosen = (act: (shift: boolean) => unknown) => (event: KeyboardEvent) => {
    if (!figure.selection || !['shapes', 'face'].includes(String(route.name))) return false
    act(event.shiftKey)
  }
  const toStation = (station: (typeof STATIONS)[number]) => () => {
    if (station === 'shelf') void router.push('/')
    else if (route.params.id) void router.push({ name: station, params: { id: route.params.id } })
    else return false
  }

  useHotkeys(
    {
      ...Object.fromEntries(STATIONS.map((station, i) => [String(i + 1), toStation(station)])),
      s: () => void router.push('/stash'),
      y: () => void router.push('/hand'),
      '?': () => (showHelp.value = true),
      'ctrl+z': (event) => (event.shiftKey ? figure.redo() : figure.undo()),
      arrowleft: onChosen((shift) => nudge(shift ? -0.1 : -1, 0)),
      arrowright: onChosen((shift) => nudge(shift ? 0.1 : 1, 0)),
      arrowup: onChosen((shift) => nudge(0, shift ? 0.1 : 1)),
      arrowdown: onChosen((shift) => nudge(0, shift ? -0.1 : -1)),
      '[': onChosen(() => turn(5)),
      ']': onChosen(() => turn(-5)),
      '{': onChosen(() => turn(1)),
      '}': onChosen(() => turn(-1)),
      ',': onChosen(() => thicken(-1)),
      '.': onChosen(() => thicken(1)),
      pageup: onChosen(() => figure.selectedPart && figure.reorder(figure.selectedPart.key, true)),
      pagedown: onChosen(() => figure.selectedPart && figure.reorder(figure.selectedPart.key, false)),
      h: onChosen(() => figure.selectedPart && figure.hide(figure.selectedPart.key)),
      k: onChosen(() => figure.selectedPart && figure.lock(figure.selectedPart.key)),
      g: onChosen(() => figure.chosen.length > 1 && figure.apply('merge', { keys: figure.chosen })),
      m: onChosen(mirror),
      d: onChosen(() => figure.doubleSelected()),
      delete: onChosen(() => figure.removeSelected()),
      backspace: onChosen(() => figure.removeSelected()),
      escape: onChosen(() => (figure.selection = null)),
    },
    'app',
  )
}
