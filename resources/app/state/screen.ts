import { ref, watch } from 'vue'

const KEY = 'impa:px-per-mm'
/** A bank card is 85.60 mm wide and 53.98 mm high (ISO/IEC 7810, ID-1). */
export const CARD_MM = { width: 85.6, height: 53.98 }
/** CSS says 96 px to the inch; screens keep to it more or less. */
const USUAL = 96 / 25.4

const kept = Number(localStorage.getItem(KEY))
/** How many pixels of this screen are a millimetre; 0 until it was measured. */
export const measuredPxPerMm = ref(kept > 1 && kept < 40 ? kept : 0)
export const pxPerMm = () => measuredPxPerMm.value || USUAL

watch(measuredPxPerMm, (value) => {
  if (value) localStorage.setItem(KEY, String(value))
  else localStorage.removeItem(KEY)
})
