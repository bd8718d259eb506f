<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { end, TOUR, tour } from '../../state/tour'

/** One bubble of the tour, beside what it is about. All that lies around it works as ever. */
const route = useRoute()
const router = useRouter()
const bubble = computed(() => TOUR[tour.value?.at ?? 0]!)
const isLast = computed(() => tour.value?.at === TOUR.length - 1)
const box = ref<DOMRect | null>(null)
const card = ref<HTMLElement>()
const place = ref<Record<string, string>>({})

const AWAY_PX = 12
/** The thing may come late, move and scroll: it is looked for again and again. */
function look(): void {
  const found = document.querySelector(bubble.value.beside)?.getBoundingClientRect() ?? null
  box.value = found && found.width > 0 ? found : null
  const [width, height] = [card.value?.offsetWidth ?? 320, card.value?.offsetHeight ?? 160]
  const [left, top] = box.value
    ? [box.value.left + box.value.width / 2 - width / 2, box.value.bottom + AWAY_PX]
    : [(innerWidth - width) / 2, (innerHeight - height) / 2]
  const above = box.value ? box.value.top - AWAY_PX - height : top
  const fits = top + height < innerHeight
  place.value = {
    left: `${Math.max(AWAY_PX, Math.min(innerWidth - width - AWAY_PX, left))}px`,
    top: `${Math.max(AWAY_PX, Math.min(innerHeight - height - AWAY_PX, fits ? top : above))}px`,
  }
}
const ring = computed(() => {
  if (!box.value) return null
  const { left, top, width, height } = box.value
  return { left: `${left - 4}px`, top: `${top - 4}px`, width: `${width + 8}px`, height: `${height + 8}px` }
})

async function show(): Promise<void> {
  if (!tour.value) return
  const to = `/figures/${tour.value.figure}/${bubble.value.station}`
  if (route.path !== to) await router.push(to)
  await nextTick()
  look()
  card.value?.querySelector<HTMLElement>('button:last-of-type')?.focus()
}
function onwards(): void {
  if (!tour.value) return
  if (isLast.value) {
    end()
    void router.push('/')
  } else tour.value = { ...tour.value, at: tour.value.at + 1 }
}
let timer = 0
onMounted(() => {
  void show()
  timer = window.setInterval(look, 250)
})
onBeforeUnmount(() => window.clearInterval(timer))
watch(() => tour.value?.at, show)
</script>

<template>
  <div v-if="ring" class="tour-ring" :style="ring" aria-hidden="true" />
  <section
    ref="card"
    class="bubble sheet"
    role="dialog"
    :aria-label="$t('shell.tourBubble.tour')"
    :style="place"
    @keydown.esc.stop="end"
  >
    <p aria-live="polite">{{ bubble.says }}</p>
    <div class="row">
      <span class="quiet small">{{
        $t('shell.tourBubble.of', { number: (tour?.at ?? 0) + 1, all: TOUR.length })
      }}</span>
      <v-spacer />
      <v-btn variant="text" size="small" @click="end">{{ $t('shell.tourBubble.skip') }}</v-btn>
      <v-btn color="primary" variant="flat" size="small" @click="onwards">{{
        isLast ? $t('shell.tourBubble.nowYours') : $t('shell.tourBubble.next')
      }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.tour-ring {
  position: fixed;
  z-index: 1900;
  border: 3px solid rgb(var(--v-theme-secondary));
  border-radius: 12px;
  pointer-events: none;
}
.bubble {
  position: fixed;
  z-index: 1901;
  width: min(22rem, calc(100vw - 24px));
  padding: 0.9rem 1rem 0.7rem;
  border: 2px solid rgb(var(--v-theme-secondary));
  display: grid;
  gap: 0.6rem;
}
</style>
