import { ref } from 'vue'

/** What was changed in another window meanwhile, in words, and who waits for the choice; null where nothing was. */
export const choice = ref<{ words: string; choose: (keepMine: boolean) => void } | null>(null)

/** Asks which one is to stand: true for what is in this window. */
export function askWhich(words: string): Promise<boolean> {
  return new Promise((tell) => {
    choice.value?.choose(false)
    choice.value = {
      words,
      choose: (keepMine) => {
        choice.value = null
        tell(keepMine)
      },
    }
  })
}
