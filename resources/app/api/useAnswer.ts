import { ref, shallowRef, watch, type Ref, type ShallowRef, type WatchSource } from 'vue'
import { inWords } from '../shared/useAsyncAction'

interface Answer<T> {
  /** What came for the last question; null where nothing was asked, or it was refused. */
  answer: ShallowRef<T | null>
  /** Why it was refused, in words. */
  trouble: Ref<string>
  /** Until then the answer is one to an older question: nothing is done by it. */
  waiting: Ref<boolean>
}

/** Asks again whenever one of these changes, and takes the answer to the last question only, however late others come. Asking may be null: nothing to ask. */
export function useAnswer<T>(about: WatchSource[], ask: () => Promise<T> | null, immediate = false): Answer<T> {
  const answer = shallowRef<T | null>(null)
  const trouble = ref('')
  const waiting = ref(false)
  let asked = 0
  watch(
    about,
    async () => {
      const mine = ++asked
      const take = (found: T | null, refused: string) => {
        if (mine === asked) [answer.value, trouble.value, waiting.value] = [found, refused, false]
      }
      const coming = ask()
      if (coming === null) return take(null, '')
      waiting.value = true
      try {
        take(await coming, '')
      } catch (error) {
        take(null, inWords(error))
      }
    },
    { immediate },
  )
  return { answer, trouble, waiting }
}
