import { watch } from 'vue'
import { useRoute } from 'vue-router'
import { api } from '../api/client'

/** A page that lies open so long is where the felter is, milliseconds. */
const THERE_MS = 1500

/** Whether one felter may be here on several devices: said by the page itself. */
export const onSeveral = (): boolean => document.querySelector('meta[name=several]') !== null

/** Tells where the felter is, so that another device goes on there. */
export function usePlace(): void {
  const route = useRoute()
  let timer = 0
  watch(
    () => route.fullPath,
    (page) => {
      window.clearTimeout(timer)
      if (onSeveral() && route.params.id)
        timer = window.setTimeout(() => void api.here(page).catch(() => null), THERE_MS)
    },
    { immediate: true },
  )
}
