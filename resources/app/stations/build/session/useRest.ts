import { computed, onBeforeUnmount, ref } from 'vue'

const KEY = 'impa:working-since'
const TICK_MS = 5000

/** So much work, then a rest. Kept over a reload. */
export function useRest(restAfterMinutes: number) {
  const since = ref(Number(sessionStorage.getItem(KEY) ?? 0))
  const now = ref(Date.now())
  const timer = window.setInterval(() => (now.value = Date.now()), TICK_MS)
  onBeforeUnmount(() => window.clearInterval(timer))

  const minutes = computed(() => (since.value ? Math.max(0, Math.floor((now.value - since.value) / 60000)) : 0))

  function set(at: number): void {
    since.value = at
    now.value = Date.now()
    if (at) sessionStorage.setItem(KEY, String(at))
    else sessionStorage.removeItem(KEY)
  }

  return {
    minutes,
    running: computed(() => since.value > 0),
    due: computed(() => minutes.value >= restAfterMinutes),
    start: () => {
      if (!since.value) set(Date.now())
    },
    rested: () => set(0),
  }
}
