import { ref, watch } from 'vue'
import type { PaperSize } from '../api/client'

const KEY = 'impa:paper'

/** What lies in the felter's printer: chosen once, it holds for everything that is printed, kept in this browser. */
export const paperSize = ref<PaperSize>(
  typeof localStorage !== 'undefined' && localStorage.getItem(KEY) === 'letter' ? 'letter' : 'a4',
)
watch(paperSize, (now) => localStorage.setItem(KEY, now))
