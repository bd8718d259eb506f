import { ref, watch } from 'vue'

/** How much she wants to see: what is needed to make a figure, or all there is. */
export type Level = 'simple' | 'full'

const KEY = 'impa:level'
const kept = localStorage.getItem(KEY)
/** Null until she chose: all is shown. */
export const chosenLevel = ref<Level | null>(kept === 'simple' || kept === 'full' ? kept : null)
watch(chosenLevel, (now) => localStorage.setItem(KEY, now ?? ''))
export const isSimple = () => chosenLevel.value === 'simple'
