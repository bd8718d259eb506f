// Made from formats/impa-photo-check-1.schema.json by npm run types. Do not edit.

/**
 * A photo of a finished figure against its plan, version 1.
 */
export interface ImpaPhotoCheck {
  format: 'impa-photo-check'
  version: 1
  figure: string
  view: 'front' | 'side' | 'back' | 'top'
  /**
   * what to say first; checks that were kept before it was told have none
   */
  verdict?: {
    is: 'as-planned' | 'look' | 'cannot-tell'
    text: string
  }
  /**
   * intersection over union of what is planned and what is seen
   */
  overlap: number
  mmPerPx: number
  /**
   * how the figure is turned on the photo, anticlockwise
   */
  tiltDeg: number
  /**
   * what tells the scale: a marker sheet, a ruler, a part that was measured, or only the figure itself
   */
  scaledBy: 'sheet' | 'ruler' | 'part' | 'figure'
  /**
   * the worst first
   */
  deviations: {
    part: string
    /**
     * key of the detail, where it is about one
     */
    detail?: string
    /**
     * of a pair, the mirrored one
     */
    twin: boolean
    what: 'width' | 'height' | 'across' | 'level' | 'tilt' | 'colour' | 'missing'
    /**
     * wider, higher, farther right, higher up: above 0
     */
    mm?: number
    /**
     * anticlockwise: above 0
     */
    deg?: number
    /**
     * CIEDE2000
     */
    difference?: number
    text: string
    /**
     * where, in pixels of the photo
     */
    atPx: number[]
    /**
     * the sign at the mend desk that goes with it, and what is answered there already
     */
    mend: null | {
      sign: string
      about: string
      answers: {
        [k: string]: number
      }
    }
  }[]
  /**
   * the figure against itself, left against right, the worst first
   */
  symmetry: {
    part: string
    detail?: string
    what: 'width' | 'height' | 'level' | 'across' | 'bulge'
    /**
     * the left one, or the left flank, more than the right: above 0
     */
    mm: number
    text: string
  }[]
  /**
   * what this photo does not tell, in words
   */
  unjudged: string[]
  /**
   * what is seen of every rim of the plan, where it should be, as lines in pixels of the photo; one that is seen all round ends where it began
   */
  outline: number[][][]
}
