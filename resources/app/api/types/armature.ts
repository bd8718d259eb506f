// Made from formats/impa-armature-1.schema.json by npm run types. Do not edit.

/**
 * @minItems 3
 * @maxItems 3
 */
export type Place = [number, number, number]

/**
 * impa-armature version 1: the wires of a figure, what to cut for each, whether it holds, what it goes through; and how to cut them from the stock. Length mm, mass g.
 */
export interface Armature {
  format: 'impa-armature'
  version: 1
  figure: string
  /**
   * whether the wires are the document's own, or proposed
   */
  drawn: boolean
  wires: WirePlan[]
  cuts: {
    stockMm: number
    pieces: number[]
    wasteMm: number
  }[]
}
export interface WirePlan {
  key: string
  name: string
  count: number
  pathMm: Place[]
  /**
   * from end to end along its course
   */
  lengthMm: number
  /**
   * of each, fold-backs and loops included; a doubled one in one piece
   */
  cutMm: number
  gaugeMm: number
  /**
   * the nearest American wire gauge (ASTM B258)
   */
  awg: number
  material: 'pipe-cleaner' | 'paper-covered' | 'steel' | 'copper' | 'aluminium'
  doubled: boolean
  massG: number
  /**
   * that stands out of what holds it
   */
  freeMm: number
  carriesG: number
  /**
   * how far its end sinks, held out level
   */
  sagMm: number
  staysAsBent: boolean
  /**
   * the thinnest of its material that is sold and holds
   */
  adviceMm: number | null
  adviceAwg: number | null
  text: string
  through: {
    part: string
    holes: Place[]
  }[]
  /**
   * of flat ribbon, where it is wrapped
   */
  ribbonM: number
}
