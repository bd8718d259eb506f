/** A pocket scale: it tells its readings as long as it is connected. */
export interface Reading {
  grams: number
  /** Whether it has come to rest, by the scale's own word. */
  steady: boolean
  state: 'ok' | 'overload' | 'low-battery'
}

export interface Scale {
  readonly name: string
  /** Rejects with a sentence if it cannot be had. `lost` is told when it falls silent by itself. */
  connect(reading: (r: Reading) => void, lost: (why: string) => void): Promise<void>
  tare(): Promise<void>
  close(): Promise<void>
}
