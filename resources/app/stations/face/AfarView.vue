<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { api } from '../../api/client'
import { bounds } from '../../drawing/geometry'
import { useFigure } from '../../state/figure/figure'
import { inWords } from '../../shared/useAsyncAction'
import { useUnits } from '../../state/units'

const units = useUnits()
/** The face as it will look in wool, from arm's length, across a table and across a room. */
const props = defineProps<{ part: string }>()
const figure = useFigure()
const metres = [0.3, 1, 3]
const seen = ref<Record<number, string>>({})
const trouble = ref('')
let turn = 0

async function look(): Promise<void> {
  const mine = ++turn
  const document = figure.document
  if (!document) return
  try {
    const pictures = await Promise.all(metres.map((m) => api.afar(document, props.part, m)))
    if (mine !== turn) return
    drop()
    seen.value = Object.fromEntries(metres.map((m, i) => [m, URL.createObjectURL(pictures[i]!)]))
    trouble.value = ''
  } catch (error) {
    if (mine === turn) trouble.value = inWords(error)
  }
}
function drop(): void {
  Object.values(seen.value).forEach((url) => URL.revokeObjectURL(url))
}
watch([() => props.part, () => figure.document], look, { immediate: true })
onBeforeUnmount(drop)
/** The same stretch of the drawing it was taken from, to look at beside it. */
const drawn = computed(() => {
  const [doc, part] = [figure.document?.picture, figure.parts.find((p) => p.key === props.part)]
  const loops = figure.board?.drawing.parts[props.part]?.pieces?.[0]?.front
  if (!doc || !part || !figure.picture || !loops?.length) return null
  const b = bounds(loops)
  const side = Math.max(b.right - b.left, b.high - b.low) * 1.09
  const [x, y] = [part.at.xMm + (b.left + b.right) / 2, part.at.yMm + (b.low + b.high) / 2]
  return {
    view: `${x - side / 2} ${-y - side / 2} ${side} ${side}`,
    x: -doc.originPx[0] * doc.mmPerPx,
    y: -doc.originPx[1] * doc.mmPerPx,
    width: doc.widthPx * doc.mmPerPx,
    height: doc.heightPx * doc.mmPerPx,
  }
})
const words = units.distance
</script>

<template>
  <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
  <div class="afar">
    <figure v-if="drawn">
      <svg :viewBox="drawn.view" role="img" :aria-label="$t('face.afarView.theDrawing')">
        <image
          :href="`/api/pictures/${figure.picture}`"
          :x="drawn.x"
          :y="drawn.y"
          :width="drawn.width"
          :height="drawn.height"
          preserveAspectRatio="none"
        />
      </svg>
      <figcaption>{{ $t('face.afarView.theDrawing2') }}</figcaption>
    </figure>
    <figure v-for="m in metres" :key="m">
      <img v-if="seen[m]" :src="seen[m]" :alt="$t('face.afarView.from', { m: words(m) })" />
      <v-progress-linear
        v-else-if="!trouble"
        indeterminate
        color="primary"
        :aria-label="$t('face.afarView.lookingFrom', { m: words(m) })"
      />
      <figcaption>{{ $t('face.afarView.from2', { m: words(m) }) }}</figcaption>
    </figure>
  </div>
  <p class="quiet small">
    {{ $t('face.afarView.fibresReachOverAnEdge', { mm: units.mm(0.3) }) }}
  </p>
</template>

<style scoped>
.afar {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
figure {
  margin: 0;
}
img,
svg {
  width: 100%;
  display: block;
  border-radius: 12px;
  background: #efe6d6;
}
figcaption {
  font-size: 0.84rem;
  text-align: center;
  color: rgb(var(--v-theme-quiet));
}
.small {
  margin-top: 0.4rem;
}
</style>
