// Made from formats/impa-figure-2.schema.json by npm run types. Do not edit.

export type Firmness = 'squishy' | 'soft' | 'springy' | 'firm' | 'hard'
export type Cover = number
export type Core = 'core-wool' | 'scrap' | 'stuffing' | 'foam' | 'none'
export type FaceSchool = 'loose-head' | 'face-first' | 'limbs-first'
export type JoinBy = 'fluff' | 'slit' | 'neck' | 'wrap' | 'sandwich' | 'sew' | 'glue' | 'wire'
export type Length = number
export type Key = string
/**
 * @minItems 2
 * @maxItems 2
 */
export type Point = [Place, Place]
export type Place = number
export type Angle = number

/**
 * impa-figure version 2: a felted figure. Lengths in mm, angles in degrees. Frame: origin on the table under the figure's middle, x to the viewer's right, y up, z towards the viewer. Members not named here are kept.
 */
export interface Figure {
  format: 'impa-figure'
  version: 2
  name: string
  /**
   * finished height
   */
  heightMm: number
  pose?: 'stand' | 'sit' | 'lie' | 'hang'
  firmness?: Firmness
  coverMm?: Cover
  core?: Core
  school?: {
    face?: FaceSchool
    /**
     * whether thin plates are steamed to shape; else they are bent dry
     */
    plates?: 'steam' | 'dry'
    join?: JoinBy
    [k: string]: unknown
  }
  /**
   * what was done to it so that it stands
   */
  base?: {
    /**
     * so much of its lowest parts lies flat on the table
     */
    flattenMm?: number
    /**
     * hidden in it
     *
     * @maxItems 40
     */
    weights?: {
      /**
       * what is ticked of it goes by
       */
      key: string
      g: number
      /**
       * @minItems 3
       * @maxItems 3
       */
      atMm: [number, number, number]
      [k: string]: unknown
    }[]
    [k: string]: unknown
  }
  /**
   * what the felter chose about the order of the work
   */
  work?: {
    /**
     * steps that she pulled forward before another, or put off until after it; later ones win
     *
     * @maxItems 400
     */
    pulled?: {
      [k: string]: unknown
    }[]
    [k: string]: unknown
  }
  /**
   * made of layers on a ground (mask, badge, bookmark, patch, picture): its flat parts are cut from sheet or laid from batting
   */
  flat?: {
    way: 'sheet' | 'batting'
    /**
     * how far a layer goes on beneath its neighbours
     */
    overlapMm?: number
    /**
     * share of its length by which a piece draws in while it is felted
     */
    shrink?: number
    /**
     * a piece as it was laid and as it came out: what it drew in by is taken in place of shrink
     */
    measured?: {
      laidMm: Length
      cameMm: Length
      [k: string]: unknown
    }
    /**
     * what holds the rims of the layers; none: stabs
     */
    stitch?: 'none' | 'running' | 'back' | 'whip' | 'blanket'
    /**
     * from stitch to stitch
     */
    stitchMm?: number
    /**
     * cut right through, such as eye holes, seen from the front
     *
     * @maxItems 40
     */
    openings?: {
      key: Key
      name?: string
      /**
       * @minItems 3
       * @maxItems 400
       */
      pointsMm: [Point, Point, Point, ...Point[]]
      [k: string]: unknown
    }[]
    /**
     * ties, or the ribbon of a bookmark
     */
    ribbon?: {
      widthMm: number
      /**
       * of each end, from its hole
       */
      lengthMm: number
      /**
       * @maxItems 20
       */
      holesMm:
        | []
        | [Point]
        | [Point, Point]
        | [Point, Point, Point]
        | [Point, Point, Point, Point]
        | [Point, Point, Point, Point, Point]
        | [Point, Point, Point, Point, Point, Point]
        | [Point, Point, Point, Point, Point, Point, Point]
        | [Point, Point, Point, Point, Point, Point, Point, Point]
        | [Point, Point, Point, Point, Point, Point, Point, Point, Point]
        | [Point, Point, Point, Point, Point, Point, Point, Point, Point, Point]
        | [Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point]
        | [Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point]
        | [Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point]
        | [Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point]
        | [Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point, Point]
        | [
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point
          ]
        | [
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point
          ]
        | [
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point
          ]
        | [
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point
          ]
        | [
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point,
            Point
          ]
      [k: string]: unknown
    }
    [k: string]: unknown
  }
  /**
   * @maxItems 200
   */
  colours: Colour[]
  /**
   * @maxItems 200
   */
  parts: Part[]
  /**
   * @maxItems 400
   */
  details?: Detail[]
  /**
   * @maxItems 100
   */
  wires?: Wire[]
  picture?: Picture
  sidePicture?: Picture
  [k: string]: unknown
}
export interface Colour {
  key: Key
  name?: string
  hex: string
  /**
   * darker and lighter places of it in the drawing, which are one wool with it, by their shares of the colour
   *
   * @maxItems 2
   */
  shades?:
    | []
    | [
        {
          name: string
          hex: string
          share: number
          [k: string]: unknown
        }
      ]
    | [
        {
          name: string
          hex: string
          share: number
          [k: string]: unknown
        },
        {
          name: string
          hex: string
          share: number
          [k: string]: unknown
        }
      ]
  /**
   * what it is felted from, by the wools' names in the stash; the nearest wool where it is missing
   *
   * @maxItems 3
   */
  mix?:
    | []
    | [
        {
          wool: string
          percent: number
          [k: string]: unknown
        }
      ]
    | [
        {
          wool: string
          percent: number
          [k: string]: unknown
        },
        {
          wool: string
          percent: number
          [k: string]: unknown
        }
      ]
    | [
        {
          wool: string
          percent: number
          [k: string]: unknown
        },
        {
          wool: string
          percent: number
          [k: string]: unknown
        },
        {
          wool: string
          percent: number
          [k: string]: unknown
        }
      ]
  [k: string]: unknown
}
export interface Part {
  key: Key
  name?: string
  shape: Shape
  /**
   * middle of the shape
   */
  at: {
    xMm: Place
    yMm: Place
    zMm?: Place
    [k: string]: unknown
  }
  /**
   * applied z (in the picture plane), then x, then y
   */
  turnDeg?: {
    x?: Angle
    y?: Angle
    z?: Angle
    [k: string]: unknown
  }
  /**
   * a second piece at -x
   */
  mirror?: boolean
  colour: Key
  core?: Core
  coverMm?: Cover
  firmness?: Firmness
  finish?: 'smooth' | 'rough' | 'fluffy' | 'loops' | 'tufts'
  /**
   * what covers it, where that is not plain felt; numbers that are missing are the house's
   */
  covering?: {
    way?: 'felt' | 'loops' | 'tufts' | 'locks' | 'curls' | 'hair' | 'film' | 'pre-felt' | 'wrap' | 'plait'
    /**
     * height of a loop; length of a tuft, lock or hair from the fold to its end, of a curl unrolled
     */
    lengthMm?: number
    /**
     * loops, tufts, locks or curls
     */
    perCm2?: number
    mgEach?: number
    /**
     * width of a wrapping ribbon, of a lay of hair, of a strand
     */
    ribbonMm?: number
    overlap?: number
    [k: string]: unknown
  }
  /**
   * the accessory it belongs to
   */
  group?: string
  join?: {
    to: Key
    by?: JoinBy
    /**
     * felted onto it, so that what would lie within is not made; false: it goes in as it is; missing: by its join, its shape, and how much lies within
     */
    onto?: boolean
    [k: string]: unknown
  }
  /**
   * when what lies on it is laid, where that is not as for the figure
   */
  school?: {
    face?: FaceSchool
    [k: string]: unknown
  }
  seen?: Seen
  [k: string]: unknown
}
export interface Shape {
  kind:
    | 'ball'
    | 'egg'
    | 'sausage'
    | 'drum'
    | 'drumstick'
    | 'cone'
    | 'drop'
    | 'dome'
    | 'gumdrop'
    | 'cup'
    | 'block'
    | 'ring'
    | 'arc'
    | 'plate'
    | 'cord'
    | 'strip'
    | 'sheet'
  widthMm: Length
  heightMm: Length
  depthMm: Length
  /**
   * egg: -0.6 narrow foot to 0.6 narrow head
   */
  taper?: number
  /**
   * drumstick, cup: upper end
   */
  topMm?: number
  /**
   * drumstick, cup: lower end
   */
  bottomMm?: number
  /**
   * cup: radius of its rims; block: radius of the edges round its front and back
   */
  edgeMm?: number
  /**
   * block: radius of its corners, seen from the front
   */
  cornerMm?: number
  /**
   * arc, cord: bend between the ends
   */
  bendDeg?: number
  /**
   * plate, strip, sheet: a named outline or points, stretched to width and height
   */
  outline?: ('disc' | 'triangle' | 'leaf' | 'heart' | 'rectangle') | [Point, Point, Point, ...Point[]]
  [k: string]: unknown
}
/**
 * why the break-down suggested this, and whether the felter took it
 */
