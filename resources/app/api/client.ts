import type { Figure } from './figure'
import type { Plan } from './plan'

export interface Card {
  id: number
  name: string
  revision: number
  totalG: number
  handsMinutes: number
  steps: number
  done: number
  changedAt: string
}
export interface CardPage { figures: Card[]; page: number; pages: number; count: number }
export interface SavedFigure { id: number; revision: number; picture: number | null; document: Figure }
export type Loop = [number, number][]
export interface Loft { rings: number[][]; closed: boolean }
export interface PartDrawing { options: Record<string, number>; pieces: { front: Loop[]; side: Loop[] }[]; loft: Loft }
export interface Drawing { parts: Record<string, PartDrawing>; details: Record<string, number[][][]> }
export interface StashWool { name: string; gramsLeft: number; difference: number }
export interface Board { document: Figure | null; plan: Plan; drawing: Drawing; stash: Record<string, StashWool> }
export interface GridLine { mm: number; points: [number, number][] }
export interface FaceGrid { stepMm: number; across: GridLine[]; down: GridLine[]; crownMm: number; footMm: number }
export interface CatalogueShape { kind: Figure['parts'][number]['shape']['kind']; core: Figure['core']; shape: Figure['parts'][number]['shape']; front: Loop[] }
export interface Recut { document: Figure; key: string }
export interface Sizing { heightMm: number; factor: number; woolTimes: number }
export type Box = [left: number, top: number, right: number, bottom: number]
export interface Seen { document: Figure; notices: string[]; figures: Box[] }
export interface SeeingWishes { heightMm: number; shades: number; figure: number; roundToMm: number }
export interface Fault { pointer: string; detail: string }

/** A refusal of the server (RFC 9457), in the words it sent. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: Fault[] = [],
    readonly body: Record<string, unknown> = {},
  ) {
    super(message)
  }
}

function token(): string {
  const cookie = document.cookie.split('; ').find((c) => c.startsWith('XSRF-TOKEN='))
  return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : ''
}

function send(method: string, path: string, body: unknown, accept: string, options: { signal?: AbortSignal; keepalive?: boolean }): Promise<Response> {
  const isFile = body instanceof Blob
  return fetch('/api/' + path, {
    method,
    headers: {
      Accept: accept,
      'X-XSRF-TOKEN': token(),
      ...(body === undefined ? {} : { 'Content-Type': isFile ? 'application/octet-stream' : 'application/json' }),
    },
    body: body === undefined ? undefined : isFile ? body : JSON.stringify(body),
    ...options,
  }).catch((error: unknown) => {
    if (error instanceof DOMException && error.name === 'AbortError') throw error
    throw new Refusal(0, 'Impa does not answer. Is it still running? What you made is kept in this browser.')
  })
}

interface Problem { status?: number; detail?: string; errors?: Fault[]; [more: string]: unknown }
const refused = (status: number, problem: Problem) => new Refusal(status, problem.detail ?? 'Something in Impa broke. What you made is kept.', problem.errors ?? [], problem)

async function ask<T>(method: string, path: string, body?: unknown, options: { signal?: AbortSignal; keepalive?: boolean } = {}): Promise<T> {
  const response = await send(method, path, body, 'application/json', options)
  if (response.ok) return response.status === 204 ? (undefined as T) : ((await response.json()) as T)
  throw refused(response.status, (await response.json().catch(() => ({}))) as Problem)
}

/** An answer that comes as a file. */
async function file(path: string, body: unknown): Promise<Blob> {
  const response = await send('POST', path, body, '*/*', {})
  if (response.ok) return response.blob()
  throw refused(response.status, (await response.json().catch(() => ({}))) as Problem)
}

/** An answer that comes line by line: what is being done, and at last the answer or the refusal. */
async function lines<T>(path: string, body: unknown, onProgress: (doing: string, share: number) => void, signal: AbortSignal): Promise<T> {
  const response = await send('POST', path, body, 'application/x-ndjson', { signal })
  if (!response.ok || !response.body) throw refused(response.status, (await response.json().catch(() => ({}))) as Problem)
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  for (;;) {
    const { done, value } = await reader.read()
    const parts = (rest + (value ?? '')).split('\n')
    rest = done ? '' : (parts.pop() ?? '')
    for (const text of parts.filter(Boolean)) {
      const line = JSON.parse(text) as { doing?: string; share?: number; problem?: Problem }
      if (line.problem) throw refused(line.problem.status ?? 500, line.problem)
      if (line.doing === undefined) return line as T
      onProgress(line.doing, line.share ?? 0)
    }
    if (done) throw new Refusal(0, 'The answer broke off. Try once more; the picture is kept.')
  }
}

export const api = {
  shelf: (page: number) => ask<CardPage>('GET', `figures?page=${page}`),
  bin: (page: number) => ask<CardPage>('GET', `bin?page=${page}`),
  restore: (id: number) => ask<void>('POST', `bin/${id}/restore`),
  emptyBin: () => ask<void>('DELETE', 'bin'),
  figure: (id: number) => ask<SavedFigure>('GET', `figures/${id}`),
  lay: (document: Figure, picture: number | null) => ask<SavedFigure>('POST', 'figures', { document, picture }),
  save: (id: number, revision: number, document: Figure, keepalive = false) =>
    ask<SavedFigure>('PUT', `figures/${id}`, { revision, document }, { keepalive }),
  throwAway: (id: number) => ask<void>('DELETE', `figures/${id}`),
  board: (document: Figure, signal?: AbortSignal) => ask<Board>('POST', 'board', { document }, { signal }),
  rescale: (document: Figure, heightMm: number) => ask<Board>('POST', 'board', { document, rescale: true, heightMm }),
  face: (document: Figure, part: string, signal?: AbortSignal) => ask<FaceGrid>('POST', 'face', { document, part }, { signal }),
  picture: (file: Blob) => ask<{ id: number; widthPx: number; heightPx: number }>('POST', 'pictures', file),
  breakDown: (picture: number, wishes: SeeingWishes, name: string, fileName: string, onProgress: (doing: string, share: number) => void, signal: AbortSignal) =>
    lines<Seen>('breakdown', { picture, ...wishes, name, file: fileName }, onProgress, signal),
  recut: (document: Figure, act: 'split' | 'merge' | 'lasso' | 'to-detail' | 'to-part', more: object) => ask<Recut>('POST', 'recut', { document, act, ...more }),
  sizing: (document: Figure, wish: { by: 'height' | 'part' | 'object' } & Record<string, unknown>) => ask<Sizing>('POST', 'sizing', { document, ...wish }),
  sideView: (document: Figure, picture: number, facesLeft: boolean, fileName: string) => ask<{ document: Figure; notices: string[] }>('POST', 'side-view', { document, picture, facesLeft, file: fileName }),
  agreement: (document: Figure, picture: number) => ask<{ share: number; overlap: number }>('POST', 'agreement', { document, picture }),
  match: (document: Figure) => file('render', { document, match: true }),
  sizeCards: (document: Figure, as: 'pdf' | 'svg', paper: 'a4' | 'letter') => file('size-cards', { document, as, paper }),
  steps: (id: number) => ask<{ done: string[] }>('GET', `figures/${id}/steps`),
  mark: (id: number, step: string, done: boolean) =>
    ask<{ done: string[] }>(done ? 'PUT' : 'DELETE', `figures/${id}/steps/${encodeURIComponent(step)}`),
  catalogue: () => ask<{ shapes: CatalogueShape[] }>('GET', 'catalogue'),
}
