import type { Reading, Scale } from './scale'
import { t } from '../lang'

/** Grams a pocket scale takes, and the step it shows. */
const MOST_G = 200
const STEP_G = 0.01
const TICK_MS = 120
/** How fast it comes to rest, and how close counts as rest. */
const SETTLES = 0.35
const RESTS_G = 0.006
/** Noise of a reading, and how far zero wanders in an hour. */
const NOISE_G = 0.01
const DRIFT_G_PER_H = 0.05

/** A stand-in for a pocket scale: it settles, is noisy, drifts, is tared, overloads, and its battery dies. */
export class SimulatedScale implements Scale {
  readonly name = t('devices.simulatedScale.standInForAScale')
  private onIt = 0
  private shown = 0
  private zero = 0
  private age = 0
  private timer = 0

  /**
   * @param batteryTicks readings until the battery is empty
   * @param random 0 to 1, so that tests know what comes
   */
  constructor(
    private batteryTicks = 20_000,
    private readonly random: () => number = Math.random,
  ) {}

  /** What lies on the pan. */
  put(grams: number): void {
    this.onIt = Math.max(0, grams)
  }

  connect(reading: (r: Reading) => void, lost: (why: string) => void): Promise<void> {
    if (this.batteryTicks <= 0) return Promise.reject(new Error(t('devices.simulatedScale.theScaleDoesNotAnswer')))
    this.timer = window.setInterval(() => {
      if (--this.batteryTicks <= 0) {
        void this.close()
        lost(t('devices.simulatedScale.theScaleWentDarkIts'))
        return
      }
      reading(this.read())
    }, TICK_MS)
    return Promise.resolve()
  }

  tare(): Promise<void> {
    this.zero = this.shown
    return Promise.resolve()
  }

  close(): Promise<void> {
    window.clearInterval(this.timer)
    return Promise.resolve()
  }

  private read(): Reading {
    this.age += TICK_MS / 3_600_000
    const way = this.onIt - this.shown
    this.shown += way * SETTLES
    if (this.shown > MOST_G) return { grams: MOST_G, steady: false, state: 'overload' }
    const grams = this.shown - this.zero + DRIFT_G_PER_H * this.age + NOISE_G * (this.random() - 0.5)
    return {
      grams: Math.round(grams / STEP_G) * STEP_G,
      steady: Math.abs(way) < RESTS_G,
      state: this.batteryTicks < 200 ? 'low-battery' : 'ok',
    }
  }
}
