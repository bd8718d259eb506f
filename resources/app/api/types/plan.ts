// Made from formats/impa-plan-1.schema.json by npm run types. Do not edit.

/**
 * the most first, by the wools' names in the stash; empty where nothing is mixed
 */
export type MixedWools = {
  name: string
  g: number
}[]

/**
 * impa-plan version 1: what a figure takes and how it is made. Grams are per piece, count says how many; masses are unrounded. Length mm, area cm2, volume cm3, mass g, wisps mg, time minutes, angle degrees.
 */
export interface Plan {
  format: 'impa-plan'
  version: 1
  figure: string
  heightMm: number
  parts: PartPlan[]
  details: DetailPlan[]
  wool: WoolTotal[]
  /**
   * everything there is to do, in an order that can be followed; what reach and custom want besides is in impa-steps
   */
  steps: Step[]
  balance: Balance
  minutes: {
    hands: number
    elapsed: number
  }
  /**
   * of how many records of her own hand weights and minutes were learned; 0: they are the house's
   */
  records?: {
    weights: number
    minutes: number
  }
  /**
   * key of the part that bears the face, or empty
   */
  face: string
  notes: Note[]
}
export interface PartPlan {
  key: string
  count: number
  volumeCm3: number
  areaCm2: number
  insideCm3: number
  coreMaterial: 'core-wool' | 'scrap' | 'stuffing' | 'foam' | 'none'
  coreG: number
  colour: string
  /**
   * of the felted cover, or of all of a solid part; 0 where something takes its place
   */
  coverG: number
  /**
   * of what is laid on, wound round or cut out
   */
  coveringG: number
  /**
   * of the part's colour in all: cover and covering
   */
  colourG: number
  finishedG: number
  looseMm: {
    w: number
    h: number
    d: number
  }
  minutes: number
  /**
   * how it sits in what it is joined to; the share of it within where that was asked; how thick it is made there, 0 as drawn
   */
  seat: {
    way: 'apart' | 'in' | 'onto' | 'hidden'
    within: number
    capMm: number
  }
}
export interface DetailPlan {
  key: string
  count: number
  woolMg: number
  /**
   * by tape from the middle line and from the crown, and straight from pin to pin; null off the part
   */
  marks: null | {
    acrossMm: number
    downMm: number
    pinMm: number
  }
  crisp: 'crisp' | 'soft' | 'lost' | 'too-small'
  /**
   * CIEDE2000 to the ground it lies on
   */
  difference: number
}
export interface WoolTotal {
  material: string
  colour: string | null
  /**
   * what she calls it: the colour, the wool chosen for it, or the mix
   */
  name: string
  wools: MixedWools
  g: number
  lowG: number
  highG: number
}
export interface Step {
  key: string
  title: string
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
  part: string
  detail: string
  after: string[]
  minutes: number
  waitMinutes: number
  needle: null | {
    gauge: number
    holder: number
    stab: string
  }
  weigh: {
    material: string
    colour: string | null
    g: number
    pieces: number
  }[]
  text: string
}
export interface Balance {
  massG: number
  centreMm: {
    x: number
    y: number
    z: number
  }
  tipDeg: number
  /**
   * what lies, hangs or is flat need not
   */
  mustStand: boolean
  stands: boolean
  touchy: boolean
}
export interface Note {
  code: string
  at: string
  text: string
}
