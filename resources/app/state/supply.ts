import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { api, type FigureWool, type Reserve, type Supply } from '../api/client'
import { useFigure } from './figure'

/** What the figure on the table takes, against the stash; PHP reckons it anew whenever either changes. */
export const useSupply = defineStore('supply', () => {
  const figure = useFigure()
  const supply = ref<Supply | null>(null)
  const reserve = ref<Reserve>('usual')
  const wool = ref<FigureWool | null>(null)
  const trouble = ref('')
  let abort: AbortController | null = null

  const matchOf = (colour: string) => supply.value?.matches.find((m) => m.colour === colour)
  const insideOf = (part: string) => supply.value?.insides.find((i) => i.part === part)
  const lacking = computed(() => supply.value?.needs.filter((n) => n.lackG > 0) ?? [])

  async function reckon(): Promise<void> {
    if (!figure.document) return
    abort?.abort()
    const mine = (abort = new AbortController())
    try {
      supply.value = await api.supply(figure.document, figure.id, reserve.value, mine.signal)
      trouble.value = ''
    } catch (error) {
      if (!mine.signal.aborted) tell(error)
    }
  }

  async function open(): Promise<void> {
    await Promise.all([reckon(), act(() => api.figureWool(figure.id), false)])
  }

  /** Something that happens to the figure's wool; afterwards the stash is another. */
  async function act(how: () => Promise<FigureWool>, changes = true): Promise<void> {
    try {
      wool.value = await how()
      trouble.value = ''
      if (changes) await reckon()
    } catch (error) {
      tell(error)
    }
  }

  /** What is set aside is what is saved: so it is saved first. */
  async function setAside(): Promise<void> {
    await figure.save()
    await act(() => api.setAside(figure.id, reserve.value))
  }

  async function finish(used: Record<number, number>): Promise<void> {
    await figure.save()
    await act(() => api.finishWool(figure.id, used))
  }

  function tell(error: unknown): void {
    trouble.value = error instanceof Error ? error.message : String(error)
  }

  watch(() => figure.id, () => { supply.value = null; wool.value = null })

  return { supply, reserve, wool, trouble, lacking, matchOf, insideOf, reckon, open, setAside, release: () => act(() => api.release(figure.id)), finish }
})
