import { onBeforeUnmount, watch, type Ref } from 'vue'

/** Keeps the screen lit while something runs, where the browser can; asked again when the page comes back. */
export function useAwake(wanted: Ref<boolean>): void {
  let lock: WakeLockSentinel | null = null
  const hold = async () => {
    if (!wanted.value || lock || window.document.hidden || !('wakeLock' in navigator)) return
    lock = await navigator.wakeLock.request('screen').catch(() => null)
    lock?.addEventListener('release', () => (lock = null))
  }
  const letGo = () => void lock?.release()
  watch(wanted, (now) => (now ? void hold() : letGo()), { immediate: true })
  const back = () => void hold()
  window.document.addEventListener('visibilitychange', back)
  onBeforeUnmount(() => {
    window.document.removeEventListener('visibilitychange', back)
    letGo()
  })
}
