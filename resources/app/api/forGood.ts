/** Signed out, a page that is too old, too many at once, not now: asked again later, the same may be done. */
const LATER = [401, 408, 419, 421, 425, 429]

/**
 * Whether a refusal holds whenever it is asked again. What waits in this browser is dropped for that alone, and it is said; 0 is no
 * answer.
 */
export const isForGood = (status: number): boolean => status >= 400 && status < 500 && !LATER.includes(status)
