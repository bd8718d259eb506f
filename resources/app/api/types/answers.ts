// Made from formats/impa-http-1.openapi.json by npm run types. Do not edit.
import type {Core, Detail, Figure, Firmness, JoinBy, Part, Shape} from './figure'
import type {Plan} from './plan'
import type {StepsSheet} from './steps'
import type {ImpaHand as HandSheet} from './hand'
import type {ImpaPhotoCheck as PhotoFound} from './photo-check'
import type {ImpaKit as Kit} from './kit'

export type Loop = [number, number][]
/**
 * @minItems 4
 * @maxItems 4
 */
export type Box = [number, number, number, number]
export type Nearness = 'same' | 'near' | 'seen side by side' | 'different' | 'nothing like it'
export type Preparation = 'core batting' | 'carded batting' | 'sliver' | 'tops' | 'locks' | 'stuffing' | 'yarn'
export type Reserve = 'again' | 'usual' | 'never'
export type FlatOutline = [number, number][]

export interface Advice {
  code: string
  why: string
  isFault: boolean
  mends: Mend[]
}
export interface Mend {
  text: string
  /**
   * members of a detail, to be set on it
   */
  set: Partial<Detail>
  add: Detail[]
  remove: string[]
  keep: '' | 'drawn' | 'size'
}
export interface Anchor {
  key: string
  name: string
  xMm: number
  yMm: number
}
export interface Between {
  pinMm: number
  tapeMm: number
}
export interface Board {
  document: Figure | null
  plan: Plan
  drawing: Drawing
  /**
   * of each detail that makes one thing with others: those by key, 1 as it goes, -1 mirrored
   */
  together: {
    [k: string]: {
      [k: string]: number
    }
  }
  review: {
    /**
     * whether much of what was seen is unsure, which then comes first
     */
    hard: boolean
    order: {
      kind: 'part' | 'detail'
      key: string
    }[]
  }
}
export interface Drawing {
  parts: {
    [k: string]: PartDrawing
  }
}
/**
 * What is drawn of a part, and every choice that the document leaves to the house, filled in.
 */
