// Made from formats/impa-hand-1.schema.json by npm run types. Do not edit.

/**
 * What finished pieces teach of a hand, version 1.
 */
export interface ImpaHand {
  format: 'impa-hand'
  version: 1
  /**
   * finished pieces that it was learned from
   */
  records: number
  effects: {
    quantity: 'density' | 'waste' | 'pace'
    /**
     * hand for the effect in everything; else a firmness, cover, or a kind of step
     */
    group: string
    /**
     * by what the house's numbers are multiplied: the median
     */
    factor: number
    /**
     * 10th percentile
     */
    lowFactor: number
    /**
     * 90th percentile
     */
    highFactor: number
    records: number
  }[]
  spread: {
    quantity: 'density' | 'waste' | 'pace'
    group: string
    /**
     * from piece to piece, of the logarithm
     */
    scatter: number
    /**
     * of the logarithm of the next piece, before anything was known
     */
    prior: number
    now: number
  }[]
  next: {
    preparation: string
    firmness: string
    cm3: number
    /**
     * of the next finished piece: the median
     */
    g: number
    /**
     * 10th percentile
     */
    lowG: number
    /**
     * 90th percentile
     */
    highG: number
  }
}
