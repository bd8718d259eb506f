import { reactive, watch } from 'vue'
import { own } from '../../../state/own'

const KEY = 'build'

/** How this felter likes to be led: kept in this browser. */
export function useWishes() {
  let kept: object = {}
  try {
    kept = JSON.parse(own.read(KEY) ?? '{}') as object
  } catch {
    // What cannot be read is as if nothing had been wished.
  }
  const wishes = reactive({ goesOn: false, readsAloud: false, showsOrder: true, ...kept })
  watch(wishes, (now) => own.write(KEY, JSON.stringify(now)))
  return wishes
}
