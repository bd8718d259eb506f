import { ref, watch, type Ref } from 'vue'
import type { FaceGrid, FaceWork } from '../../api/types/answers'
import { api } from '../../api/client'
import { useFigure } from '../../state/figure/figure'

const NOTHING: FaceWork = { order: [], advice: {}, evenness: { levelMm: 0, asideMm: 0, eyeLineMm: null } }

/** What PHP says of the face of a part: its grid, asked for when the shape changes, and what is amiss, whenever anything does. */
export function useFaceWork(part: Ref<string>) {
  const figure = useFigure()
  const grid = ref<FaceGrid | null>(null)
  const work = ref<FaceWork>(NOTHING)
  const shape = () => {
    const p = figure.parts.find((x) => x.key === part.value)
    return JSON.stringify([p?.shape, p?.turnDeg])
  }

  let askedGrid: AbortController | null = null
  watch(
    [part, shape],
    async () => {
      if (!figure.document || !part.value) return
      askedGrid?.abort()
      askedGrid = new AbortController()
      try {
        grid.value = await api.face(figure.document, part.value, askedGrid.signal)
      } catch {
        // The board says what is wrong with the figure; the head stands without its grid.
        grid.value = null
      }
    },
    { immediate: true },
  )

  let askedWork: AbortController | null = null
  async function ask(): Promise<void> {
    if (!figure.document || !part.value) return
    askedWork?.abort()
    const mine = (askedWork = new AbortController())
    try {
      work.value = await api.faceAdvice(figure.document, part.value, mine.signal)
    } catch {
      // What is wrong with the figure is told once, by the board.
      if (!mine.signal.aborted) work.value = NOTHING
    }
  }
  watch([part, () => figure.document], ask, { immediate: true })

  return { grid, work, ask }
}
