import type {
  ArchiveTaken,
  BreakdownAtWork,
  BreakdownQueued,
  FaceMarks,
  PlacedMarks,
  LogEntry,
  NeedlesAtHand,
  SetKept,
  SetMember,
  Reserve,
  Seen,
  Wool,
} from './types/answers'
import type { Files, Routes } from './types/routes'
import { isKept, keepAnswer, keptAnswer } from '../away/kept'
import { whose } from '../state/own'
import { voice } from '../state/units'
import { askWhich } from '../state/figure/stale'
import { answers, isAway } from '../away/network'
import { canWait, handOver, wait, waiting, type Waiting } from '../away/outbox'
import type { Brush, Figure } from './types/figure'
import type { ImpaFlat } from './types/flat'
import type { ImpaPhotoCheck as PhotoFound } from './types/photo-check'
import { t } from '../lang'

/** What is done where something is here already, and otherwise than in the archive. */
export type ArchiveConflict = 'keep' | 'replace' | 'both'

export type PaperSize = 'a4' | 'letter'

/** How a figure is shared: whose it is, what others may do with it, as what. */
export interface BookletWish {
  whose: '' | 'mine' | 'allowed'
  credit: string
  licence: string
  drawing: boolean
  as: 'pdf' | 'file'
  paper: PaperSize
}

/** Kits of one figure: for how many, with how many spare, how many of them begin (0 to 1). */
export interface KitWish {
  member: SetMember
  people: number
  spare: number
  beginners: number
  reserve: Reserve
}

/** A set as it is planned, saved or not. */
export type SetSent = Pick<SetKept, 'name' | 'members'>

/** How a photo was taken: its side, one part alone, and what tells its scale. */
export interface PhotoOf {
  view: PhotoFound['view']
  part?: string
  ruler?: number[][]
  knownPart?: string
  knownMm?: number
}

/** Edits that PHP makes: cuts, and everyday ones. */
export type EditAct = keyof Routes extends infer R ? (R extends `POST edits/${infer Act}` ? Act : never) : never
export type View = Seen['views'][number]
/** How a part is sewn from felt. */
export interface SewingWish {
  part: string
  seamMm: number
  stitch: 'running' | 'back' | 'whip' | 'blanket'
  stitchMm: number
  feltMm: number
  hollow: boolean
}
export interface SeeingWishes {
  heightMm: number
  shades: number
  figure: number
  roundToMm: number
  brushes: Brush[]
  views: View[]
  flat: '' | 'sheet' | 'batting'
  keepsUnsure: boolean
}
/** A wool as it is laid in or changed. */
export type WoolEntry = Omit<Wool, 'id' | 'freeG' | 'asideG'>
/** When the felter sits down. */
export interface Evenings {
  sitting: number
  days: string[]
  from: string
  by: string
  at: string
}
/** What calipers and scale say of one piece of a part. */
export interface PieceMeasured {
  uuid: string
  part: string
  twin: boolean
  widthMm: number
  heightMm: number
  depthMm: number
  grams: number
  weighedG?: number
  keep: boolean
  /** The question about a slipped digit was answered. */
  sure: boolean
}
/** What a piece for itself is. */
export interface PieceMade {
  kind: string
  firmness: string
  what: string
  minutes?: number
}
export type ShopMood = 'open' | 'slow' | 'sold-out' | 'closed'
export interface Fault {
  pointer: string
  detail: string
}

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

/** Whoever waits this long for what is kept here as well is not waiting for an answer any more, milliseconds. */
const GIVEN_UP_MS = 8000

interface Options {
  signal?: AbortSignal
  keepalive?: boolean
}

function token(): string {
  const cookie = document.cookie.split('; ').find((c) => c.startsWith('XSRF-TOKEN='))
  return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : ''
}

