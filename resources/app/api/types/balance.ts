// Made from formats/impa-balance-1.schema.json by npm run types. Do not edit.

/**
 * impa-balance version 1: how a figure stands. Lengths in mm, masses in g, angles in degrees. x to the right as the viewer sees it, y up, z towards the viewer. Directions on the table are counted from +x to +z.
 */
export interface BalanceSheet {
  format: 'impa-balance'
  version: 1
  figure: string
  massG: number
  /**
   * centre of mass
   *
   * @minItems 3
   * @maxItems 3
   */
  centreMm: [number, number, number]
  /**
   * least lean at which it tips, over whichever edge; negative where it falls at once
   */
  tipDeg: number
  /**
   * below which lean a figure falls, and is touchy
   */
  limitsDeg: {
    falls: number
    touchy: number
    [k: string]: unknown
  }
  mustStand: boolean
  stands: boolean
  touchy: boolean
  /**
   * hull of what touches the table, x and z, anticlockwise
   */
  footprintMm: [number, number][]
  /**
   * the lean at which it tips to each side, every 5 degrees
   */
  rose: {
    towardsDeg: number
    tipDeg: number
    [k: string]: unknown
  }[]
  /**
   * push sideways that it stands, in shares of gravity
   */
  shakeG: number
  /**
   * how far any side may stick out over a shelf's edge
   */
  shelfMm: number
  /**
   * what is said where no cure is enough; empty else
   */
  noCure: string
  cures: {
    kind: 'footing' | 'flatten' | 'weight' | 'washers' | 'carry' | 'feet' | 'both'
    amount: number
    unit: 'mm' | 'g'
    tipDeg: number
    text?: string
    [k: string]: unknown
  }[]
  hang: {
    /**
     * where it hangs straight from
     *
     * @minItems 3
     * @maxItems 3
     */
    atMm: [number, number, number]
    /**
     * how far askew it hangs by its topmost place
     */
    askewDeg: number
    [k: string]: unknown
  }
  [k: string]: unknown
}