export interface Seen {
  /**
   * how likely it is there: of those at 0.8 four of five were, among made-up characters
   */
  confidence?: number
  why?: string
  taken?: boolean
  /**
   * a part's, while neither the felter nor a drawing from the side said how deep it is and how far forwards it stands
   */
  depth?: 'guessed'
  /**
   * what it may be instead where that is unsure: another kind of shape, `detail` of a part, `part` of a detail
   */
  else?: string
  [k: string]: unknown
}
export interface Detail {
  key: Key
  name?: string
  on: Key
  kind: 'disc' | 'patch' | 'line' | 'bead' | 'eye'
  widthMm?: Length
  heightMm?: Length
  xMm?: Place
  yMm?: Place
  turnDeg?: Angle
  /**
   * @minItems 2
   * @maxItems 400
   */
  pointsMm?: [Point, Point, ...Point[]]
  /**
   * a curve through the points (Catmull-Rom, uniform) instead of straight lines
   */
  smooth?: boolean
  /**
   * line: its width at each point
   *
   * @minItems 2
   * @maxItems 400
   */
  widthsMm?: [Length, Length, ...Length[]]
  /**
   * patch: what is left open in it, such as teeth; the ground shows
   *
   * @maxItems 40
   */
  holesMm?: [Point, Point, Point, ...Point[]][]
  /**
   * what it is to the felter, whatever she calls it
   */
  role:
    | 'other'
    | 'eye'
    | 'eye-white'
    | 'pupil'
    | 'spark'
    | 'lid'
    | 'brow'
    | 'nose'
    | 'mouth'
    | 'cheek'
    | 'spot'
    | 'seam'
    | 'rim'
  /**
   * what was chosen where it slides round the edge: seen right, or right on the tape
   */
  keep?: 'drawn' | 'size'
  /**
   * codes of advice on how it looks that were set aside: it is meant so, as a wink is not level
   *
   * @maxItems 40
   */
  meant?: string[]
  /**
   * the expression it was made from, so that it can be varied
   */
  piece?: {
    /**
     * details of one piece share it
     */
    key: string
    kind: string
    values?: {
      [k: string]: number
    }
    [k: string]: unknown
  }
  colour: Key
  /**
   * counts outwards from the ground
   */
  layer?: number
  mirror?: boolean
  method?: 'felt' | 'bead' | 'ready-made' | 'stitch' | 'paint' | 'pin'
  side?: 'front' | 'back' | 'left' | 'right' | 'top' | 'under'
  seen?: Seen
  [k: string]: unknown
}
/**
 * a wire by its course in the figure's frame, from end to end
 */
