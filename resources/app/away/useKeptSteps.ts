import { ref, watch } from 'vue'
import { api } from '../api/client'
import type { Figure } from '../api/types/figure'
import type { WorkStep } from '../api/types/steps'
import { answers, isAway } from './network'

/** Asks for the drawing of every step once, in their order, so that they are here when the network is not; tells how many are. */
export function useKeptSteps(steps: () => WorkStep[], document: () => Figure | null) {
  const here = ref(0)
  let round = 0
  watch(
    [steps, document],
    async () => {
      const mine = ++round
      here.value = 0
      const figure = document()
      if (!isAway() || !figure) return
      for (const step of steps()) {
        // The figure has changed, or it is of no use: the answers come from what is kept.
        if (mine !== round || !answers.value) return
        await api.stepPicture(figure, step.key).catch(() => undefined)
        if (mine === round) here.value++
      }
    },
    { immediate: true },
  )
  return { here }
}