function send(
  method: string,
  path: string,
  body: unknown,
  accept: string,
  options: Options,
  isAgain = false,
): Promise<Response> {
  const isFile = body instanceof Blob
  // A network that is gone is noticed sooner than by itself where something is kept for it.
  const isWaitedFor = isAway() && (isKept(method, path) || canWait(method, path))
  const ends = [options.signal, isWaitedFor ? AbortSignal.timeout(GIVEN_UP_MS) : undefined].filter(
    (s) => s !== undefined,
  )
  const again = () => send(method, path, body, accept, options, true)
  return fetch('/api/' + path, {
    method,
    headers: {
      Accept: accept,
      // In which language and units it is answered.
      'Accept-Language': voice(),
      'X-XSRF-TOKEN': token(),
      // Whose page this is: where somebody else has signed in meanwhile in this browser, nothing is done as theirs.
      ...(whose() ? { 'X-Impa-Felter': whose() } : {}),
      ...(body === undefined ? {} : { 'Content-Type': isFile ? 'application/octet-stream' : 'application/json' }),
    },
    body: body === undefined ? undefined : isFile ? body : JSON.stringify(body),
    ...options,
    signal: ends.length ? AbortSignal.any(ends) : undefined,
  })
    .then((response) => (response.status === 419 && !isAgain ? withNewToken(response, again) : response))
    .then(atTheDoor)
    .catch((error: unknown) => {
      if (error instanceof DOMException && error.name === 'AbortError') throw error
      answers.value = false
      throw new Refusal(0, t('api.client.impaDoesNotAnswerIs'))
    })
}

/** The page was open for longer than its token holds: another one comes with any answer, and what was asked is asked again, once. */
async function withNewToken(old: Response, again: () => Promise<Response>): Promise<Response> {
  const fresh = await fetch('/api/session', { headers: { Accept: 'application/json' } })
  return fresh.ok ? again() : old
}

/** Who has not signed in, or was signed out meanwhile, is led to the door and back; what is open is kept in this browser. */
function atTheDoor(response: Response): Response {
  answers.value = true
  const { pathname, search } = window.location
  if (response.status === 401 && pathname !== '/sign-in' && pathname !== '/password')
    window.location.assign('/sign-in?to=' + encodeURIComponent(pathname + search))
  return response
}

interface Problem {
  status?: number
  detail?: string
  errors?: Fault[]
  [more: string]: unknown
}
const refused = (status: number, problem: Problem) =>
  new Refusal(status, problem.detail ?? t('api.client.somethingInImpaBrokeAnd'), problem.errors ?? [], problem)

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE'
/** Every path that a method has, by what formats/ says, and what may be asked after it. */
type Path<M extends Method, All = Routes> = keyof All extends infer R
  ? R extends `${M} ${infer P}`
    ? Asked<P>
    : never
  : never
type Asked<P extends string> = P | `${P}?${string}`
type Bare<P extends string> = P extends `${infer Before}?${string}` ? Before : P
/** What is answered there. */
type Answer<M extends Method, P extends string> = `${M} ${Bare<P>}` extends infer R
  ? R extends keyof Routes
    ? Routes[R]
    : never
  : never

const ask = <M extends Method, P extends Path<M>>(
  method: M,
  path: P,
  body?: unknown,
  options: Options = {},
): Promise<Answer<M, P>> => askAny(method, path, body, options)

async function askAny<T>(method: string, path: string, body?: unknown, options: Options = {}): Promise<T> {
  if (isAway()) return askFromAway<T>(method, path, body, options)
  return answerOf<T>(await send(method, path, body, 'application/json', options))
}

/**
 * Writes what another window may have changed meanwhile: then it is asked which one is to stand, and what the other one wrote is the
 * answer, or this is written in its place.
 */
async function revised<M extends 'PUT' | 'POST', P extends Path<M>>(
  method: M,
  path: P,
  body: Record<string, unknown>,
  theirs: () => Promise<NoInfer<Answer<M, P>>>,
): Promise<Answer<M, P>> {
  for (;;) {
    try {
      return await askAny<Answer<M, P>>(method, path, body)
    } catch (error) {
      if (!(error instanceof Refusal) || error.status !== 409 || typeof error.body.revision !== 'string') throw error
      if (!(await askWhich(error.message))) return theirs()
      body = { ...body, ['instead' in body ? 'instead' : 'revision']: error.body.revision }
    }
  }
}

async function answerOf<T>(response: Response): Promise<T> {
  if (response.ok) return response.status === 204 ? (undefined as T) : ((await response.json()) as T)
  throw refused(response.status, (await response.json().catch(() => ({}))) as Problem)
}

