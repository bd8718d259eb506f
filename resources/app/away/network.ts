import { ref } from 'vue'

/** Whether this page comes from another machine, so that the network between them may go: said by the page itself. */
export const isAway = (): boolean => document.querySelector('meta[name=away]') !== null

/** Whether Impa answered when it was asked last. */
export const answers = ref(true)
