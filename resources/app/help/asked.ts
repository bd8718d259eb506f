import { ref } from 'vue'

/** A number that tells how it came about: what is asked of it, as the server knows it (Plan/Numbers). */
export interface Asked {
  number: string
  /** The key of a part, detail, colour, step or need; empty for the whole figure's. */
  of: string
  /** Of a figure on the shelf; 0 for the one that lies open. */
  figure: number
}
export const askedNumber = ref<Asked | null>(null)
/** The code of a word of the trade whose card is open. */
export const askedWord = ref('')
export const showHelp = ref(false)
