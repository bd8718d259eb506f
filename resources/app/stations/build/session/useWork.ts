import { computed, ref } from 'vue'
import { api } from '../../../api/client'
import { useAnswer } from '../../../api/useAnswer'
import { useFigure } from '../../../state/figure/figure'
import { inWords } from '../../../shared/useAsyncAction'

/** The steps of the figure on the table, in order, the schools it follows, and what a change of one did. */
export function useWork() {
  const figure = useFigure()
  const told = ref('')
  const asked = ref(0)
  const { answer, trouble, waiting } = useAnswer(
    [() => figure.document, asked],
    () => (figure.document ? api.build(figure.document) : null),
    true,
  )

  async function changeSchool(question: string, value: string): Promise<void> {
    try {
      const chosen = await figure.edit((now) => api.chooseSchool(now, question, value))
      told.value = chosen?.changed ?? ''
    } catch (error) {
      told.value = inWords(error)
    }
  }

  return {
    steps: computed(() => answer.value?.sheet.steps ?? []),
    schools: computed(() => answer.value?.schools ?? []),
    /** What the last change did: told once the steps are there in their new order. */
    changed: computed(() => (waiting.value ? '' : told.value)),
    isThere: computed(() => answer.value !== null),
    trouble,
    waiting,
    changeSchool,
    /** What the steps hang on besides the figure has changed, such as the needles at hand. */
    again: () => asked.value++,
    /** What was told of the last change has been read. */
    read: () => (told.value = ''),
  }
}
