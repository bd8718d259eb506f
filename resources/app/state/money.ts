import { ref, watch } from 'vue'
import { dates, decimals } from '../lang'

/** By where the browser says she lives: the currencies of the countries whose languages Impa speaks, and their neighbours'. */
const OF_COUNTRY: Record<string, string> = {
  US: 'USD',
  GB: 'GBP',
  CA: 'CAD',
  AU: 'AUD',
  NZ: 'NZD',
  CH: 'CHF',
  DE: 'EUR',
  AT: 'EUR',
  IE: 'EUR',
}
export const CURRENCIES = [...new Set([...Object.values(OF_COUNTRY), 'DKK', 'JPY', 'NOK', 'PLN', 'SEK'])].sort()

const KEY = 'impa:currency'
function usual(): string {
  const country = navigator.languages.map((tag) => tag.split('-')[1]?.toUpperCase() ?? '').find((c) => c in OF_COUNTRY)
  return OF_COUNTRY[country ?? ''] ?? ''
}

/** In which her prices are, by ISO 4217; empty: it was not said, and prices stand as bare numbers. */
export const currency = ref(typeof localStorage === 'undefined' ? '' : (localStorage.getItem(KEY) ?? usual()))
watch(currency, (now) => localStorage.setItem(KEY, now))

/** A price as her language writes it, to the smallest coin. */
export const money = (is: number) =>
  currency.value === ''
    ? decimals(is, 2)
    : new Intl.NumberFormat(dates(), { style: 'currency', currency: currency.value }).format(is)
