import { ref, watch, type Ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/** Something that lies open, kept in the address as well: who comes by it, from another device too, finds it open. */
export function useInAddress<T extends string>(name: string, first: T, isKnown: (value: string) => boolean): Ref<T> {
  const route = useRoute()
  const router = useRouter()
  const asked = () => {
    const said = route.query[name]
    return (typeof said === 'string' && isKnown(said) ? said : first) as T
  }
  const open = ref(asked()) as Ref<T>
  watch(open, (now) => {
    if (now !== asked()) void router.replace({ query: { ...route.query, [name]: now === first ? undefined : now } })
  })
  return open
}