export interface PartDrawing {
  options: {
    [k: string]: number
  }
  core: Core
  coverMm: number
  firmness: Firmness
  joinBy: JoinBy
  covering: CoveringSaid
  pieces: {
    front: Loop[]
    side: Loop[]
  }[]
  inside: Loop[]
}
export interface CoveringSaid {
  way: NonNullable<Part['covering']>['way']
  lengthMm: number
  perCm2: number
  mgEach: number
  ribbonMm: number
  overlap: number
}
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
export interface CatalogueShape {
  kind: Shape['kind']
  core: Core
  shape: Shape
  front: Loop[]
}
export interface ColourTaken {
  hex: string
  uncorrected: string
}
export interface CoveringField {
  name: 'lengthMm' | 'perCm2' | 'mgEach' | 'ribbonMm' | 'overlap'
  label: string
  unit: string
  least: number
  most: number
}
export interface FaceCopied {
  document: Figure
}
export interface FaceGrid {
  stepMm: number
  across: GridLine[]
  down: GridLine[]
  crownMm: number
  footMm: number
  girth: {
    mm: number
    yMm: number
    downMm: number | null
  }
  guides: Guide[]
}
export interface GridLine {
  mm: number
  points: [number, number][]
}
export interface Guide {
  key: string
  why: string
  whyApart: string
  bands: {
    name: string
    highMm: number
    lowMm: number
  }[]
  eyes: {
    fromMm: number
    toMm: number
  }
}
export interface FaceMarks {
  marks: {
    [k: string]: Mark | null
  }
  anchors: Anchor[]
}
export interface Mark {
  acrossMm: number
  downMm: number
  pinMm: number
}
export interface FacePiece {
  kind: string
  name: string
  sliders: PieceSlider[]
  sample: (Detail & {
    hex: string
    [k: string]: unknown
  })[]
}
export interface PieceSlider {
  key: string
  name: string
  from: number
  to: number
  usual: number
  step: number
}
export interface FacePieces {
  pieces: FacePiece[]
}
export interface FaceWork {
  order: string[]
  advice: {
    [k: string]: Advice[]
  }
  evenness: {
    levelMm: number
    asideMm: number
    eyeLineMm: number | null
  }
}
export interface FigureWool {
  /**
   * under which it stands: a PUT says it
   */
  revision: string
  /**
   * other figures in work that count on a wool of which not enough is left for them
   */
  elsewhere: {
    figure: number
    name: string
    wool: string
    g: number
    freeG: number
  }[]
  state: 'open' | 'aside' | 'used'
  aside: {
    wool: number
    name: string
    g: number
  }[]
  used: {
    wool: number
    name: string
    plannedG: number
    usedG: number
    sparedG: number
  }[]
}
export interface InsideAdvice {
  part: string
  advised: Core
  reason: string
  ways: {
    material: Core
    what: string
    insideG: number
    coverG: number
    finishedG: number
    cost: number | null
  }[]
  coverMm: number | null
  showsThrough: boolean
  coverDifference: number
  /**
   * of one piece, what lies within what it is joined to
   */
  sharedCm3: number
}
export interface Kept {
  /**
   * members of a detail, to be set on it
   */
  set: Partial<Detail>
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
export interface Layings {
  laying: Laying[]
}
export interface Loft {
  rings: number[][]
  closed: boolean
}
export interface PartLoft {
  rings: number[][]
  closed: boolean
  /**
   * where openings go through it: by piece of a pair, the rings of each piece that is left of it; null where none does
   */
  cut: number[][][][] | null
}
export interface Match {
  colour: string
  shares: Share[]
  hex: string
  /**
   * CIEDE2000; null where the stash has nothing like it
   */
  difference: number | null
  nearness: Nearness
  isChosen: boolean
  gone: string[]
}
export interface Share {
  wool: number
  name: string
  hex: string
  percent: number
  teasing: string
}
export interface Help {
  pages: {
    number: number
    title: string
    /**
     * where it is shown at once
     */
    stations: string[]
    html: string
  }[]
}
export interface HelpFound {
  /**
   * their numbers, the best first
   */
  pages: number[]
  /**
   * their codes
   */
  words: string[]
  figures: Named[]
  wools: Named[]
}
export interface Named {
  id: number
  name: string
}
export interface HelpNext {
  /**
   * the most pressing first
   */
  next: {
    code: string
    text: string
    /**
     * where it is done
     */
    station: 'shapes' | 'wool' | 'face' | 'build' | 'check' | 'shelf' | 'stash' | 'hand' | 'set' | 'house'
  }[]
}
export interface Need {
  /**
   * by which it is asked for how it came about
   */
  key: string
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
export interface NeedlesAtHand {
  /**
   * under which it stands: a PUT says it
   */
  revision: string
  gauges: number[]
  sold: number[]
  kinds: string[]
  finest: number
  /**
   * gauges of which one is left
   */
  last: number[]
  box: {
    gauge: number
    kind: string
    left: number
  }[]
}
export interface NeedlesEye {
  reachMm: number
  slantDeg: number
  outlines: {
    key: string
    colour: string
    isLine: boolean
    isLater: boolean
    widthMm: number
    loops: Loop[]
  }[]
  stabs: {
    n: number
    xMm: number
    yMm: number
  }[]
}
export interface Overlay {
  share: number
  overlap: number
}
export interface PictureTaken {
  id: number
  widthPx: number
  heightPx: number
}
export interface PiecePut {
  document: Figure
  key: string
}
export interface Placed {
  key: string
  xMm: number
  yMm: number
  widthMm: number
  heightMm: number
  isTurned: boolean
}
export interface PlacedMarks {
  at: (Mark | null)[]
}
export interface Mix {
  /**
   * key of the figure's colour
   */
  colour: string
  name: string
  g: number
  wools: {
    name: string
    g: number
  }[]
  text: string
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
export interface Ramp {
  steps: {
    percent: number
    hex: string
  }[]
}
export interface Recipe {
  wools: {
    freeG: number
    g: number
    hex: string
    name: string
    percent: number
    teasing: string
    wool: number
  }[]
  hex: string
  difference: number
  nearness: Nearness
  isCorrected: boolean
  isEnough: boolean
}
export interface Recipes {
  recipes: Recipe[]
}
export interface Edited {
  document: Figure
  kind: 'part' | 'detail' | ''
  key: string
}
export interface SavedFigure {
  id: number
  revision: number
  picture: number | null
  document: Figure
}
export interface Glance {
  /**
   * clear where there is paper
   */
  image: string
  /**
   * the same with keepsUnsure told the other way; null where nothing much is unsure
   */
  other: string | null
  colours: number
  notices: string[]
}
export interface Seen {
  document: Figure
  notices: string[]
  figures: Box[]
  /**
   * what each figure shows, where they are one character from several sides; else none
   */
  views: ('front' | 'left' | 'right' | 'back' | 'none')[]
}
export interface SheetFound {
  /**
   * in shares of the picture, from the upper left one on clockwise; null where none stands out
   *
   * @minItems 4
   * @maxItems 4
   */
  corners: [[number, number], [number, number], [number, number], [number, number]] | null
  /**
   * seen from aside, or not filling the picture
   */
  askew: boolean
}
export interface Shapes {
  shapes: CatalogueShape[]
}
export interface SheetRead {
  added: {
    name: string
    hex: string | null
    gramsLeft: number
  }[]
  changed: {
    id: number
    name: string
    what: string[]
  }[]
  same: number
  refused: {
    line: number
    column: string
    why: string
  }[]
  notices: string[]
  applied: boolean
}
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
    packs: {
      packG: number
      price: number
      count: number
    }[]
  }[]
  missing: {
    name: string
    needG: number
    why: string
  }[]
  price: number
  sending: number
  days: number
  closed: string
}
export interface SideSeen {
  document: Figure
  notices: string[]
}
export interface Sizing {
  heightMm: number
  factor: number
  woolTimes: number
}
export interface SplitGrams {
  grams: number[]
}
export interface StepsDone {
  done: string[]
  /**
   * key of the step that lies open; empty for the next one
   */
  present: string
}
export interface Supply {
  matches: Match[]
  conflicts: {
    /**
     * @minItems 2
     * @maxItems 2
     */
    colours: [string, string]
    /**
     * CIEDE2000 in the drawing
     */
    drawn: number
    /**
     * CIEDE2000 in these wools
     */
    felted: number
    text: string
  }[]
  needs: Need[]
  /**
   * what is mixed first
   */
  mixes: Mix[]
  portions: Portion[]
  sets: {
    on: string
    colour: string
    mg: number
    ratio: number[]
    details: string[]
  }[]
  wisps: {
    detail: string
    colour: string
    mg: number
    count: number
    text: string
  }[]
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
  layout: {
    widthMm: number
    lengthMm: number
    waste: number
    placed: Placed[]
  } | null
  insides: InsideAdvice[]
  cost: number
}
export interface SwatchKept {
  id: number
}
export interface Trade {
  /**
   * words of the trade, each with a drawing among the screens'
   */
  words: {
    code: string
    is: string
    means: string
    /**
     * as it stands in sentences
     */
    said: string[]
  }[]
  kinds: {
    isFlat: boolean
    title: string
    value: Shape['kind']
  }[]
  outlines: {
    title: string
    value: Extract<Shape['outline'], string>
  }[]
  firmnesses: {
    title: string
    value: Firmness
  }[]
  cores: {
    title: string
    value: Core
  }[]
  joins: {
    title: string
    value: JoinBy
  }[]
  roles: {
    title: string
    value: NonNullable<Detail['role']>
  }[]
  methods: {
    title: string
    value: NonNullable<Detail['method']>
  }[]
  coverings: {
    fields: CoveringField[]
    title: string
    value: NonNullable<Part['covering']>['way']
  }[]
  schools: {
    reason: string
    title: string
    value: NonNullable<NonNullable<Figure['school']>['face']>
  }[]
  reserves: {
    title: string
    value: Reserve
    why: string
  }[]
  preparations: {
    material: 'wool' | 'core-wool' | 'scrap' | 'stuffing'
    title: string
    value: Preparation
  }[]
  meant: {
    [k: string]: string
  }
  usual: {
    core: Core
    firmness: Firmness
    coverMm: number
    school: NonNullable<NonNullable<Figure['school']>['face']>
  }
  rest: {
    afterMinutes: number
    minutes: number
  }
}
/**
 * What the view in the round draws.
 */
export interface Turning {
  parts: {
    [k: string]: PartLoft
  }
  details: {
    [k: string]: number[][][]
  }
  openings: {
    [k: string]: {
      colour: string
      pieces: number[][][][]
    }
  }
}
export interface Wool {
  /**
   * under which it stands: a PUT says it
   */
  revision: string
  asideG: number
  freeG: number
  gPerM: number | null
  gramsLeft: number
  hex: string | null
  id: number
  maker: string
  material: 'wool' | 'core-wool' | 'scrap' | 'stuffing'
  micron: number | null
  name: string
  packG: number | null
  preparation: Preparation
  price: number | null
}
export interface Build {
  sheet: StepsSheet
  schools: School[]
}
export interface School {
  question: 'face' | 'inside' | 'join' | 'eyes' | 'skeleton' | 'plates'
  title: string
  options: {
    value: string
    title: string
    reason: string
  }[]
  /**
   * what the figure follows: empty where it follows none of them all through
   */
  now: string
}
export interface SchoolChosen {
  document: Figure
  /**
   * what it did to the work, in words
   */
  changed: string
}
export interface LogEntry {
  uuid: string
  kind: 'note' | 'photo' | 'weighed' | 'broken' | 'found' | 'mended'
  step: string
  text: string
  grams: number | null
  gauge: number | null
  picture: number | null
  /**
   * milliseconds since 1970
   */
  at: number
}
export interface Hand {
  /**
   * under which it stands: a PUT says it
   */
  revision: string
  sheet: HandSheet
  observations: {
    id: string
    quantity: 'density' | 'waste' | 'pace'
    group: string
    what: string
    expected: number
    found: number
    factor: number
    aside: boolean
    doubtful: boolean
  }[]
  quantities: {
    quantity: 'density' | 'waste' | 'pace'
    group: string
    /**
     * g/cm3 by the house's numbers
     */
    usual: number | null
    text: string
    /**
     * factor; how likely before; how likely now
     */
    curve: number[][]
    /**
     * spread of the next piece after none, one, two records
     */
    shrank: number[]
  }[]
  /**
   * plan against done, in the order in which the figures were begun
   */
  figures: {
    figure: string
    quantity: 'density' | 'pace'
    /**
     * g or minutes, by what was known before
     */
    planned: number
    low: number
    high: number
    done: number
    records: number
  }[]
  practice: {
    key: string
    name: string
    kind: string
    firmness: string
    widthMm: number
    heightMm: number
    depthMm: number
    cm3: number
    weighG: number
    minutes: number
    text: string
  }[]
  /**
   * when everything was started over
   */
  since: number | null
  /**
   * after a piece was told: what looks like a slipped digit, or empty
   */
  asks?: string
  kept?: boolean
}
export interface PartCheck {
  part: string
  name: string
  sizeMm: {
    w: number
    h: number
    d: number
  }
  plannedMm: {
    w: number
    h: number
    d: number
  }
  offMm: {
    w: number
    h: number
    d: number
  }
  g: number
  plannedG: number
  cm3: number
  gPerCm3: number
  plannedGPerCm3: number
  /**
   * how far its skin still goes in, all round
   */
  feltInMm: number
  /**
   * to weigh out and lay round
   */
  addG: number
  says: string[]
}
export interface PartChecked {
  /**
   * what looks like a slipped digit, or empty
   */
  asks: string
  kept: boolean
  check: PartCheck
}
export interface MeasuredParts {
  parts: {
    uuid: string
    twin: boolean
    at: number
    check: PartCheck
  }[]
}
export interface Photos {
  photos: {
    id: number
    picture: number
    at: number
    check: PhotoFound
  }[]
}
export interface Signs {
  signs: {
    sign: string
    title: string
    about: 'part' | 'detail' | 'figure'
    asks: {
      name: string
      label: string
      unit: string
      usual: number
      most: number
    }[]
  }[]
}
export interface Remedies {
  remedies: {
    way: string
    steps: string[]
    dont: string
    minutes: number
    /**
     * of wool that is laid on
     */
    mg: number
    /**
     * key of its colour, or empty
     */
    colour: string
    needle: null | {
      gauge: number
      stabs: string
    }
  }[]
}
export interface MendMade {
  noted: boolean
  takenFromStash: boolean
}
export interface Revisions {
  revisions: {
    revision: number
    at: number
    /**
     * in words
     */
    changes: string[]
  }[]
}
export interface Revision {
  document: Figure
  totalG: number
  /**
   * wool by wool what it took, and what the figure takes now
   */
  wool: {
    name: string
    hex: string | null
    wasG: number
    isG: number
  }[]
}
export interface Shown {
  /**
   * of a jar, a pot, a cushion
   */
  fits?: boolean
  says: string[]
  cures: string[]
  /**
   * the narrowest it goes through, turned as is best
   */
  openingMm?: number
  squeezeMm?: number
  /**
   * the narrowest tube it stands in
   */
  roundMm?: number
  wideMm?: number
  highMm?: number
  /**
   * a disc of felt for the floor
   */
  discMm?: number
  askewDeg?: number
  /**
   * where it hangs straight
   */
  atMm?: number[]
  cordMm?: number
  g?: number
  pinMm?: number | null
  backingMm?: number
  /**
   * how tall it stands for in a house of that scale
   */
  lifeMm?: number
  factor?: number | null
  /**
   * across the ball of a pot
   */
  ballMm?: number
  ballG?: number
  /**
   * for the ring in it
   */
  wireMm?: number
  /**
   * of a cushion
   */
  stuffingG?: number
  coverG?: number
  seamMm?: number
  threadMm?: number
  /**
   * a height of the figure at which it fits
   */
  toMm?: number | null
}
export interface Things {
  things: {
    name: string
    parts: string[]
    /**
     * the part it is joined to; empty where it is loose
     */
    holder: string
    widthMm: number
    heightMm: number
    /**
     * its greatest size by the thickness of what holds it
     */
    times: number
    /**
     * no larger than the hand that holds it
     */
    isLost: boolean
  }[]
}
export interface ThingTaken {
  document: Figure
}
/**
 * amounts of one part
 */
export interface SewnPattern {
  part: string
  name: string
  /**
   * how many are made: two of a pair
   */
  parts: number
  pieces: {
    name: string
    of: 'felt' | 'card'
    count: number
    outlineMm: FlatOutline
    cutMm: FlatOutline
    cutCm2: number
  }[]
  seams: {
    name: string
    lengthMm: number
    stitches: number
    threadMm: number
  }[]
  threadMm: number
  stuffingG: number
}
export interface KitTold {
  kit: Kit
  shopping: Shopping
}
export interface SetMember {
  /**
   * number of a figure on the shelf
   */
  figure: number
  name?: string
  count?: number
  heightMm?: number | null
  colours?: {
    [k: string]: string
  }
  [k: string]: unknown
}
export interface SetKept {
  /**
   * under which it stands: a PUT says it
   */
  asideRevision: string
  /**
   * grams set aside for it
   */
  asideG: number
  id: number
  name: string
  revision: number
  members: SetMember[]
}
export interface Sets {
  sets: SetKept[]
}
export interface SetSittings {
  sittings: {
    minutes: number
    rows: {
      title: string
      minutes: number
    }[]
  }[]
}
export interface ColourwaysTold {
  /**
   * hex by colour key, one for each figure
   */
  colourways: {
    [k: string]: string
  }[]
}
export interface Closing {
  /**
   * under which it stands: a PUT says it
   */
  revision: string
  /**
   * what is not done yet first
   */
  left: {
    kind: string
    text: string
    done: boolean
    safety: boolean
    /**
     * whether it is ticked by hand
     */
    look: boolean
  }[]
  /**
   * what to change next time
   */
  next: string
}
export interface Diary {
  minutes: number
  plannedMinutes: number
  /**
   * the steps that were worked at, against what was planned for them
   */
  took: 'nothing' | 'longer' | 'shorter' | 'as planned'
  /**
   * of broken needles that were not found: the figure is not safe yet
   */
  tipsMissing: number
  steps: {
    key: string
    title: string
    planned: number
    done: number
  }[]
  sittings: {
    from: number
    to: number
    minutes: number
    steps: {
      key: string
      minutes: number
    }[]
    entries: LogEntry[]
    /**
     * what became otherwise of the figure meanwhile
     */
    changed: string[]
  }[]
}
export interface StepPicture {
  svg: string
}
export interface Pulled {
  document: Figure
}
export interface Wools {
  wools: Wool[]
}
export interface Session {
  accounts: boolean
  felter: null | {
    name: string
    email: string
    picturesMb: number
    mostMb: number
  }
}
export interface Told {
  told: string
}
export interface SharedLink {
  id: number
  at: string
  seenAt: string | null
}
export interface SharedLinks {
  links: SharedLink[]
  address?: string
}
export interface BreakdownQueued {
  breakdown: string
}
export interface BreakdownAtWork {
  doing: string
  share: number
}
export interface Devices {
  address: string
  fingerprint: string
  isHere: boolean
  devices: {
    id: number
    name: string
    pairedAt: string
    seenAt: string | null
  }[]
}
export interface PairingCode {
  code: string
  endsAt: string
}
export interface Paired {
  paired: boolean
}
export interface Place {
  page: string
  name: string
}
export interface ArchivePreview {
  figures: {
    uuid: string
    name: string
    state: 'new' | 'same' | 'conflict' | 'refused'
    why: string
  }[]
  wools: {
    new: number
    same: number
    conflict: number
  }
  sets: {
    new: number
    same: number
    conflict: number
  }
  pictures: number
  pieces: number
}
export interface ArchiveTaken {
  taken: number
  same: number
  kept: number
  refused: number
}
export interface CopiesTold {
  copies: {
    name: string
    at: string
    mb: number
  }[]
  isDue: boolean
}
