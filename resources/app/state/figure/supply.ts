import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { FigureWool, Reserve, Supply } from '../../api/types/answers'
import { api } from '../../api/client'
import { useFigure } from './figure'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** What the figure on the table takes, against the stash; PHP reckons it anew whenever either changes. */
export const useSupply = defineStore('supply', () => {
  const figure = useFigure()
  const supply = shallowRef<Supply | null>(null)
  const reserve = ref<Reserve>('usual')
  const wool = shallowRef<FigureWool | null>(null)
  const trouble = ref('')
  let asked: AbortController | null = null

  const matchOf = (colour: string) => supply.value?.matches.find((m) => m.colour === colour)
  const insideOf = (part: string) => supply.value?.insides.find((i) => i.part === part)
  const lacking = computed(() => supply.value?.needs.filter((n) => n.lackG > 0) ?? [])

  async function reckon(): Promise<void> {
    if (!figure.document) return
    asked?.abort()
    const mine = (asked = new AbortController())
    try {
      const answer = await api.supply(figure.document, figure.id, reserve.value, mine.signal)
      if (mine.signal.aborted) return
      supply.value = answer
      trouble.value = ''
    } catch (error) {
      if (!mine.signal.aborted) tell(error)
    }
  }

  async function open(): Promise<void> {
    await Promise.all([reckon(), act((id) => api.figureWool(id), false)])
  }

  /** Something that happens to the figure's wool; afterwards the stash is another. An answer about a figure left behind is dropped. */
  async function act(how: (id: number) => Promise<FigureWool>, changes = true): Promise<void> {
    const about = figure.session
    if (!about) return
    try {
      const answer = await how(about.id)
      if (figure.session !== about) return
      wool.value = answer
      trouble.value = ''
      if (changes) await reckon()
    } catch (error) {
      if (figure.session === about) tell(error)
    }
  }

  /** What is set aside or used up is what is saved: so it is saved first, or not done. */
  async function actSaved(how: (id: number) => Promise<FigureWool>): Promise<void> {
    const about = figure.session
    if (!about) return
    if (await about.saved()) await (figure.session === about && act(how))
    else if (figure.session === about) tell(new Error(t('state.supply.thisFigureIsNotSaved')))
  }

  function tell(error: unknown): void {
    trouble.value = inWords(error)
  }

  watch(
    () => figure.session,
    () => {
      asked?.abort()
      supply.value = null
      wool.value = null
      trouble.value = ''
    },
  )

  return {
    supply,
    reserve,
    wool,
    trouble,
    lacking,
    matchOf,
    insideOf,
    reckon,
    open,
    setAside: () => actSaved((id) => api.setAside(id, reserve.value, wool.value?.revision ?? '')),
    release: () => act((id) => api.release(id)),
    finish: (used: Record<number, number>) => actSaved((id) => api.finishWool(id, used)),
  }
})
