import type { Detail, Figure } from './figure'
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
export interface CardPage {
  figures: Card[]
  page: number
  pages: number
  count: number
}
export interface SavedFigure {
  id: number
  revision: number
  picture: number | null
  document: Figure
}
export type Loop = [number, number][]
export interface Loft {
  rings: number[][]
  closed: boolean
}
export interface CoveringSaid {
  way: NonNullable<NonNullable<Figure['parts'][number]['covering']>['way']>
  lengthMm: number
  perCm2: number
  mgEach: number
  ribbonMm: number
  overlap: number
}
/** What is drawn of a part, and every choice that the document leaves to the house, filled in. */
export interface PartDrawing {
  options: Record<string, number>
  core: NonNullable<Figure['core']>
  coverMm: number
  firmness: NonNullable<Figure['firmness']>
  joinBy: JoinBy
  covering: CoveringSaid
  pieces: { front: Loop[]; side: Loop[] }[]
  inside: Loop[]
}
export type JoinBy = NonNullable<NonNullable<Figure['parts'][number]['join']>['by']>
export interface Drawing {
  parts: Record<string, PartDrawing>
}
/** What the view in the round draws. */
export interface Turning {
  parts: Record<string, Loft>
  details: Record<string, number[][][]>
  openings: Record<string, { colour: string; pieces: number[][][][] }>
}
export interface Choice<T extends string = string> {
  title: string
  value: T
}
export type CoveringName = CoveringSaid['way']
export interface CoveringField {
  name: keyof Omit<CoveringSaid, 'way'>
  label: string
  unit: string
  least: number
  most: number
}
export interface Trade {
  kinds: (Choice<Figure['parts'][number]['shape']['kind']> & { isFlat: boolean })[]
  outlines: Choice<'disc' | 'triangle' | 'leaf' | 'heart' | 'rectangle'>[]
  firmnesses: Choice<NonNullable<Figure['firmness']>>[]
  cores: Choice<NonNullable<Figure['core']>>[]
  joins: Choice<JoinBy>[]
  methods: Choice<NonNullable<Detail['method']>>[]
  coverings: (Choice<CoveringName> & { fields: CoveringField[] })[]
  schools: (Choice<'loose-head' | 'face-first' | 'limbs-first'> & { reason: string })[]
  reserves: (Choice<Reserve> & { why: string })[]
  preparations: (Choice<Preparation> & { material: WoolEntry['material'] })[]
  meant: Record<string, string>
  usual: {
    core: NonNullable<Figure['core']>
    firmness: NonNullable<Figure['firmness']>
    coverMm: number
    school: 'loose-head' | 'face-first' | 'limbs-first'
  }
  rest: { afterMinutes: number; minutes: number }
}
export interface Board {
  document: Figure | null
  plan: Plan
  drawing: Drawing
}
export interface GridLine {
  mm: number
  points: [number, number][]
}
export interface Guide {
  key: string
  why: string
  whyApart: string
  bands: { name: string; highMm: number; lowMm: number }[]
  eyes: { fromMm: number; toMm: number }
}
export interface FaceGrid {
  stepMm: number
  across: GridLine[]
  down: GridLine[]
  crownMm: number
  footMm: number
  girth: { mm: number; yMm: number; downMm: number | null }
  guides: Guide[]
}
export interface Laying {
  key: string
  woolMg: number
  wool: string
  needle: string
  marks: string[]
  stabs: string[]
  proudMm: number
  check: string
  undo: string
}
export interface Mend {
  text: string
  set: Partial<Detail>
  add: Detail[]
  remove: string[]
  keep: '' | 'drawn' | 'size'
}
export interface Advice {
  code: string
  why: string
  isFault: boolean
  mends: Mend[]
}
export interface Anchor {
  key: string
  name: string
  xMm: number
  yMm: number
}
export interface FaceWork {
  order: string[]
  advice: Record<string, Advice[]>
  evenness: { levelMm: number; asideMm: number; eyeLineMm: number | null }
}
export interface Mark {
  acrossMm: number
  downMm: number
  pinMm: number
}
export interface NeedlesEye {
  reachMm: number
  slantDeg: number
  outlines: { key: string; colour: string; isLine: boolean; isLater: boolean; widthMm: number; loops: Loop[] }[]
  stabs: { n: number; xMm: number; yMm: number }[]
}
export interface PieceSlider {
  key: string
  name: string
  from: number
  to: number
  usual: number
  step: number
}
export interface FacePiece {
  kind: string
  name: string
  sliders: PieceSlider[]
  sample: (Detail & { hex: string })[]
}
export interface NeedlesAtHand {
  gauges: number[]
  sold: number[]
  finest: number
}
export interface CatalogueShape {
  kind: Figure['parts'][number]['shape']['kind']
  core: Figure['core']
  shape: Figure['parts'][number]['shape']
  front: Loop[]
}
/** Edits that PHP makes: cuts, and everyday ones. */
export type RecutAct =
  'split' | 'merge' | 'lasso' | 'to-detail' | 'to-part' | 'remove' | 'double' | 'paint' | 'add' | 'mend' | 'part-pair'
