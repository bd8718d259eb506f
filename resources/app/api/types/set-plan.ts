// Made from formats/impa-set-plan-1.schema.json by npm run types. Do not edit.

/**
 * A set planned as one, version 1. Grams and minutes are of all of it, unrounded.
 */
export interface ImpaSetPlan {
  format: 'impa-set-plan'
  version: 1
  name: string
  /**
   * figures in all
   */
  pieces: number
  members: {
    name: string
    count: number
    heightMm: number
    /**
     * of one
     */
    g: number
    /**
     * for how many of them the stash is enough
     */
    enoughFor: number
    colours: {
      key: string
      name: string
      hex: string
    }[]
  }[]
  /**
   * the one ledger, insides first
   */
  wool: {
    /**
     * number in the stash
     */
    wool: number | null
    name: string
    material: string
    hex: string | null
    /**
     * likely
     */
    g: number
    lowG: number
    highG: number
    /**
     * likely, and the reserve
     */
    wantG: number
    freeG: number
    lackG: number
    state: 'none' | 'enough' | 'tight' | 'short'
  }[]
  totalG: number
  enough: {
    pieces: number
    text: string
  }
  order: {
    /**
     * with laying ready, each figure from beginning to end
     */
    oneByOneMinutes: number
    /**
     * like pieces together
     */
    minutes: number
    savedMinutes: number
    rows: {
      title: string
      kind: string
      hex: string | null
      gauge: number | null
      minutes: number
      pieces: number
      /**
       * places in the list of members
       */
      members: number[]
    }[]
  }
  notes: string[]
}