/** Where the network may go: what was answered before stands in for the answer, and what was done waits until it is there again. */
async function askFromAway<T>(method: string, path: string, body: unknown, options: Options): Promise<T> {
  // What was done before comes first, or an older answer would undo it on the screen.
  if (waiting.value) await handOver(handOne)
  if (waiting.value && canWait(method, path)) return (await wait({ method, path, body })) as T
  try {
    const answer = await answerOf<T>(await send(method, path, body, 'application/json', options))
    if (isKept(method, path) && !waiting.value) void keepAnswer(method, path, body, answer)
    return waiting.value && isKept(method, path) ? (((await keptAnswer(method, path, body)) ?? answer) as T) : answer
  } catch (error) {
    if (!(error instanceof Refusal) || error.status !== 0) throw error
    if (canWait(method, path)) return (await wait({ method, path, body })) as T
    const kept = isKept(method, path) ? await keptAnswer(method, path, body) : undefined
    if (kept === undefined) throw error
    return kept as T
  }
}

async function handOne({ method, path, body }: Waiting): Promise<{ status: number; detail: string }> {
  try {
    const response = await send(method, path, body, 'application/json', {})
    const problem = response.ok ? {} : ((await response.json().catch(() => ({}))) as Problem)
    return { status: response.status, detail: problem.detail ?? '' }
  } catch {
    return { status: 0, detail: '' }
  }
}

/** What waits goes over now, if Impa answers. */
export const handOverNow = () => handOver(handOne)

/** An answer that comes as a file. */
async function file<B = undefined>(path: Path<B extends undefined ? 'GET' : 'POST', Files>, body?: B): Promise<Blob> {
  const response = await send(body === undefined ? 'GET' : 'POST', path, body, '*/*', {})
  if (response.ok) return response.blob()
  throw refused(response.status, (await response.json().catch(() => ({}))) as Problem)
}

/** An answer that comes line by line: what is being done, and at last the answer or the refusal. */
async function lines<T>(
  path: string,
  body: unknown,
  onProgress: (doing: string, share: number) => void,
  signal: AbortSignal,
): Promise<T> {
  const response = await send('POST', path, body, 'application/x-ndjson', { signal })
  if (!response.ok || !response.body)
    throw refused(response.status, (await response.json().catch(() => ({}))) as Problem)
  if (response.status === 202)
    return queued<T>(path, ((await response.json()) as BreakdownQueued).breakdown, onProgress, signal)
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
    if (done) throw new Refusal(0, t('api.client.theAnswerBrokeOffTry'))
  }
}

/** It is asked so often how far a worker is, milliseconds. */
const ASK_AGAIN_MS = 400

/** What a worker does in its turn: asked for until it is done. Who gives it up says so. */
async function queued<T>(
  path: string,
  id: string,
  onProgress: (doing: string, share: number) => void,
  signal: AbortSignal,
): Promise<T> {
  for (;;) {
    if (signal.aborted) {
      void send('DELETE', `${path}/${id}`, undefined, 'application/json', {})
      throw new DOMException(t('api.client.givenUp'), 'AbortError')
    }
    const answer = await askAny<BreakdownAtWork | { problem: Problem } | T>('GET', `${path}/${id}`)
    if (answer && typeof answer === 'object' && 'problem' in answer)
      throw refused(answer.problem.status ?? 500, answer.problem)
    if (!answer || typeof answer !== 'object' || !('doing' in answer)) return answer as T
    onProgress(answer.doing, answer.share)
    await new Promise((resolve) => setTimeout(resolve, ASK_AGAIN_MS))
  }
}

/** The figure on its way to the bin: whoever opens the bin before it has arrived waits for it. */
let throwing: Promise<unknown> = Promise.resolve()

