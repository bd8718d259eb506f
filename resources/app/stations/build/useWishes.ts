import { reactive, watch } from 'vue'

const KEY = 'impa:build'

/** How this felter likes to be led: kept in this browser. */
export function useWishes() {
  let kept: object = {}
  try {
    kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as object
  } catch {
    // What cannot be read is as if nothing had been wished.
  }
  const wishes = reactive({ goesOn: false, readsAloud: false, showsOrder: true, ...kept })
  watch(wishes, (now) => localStorage.setItem(KEY, JSON.stringify(now)))
  return wishes
}
