import { reactive, watch } from 'vue'
import { own } from '../../../state/own'

const KEY = 'felt'

/** The sheets of felt at hand, the same for every figure: kept in this browser. A4 to begin with. */
export function useFelt() {
  let kept: object = {}
  try {
    kept = JSON.parse(own.read(KEY) ?? '{}') as object
  } catch {
    // What cannot be read is as if nothing had been said.
  }
  const felt = reactive({ widthMm: 210, heightMm: 297, hasGrain: false, ...kept })
  watch(felt, (now) => own.write(KEY, JSON.stringify(now)))
  return felt
}
