import { ref } from 'vue'
import { t } from '../lang'

/** A bubble of the tour: at which station, beside what, and what it says. */
export interface Bubble {
  station: 'shapes' | 'wool' | 'face' | 'build' | 'check'
  /** Where there is no such thing, it stands in the middle. */
  beside: string
  says: string
}

/** Through one figure in two minutes, at the real buttons. */
export const TOUR: Bubble[] = [
  { station: 'shapes', beside: '[data-part=head]', says: t('state.tour.shapes') },
  { station: 'shapes', beside: '.height', says: t('state.tour.height') },
  { station: 'wool', beside: '.side', says: t('state.tour.wool') },
  { station: 'face', beside: '[data-mark]', says: t('state.tour.face') },
  { station: 'build', beside: '.next', says: t('state.tour.build') },
  { station: 'check', beside: '[data-photo]', says: t('state.tour.check') },
]

const KEY = 'impa:toured'
/** What the shelf says of Impa is hidden once it was seen. */
export const isToured = ref(localStorage.getItem(KEY) !== null)
/** Which figure it goes through, and at which bubble it is; null: it is not on. */
export const tour = ref<{ figure: number; at: number } | null>(null)

export const begin = (figure: number) => (tour.value = { figure, at: 0 })
export function end(): void {
  tour.value = null
  isToured.value = true
  localStorage.setItem(KEY, 'yes')
}
