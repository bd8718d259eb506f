// Made from formats/impa-kit-1.schema.json by npm run types. Do not edit.

/**
 * Kits of one figure for a workshop, version 1. Grams and minutes unrounded.
 */
export interface ImpaKit {
  format: 'impa-kit'
  version: 1
  figure: string
  people: number
  /**
   * people and spare
   */
  bags: number
  /**
   * share of those who begin
   */
  beginners: number
  /**
   * by how much a bag holds more than the plan's likely grams
   */
  factor: number
  /**
   * what lies in each bag, insides first
   */
  bag: {
    name: string
    hex: string | null
    eachG: number
    /**
     * across the loose ball it makes
     */
    clumpMm: number
  }[]
  /**
   * of all bags, in the order of bag
   */
  needs: {
    name: string
    hex: string | null
    g: number
    freeG: number
    lackG: number
  }[]
  /**
   * gauge of the one needle in each bag
   */
  needle: number
  /**
   * to bring, spares among them
   */
  needles: number
  packing: {
    what: string
    count: number
    note: string
  }[]
  /**
   * minutes from the beginning
   */
  run: {
    from: number
    to: number
    what: string
    note: string
  }[]
  minutes: number
  note: string
}
