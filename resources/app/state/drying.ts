import { ref, watch } from 'vue'
import { own } from './own'

/** Something that dries while other work goes on; seen and heard from every page. */
export interface DryingClock {
  figure: number
  name: string
  step: string
  title: string
  /** Milliseconds since 1970. */
  until: number
}

const KEY = 'drying'
function kept(): DryingClock[] {
  try {
    const found: unknown = JSON.parse(own.read(KEY) ?? '[]')
    return Array.isArray(found) ? (found as DryingClock[]) : []
  } catch {
    return []
  }
}

const clocks = ref<DryingClock[]>(kept())
watch(clocks, (now) => own.write(KEY, JSON.stringify(now)))

const same = (a: DryingClock, figure: number, step: string) => a.figure === figure && a.step === step

export function useDrying() {
  return {
    clocks,
    start: (clock: DryingClock) =>
      (clocks.value = [...clocks.value.filter((c) => !same(c, clock.figure, clock.step)), clock]),
    drop: (figure: number, step: string) => (clocks.value = clocks.value.filter((c) => !same(c, figure, step))),
    until: (figure: number, step: string) => clocks.value.find((c) => same(c, figure, step))?.until ?? 0,
  }
}
