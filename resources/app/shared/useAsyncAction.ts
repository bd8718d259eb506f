import { ref, type Ref } from 'vue'

/** What went wrong, in the words it was refused in. */
export const inWords = (error: unknown): string => (error instanceof Error ? error.message : String(error))

interface Telling {
  trouble: Ref<string>
  busy: Ref<boolean>
  /** Does something that may be refused; while it lasts it is busy, and what went wrong is told afterwards. */
  tell: (ask: () => Promise<void>) => Promise<void>
}

export function useAsyncAction(): Telling {
  const trouble = ref('')
  const busy = ref(false)
  async function tell(ask: () => Promise<void>): Promise<void> {
    trouble.value = ''
    busy.value = true
    try {
      await ask()
    } catch (error) {
      trouble.value = inWords(error)
    } finally {
      busy.value = false
    }
  }
  return { trouble, busy, tell }
}
