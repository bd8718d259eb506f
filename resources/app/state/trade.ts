import { shallowReactive } from 'vue'
import type { Trade } from '../api/types/answers'
import { api } from '../api/client'
import { t } from '../lang'

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
  usual: { core: 'core-wool', firmness: 'springy', coverMm: 0, school: 'loose-head' },
  rest: { afterMinutes: 0, minutes: 0 },
} as Trade)

export async function fetchTrade(): Promise<void> {
  Object.assign(trade, await api.trade())
}

export const coreWord = (core: string) => trade.cores.find((c) => c.value === core)?.title ?? core
/** What a line of wool is made of, in words. */
export const materialWord = (material: string) =>
  material === 'film' ? t('state.trade.filmFibres') : coreWord(material)
