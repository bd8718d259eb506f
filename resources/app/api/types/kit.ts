// Made from formats/impa-kit-1.schema.json by npm run types. Do not edit.

/**
 * the most first, by the wools' names in the stash; empty where nothing is mixed
 */
export type MixedWools = {
  name: string
  g: number
}[]

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
   * what lies in each bag, insides first, mixes last
   */
  bag: {
    name: string
    hex: string | null
    eachG: number
    /**
     * across the loose ball it makes
     */
    clumpMm: number
    wools: MixedWools
  }[]
  /**
   * for all bags, before anything is weighed off
   */
  mixes: Mix[]
  /**
   * of all bags, wool by wool
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
