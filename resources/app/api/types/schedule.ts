// Made from formats/impa-schedule-1.schema.json by npm run types. Do not edit.

/**
 * impa-schedule version 1: a figure's steps laid into sittings for one pair of hands, with rests and what dries beside. Times in minutes from the beginning of the sitting; dates and hours as the felter's own clock shows them.
 */
export interface Schedule {
  format: 'impa-schedule'
  version: 1
  figure: string
  sittingMinutes: number
  /**
   * the shortest sitting into which every step fits that cannot be put down
   */
  leastSittingMinutes: number
  days: ('mon' | 'tue' | 'wed' | 'thu' | 'fri' | 'sat' | 'sun')[]
  /**
   * the day on which it is to be ready
   */
  by: string | null
  /**
   * of work
   */
  handsMinutes: number
  /**
   * 10th percentile of that
   */
  lowMinutes: number
  /**
   * 90th percentile of that
   */
  highMinutes: number
  /**
   * of all sittings: work, rests, waiting for what dries
   */
  elapsedMinutes: number
  /**
   * no order of the work takes less in so many sittings
   */
  lowerBoundMinutes: number
  sittings: Sitting[]
  drying: {
    key: string
    startMinute: number
    endMinute: number
    /**
     * counted from 0
     */
    sitting: number
  }[]
  /**
   * more than there are until it is to be ready
   */
  sittingsMissing: number
  helps: {
    kind: 'needles' | 'softer' | 'simpler' | 'sittings'
    text: string
    gainMinutes: number
  }[]
}
export interface Sitting {
  start: string
  end: string
  minutes: number
  steps: {
    key: string
    startMinute: number
    endMinute: number
  }[]
  rests: {
    startMinute: number
    endMinute: number
  }[]
}
