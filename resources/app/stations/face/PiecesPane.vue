<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { FacePiece } from '../../api/types/answers'
import { api } from '../../api/client'
import DetailShape from '../../drawing/DetailShape.vue'
import { useFigure } from '../../state/figure/figure'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** Pieces of a face, each shown on a ball; one that is chosen on the head is varied by its sliders. PHP draws every one anew. */
const props = defineProps<{ part: string }>()
const figure = useFigure()
const pieces = ref<FacePiece[]>([])
const trouble = ref('')
onMounted(async () => {
  try {
    pieces.value = (await api.pieces()).pieces
  } catch (error) {
    trouble.value = inWords(error)
  }
})
const chosen = computed(() => figure.selectedDetail?.piece ?? null)
const kind = computed(() => pieces.value.find((p) => p.kind === chosen.value?.kind))
const value = (key: string) => chosen.value?.values?.[key] ?? kind.value?.sliders.find((s) => s.key === key)?.usual ?? 0

let gesture = 0
let busy = false
let waiting: (() => void) | null = null
/** One question at a time; of those that come meanwhile the last. */
async function put(piece: string, values: Record<string, number>, key: string, isStep: boolean): Promise<void> {
  if (busy) {
    waiting = () => void put(piece, values, key, isStep)
    return
  }
  busy = true
  try {
    const before = figure.selectedDetail?.key
    const made = await figure.edit(
      (now) => api.putPiece(now, props.part, piece, values, key),
      isStep ? '' : t('face.piecesPane.piece', { gesture }),
    )
    const mine = figure.details.filter((d) => d.piece?.key === made?.key && d.on === props.part)
    const next = mine.find((d) => d.key === before) ?? mine[0]
    if (next) figure.selection = { kind: 'detail', key: next.key }
    trouble.value = ''
  } catch (error) {
    trouble.value = inWords(error)
  }
  busy = false
  const next = waiting
  waiting = null
  next?.()
}
function slide(key: string, event: Event): void {
  if (!chosen.value) return
  void put(
    chosen.value.kind,
    { ...chosen.value.values, [key]: Number((event.target as HTMLInputElement).value) },
    chosen.value.key,
    false,
  )
}
const shown = (mm: number, step: number) => (step >= 1 ? mm.toFixed(0) : mm.toFixed(2))
</script>

<template>
  <v-alert v-if="trouble" type="error" variant="tonal" role="alert" class="mb-2">{{ trouble }}</v-alert>
  <div v-if="chosen && kind" class="vary" role="group" :aria-label="`Vary: ${kind.name}`">
    <div class="row">
      <h3>{{ kind.name }}</h3>
      <v-spacer /><v-btn size="small" variant="text" @click="figure.selection = null">{{
        $t('face.piecesPane.allPieces')
      }}</v-btn>
    </div>
    <label v-for="s in kind.sliders" :key="s.key"
      ><span>{{ s.name }}</span
      ><input
        type="range"
        :min="s.from"
        :max="s.to"
        :step="s.step"
        :value="value(s.key)"
        @input="slide(s.key, $event)"
        @change="gesture++"
      /><output class="unit">{{ shown(value(s.key), s.step) }}</output></label
    >
    <v-btn size="small" variant="tonal" class="mt-1" @click="put(chosen.kind, {}, chosen.key, true)">{{
      $t('face.piecesPane.asItUsuallyIs')
    }}</v-btn>
  </div>
  <template v-else>
    <p class="quiet small">
      {{ $t('face.piecesPane.eachIsSetToThe') }}
    </p>
    <div class="pieces">
      <button v-for="p in pieces" :key="p.kind" class="plain piece" @click="put(p.kind, {}, '', true)">
        <svg viewBox="-25 -17 50 50" aria-hidden="true">
          <circle r="30" class="ball" />
          <template v-for="d in p.sample" :key="d.key">
            <DetailShape
              v-for="twin in d.mirror ? [false, true] : [false]"
              :key="String(twin)"
              :detail="d"
              :twin="twin"
              :colour="d.hex"
            />
          </template>
        </svg>
        {{ p.name }}
      </button>
    </div>
    <v-progress-linear
      v-if="!pieces.length && !trouble"
      indeterminate
      color="primary"
      :aria-label="$t('face.piecesPane.fetchingThePieces')"
    />
  </template>
</template>

<style scoped>
.pieces {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.4rem;
  margin-top: 0.4rem;
}
.piece {
  display: grid;
  justify-items: center;
  text-align: center;
  font-size: 0.84rem;
  font-weight: 600;
  padding: 0.35rem 0.2rem 0.5rem;
  border-radius: 12px;
  line-height: 1.15;
  align-content: start;
}
.piece:hover {
  background: rgb(var(--v-theme-table));
}
.piece svg {
  width: 78px;
  height: 78px;
  border-radius: 50%;
}
.ball {
  fill: #e6cfa6;
  stroke: rgb(0 0 0 / 22%);
  stroke-width: 0.6;
}
.vary label {
  display: grid;
  grid-template-columns: 108px 1fr 40px;
  align-items: center;
  gap: 0.5rem;
  min-height: 34px;
  font-size: 0.9rem;
}
.vary input {
  accent-color: rgb(var(--v-theme-primary));
  width: 100%;
}
output {
  text-align: right;
}
</style>
