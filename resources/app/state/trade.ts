import { shallowReactive } from 'vue'
import type { Trade } from '../api/types/answers'
import { api } from '../api/client'
import { t, within } from '../lang'

/** The trade's words, choices and defaults, as PHP has them; there before any screen is. */
export const trade: Trade = shallowReactive({
  kinds: [],
  outlines: [],
  firmnesses: [],
  cores: [],
  joins: [],
  methods: [],
  roles: [],
  coverings: [],
  schools: [],
  reserves: [],
  preparations: [],
  meant: {},
  words: [],
  usual: { core: 'core-wool', firmness: 'springy', coverMm: 0, school: 'loose-head' },
  rest: { afterMinutes: 0, minutes: 0 },
} as Trade)

export async function fetchTrade(): Promise<void> {
  Object.assign(trade, await api.trade())
}

const titleOf = (choices: { value: string; title: string }[], value: string) =>
  choices.find((c) => c.value === value)?.title ?? value
/** As in the middle of a sentence. */
export const kindWord = (kind: string) => within(titleOf(trade.kinds, kind))
export const firmnessWord = (firmness: string) => titleOf(trade.firmnesses, firmness)
export const preparationWord = (preparation: string) => titleOf(trade.preparations, preparation)
export const coreWord = (core: string) => titleOf(trade.cores, core)
/** What a line of wool is made of, in words. */
export const materialWord = (material: string) =>
  material === 'film' ? t('state.trade.filmFibres') : coreWord(material)
