import { computed, ref, type ComputedRef, type Ref } from 'vue'
import type { Detail, Part } from '../../api/types/figure'

export interface Selection {
  kind: 'part' | 'detail'
  key: string
}

/** What is chosen on the table, what is hidden and what is locked. */
export function useSelection(parts: ComputedRef<Part[]>, details: ComputedRef<Detail[]>) {
  const selection = ref<Selection | null>(null)
  /** Chosen besides the selected one. */
  const also = ref<string[]>([])
  const hidden = ref<string[]>([])
  const locked = ref<string[]>([])

  /** Every chosen member of a kind that is still there, the selected one first. */
  const allOf = (kind: Selection['kind'], list: ComputedRef<{ key: string }[]>) =>
    computed(() => {
      const first = selection.value
      if (first?.kind !== kind) return []
      return [first.key, ...also.value.filter((k) => k !== first.key && list.value.some((m) => m.key === k))]
    })
  const chosen = allOf('part', parts)
  const chosenDetails = allOf('detail', details)
  const selectedDetail = computed(() => details.value.find((d) => d.key === chosenDetails.value[0]) ?? null)
  const selectedPart = computed(() => {
    const key = selection.value?.kind === 'part' ? selection.value.key : selectedDetail.value?.on
    return parts.value.find((p) => p.key === key) ?? null
  })

  /** Chooses a part or a detail, or with others: adds it to them or lets it go. */
  function choose(key: string, withOthers = false, kind: Selection['kind'] = 'part'): void {
    const before = kind === 'part' ? chosen.value : chosenDetails.value
    if (!withOthers || !before.length) {
      selection.value = { kind, key }
      also.value = []
    } else if (before.includes(key)) {
      const [first, ...rest] = before.filter((k) => k !== key)
      selection.value = first === undefined ? null : { kind, key: first }
      also.value = rest
    } else {
      also.value = [...before.slice(1), key]
    }
  }

  function clear(): void {
    selection.value = null
    also.value = []
    hidden.value = []
    locked.value = []
  }

  const flip = (list: Ref<string[]>) => (key: string) => {
    list.value = list.value.includes(key) ? list.value.filter((k) => k !== key) : [...list.value, key]
  }

  return {
    selection,
    also,
    hidden,
    locked,
    chosen,
    chosenDetails,
    selectedPart,
    selectedDetail,
    choose,
    clear,
    hide: flip(hidden),
    lock: flip(locked),
  }
}