export interface Wire {
  key: Key
  name?: string
  material?: 'pipe-cleaner' | 'paper-covered' | 'steel' | 'copper' | 'aluminium'
  gaugeMm?: number
  /**
   * @minItems 2
   * @maxItems 200
   */
  pointsMm: [[number, number, number], [number, number, number], ...[number, number, number][]]
  doubled?: boolean
  /**
   * across a loop at its last point
   */
  endLoopMm?: number
  /**
   * the colour that is wound round it
   */
  wrapped?: string
  mirror?: boolean
  [k: string]: unknown
}
export interface Picture {
  file?: string
  widthPx: number
  heightPx: number
  mmPerPx: number
  /**
   * @minItems 2
   * @maxItems 2
   */
  originPx: [number, number]
  /**
   * SHA-256 of the file
   */
  hash?: string
  /**
   * of a side view: whether the character looks to the left
   */
  facesLeft?: boolean
  /**
   * what was asked when the drawing was broken down
   */
  wishes?: {
    shades?: number
    figure?: number
    roundToMm?: number
    /**
     * in layers, not in the round
     */
    flat?: 'sheet' | 'batting'
    /**
     * what may be a shadow, a halo, paper or a speck belongs to the figure
     */
    keepsUnsure?: boolean
    /**
     * what each figure of a turnaround sheet shows, from the left
     *
     * @maxItems 200
     */
    views?: ('front' | 'left' | 'right' | 'back' | 'none')[]
    /**
     * what the felter said of places on it, in order
     *
     * @maxItems 40
     */
    brushes?: Brush[]
    [k: string]: unknown
  }
  /**
   * specks that the break-down left out
   *
   * @maxItems 200
   */
  leftOut?: {
    xMm?: Place
    yMm?: Place
    widthMm?: Place
    colour?: string
    [k: string]: unknown
  }[]
  [k: string]: unknown
}
export interface Brush {
  as: 'paper' | 'figure' | 'ink'
  /**
   * share of the picture's longer side
   */
  width: number
  /**
   * shares of the width from the left and of the height from the top
   *
   * @minItems 1
   * @maxItems 500
   */
  points: [[number, number], ...[number, number][]]
  [k: string]: unknown
}