export interface Recut {
  document: Figure
  kind: 'part' | 'detail'
  key: string
}
export interface Sizing {
  heightMm: number
  factor: number
  woolTimes: number
}
export type Box = [left: number, top: number, right: number, bottom: number]
export interface Seen {
  document: Figure
  notices: string[]
  figures: Box[]
}
export interface SeeingWishes {
  heightMm: number
  shades: number
  figure: number
  roundToMm: number
}
export type Preparation = 'core batting' | 'carded batting' | 'sliver' | 'tops' | 'locks' | 'stuffing' | 'yarn'
export interface WoolEntry {
  name: string
  hex: string | null
  material: 'wool' | 'core-wool' | 'scrap' | 'stuffing'
  preparation: Preparation
  gramsLeft: number
  micron: number | null
  gPerM: number | null
  price: number | null
  packG: number | null
  maker: string
}
export interface Wool extends WoolEntry {
  id: number
  freeG: number
  asideG: number
}
export interface SheetRead {
  added: { name: string; hex: string | null; gramsLeft: number }[]
  changed: { id: number; name: string; what: string[] }[]
  same: number
  refused: { line: number; column: string; why: string }[]
  notices: string[]
  applied: boolean
}
export type Nearness = 'same' | 'near' | 'seen side by side' | 'different'
export interface Share {
  wool: number
  name: string
  hex: string
  percent: number
  teasing: string
}
export interface Match {
  colour: string
  shares: Share[]
  hex: string
  difference: number
  nearness: Nearness
  isChosen: boolean
  gone: string[]
}
export interface Recipe {
  wools: (Share & { g: number; freeG: number })[]
  hex: string
  difference: number
  nearness: Nearness
  isCorrected: boolean
  isEnough: boolean
}
export interface Need {
  wool: number | null
  name: string
  hex: string
  material: string
  colours: string[]
  g: number
  lowG: number
  highG: number
  wantG: number
  freeG: number
  lackG: number
  state: 'none' | 'enough' | 'tight' | 'short'
  cost: number | null
}
export interface Portion {
  part: string
  purpose: 'inside' | 'cover' | 'covering' | 'film'
  material: string
  colour: string
  g: number
  pieces: number
  cmEach: number
  fluffG: number
  layersG: number[]
  eachG: number
  text: string
}
export interface InsideAdvice {
  part: string
  advised: NonNullable<Figure['core']>
  reason: string
  ways: {
    material: NonNullable<Figure['core']>
    what: string
    insideG: number
    coverG: number
    finishedG: number
    cost: number | null
  }[]
  coverMm: number | null
  showsThrough: boolean
  coverDifference: number
}
export interface Placed {
  key: string
  xMm: number
  yMm: number
  widthMm: number
  heightMm: number
  isTurned: boolean
}
export interface Supply {
  matches: Match[]
  conflicts: { colours: [string, string]; text: string }[]
  needs: Need[]
  portions: Portion[]
  sets: { on: string; colour: string; mg: number; ratio: number[]; details: string[] }[]
  wisps: { detail: string; colour: string; mg: number; count: number; text: string }[]
  coverings: {
    part: string
    way: string
    count: number
    pieces: number
    g: number
    metres: number
    areaCm2: number
    filmG: number
    text: string
  }[]
  layout: { widthMm: number; lengthMm: number; waste: number; placed: Placed[] } | null
  insides: InsideAdvice[]
  cost: number
}
export type Reserve = 'again' | 'usual' | 'never'
export interface FigureWool {
  state: 'open' | 'aside' | 'used'
  aside: { wool: number; name: string; g: number }[]
  used: { wool: number; name: string; plannedG: number; usedG: number; sparedG: number }[]
}
export type ShopMood = 'open' | 'slow' | 'sold-out' | 'closed'
export interface Shopping {
  lines: {
    name: string
    hex: string | null
    days: number
    for: string[]
    needG: number
    difference: number
    price: number
    g: number
    packs: { packG: number; price: number; count: number }[]
  }[]
  missing: { name: string; needG: number; why: string }[]
  price: number
  sending: number
  days: number
  closed: string
}
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

function token(): string {
  const cookie = document.cookie.split('; ').find((c) => c.startsWith('XSRF-TOKEN='))
  return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : ''
}

