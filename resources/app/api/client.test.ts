import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api, Refusal } from './client'

const wishes = {
  heightMm: 100,
  shades: 0.2,
  figure: 0,
  roundToMm: 0,
  brushes: [],
  views: [],
  flat: '' as const,
  keepsUnsure: false,
}

/** An answer whose body comes in pieces, wherever they are broken. */
function streamed(...pieces: string[]): Response {
  const encoder = new TextEncoder()
  return new Response(
    new ReadableStream({
      start(controller) {
        for (const piece of pieces) controller.enqueue(encoder.encode(piece))
        controller.close()
      },
    }),
    { status: 200 },
  )
}

const answer = vi.fn<typeof fetch>()
beforeEach(() => {
  vi.stubGlobal('document', { cookie: 'a=b; XSRF-TOKEN=abc%3D', querySelector: () => null })
  vi.stubGlobal('fetch', answer)
})
afterEach(() => {
  answer.mockReset()
  // Files share a window: the next one is read with its own document.
  vi.unstubAllGlobals()
})

const look = (
  onProgress: (doing: string, share: number) => void = () => undefined,
  signal = new AbortController().signal,
) => api.breakDown(4, wishes, 'Name', 'a.png', onProgress, signal)

describe('an answer that comes line by line', () => {
  it('tells what is being done, wherever the lines are broken, and gives the last one', async () => {
    answer.mockResolvedValue(
      streamed(
        '{"doing":"Reading","sha',
        're":0}\n{"doing":"Seeing","share":0.5}\n{"docu',
        'ment":{"name":"N"},"notices":[],"figures":[]}\n',
      ),
    )
    const said: [string, number][] = []
    const seen = await look((doing, share) => said.push([doing, share]))
    expect(said).toEqual([
      ['Reading', 0],
      ['Seeing', 0.5],
    ])
    expect(seen).toEqual({ document: { name: 'N' }, notices: [], figures: [] })
  })

  it('asks for lines, with the token of the cookie', async () => {
    answer.mockResolvedValue(streamed('{"document":{},"notices":[],"figures":[]}\n'))
    await look()
    const [path, how] = answer.mock.calls[0]!
    expect(path).toBe('/api/breakdown')
    expect(how?.headers).toMatchObject({ Accept: 'application/x-ndjson', 'X-XSRF-TOKEN': 'abc=' })
    expect(JSON.parse(String(how?.body))).toMatchObject({ picture: 4, heightMm: 100, file: 'a.png' })
  })

  it("refuses in the server's words when a line says so", async () => {
    answer.mockResolvedValue(
      streamed('{"doing":"Reading","share":0}\n', '{"problem":{"status":422,"detail":"Nothing stands out."}}\n'),
    )
    await expect(look()).rejects.toThrow('Nothing stands out.')
  })

  it('says that it broke off when no answer comes', async () => {
    answer.mockResolvedValue(streamed('{"doing":"Reading","share":0}\n'))
    await expect(look()).rejects.toThrow('broke off')
  })

  it('lets a stop through as a stop', async () => {
    answer.mockRejectedValue(new DOMException('stopped', 'AbortError'))
    await expect(look()).rejects.toMatchObject({ name: 'AbortError' })
  })
})

describe('a page that was open for long', () => {
  it('takes another token and asks once more, and no oftener', async () => {
    answer.mockImplementation((path) =>
      Promise.resolve(
        new Response(path === '/api/session' ? '{}' : '{"detail":"Too old"}', {
          status: path === '/api/session' ? 200 : 419,
        }),
      ),
    )
    await expect(api.figure(1)).rejects.toMatchObject({ status: 419 })
    expect(answer.mock.calls.map(([path]) => path)).toEqual(['/api/figures/1', '/api/session', '/api/figures/1'])
    answer.mockReset()
    answer
      .mockResolvedValueOnce(new Response('{}', { status: 419 }))
      .mockResolvedValueOnce(new Response('{}', { status: 200 }))
      .mockResolvedValueOnce(new Response('{"id":1}', { status: 200 }))
    expect(await api.figure(1)).toEqual({ id: 1 })
  })

  it('says whose it is, where felters sign in', async () => {
    vi.stubGlobal('document', {
      cookie: '',
      querySelector: (asked: string) => (asked === 'meta[name=felter]' ? { content: '5' } : null),
    })
    answer.mockResolvedValue(new Response('{"id":1}', { status: 200 }))
    await api.figure(1)
    expect(answer.mock.calls[0]?.[1]?.headers).toMatchObject({ 'X-Impa-Felter': '5' })
  })
})

describe('refusals', () => {
  it('carry the pointers of every fault', async () => {
    answer.mockResolvedValue(
      new Response(JSON.stringify({ detail: 'Two faults', errors: [{ pointer: '/name', detail: 'missing' }] }), {
        status: 422,
      }),
    )
    const refused = await api.sizing({} as never, { by: 'height', heightMm: 3 }).catch((e: unknown) => e)
    expect(refused).toBeInstanceOf(Refusal)
    expect((refused as Refusal).errors).toEqual([{ pointer: '/name', detail: 'missing' }])
  })

  it('are in plain words when Impa does not answer at all', async () => {
    answer.mockRejectedValue(new TypeError('failed'))
    await expect(api.figure(1)).rejects.toThrow('Impa does not answer')
  })

  it('are plain words for a file as well', async () => {
    answer.mockResolvedValue(new Response(JSON.stringify({ detail: 'The paper is a4 or letter.' }), { status: 422 }))
    await expect(api.sizeCards({} as never, 'pdf', 'a4')).rejects.toThrow('a4 or letter')
  })
})

describe('files', () => {
  it('come as they are', async () => {
    answer.mockResolvedValue(new Response('%PDF-1.7', { status: 200 }))
    expect(await (await api.sizeCards({} as never, 'pdf', 'letter')).text()).toBe('%PDF-1.7')
    expect(JSON.parse(String(answer.mock.calls[0]?.[1]?.body))).toMatchObject({ as: 'pdf', paper: 'letter' })
  })
})

describe('the bin', () => {
  it.each([
    ['has arrived', new Response(null, { status: 204 })],
    ['was refused', new Response('{"title":"No"}', { status: 503 })],
  ])('is asked for only when the figure on its way to it %s', async (_, ends) => {
    let arrive: (response: Response) => void = () => undefined
    answer.mockReturnValueOnce(new Promise((resolve) => (arrive = resolve)))
    answer.mockResolvedValueOnce(new Response('{"figures":[]}', { status: 200 }))
    const thrown = api.throwAway(4).catch(() => undefined)
    const bin = api.bin(1)
    await Promise.resolve()
    expect(answer).toHaveBeenCalledTimes(1)
    arrive(ends)
    await thrown
    expect(await bin).toEqual({ figures: [] })
    expect(answer.mock.calls.map(([path, init]) => `${init?.method} ${String(path)}`)).toEqual([
      'DELETE /api/figures/4',
      'GET /api/bin?page=1',
    ])
  })
})