export const api = {
  shelf: (page: number) => ask('GET', `figures?page=${page}`),
  bin: (page: number) => throwing.then(() => ask('GET', `bin?page=${page}`)),
  restore: (id: number) => ask('POST', `bin/${id}/restore`),
  emptyBin: () => ask('DELETE', 'bin'),
  figure: (id: number) => ask('GET', `figures/${id}`),
  lay: (document: Figure, picture: number | null) => ask('POST', 'figures', { document, picture }),
  save: (id: number, revision: number, document: Figure, keepalive = false) =>
    ask('PUT', `figures/${id}`, { revision, document }, { keepalive }),
  throwAway: (id: number) => {
    const thrown = ask('DELETE', `figures/${id}`)
    throwing = thrown.catch(() => undefined)
    return thrown
  },
  board: (document: Figure, signal?: AbortSignal) => ask('POST', 'board', { document }, { signal }),
  turning: (document: Figure, signal?: AbortSignal) => ask('POST', 'board/turning', { document }, { signal }),
  trade: () => ask('GET', 'trade'),
  rescale: (document: Figure, heightMm: number) => ask('POST', 'board', { document, rescale: true, heightMm }),
  face: (document: Figure, part: string, signal?: AbortSignal) => ask('POST', 'face', { document, part }, { signal }),
  faceAdvice: (document: Figure, part: string, signal?: AbortSignal) =>
    ask('POST', 'face/advice', { document, part }, { signal }),
  laying: (document: Figure, part: string) => ask('POST', 'face/laying', { document, part }),
  between: (document: Figure, part: string, points: [[number, number], [number, number]]) =>
    ask('POST', 'face/between', { document, part, points }),
  faceMarks: (document: Figure, part: string, from: string) =>
    ask('POST', 'face/marks', { document, part, from }) as Promise<FaceMarks>,
  placeMarks: (document: Figure, part: string, at: [number, number][]) =>
    ask('POST', 'face/marks', { document, part, at }) as Promise<PlacedMarks>,
  keep: (document: Figure, detail: string, keep: 'drawn' | 'size') =>
    ask('POST', 'face/keep', { document, detail, keep }),
  needlesEye: (document: Figure, detail: string) => ask('POST', 'face/needles-eye', { document, detail }),
  pieces: () => ask('GET', 'face/pieces'),
  putPiece: (document: Figure, part: string, kind: string, values: Record<string, number>, piece: string) =>
    ask('POST', 'face/pieces', { document, part, kind, values, piece }),
  copyFace: (document: Figure, part: string, from: number, fromPart: string, instead: boolean) =>
    ask('POST', 'face/copy', { document, part, from, fromPart, instead }),
  needles: () => ask('GET', 'needles'),
  keepBox: (box: NeedlesAtHand['box'], revision: string) =>
    revised('PUT', 'needles', { box, revision }, () => api.needles()),
  keepNeedles: (gauges: number[], revision: string) =>
    revised('PUT', 'needles', { gauges, revision }, () => api.needles()),
  afar: (document: Figure, part: string, metres: number) => file('face/afar', { document, part, metres }),
  faceSheets: (document: Figure, part: string, as: 'pdf' | 'svg', paper: PaperSize) =>
    file('face/sheets', { document, part, as, paper }),
  picture: (file: Blob) => ask('POST', 'pictures', file),
  sheet: (picture: number) => ask('GET', `pictures/${picture}/sheet`),
  straighten: (picture: number, corners: [number, number][]) => ask('POST', `pictures/${picture}/sheet`, { corners }),
  breakDown: (
    picture: number,
    wishes: SeeingWishes,
    name: string,
    fileName: string,
    onProgress: (doing: string, share: number) => void,
    signal: AbortSignal,
    document?: Figure,
  ) => lines<Seen>('breakdown', { picture, ...wishes, name, file: fileName, document }, onProgress, signal),
  glance: (picture: number, wishes: Pick<SeeingWishes, 'shades' | 'figure' | 'brushes' | 'keepsUnsure'>) =>
    ask('POST', 'breakdown/glance', { picture, ...wishes }),
  edit: (document: Figure, act: EditAct, more: object) => ask('POST', `edits/${act}`, { document, ...more }),
  things: (document: Figure) => ask('POST', 'things', { document }),
  takenThing: (document: Figure, thing: string) => ask('POST', 'things/taken', { document, thing }),
  number: (document: Figure, asked: { number: string; of: string }, figure: number, reserve: Reserve) =>
    ask('POST', 'number', { document, ...asked, figure, reserve }),
  help: () => ask('GET', 'help'),
  found: (q: string) => ask('GET', `help/search?q=${encodeURIComponent(q)}`),
  next: (document: Figure | undefined, station: string, figure: number, set: number) =>
    ask('POST', 'help/next', { document, station, figure, set }),
  balance: (document: Figure) => ask('POST', 'balance', { document }),
  sizing: (document: Figure, wish: { by: 'height' | 'part' | 'object' } & Record<string, unknown>) =>
    ask('POST', 'sizing', { document, ...wish }),
  sideView: (document: Figure, picture: number, facesLeft: boolean, fileName: string) =>
    ask('POST', 'side-view', { document, picture, facesLeft, file: fileName }),
  agreement: (document: Figure, picture: number) => ask('POST', 'agreement', { document, picture }),
  match: (document: Figure) => file('render', { document, match: true }),
  sizeCards: (document: Figure, as: 'pdf' | 'svg', paper: PaperSize) => file('size-cards', { document, as, paper }),
  tryCure: (document: Figure, kind: string) => ask('POST', 'balance/try', { document, kind }),
  armature: (document: Figure, all: boolean, stock?: number[]) => ask('POST', 'armature', { document, all, stock }),
  layWires: (document: Figure, all: boolean) => ask('POST', 'armature/lay', { document, all }),
  drawWire: (document: Figure) => ask('POST', 'armature/draw', { document }),
  bendingSheet: (document: Figure, all: boolean, paper: PaperSize) => file('armature/bend', { document, all, paper }),
  build: (document: Figure) => ask('POST', 'build', { document }),
  chooseSchool: (document: Figure, question: string, value: string) =>
    ask('POST', 'build/school', { document, question, value }),
  stepPicture: (document: Figure, step: string) => ask('POST', 'build/picture', { document, step }),
  pullStep: (document: Figure, step: string, forward: boolean) =>
    ask('POST', 'build/pull', { document, step, forward }),
  workSheet: (document: Figure, paper: PaperSize) => file('build/paper', { document, paper }),
  schedule: (document: Figure, evenings: Evenings, done: string[]) =>
    ask('POST', 'schedule', { document, ...evenings, done }),
  calendar: (document: Figure, evenings: Evenings, done: string[]) =>
    file('schedule/calendar', { document, ...evenings, done }),
  present: (id: number, step: string) => ask('PUT', `figures/${id}/present`, { step }),
  diary: (id: number) => ask('GET', `figures/${id}/log`),
  logTime: (id: number, step: string, from: number, to: number) =>
    ask('POST', `figures/${id}/log/time`, { step, from, to }),
  logEntry: (id: number, entry: Partial<LogEntry>) => ask('POST', `figures/${id}/log`, entry),
  dropEntry: (id: number, uuid: string) => ask('DELETE', `figures/${id}/log/${uuid}`),
  photos: (id: number) => ask('GET', `figures/${id}/photos`),
  checkPhoto: (id: number, document: Figure, picture: number, how: PhotoOf) =>
    ask('POST', `figures/${id}/photos`, { document, picture, ...how }),
  dropPhoto: (id: number, photo: number) => ask('DELETE', `figures/${id}/photos/${photo}`),
  benchCamera: (document: Figure, how: PhotoOf, seed: number, marker: boolean) =>
    ask('POST', 'check/camera', { document, view: how.view, part: how.part, seed, marker }),
  markerSheet: (document: Figure, paper: PaperSize) => file('check/marker', { document, paper }),
  sets: () => ask('GET', 'sets'),
  set: (id: number) => ask('GET', `sets/${id}`),
  laySet: (name: string, members: SetMember[]) => ask('POST', 'sets', { name, members }),
  keepSet: (set: SetKept) => ask('PUT', `sets/${set.id}`, set),
  dropSet: (id: number) => ask('DELETE', `sets/${id}`),
  setAsideForSet: (id: number, reserve: Reserve, revision: string) =>
    revised('PUT', `sets/${id}/aside`, { reserve, revision }, () => api.set(id)),
  giveBackForSet: (id: number) => ask('DELETE', `sets/${id}/aside`),
  planSet: (set: SetSent, reserve: Reserve) => ask('POST', 'set/plan', { ...set, reserve }),
  setSittings: (set: SetSent, minutes: number) => ask('POST', 'set/sittings', { ...set, minutes }),
  colourways: (figure: number, colours: string[], by: 'hue' | 'swap' | 'stash', count: number) =>
    ask('POST', 'set/colourways', { figure, colours, by, count }),
  shopForSet: (set: SetSent, reserve: Reserve) => ask('POST', 'set/shopping', { ...set, reserve }),
  setShoppingFile: (set: SetSent, reserve: Reserve, paper: PaperSize) =>
    file('set/shopping', { ...set, reserve, paper, as: 'pdf' }),
  booklet: (id: number, document: Figure, wish: BookletWish) => file(`figures/${id}/booklet`, { document, ...wish }),
  takeBooklet: (booklet: unknown) => ask('POST', 'booklets', booklet),
  show: (document: Figure, where: { place: string } & Record<string, number | string>) =>
    ask('POST', 'show', { document, ...where }),
  flat: (document: Figure, sheet: ImpaFlat['sheet']) => ask('POST', 'flat', { document, sheet }),
  flatTemplates: (document: Figure, sheet: ImpaFlat['sheet'], mirrored: boolean, as: 'pdf' | 'svg', paper: PaperSize) =>
    file('flat/templates', { document, sheet, mirrored, as, paper }),
  pattern: (document: Figure, wish: SewingWish) => ask('POST', 'flat/pattern', { document, ...wish }),
  patternSheet: (document: Figure, wish: SewingWish, as: 'pdf' | 'svg', paper: PaperSize) =>
    file('flat/pattern/sheet', { document, ...wish, as, paper }),
  kit: (wish: KitWish) => ask('POST', 'kit', wish),
  kitLabels: (wish: KitWish, labels: string) => file('kit/labels', { ...wish, labels }),
  kitSheet: (wish: KitWish, paper: PaperSize) => file('kit/sheet', { ...wish, paper }),
  memberPicture: (member: SetMember) => file('set/picture', { member }),
  closing: (id: number) => ask('GET', `figures/${id}/closing`),
  lookAt: (id: number, kind: string, done: boolean) => ask('PUT', `figures/${id}/closing/${kind}`, { done }),
  keepNext: (id: number, next: string, revision: string) =>
    revised('PUT', `figures/${id}/closing`, { next, revision }, () => api.closing(id)),
  finishedCard: (id: number, paper: PaperSize) => file(`figures/${id}/card`, { paper }),
  signs: () => ask('GET', 'mend'),
  remedies: (document: Figure, sign: string, about: string, answers: Record<string, number>) =>
    ask('POST', 'mend', { document, sign, about, ...answers }),
  mended: (id: number, mend: { uuid: string; text: string; mg: number; colour: string }) =>
    ask('POST', `figures/${id}/mends`, mend),
  measuredParts: (id: number) => ask('GET', `figures/${id}/parts`),
  /** Kept instead of the record that was seen; empty where none was. */
  checkPart: (id: number, document: Figure, piece: PieceMeasured, instead: string) =>
    revised('POST', `figures/${id}/parts`, { document, ...piece, instead }, () =>
      ask('POST', `figures/${id}/parts`, { document, ...piece, keep: false, sure: true }),
    ),
  dropPart: (id: number, uuid: string) => ask('DELETE', `figures/${id}/parts/${uuid}`),
  followPart: (document: Figure, part: string, sizes: Pick<PieceMeasured, 'widthMm' | 'heightMm' | 'depthMm'>) =>
    ask('POST', 'check/follow', { document, part, ...sizes }),
  hand: () => ask('GET', 'hand'),
  handPiece: (piece: Omit<PieceMeasured, 'part' | 'twin' | 'keep'> & PieceMade) => ask('POST', 'hand', piece),
  handAside: (id: string, aside: boolean, revision: string) =>
    revised('PUT', `hand/${id}`, { aside, revision }, () => api.hand()),
  handDrop: (id: string) => ask('DELETE', `hand/${id}`),
  handOver: (back: boolean) => ask('POST', 'hand/over', { back }),
  render: (document: Figure, px: number) => file('render', { document, px }),
  revisions: (id: number) => ask('GET', `figures/${id}/revisions`),
  revision: (id: number, revision: number) => ask('GET', `figures/${id}/revisions/${revision}`),
  branch: (id: number, wish: { name: string; percent: number; colours: Record<string, string>; revision?: number }) =>
    ask('POST', `figures/${id}/branch`, wish),
  steps: (id: number) => ask('GET', `figures/${id}/steps`),
  mark: (id: number, step: string, done: boolean) =>
    ask(done ? 'PUT' : 'DELETE', `figures/${id}/steps/${encodeURIComponent(step)}`),
  wools: () => ask('GET', 'wools'),
  addWool: (wool: Partial<WoolEntry>) => ask('POST', 'wools', wool),
  changeWool: (id: number, wool: Partial<WoolEntry>, revision: string) =>
    revised('PUT', `wools/${id}`, { ...wool, revision }, async () => {
      const now = (await api.wools()).wools.find((w) => w.id === id)
      if (now) return now
      throw new Refusal(404, t('api.client.thisWoolWasThrownAway'))
    }),
  throwWool: (id: number) => ask('DELETE', `wools/${id}`),
  restoreWool: (id: number) => ask('POST', `wools/${id}/restore`),
  weigh: (id: number, grams: number) => ask('POST', `wools/${id}/weighings`, { grams }),
  stashFile: (as: 'csv' | 'gpl') => file(`wools.${as}`),
  readSheet: (base64: string, as: 'csv' | 'gpl', apply: boolean) => ask('POST', 'wool-sheet', { base64, as, apply }),
  woolColour: (
    picture: number,
    wish: { x: number; y: number; cardX: number; cardY: number; by: 'grey' | 'white' | 'none' },
  ) => ask('POST', 'wool-colour', { picture, ...wish }),
  recipes: (hex: string, grams: number, most: number, figure: number, of: { document: Figure; colour: string }) =>
    ask('POST', 'recipes', { hex, grams, most, figure, ...of }),
  ramp: (from: string, to: string, steps: number) => ask('POST', 'ramp', { from, to, steps }),
  addSwatch: (percent: Record<number, number>, hex: string) => ask('POST', 'swatches', { percent, hex }),
  supply: (document: Figure, figure: number, reserve: Reserve, signal?: AbortSignal) =>
    ask('POST', 'supply', { document, figure, reserve }, { signal }),
  split: (grams: number, ratio: number[]) => ask('POST', 'supply/split', { grams, ratio }),
  portionsSheet: (document: Figure, figure: number, paper: PaperSize) =>
    file('supply/portions', { document, figure, paper }),
  shopping: (document: Figure, figure: number, reserve: Reserve, shop: ShopMood) =>
    ask('POST', 'supply/shopping', { document, figure, reserve, shop }),
  shoppingFile: (
    document: Figure,
    figure: number,
    reserve: Reserve,
    shop: ShopMood,
    as: 'pdf' | 'csv',
    paper: PaperSize,
  ) => file('supply/shopping', { document, figure, reserve, shop, as, paper }),
  figureWool: (id: number) => ask('GET', `figures/${id}/wool`),
  setAside: (id: number, reserve: Reserve, revision: string) =>
    revised('PUT', `figures/${id}/wool`, { reserve, revision }, () => api.figureWool(id)),
  release: (id: number) => ask('DELETE', `figures/${id}/wool`),
  finishWool: (id: number, used: Record<number, number>) => ask('POST', `figures/${id}/wool/finish`, { used }),
  devices: () => ask('GET', 'devices'),
  pairingCode: () => ask('POST', 'devices/code'),
  sendAway: (device: number) => ask('DELETE', `devices/${device}`),
  pair: (code: string, name: string) => ask('POST', 'pair', { code, name }),
  place: () => ask('GET', 'place'),
  here: (page: string) => ask('PUT', 'place', { page }),
  copies: () => ask('GET', 'copies'),
  copyNow: () => ask('POST', 'copies'),
  model: (document: Figure) => file('model', { document }),
  outlines: (document: Figure, view: string) => file('outlines', { document, view }),
  everything: () => file('archive'),
  lookInto: (archive: Blob) => ask('POST', 'archive/preview', archive),
  takeIn: (
    archive: Blob,
    conflict: ArchiveConflict,
    each: Record<string, ArchiveConflict>,
    onProgress: (doing: string, share: number) => void,
    signal: AbortSignal,
  ) =>
    lines<ArchiveTaken>(
      `archive?${new URLSearchParams({ conflict, each: JSON.stringify(each) })}`,
      archive,
      onProgress,
      signal,
    ),
  session: () => ask('GET', 'session'),
  signIn: (email: string, password: string) => ask('POST', 'session', { email, password }),
  signOut: (everywhere: boolean) => ask('DELETE', 'session', { everywhere }),
  passwordLetter: (email: string) => ask('POST', 'password', { email }),
  choosePassword: (email: string, token: string, password: string) =>
    ask('PUT', 'password', { email, token, password }),
  changePassword: (old: string, password: string) => ask('PUT', 'password/own', { old, password }),
  links: (id: number) => ask('GET', `figures/${id}/links`),
  shareByLink: (id: number) => ask('POST', `figures/${id}/links`),
  endLink: (id: number, link: number) => ask('DELETE', `figures/${id}/links/${link}`),
  catalogue: () => ask('GET', 'catalogue'),
}
