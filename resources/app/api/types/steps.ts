// Made from formats/impa-steps-1.schema.json by npm run types. Do not edit.

/**
 * the most first, by the wools' names in the stash; empty where nothing is mixed
 */
export type MixedWools = {
  name: string
  g: number
}[]

/**
 * impa-steps version 1: everything there is to do for a figure, in order, each step with what it needs, how it is done, what it should look like and what usually goes wrong. Length mm, mass g, time minutes, angle degrees.
 */
export interface StepsSheet {
  format: 'impa-steps'
  version: 1
  figure: string
  school: 'loose-head' | 'face-first' | 'limbs-first'
  steps: WorkStep[]
}
export interface WorkStep {
  key: string
  kind:
    | 'mix'
    | 'portion'
    | 'wire'
    | 'thread'
    | 'core'
    | 'weight'
    | 'loop'
    | 'cover'
    | 'felt'
    | 'compare'
    | 'mark'
    | 'detail'
    | 'steam'
    | 'slit'
    | 'join'
    | 'hide'
    | 'covering'
    | 'cut'
    | 'press'
    | 'stitch'
    | 'open'
    | 'ribbon'
    | 'flatten'
    | 'trim'
    | 'inspect'
  /**
   * of the work as a felter sees it
   */
  stage: 'insides' | 'colour' | 'face' | 'joining' | 'last'
  title: string
  /**
   * two sentences, none longer than twenty words
   */
  text: string
  /**
   * key of the part it is about; empty for the whole figure
   */
  part: string
  /**
   * key of the detail it is about, or empty
   */
  detail: string
  /**
   * keys of the steps that must be done before
   */
  after: string[]
  /**
   * why, where reach or the custom of the trade decides
   */
  because: {
    after: string
    text: string
  }[]
  /**
   * what stands in the needle's way here whatever the order
   */
  tight: string | null
  /**
   * what is amiss with the drawing where this step comes to it
   */
  amiss: string | null
  minutes: number
  /**
   * 10th percentile
   */
  lowMinutes: number
  /**
   * 90th percentile
   */
  highMinutes: number
  /**
   * of drying, during which other steps go on
   */
  waitMinutes: number
  canBePutDown: boolean
  needle: null | {
    /**
     * at hand
     */
    gauge: number
    /**
     * that suits best
     */
    wantedGauge: number
    /**
     * needles in the holder
     */
    holder: number
    stab: string
    /**
     * at most
     */
    depthMm: number
    /**
     * from the skin: 90 straight in
     */
    angleDeg: number
    stabs: {
      low: number
      likely: number
      high: number
    }
  }
  /**
   * on which side of the pad it is felted; empty where nothing is
   */
  pad: string
  /**
   * what is mixed at this step
   */
  mix: null | Mix
  /**
   * all that is weighed for it together
   */
  wantedG: number
  /**
   * how far that may be off and still be right
   */
  withinG: number
  weigh: {
    part: string
    /**
     * by which it is asked how its grams came about (POST number)
     */
    number: 'core' | 'cover' | 'covering' | 'film' | 'wisp'
    material: string
    colour: string | null
    /**
     * what she calls it: the colour, the wool chosen for it, or the mix
     */
    name: string
    /**
     * out of a felted sheet, not weighed off
     */
    isCut: boolean
    /**
     * of one piece
     */
    g: number
    pieces: number
    /**
     * of one piece, from the small first ball outwards
     */
    layersG: number[]
    /**
     * of one piece, the end that stays loose
     */
    fluffG: number
  }[]
  /**
   * what it should look like when it is done
   */
  look: string
  measureMm: null | {
    w: number
    h: number
    d: number
  }
  /**
   * what usually goes wrong here, and its cure
   */
  wrong: null | {
    sign: string
    cure: string
  }
  cautions: string[]
}
/**
 * wools that are mixed for a colour, before anything of it is weighed off
 */
export interface Mix {
  /**
   * key of the figure's colour
   */
  colour: string
  name: string
  /**
   * of all of it
   */
  g: number
  wools: MixedWools
  text: string
}
