import { ref } from 'vue'
import type { SetKept } from '../../api/types/answers'

/** The set that was taken apart last, until the page is left: it can be put together again. */
export const takenApart = ref<SetKept | null>(null)
