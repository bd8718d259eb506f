<script setup lang="ts">
import type { Box } from '../api/types/answers'
import type { View } from '../api/client'

/** The figures that stand apart on a picture, framed, and what each is taken for. Lies over the picture. */
const props = defineProps<{ boxes: Box[]; views: View[]; chosen: number }>()
defineEmits<{ choose: [figure: number] }>()

const word = (i: number) => {
  const view = props.views[i]
  return view && view !== 'none' ? (view === 'front' || view === 'back' ? view : 'side') : String(i + 1)
}

/** The box of one figure on the picture, as percentages. */
const frame = ([left, top, right, bottom]: Box) => ({
  left: `${left * 100}%`,
  top: `${top * 100}%`,
  width: `${(right - left) * 100}%`,
  height: `${(bottom - top) * 100}%`,
})
</script>

<template>
  <button
    v-for="(box, i) in boxes"
    :key="i"
    class="plain which"
    :class="{ on: chosen === i + 1 || views[i] === 'front' }"
    :style="frame(box)"
    :aria-label="$t('seeing.figureFrames.onlyFigureFromTheLeft', { number: i + 1 })"
    @click="$emit('choose', i + 1)"
  >
    <span>{{ word(i) }}</span>
  </button>
</template>

<style scoped>
.which {
  position: absolute;
  border: 2px dashed rgb(var(--v-theme-secondary));
  border-radius: 10px;
  color: rgb(var(--v-theme-secondary));
}
.which span {
  position: absolute;
  bottom: 100%;
  left: 50%;
  transform: translateX(-50%);
  padding: 0 0.5em;
  border-radius: 8px 8px 0 0;
  background: rgb(var(--v-theme-secondary));
  color: rgb(var(--v-theme-on-secondary));
  font:
    600 0.95rem/1.5 'Fredoka',
    sans-serif;
}
.which:hover,
.which.on {
  background: rgba(var(--v-theme-secondary), 0.22);
}
</style>
