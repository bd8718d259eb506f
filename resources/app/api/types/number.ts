// Made from formats/impa-number-1.schema.json by npm run types. Do not edit.

/**
 * impa-number version 1: how a number came about. Lengths in mm, areas in cm2, volumes in cm3, masses in g, times in minutes, angles in degrees. Texts are in the language and units of whoever asks.
 */
export interface NumberCard {
  format: 'impa-number'
  version: 1
  title: string
  is: number
  /**
   * as a hand can use it
   */
  text: string
  /**
   * the sum in words and with its values, the whole first
   */
  lines: {
    name: string
    words: string
    values: string
    is: string
    [k: string]: unknown
  }[]
  /**
   * what was put into it, and where that comes from
   */
  from: {
    name: string
    value: string
    source: 'figure' | 'shapes' | 'published' | 'common' | 'house' | 'own'
    sourceName: string
    text: string
    [k: string]: unknown
  }[]
  /**
   * how far it may be off
   */
  off: string
  /**
   * what would make it surer
   */
  surer: string
  trace: Trace
  [k: string]: unknown
}
/**
 * the sum itself: whoever follows it comes to the number
 */
export interface Trace {
  code: string
  /**
   * layer: cm2 by mm, in cm3; exponential: e to the power of it; lean: degrees whose tangent it is
   */
  by:
    | 'given'
    | 'sum'
    | 'difference'
    | 'product'
    | 'layer'
    | 'quotient'
    | 'power'
    | 'most'
    | 'least'
    | 'exponential'
    | 'lean'
  is: number
  of: Trace[]
  [k: string]: unknown
}
