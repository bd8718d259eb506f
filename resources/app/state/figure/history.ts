import { shallowRef } from 'vue'

const MOST = 200

/** What can be undone and redone, each as it stood, newest last. */
export function useHistory() {
  const past = shallowRef<string[]>([])
  const future = shallowRef<string[]>([])
  let lastGesture = ''

  return {
    past,
    future,

    /** Before a change: changes of one gesture, such as a slider's way, are one step together. */
    remember(before: string, gesture = ''): void {
      if (!gesture || gesture !== lastGesture) past.value = [...past.value.slice(-MOST), before]
      lastGesture = gesture
      future.value = []
    },

    /** What stood before, in exchange for what stands now; nothing where there is nothing to undo. */
    back(now: string): string | undefined {
      lastGesture = ''
      const before = past.value.at(-1)
      if (before === undefined) return undefined
      past.value = past.value.slice(0, -1)
      future.value = [...future.value, now]
      return before
    },

    forth(now: string): string | undefined {
      lastGesture = ''
      const after = future.value.at(-1)
      if (after === undefined) return undefined
      future.value = future.value.slice(0, -1)
      past.value = [...past.value, now]
      return after
    },
  }
}
export type History = ReturnType<typeof useHistory>
