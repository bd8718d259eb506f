import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import type { Diary } from '../../../api/types/answers'
import { api, Refusal } from '../../../api/client'
import { isForGood } from '../../../api/forGood'
import { answers } from '../../../away/network'
import { own } from '../../../state/own'
import { t } from '../../../lang'

const TICK_MS = 1000
/** By the server's clock it has not been yet: this device's is ahead. */
const TOO_EARLY = 425
/** What was worked is told so often, and kept in this browser until the server has it. */
const TELL_MS = 20_000
/** A device that slept longer was not worked at. */
const SLEPT_MS = 90_000
/** Without a touch for so long a clock was left running; so much of it counts. */
const IDLE_MS = 45 * 60_000
const IDLE_COUNTS_MS = 30 * 60_000

interface Stretch {
  step: string
  from: number
  to: number
}

const keyOf = (figure: number) => `work:${figure}`
function kept(figure: number): Stretch[] {
  try {
    const found: unknown = JSON.parse(own.read(keyOf(figure)) ?? '[]')
    return Array.isArray(found) ? (found as Stretch[]) : []
  } catch {
    return []
  }
}

/**
 * How long is worked at which step. Stretches go to the server's log, which counts no minute twice; what it cannot take yet stays in
 * this browser. A clock that was left running, or slept through, stops by itself and says so.
 */
export function useWorkClock(figureId: () => number) {
  const step = ref('')
  const from = ref(0)
  const now = ref(Date.now())
  const why = ref('')
  const diary = shallowRef<Diary | null>(null)
  let touched = Date.now()
  let lastTick = Date.now()
  let told = 0
  let telling = false

  const running = computed(() => from.value > 0)

  function keep(stretch: Stretch): void {
    if (stretch.to - stretch.from < 500 || !stretch.step) return
    if (!own.write(keyOf(figureId()), JSON.stringify([...kept(figureId()), stretch])))
      why.value = t('build.useWorkClock.thisBrowserHasNoRoom')
  }

  /** Everything up to a moment goes to the log. */
  function close(at: number): void {
    if (!running.value) return
    keep({ step: step.value, from: from.value, to: at })
    from.value = 0
    void tell()
  }

  async function tell(): Promise<void> {
    if (telling) return
    telling = true
    const id = figureId()
    try {
      for (let waiting = kept(id); waiting.length; waiting = kept(id)) {
        const [first] = waiting
        try {
          diary.value = await api.logTime(id, first!.step, Math.round(first!.from), Math.round(first!.to))
        } catch (error) {
          // Not there just now, or signed out: it is told again. Refused for good: it is said, and not told again.
          if (!(error instanceof Refusal)) return
          if (error.status === TOO_EARLY) why.value = error.message
          if (!isForGood(error.status)) return
          why.value = error.message
        }
        own.write(keyOf(id), JSON.stringify(kept(id).slice(1)))
      }
    } finally {
      telling = false
    }
  }

  function begin(at: string): void {
    touched = Date.now()
    why.value = ''
    if (running.value && step.value === at) return
    close(Date.now())
    step.value = at
    from.value = now.value = lastTick = told = Date.now()
  }

  function tick(): void {
    now.value = Date.now()
    if (!running.value) return
    if (now.value - lastTick > SLEPT_MS) {
      close(lastTick)
      why.value = t('build.useWorkClock.thisDeviceSleptAndThe')
    } else if (now.value - touched > IDLE_MS) {
      close(touched + IDLE_COUNTS_MS)
      why.value = t('build.useWorkClock.nothingWasTouchedFor45')
    } else if (now.value - told > TELL_MS) {
      // What may turn out to have run on by itself is not told yet.
      const upTo = Math.max(from.value, Math.min(now.value, touched + IDLE_COUNTS_MS))
      keep({ step: step.value, from: from.value, to: upTo })
      from.value = upTo
      told = now.value
      void tell()
    }
    lastTick = now.value
  }

  const touch = () => (touched = Date.now())
  const timer = window.setInterval(tick, TICK_MS)
  window.addEventListener('pointerdown', touch)
  window.addEventListener('keydown', touch)
  const leave = () => close(Date.now())
  window.addEventListener('pagehide', leave)
  onBeforeUnmount(() => {
    leave()
    window.clearInterval(timer)
    window.removeEventListener('pointerdown', touch)
    window.removeEventListener('keydown', touch)
    window.removeEventListener('pagehide', leave)
  })

  watch(
    figureId,
    async (id) => {
      diary.value = null
      if (!id) return
      diary.value = await api.diary(id).catch(() => null)
      void tell()
    },
    { immediate: true },
  )

  watch(answers, (there) => there && void tell())

  /** Minutes at a step so far, those that are not told yet among them. */
  function minutesAt(key: string): number {
    const logged = diary.value?.steps.find((s) => s.key === key)?.done ?? 0
    const untold = [
      ...kept(figureId()),
      ...(running.value ? [{ step: step.value, from: from.value, to: now.value }] : []),
    ]
    return (
      logged + untold.filter((s) => s.step === key).reduce((sum, s) => sum + Math.max(0, s.to - s.from) / 60_000, 0)
    )
  }

  return { running, step, why, now, diary, begin, pause: () => close(Date.now()), minutesAt }
}
