import type { Reading, Scale } from './scale'
import { inWords } from '../shared/useAsyncAction'
import { t } from '../lang'

/** What of Web Serial is used; a test gives its own port. */
export interface Port {
  open(options: { baudRate: number }): Promise<void>
  close(): Promise<void>
  readonly readable: ReadableStream<Uint8Array> | null
  readonly writable: WritableStream<Uint8Array> | null
}

const GRAMS: Record<string, number> = { g: 1, kg: 1000, oz: 28.349523125, ct: 0.2 }
/** A longer line is noise on the wire. */
const MOST_LINE = 200

/** One line of plain text as many bench scales send it, such as "ST,GS,+  12.34 g"; null for what is no weight. */
export function readingOf(line: string): Reading | null {
  if (/\b(OL|OVER|E-?OVR)\b|^-{3,}/i.test(line)) return { grams: 0, steady: false, state: 'overload' }
  const found = /([+-]?)\s*(?<![\d.,])(\d{1,6}(?:[.,]\d{1,4})?)\s*(kg|g|oz|ct)\b/i.exec(line)
  if (!found) return null
  const grams =
    Number(found[2]?.replace(',', '.')) * (GRAMS[(found[3] ?? 'g').toLowerCase()] ?? 1) * (found[1] === '-' ? -1 : 1)
  return {
    grams,
    steady: !/\bUS\b|\bSD\b|\?/.test(line),
    state: /\b(LO|LOBAT|BAT)\b/i.test(line) ? 'low-battery' : 'ok',
  }
}

/** A real scale on a serial line, through the browser's Web Serial. */
export class SerialScale implements Scale {
  readonly name = t('devices.serialScale.scaleOnACable')
  private port: Port | null = null
  private reader: ReadableStreamDefaultReader<Uint8Array> | null = null
  private closing = false

  constructor(
    private readonly choose: () => Promise<Port>,
    private readonly baudRate = 9600,
  ) {}

  async connect(reading: (r: Reading) => void, lost: (why: string) => void): Promise<void> {
    this.closing = false
    try {
      this.port = await this.choose()
      await this.port.open({ baudRate: this.baudRate })
    } catch (error) {
      this.port = null
      throw new Error(t('devices.serialScale.theScaleOnTheCable', { error: inWords(error) }), { cause: error })
    }
    void this.listen(reading, lost)
  }

  private async listen(reading: (r: Reading) => void, lost: (why: string) => void): Promise<void> {
    const text = new TextDecoder()
    let rest = ''
    this.reader = this.port?.readable?.getReader() ?? null
    try {
      for (;;) {
        const { done, value } = (await this.reader?.read()) ?? { done: true, value: undefined }
        if (done) break
        const lines = (rest + text.decode(value, { stream: true })).split(/\r\n|\r|\n/)
        rest = (lines.pop() ?? '').slice(-MOST_LINE)
        for (const line of lines) {
          const read = readingOf(line)
          if (read) reading(read)
        }
      }
    } catch {
      // A pulled plug ends the reading with an error: told below.
    }
    if (!this.closing) lost(t('devices.serialScale.theScaleFellSilentLook'))
  }

  async tare(): Promise<void> {
    const writer = this.port?.writable?.getWriter()
    await writer?.write(new TextEncoder().encode('T\r\n'))
    writer?.releaseLock()
  }

  async close(): Promise<void> {
    this.closing = true
    await this.reader?.cancel().catch(() => undefined)
    this.reader?.releaseLock()
    await this.port?.close().catch(() => undefined)
    this.port = null
  }
}

/** Whether this browser knows Web Serial, and its way to choose a port. */
export function browserPorts(): (() => Promise<Port>) | null {
  const serial = (navigator as { serial?: { requestPort(): Promise<Port> } }).serial
  return serial ? () => serial.requestPort() : null
}
