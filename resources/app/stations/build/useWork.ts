import { computed, ref, shallowRef } from 'vue'
import { api } from '../../api/client'
import type { Figure } from '../../api/figure'
import { useAnswer } from '../../api/useAnswer'
import { useFigure } from '../../state/figure'

/** The steps of the figure on the table, in order, and what a change of school did to them. */
export function useWork() {
  const figure = useFigure()
  /** As it was before the school was changed: told along with the next question. */
  const before = shallowRef<Figure | null>(null)
  const asked = ref(0)
  const { answer, trouble, waiting } = useAnswer(
    [() => figure.document, asked],
    () => (figure.document ? api.build(figure.document, before.value ?? undefined) : null),
    true,
  )

  function changeSchool(face: NonNullable<NonNullable<Figure['school']>['face']>): void {
    before.value = figure.document
    figure.change((d) => (d.school = { ...d.school, face }))
  }

  return {
    steps: computed(() => answer.value?.sheet.steps ?? []),
    changed: computed(() => answer.value?.changed ?? ''),
    isThere: computed(() => answer.value !== null),
    trouble,
    waiting,
    changeSchool,
    /** What the steps hang on besides the figure has changed, such as the needles at hand. */
    again: () => asked.value++,
    /** What was told of the last change has been read. */
    read: () => (before.value = null),
  }
}
