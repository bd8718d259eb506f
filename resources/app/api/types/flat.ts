// Made from formats/impa-flat-1.schema.json by npm run types. Do not edit.

/**
 * @minItems 2
 * @maxItems 2
 */
export type Point = [number, number]
/**
 * finished
 */
export type Outline = Point[]
export type Outline1 = Point[]
/**
 * width and height as it is cut or laid
 *
 * @minItems 2
 * @maxItems 2
 */
export type Point1 = [number, number]

/**
 * A figure of layers, ready to be cut, laid and stitched, version 1. Places in the figure's frame, mm, y up; sheets from their lower left corner.
 */
export interface ImpaFlat {
  format: 'impa-flat'
  version: 1
  figure: string
  way: 'sheet' | 'batting'
  /**
   * share of its length by which a piece draws in
   */
  shrink: number
  /**
   * how many times its finished length a piece is cut or laid
   */
  laidTimes: number
  overlapMm: number
  /**
   * from the ground up, in the order in which they are laid
   */
  layers: {
    part: string
    name: string
    isTwin: boolean
    colour: string
    /**
     * how many layers lie beneath it at most
     */
    level: number
    areaCm2: number
    rimMm: number
    outlineMm: Outline
    /**
     * of what is left once the openings are cut, and of the holes in it: within an odd number of them is felt
     */
    rimsMm: Outline1[]
    laidMm: Point1
    on: string[]
    stitches: number
    /**
     * tails included
     */
    threadMm: number
  }[]
  openings: {
    key: string
    outlineMm: Outline1
    rimMm: number
  }[]
  /**
   * a pair as it is suggested; none where the ground is too small
   */
  eyeHoles: {
    key: string
    name: string
    pointsMm: Outline1
  }[]
  /**
   * of all pieces of each together
   */
  cords: {
    detail: string
    name: string
    colour: string
    widthMm: number
    lengthMm: number
    mg: number
  }[]
  embroidery: {
    detail: string
    name: string
    colour: string
    isKnot: boolean
    stitches: number
    threadMm: number
  }[]
  thread: {
    stitch: 'none' | 'running' | 'back' | 'whip' | 'blanket'
    stitchMm: number
    stitches: number
    threadMm: number
    needlefuls: number
  }
  ribbon: {
    widthMm: number
    /**
     * of each end, from its hole
     */
    lengthMm: number
    holeMm: number
    holesMm: Outline1
    /**
     * knots included
     */
    totalMm: number
    suggested: {
      ties: Outline1
      top: Outline1
    }
  }
  sheet: {
    widthMm: number
    heightMm: number
    hasGrain: boolean
  }
  /**
   * by colour; none where the layers are laid from batting
   */
  sheets: {
    colour: string
    /**
     * why they cannot be cut from such a sheet
     */
    trouble: string | null
    sheets: number
    /**
     * of the last sheet that is used
     */
    lengthMm: number
    /**
     * share of the used felt that is no piece
     */
    waste: number
    placed: {
      name: string
      sheet: number
      outlineMm: Outline1
      /**
       * what is cut through it later
       */
      cutsMm: Outline1[]
    }[]
  }[]
  notes: {
    code: string
    text: string
  }[]
}
