import { reactive, watch } from 'vue'

const KEY = 'impa:felt'

/** The sheets of felt at hand, the same for every figure: kept in this browser. A4 to begin with. */
export function useFelt() {
  let kept: object = {}
  try {
    kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as object
  } catch {
    // What cannot be read is as if nothing had been said.
  }
  const felt = reactive({ widthMm: 210, heightMm: 297, hasGrain: false, ...kept })
  watch(felt, (now) => localStorage.setItem(KEY, JSON.stringify(now)))
  return felt
}
