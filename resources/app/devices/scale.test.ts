import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Reading } from './scale'
import { browserPorts, readingOf, SerialScale, type Port } from './serialScale'
import { SimulatedScale } from './simulatedScale'

describe('the stand-in for a scale', () => {
  beforeEach(() => {
    vi.useFakeTimers()
  })
  afterEach(() => {
    vi.useRealTimers()
  })
  const run = async (scale: SimulatedScale, ms: number) => {
    const readings: Reading[] = []
    const lost: string[] = []
    await scale.connect(
      (r) => readings.push(r),
      (why) => lost.push(why),
    )
    await vi.advanceTimersByTimeAsync(ms)
    return { readings, lost }
  }

  it('settles on what lies on it, and says when it rests', async () => {
    const scale = new SimulatedScale(20_000, () => 0.5)
    scale.put(12.34)
    const { readings } = await run(scale, 4000)
    expect(readings[0]).toMatchObject({ steady: false })
    expect(readings[0]!.grams).toBeLessThan(6)
    expect(readings.at(-1)).toMatchObject({ steady: true, state: 'ok' })
    expect(readings.at(-1)!.grams).toBeCloseTo(12.34, 1)
    for (let i = 1; i < readings.length; i++)
      expect(readings[i]!.grams).toBeGreaterThanOrEqual(readings[i - 1]!.grams - 1e-9)
  })

  it('is noisy by no more than a hundredth, and shows hundredths', async () => {
    let n = 0
    const scale = new SimulatedScale(20_000, () => (n++ % 2 ? 0.999 : 0))
    scale.put(5)
    const { readings } = await run(scale, 12_000)
    const resting = readings.slice(-40).map((r) => r.grams)
    expect(Math.max(...resting) - Math.min(...resting)).toBeLessThanOrEqual(0.0101)
    for (const g of resting) expect(Math.abs(g * 100 - Math.round(g * 100))).toBeLessThan(1e-6)
  })

  it('is tared, drifts slowly, and overloads', async () => {
    const scale = new SimulatedScale(1e6, () => 0.5)
    scale.put(30)
    const { readings } = await run(scale, 4000)
    await scale.tare()
    scale.put(34)
    await vi.advanceTimersByTimeAsync(4000)
    expect(readings.at(-1)!.grams).toBeCloseTo(4, 1)
    await vi.advanceTimersByTimeAsync(3_600_000)
    expect(readings.at(-1)!.grams - 4).toBeGreaterThan(0.03)
    expect(readings.at(-1)!.grams - 4).toBeLessThan(0.08)
    scale.put(500)
    await vi.advanceTimersByTimeAsync(4000)
    expect(readings.at(-1)).toMatchObject({ state: 'overload', steady: false })
  })

  it('goes dark when its battery is empty, says so before and after, and does not come back', async () => {
    const scale = new SimulatedScale(10, () => 0.5)
    const { readings, lost } = await run(scale, 5000)
    expect(readings).toHaveLength(9)
    expect(readings[0]!.state).toBe('low-battery')
    expect(lost).toEqual([expect.stringContaining('battery is empty')])
    await expect(
      scale.connect(
        () => {},
        () => {},
      ),
    ).rejects.toThrow('battery is empty')
  })

  it('is silent once it is closed', async () => {
    const scale = new SimulatedScale()
    const { readings } = await run(scale, 1000)
    const before = readings.length
    await scale.close()
    await vi.advanceTimersByTimeAsync(5000)
    expect(readings).toHaveLength(before)
  })
})

describe('a line from a scale', () => {
  it.each([
    ['ST,GS,+  12.34 g', 12.34, true],
    ['US,GS,+  12.30 g', 12.3, false],
    ['  0.05g', 0.05, true],
    ['-1,5 g', -1.5, true],
    ['ST,NT,+0.4410 oz', 12.502, true],
    ['0.012 kg ?', 12, false],
    ['5.00 ct', 1, true],
  ])('%s is %s g', (line, grams, steady) => {
    expect(readingOf(line)?.grams).toBeCloseTo(grams, 2)
    expect(readingOf(line)?.steady).toBe(steady)
  })

  it.each(['', 'READY', 'g', '12.34', 'ST,GS,+ abc g', '9999999 g'])('%s is no weight', (line) => {
    expect(readingOf(line)).toBeNull()
  })

  it('tells overload and a weak battery', () => {
    expect(readingOf('OL,GS,------ g')?.state).toBe('overload')
    expect(readingOf('-----')?.state).toBe('overload')
    expect(readingOf('LO,GS,+1.00 g')?.state).toBe('low-battery')
  })
})

describe('a scale on a cable', () => {
  function fakePort() {
    let feed: ReadableStreamDefaultController<Uint8Array> | null = null
    const sent: string[] = []
    const port: Port = {
      open: vi.fn().mockResolvedValue(undefined),
      close: vi.fn().mockResolvedValue(undefined),
      readable: new ReadableStream<Uint8Array>({
        start: (c) => {
          feed = c
        },
      }),
      writable: new WritableStream<Uint8Array>({
        write: (chunk) => {
          sent.push(new TextDecoder().decode(chunk))
        },
      }),
    }
    return {
      port,
      sent,
      say: (text: string) => feed?.enqueue(new TextEncoder().encode(text)),
      pull: () => feed?.error(new Error('gone')),
      end: () => feed?.close(),
    }
  }

  it('reads weights whole, however the bytes come in, and lets noise be', async () => {
    const fake = fakePort()
    const readings: Reading[] = []
    const scale = new SerialScale(() => Promise.resolve(fake.port))
    await scale.connect(
      (r) => readings.push(r),
      () => {},
    )
    expect(fake.port.open).toHaveBeenCalledWith({ baudRate: 9600 })
    for (const piece of ['US,GS,+ 3.', '10 g\r\nnoise\r', '\nST,GS,+ 3.12 g\r\nST,G']) fake.say(piece)
    await vi.waitFor(() => expect(readings).toHaveLength(2))
    expect(readings.map((r) => [r.grams, r.steady])).toEqual([
      [3.1, false],
      [3.12, true],
    ])
    await scale.tare()
    expect(fake.sent).toEqual(['T\r\n'])
    await scale.close()
    expect(fake.port.close).toHaveBeenCalled()
  })

  it.each(['pull', 'end'] as const)('says that it fell silent when its line breaks (%s)', async (how) => {
    const fake = fakePort()
    const lost: string[] = []
    await new SerialScale(() => Promise.resolve(fake.port)).connect(
      () => {},
      (why) => lost.push(why),
    )
    fake[how]()
    await vi.waitFor(() => expect(lost).toEqual([expect.stringContaining('fell silent')]))
  })

  it('says nothing of the kind when it is put away', async () => {
    const fake = fakePort()
    const lost: string[] = []
    const scale = new SerialScale(() => Promise.resolve(fake.port))
    await scale.connect(
      () => {},
      (why) => lost.push(why),
    )
    await scale.close()
    await new Promise((resolve) => setTimeout(resolve, 10))
    expect(lost).toEqual([])
  })

  it('tells in words why it cannot be had', async () => {
    await expect(
      new SerialScale(() => Promise.reject(new Error('No port selected'))).connect(
        () => {},
        () => {},
      ),
    ).rejects.toThrow('cannot be had: No port selected')
  })

  it('is offered only where the browser knows serial ports', () => {
    expect(browserPorts()).toBeNull()
  })
})
