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

async function ask<T>(method: string, path: string, body?: unknown, options: { signal?: AbortSignal; keepalive?: boolean } = {}): Promise<T> {
  const isFile = body instanceof Blob
  let response: Response
  try {
    response = await fetch('/api/' + path, {
      method,
      headers: {
        Accept: 'application/json',
        'X-XSRF-TOKEN': token(),
        ...(body === undefined ? {} : { 'Content-Type': isFile ? 'application/octet-stream' : 'application/json' }),
      },
      body: body === undefined ? undefined : isFile ? body : JSON.stringify(body),
      ...options,
    })
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error
    throw new Refusal(0, 'Impa does not answer. Is it still running? What you made is kept in this browser.')
  }
  if (response.ok) return response.status === 204 ? (undefined as T) : ((await response.json()) as T)
  const problem = (await response.json().catch(() => ({}))) as { detail?: string; errors?: Fault[] } & Record<string, unknown>
  throw new Refusal(response.status, problem.detail ?? 'Something in Impa broke. What you made is kept.', problem.errors ?? [], problem)
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
  breakDown: (picture: number, heightMm: number, name: string, file: string) =>
    ask<{ document: Figure; notices: string[] }>('POST', 'breakdown', { picture, heightMm, name, file }),
  steps: (id: number) => ask<{ done: string[] }>('GET', `figures/${id}/steps`),
  mark: (id: number, step: string, done: boolean) =>
    ask<{ done: string[] }>(done ? 'PUT' : 'DELETE', `figures/${id}/steps/${encodeURIComponent(step)}`),
  catalogue: () => ask<{ shapes: CatalogueShape[] }>('GET', 'catalogue'),
}