function send(
  method: string,
  path: string,
  body: unknown,
  accept: string,
  options: { signal?: AbortSignal; keepalive?: boolean },
): Promise<Response> {
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
    throw new Refusal(
      0,
      'Impa does not answer. Is it still running? What you made of this figure is kept in this browser.',
    )
  })
}

interface Problem {
  status?: number
  detail?: string
  errors?: Fault[]
  [more: string]: unknown
}
const refused = (status: number, problem: Problem) =>
  new Refusal(
    status,
    problem.detail ?? 'Something in Impa broke, and this was not done.',
    problem.errors ?? [],
    problem,
  )

async function ask<T>(
  method: string,
  path: string,
  body?: unknown,
  options: { signal?: AbortSignal; keepalive?: boolean } = {},
): Promise<T> {
  const response = await send(method, path, body, 'application/json', options)
  if (response.ok) return response.status === 204 ? (undefined as T) : ((await response.json()) as T)
  throw refused(response.status, (await response.json().catch(() => ({}))) as Problem)
}

/** An answer that comes as a file. */
async function file(path: string, body?: unknown): Promise<Blob> {
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

/** The figure on its way to the bin: whoever opens the bin before it has arrived waits for it. */
let throwing: Promise<unknown> = Promise.resolve()

export const api = {
  shelf: (page: number) => ask<CardPage>('GET', `figures?page=${page}`),
  bin: (page: number) => throwing.then(() => ask<CardPage>('GET', `bin?page=${page}`)),
  restore: (id: number) => ask<void>('POST', `bin/${id}/restore`),
  emptyBin: () => ask<void>('DELETE', 'bin'),
  figure: (id: number) => ask<SavedFigure>('GET', `figures/${id}`),
  lay: (document: Figure, picture: number | null) => ask<SavedFigure>('POST', 'figures', { document, picture }),
  save: (id: number, revision: number, document: Figure, keepalive = false) =>
    ask<SavedFigure>('PUT', `figures/${id}`, { revision, document }, { keepalive }),
  throwAway: (id: number) => {
    const thrown = ask<void>('DELETE', `figures/${id}`)
    throwing = thrown.catch(() => undefined)
    return thrown
  },
  board: (document: Figure, signal?: AbortSignal) => ask<Board>('POST', 'board', { document }, { signal }),
  turning: (document: Figure, signal?: AbortSignal) => ask<Turning>('POST', 'board/turning', { document }, { signal }),
  trade: () => ask<Trade>('GET', 'trade'),
  rescale: (document: Figure, heightMm: number) => ask<Board>('POST', 'board', { document, rescale: true, heightMm }),
  face: (document: Figure, part: string, signal?: AbortSignal) =>
    ask<FaceGrid>('POST', 'face', { document, part }, { signal }),
  faceAdvice: (document: Figure, part: string, signal?: AbortSignal) =>
    ask<FaceWork>('POST', 'face/advice', { document, part }, { signal }),
  laying: (document: Figure, part: string) => ask<{ laying: Laying[] }>('POST', 'face/laying', { document, part }),
  between: (document: Figure, part: string, points: [[number, number], [number, number]]) =>
    ask<{ pinMm: number; tapeMm: number }>('POST', 'face/between', { document, part, points }),
  faceMarks: (document: Figure, part: string, from: string) =>
    ask<{ marks: Record<string, Mark | null>; anchors: Anchor[] }>('POST', 'face/marks', { document, part, from }),
  placeMarks: (document: Figure, part: string, at: [number, number][]) =>
    ask<{ at: (Mark | null)[] }>('POST', 'face/marks', { document, part, at }),
  keep: (document: Figure, detail: string, keep: 'drawn' | 'size') =>
    ask<{ set: Partial<Detail> }>('POST', 'face/keep', { document, detail, keep }),
  needlesEye: (document: Figure, detail: string) => ask<NeedlesEye>('POST', 'face/needles-eye', { document, detail }),
  pieces: () => ask<{ pieces: FacePiece[] }>('GET', 'face/pieces'),
  putPiece: (document: Figure, part: string, kind: string, values: Record<string, number>, piece: string) =>
    ask<{ document: Figure; key: string }>('POST', 'face/pieces', { document, part, kind, values, piece }),
  copyFace: (document: Figure, part: string, from: number, fromPart: string, instead: boolean) =>
    ask<{ document: Figure }>('POST', 'face/copy', { document, part, from, fromPart, instead }),
  needles: () => ask<NeedlesAtHand>('GET', 'needles'),
  keepNeedles: (gauges: number[]) => ask<NeedlesAtHand>('PUT', 'needles', { gauges }),
  afar: (document: Figure, part: string, metres: number) => file('face/afar', { document, part, metres }),
  faceSheets: (document: Figure, part: string, as: 'pdf' | 'svg', paper: 'a4' | 'letter') =>
    file('face/sheets', { document, part, as, paper }),
  picture: (file: Blob) => ask<{ id: number; widthPx: number; heightPx: number }>('POST', 'pictures', file),
  breakDown: (
    picture: number,
    wishes: SeeingWishes,
    name: string,
    fileName: string,
    onProgress: (doing: string, share: number) => void,
    signal: AbortSignal,
  ) => lines<Seen>('breakdown', { picture, ...wishes, name, file: fileName }, onProgress, signal),
  recut: (document: Figure, act: RecutAct, more: object) => ask<Recut>('POST', 'recut', { document, act, ...more }),
  sizing: (document: Figure, wish: { by: 'height' | 'part' | 'object' } & Record<string, unknown>) =>
    ask<Sizing>('POST', 'sizing', { document, ...wish }),
  sideView: (document: Figure, picture: number, facesLeft: boolean, fileName: string) =>
    ask<{ document: Figure; notices: string[] }>('POST', 'side-view', { document, picture, facesLeft, file: fileName }),
  agreement: (document: Figure, picture: number) =>
    ask<{ share: number; overlap: number }>('POST', 'agreement', { document, picture }),
  match: (document: Figure) => file('render', { document, match: true }),
  sizeCards: (document: Figure, as: 'pdf' | 'svg', paper: 'a4' | 'letter') =>
    file('size-cards', { document, as, paper }),
  steps: (id: number) => ask<{ done: string[] }>('GET', `figures/${id}/steps`),
  mark: (id: number, step: string, done: boolean) =>
    ask<{ done: string[] }>(done ? 'PUT' : 'DELETE', `figures/${id}/steps/${encodeURIComponent(step)}`),
  wools: () => ask<{ wools: Wool[] }>('GET', 'wools'),
  addWool: (wool: Partial<WoolEntry>) => ask<Wool>('POST', 'wools', wool),
  changeWool: (id: number, wool: Partial<WoolEntry>) => ask<Wool>('PUT', `wools/${id}`, wool),
  throwWool: (id: number) => ask<void>('DELETE', `wools/${id}`),
  restoreWool: (id: number) => ask<Wool>('POST', `wools/${id}/restore`),
  weigh: (id: number, grams: number) => ask<Wool>('POST', `wools/${id}/weighings`, { grams }),
  stashFile: (as: 'csv' | 'gpl') => file(`wools.${as}`),
  readSheet: (base64: string, as: 'csv' | 'gpl', apply: boolean) =>
    ask<SheetRead>('POST', 'wool-sheet', { base64, as, apply }),
  woolColour: (
    picture: number,
    wish: { x: number; y: number; cardX: number; cardY: number; by: 'grey' | 'white' | 'none' },
  ) => ask<{ hex: string; uncorrected: string }>('POST', 'wool-colour', { picture, ...wish }),
  recipes: (hex: string, grams: number, most: number, figure: number) =>
    ask<{ recipes: Recipe[] }>('POST', 'recipes', { hex, grams, most, figure }),
  ramp: (from: string, to: string, steps: number) =>
    ask<{ steps: { percent: number; hex: string }[] }>('POST', 'ramp', { from, to, steps }),
  addSwatch: (percent: Record<number, number>, hex: string) =>
    ask<{ id: number }>('POST', 'swatches', { percent, hex }),
  supply: (document: Figure, figure: number, reserve: Reserve, signal?: AbortSignal) =>
    ask<Supply>('POST', 'supply', { document, figure, reserve }, { signal }),
  split: (grams: number, ratio: number[]) => ask<{ grams: number[] }>('POST', 'supply/split', { grams, ratio }),
  portionsSheet: (document: Figure, figure: number, paper: 'a4' | 'letter') =>
    file('supply/portions', { document, figure, paper }),
  shopping: (document: Figure, figure: number, reserve: Reserve, shop: ShopMood) =>
    ask<Shopping>('POST', 'supply/shopping', { document, figure, reserve, shop }),
  shoppingFile: (
    document: Figure,
    figure: number,
    reserve: Reserve,
    shop: ShopMood,
    as: 'pdf' | 'csv',
    paper: 'a4' | 'letter',
  ) => file('supply/shopping', { document, figure, reserve, shop, as, paper }),
  figureWool: (id: number) => ask<FigureWool>('GET', `figures/${id}/wool`),
  setAside: (id: number, reserve: Reserve) => ask<FigureWool>('PUT', `figures/${id}/wool`, { reserve }),
  release: (id: number) => ask<FigureWool>('DELETE', `figures/${id}/wool`),
  finishWool: (id: number, used: Record<number, number>) =>
    ask<FigureWool>('POST', `figures/${id}/wool/finish`, { used }),
  catalogue: () => ask<{ shapes: CatalogueShape[] }>('GET', 'catalogue'),
}
