<script setup lang="ts">
import { mdiBrush, mdiPen, mdiPerspectiveMore, mdiScriptOutline, mdiUndoVariant } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import type { Box, Seen } from '../api/answers'
import type { View } from '../api/client'
import type { Brush } from '../api/figure'
import LengthField from '../shell/LengthField.vue'
import BrushBoard from './BrushBoard.vue'
import SeenOverlay from './SeenOverlay.vue'
import SheetCorners, { type Corners } from './SheetCorners.vue'
import { MOST_STROKES, useSeeing, type Source } from './useSeeing'

/** How a drawing becomes shapes: what Impa takes for paper, figure and ink, what the felter says to that, and what is then seen. */
const props = defineProps<{
  title: string
  source: Source | null
  onwards: string
  take: (seen: Seen, picture: number) => Promise<void>
}>()
const emit = defineEmits<{ close: [] }>()

const {
  name,
  heightMm,
  shades,
  rounded,
  which,
  views,
  strokes,
  doing,
  share,
  refused,
  trouble,
  made,
  picture,
  sheet,
  finding,
  straighten,
  glance,
  glanceTrouble,
  look,
  stop,
  brush,
  unbrush,
  choose,
  setView,
} = useSeeing(() => props.source)

const BRUSHES = [
  { as: 'paper', label: 'This is paper', icon: mdiScriptOutline },
  { as: 'figure', label: 'This belongs to it', icon: mdiBrush },
  { as: 'ink', label: 'This is ink', icon: mdiPen },
] as const
const WIDTHS = [0.012, 0.03, 0.07]
const as = ref<Brush['as'] | null>(null)
const width = ref(WIDTHS[1]!)
const url = ref('')
/** While the corners of a sheet are set. */
const corners = ref<Corners | null>(null)
function forget(): void {
  if (url.value.startsWith('blob:')) URL.revokeObjectURL(url.value)
}
watch(
  () => props.source,
  (now) => {
    forget()
    corners.value = null
    url.value = !now
      ? ''
      : now.picture instanceof File
        ? URL.createObjectURL(now.picture)
        : `/api/pictures/${now.picture}`
    as.value = null
  },
  { immediate: true },
)
/** A figure that is made of it now, not one that was made of it before. */
const isNew = computed(() => !props.source?.document)
function takeUp(brush: Brush['as']): void {
  corners.value = null
  as.value = as.value === brush ? null : brush
}
function setCorners(): void {
  as.value = null
  corners.value = (sheet.value?.corners as Corners | null | undefined) ?? [
    [0.08, 0.08],
    [0.92, 0.08],
    [0.92, 0.92],
    [0.08, 0.92],
  ]
}
async function undoPerspective(): Promise<void> {
  if (!corners.value || !(await straighten(corners.value))) return
  corners.value = null
  forget()
  url.value = `/api/pictures/${picture.value}`
}
const isOpen = computed(() => props.source !== null)
const several = computed(() => (made.value?.figures.length ?? 0) > 1 && !which.value && !made.value?.views.length)

async function first(): Promise<void> {
  const seen = await look()
  // A new figure with nothing to say of goes on by itself.
  if (seen && !seen.notices.length && !strokes.value.length && isNew.value) await goOn()
}
async function goOn(): Promise<void> {
  if (!made.value || picture.value === null) return
  doing.value = 'Laying it on the table'
  try {
    await props.take(made.value, picture.value)
  } catch (error) {
    refused.value = error instanceof Error ? error.message : String(error)
  }
  doing.value = ''
}
/** One of several figures: with nothing to say of it, it goes on by itself as well. */
async function only(figure: number): Promise<void> {
  const seen = await choose(figure)
  if (seen && !seen.notices.length && !strokes.value.length && isNew.value) await goOn()
}
const VIEWS: { value: View; title: string }[] = [
  { value: 'front', title: 'Front' },
  { value: 'left', title: 'Looks left' },
  { value: 'right', title: 'Looks right' },
  { value: 'back', title: 'Back' },
  { value: 'none', title: 'Not used' },
]
const shown = computed(() => (views.value.length ? views.value : (made.value?.views ?? [])))
const word = (i: number) => {
  const view = shown.value[i]
  return view && view !== 'none' ? (view === 'front' || view === 'back' ? view : 'side') : String(i + 1)
}
function leave(): void {
  if (doing.value) stop()
  else emit('close')
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
  <v-dialog
    :aria-label="title"
    :model-value="isOpen"
    :persistent="doing !== ''"
    max-width="940"
    @update:model-value="emit('close')"
    @keydown.ctrl.z.prevent.stop="unbrush"
  >
    <v-card :title="title">
      <v-card-text class="seeing">
        <div v-if="url" class="sight">
          <div class="row brushes">
            <div class="set" role="radiogroup" aria-label="What a stroke over the drawing says">
              <v-btn
                v-for="b in BRUSHES"
                :key="b.as"
                size="small"
                :prepend-icon="b.icon"
                :variant="as === b.as ? 'flat' : 'tonal'"
                :color="as === b.as ? 'secondary' : undefined"
                role="radio"
                :aria-checked="as === b.as"
                :disabled="strokes.length >= MOST_STROKES"
                @click="takeUp(b.as)"
                >{{ b.label }}</v-btn
              >
            </div>
            <v-btn
              v-if="isNew && !corners"
              size="small"
              :icon="mdiPerspectiveMore"
              :variant="sheet?.askew ? 'flat' : 'text'"
              :color="sheet?.askew ? 'primary' : undefined"
              :disabled="picture === null || finding || doing !== ''"
              aria-label="Straighten a sheet on the photo"
              title="Straighten a sheet on the photo"
              @click="setCorners"
            />
            <v-btn
              v-if="strokes.length"
              size="small"
              variant="text"
              :icon="mdiUndoVariant"
              aria-label="Take back the last stroke (Ctrl Z)"
              title="Take back the last stroke (Ctrl Z)"
              @click="unbrush"
            />
          </div>
          <BrushBoard
            :src="url"
            :strokes="strokes"
            :as="as"
            :width="width"
            :busy="doing !== ''"
            @stroke="brush"
            @broken="url = ''"
          >
            <SheetCorners v-if="corners" v-model="corners" />
            <SeenOverlay v-else-if="made && !doing" :figure="made.document" />
            <template v-if="made && made.figures.length > 1 && !as && !corners">
              <button
                v-for="(box, i) in made.figures"
                :key="i"
                class="plain which"
                :class="{ on: which === i + 1 || shown[i] === 'front' }"
                :style="frame(box)"
                :aria-label="`Only figure ${i + 1} from the left`"
                @click="only(i + 1)"
              >
                <span>{{ word(i) }}</span>
              </button>
            </template>
          </BrushBoard>
          <div v-if="made && made.figures.length > 1 && made.figures.length < 6" class="views">
            <v-select
              v-for="(_, i) in made.figures"
              :key="i"
              :model-value="shown[i] ?? null"
              :items="VIEWS"
              :label="`Figure ${i + 1}`"
              placeholder="shows ..."
              density="compact"
              hide-details
              :disabled="doing !== ''"
              @update:model-value="setView(i, $event)"
            />
          </div>
          <div class="row under">
            <div v-if="as" class="set" role="radiogroup" aria-label="How wide the brush is">
              <button
                v-for="w in WIDTHS"
                :key="w"
                class="plain dab"
                role="radio"
                :aria-checked="width === w"
                :aria-label="['A thin brush', 'A middling brush', 'A wide brush'][WIDTHS.indexOf(w)]"
                @click="width = w"
              >
                <i :style="{ width: `${8 + w * 200}px`, height: `${8 + w * 200}px` }" />
              </button>
            </div>
            <template v-if="corners">
              <v-btn size="small" color="primary" variant="flat" :disabled="doing !== ''" @click="undoPerspective"
                >Straighten it</v-btn
              >
              <v-btn size="small" variant="text" :disabled="doing !== ''" @click="corners = null">Leave it askew</v-btn>
              <span class="quiet">Drag the four corners onto those of the sheet or screen.</span>
            </template>
            <span v-else class="quiet">{{
              strokes.length >= MOST_STROKES
                ? `${MOST_STROKES} strokes lie on it; take some back to brush on.`
                : as === 'paper'
                  ? 'One dab on what is not the figure: a mat, a shadow, a shelf.'
                  : as === 'figure'
                    ? 'Brush what was lost: what its line shuts in comes along.'
                    : as === 'ink'
                      ? 'Brush along an outline that was taken for a part.'
                      : sheet?.askew
                        ? 'A sheet lies askew on this photo: straighten it first.'
                        : 'Something taken wrongly? Choose a brush and say what it is.'
            }}</span>
          </div>
        </div>
        <div class="fields">
          <template v-if="isNew">
            <v-text-field v-model="name" label="Name" maxlength="120" hide-details />
            <LengthField v-model="heightMm" label="Finished height" :min="10" :max="2000" />
          </template>
          <figure class="glance" :class="{ empty: !glance }">
            <img v-if="glance" :src="glance.image" alt="The colours told apart; chequered where there is paper" />
            <figcaption class="quiet">
              <template v-if="glance"
                ><b>{{ glance.colours }} {{ glance.colours === 1 ? 'colour' : 'colours' }}</b> told apart; chequers are
                paper.</template
              >
              <template v-else-if="glanceTrouble">{{ glanceTrouble }}</template>
            </figcaption>
          </figure>
          <label class="shades"
            >Near shades are
            <input
              v-model.number="shades"
              type="range"
              min="0"
              max="1"
              step="0.1"
              :disabled="doing !== ''"
              aria-label="How strongly near shades are made one colour"
            />
            <span class="quiet">{{
              shades < 0.15
                ? 'kept apart'
                : shades > 0.6
                  ? 'made one: for shaded drawings'
                  : 'made one where hardly told apart'
            }}</span>
          </label>
          <v-checkbox
            v-model="rounded"
            label="Sizes in whole millimetres"
            :disabled="doing !== ''"
            density="compact"
            hide-details
          />
          <v-progress-linear
            v-if="doing"
            :model-value="share * 100"
            color="primary"
            height="8"
            rounded
            :aria-label="doing"
          />
          <p v-if="doing" role="status">{{ doing }} ...</p>
          <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
          <v-alert v-if="made && !doing" type="info" variant="tonal">
            <p v-if="several">
              <b>Which one is meant?</b> Choose it on the picture, or take all as one figure. Are they one character
              from several sides, say which is the front.
            </p>
            <p>{{ made.document.parts.length }} parts and {{ made.document.details?.length }} details were seen.</p>
            <ul>
              <li v-for="n in made.notices" :key="n">{{ n }}</li>
            </ul>
          </v-alert>
        </div>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="leave">{{ doing ? 'Stop' : 'Leave it' }}</v-btn>
        <v-btn v-if="made" :disabled="doing !== ''" @click="look">Look again</v-btn>
        <v-btn v-if="made" color="primary" variant="flat" :disabled="doing !== ''" @click="goOn">{{
          several ? 'All as one' : onwards
        }}</v-btn>
        <v-btn v-else color="primary" variant="flat" :disabled="doing !== ''" @click="first">See its shapes</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.seeing {
  display: flex;
  gap: 1.4rem;
  align-items: flex-start;
}
.sight {
  flex: 1 1 460px;
  min-width: 0;
  display: grid;
  gap: 0.5rem;
  justify-items: start;
}
.brushes .set {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
}
.views {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 0.5rem;
  width: 100%;
}
.under {
  min-height: 40px;
  gap: 0.8rem;
  flex-wrap: nowrap;
}
.under .set {
  display: flex;
  gap: 0.2rem;
}
.under .quiet {
  font-size: 0.88rem;
  line-height: 1.3;
}
.dab {
  width: 36px;
  height: 36px;
  display: grid;
  place-items: center;
  border-radius: 10px;
}
.dab i {
  border-radius: 50%;
  background: rgb(var(--v-theme-secondary));
  opacity: 0.45;
}
.dab[aria-checked='true'] {
  background: rgba(var(--v-theme-secondary), 0.18);
}
.dab[aria-checked='true'] i {
  opacity: 1;
}
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
.fields {
  flex: 1 1 300px;
  min-width: 0;
  display: grid;
  gap: 0.8rem;
}
.glance {
  margin: 0;
  display: flex;
  gap: 0.8rem;
  align-items: center;
  min-height: 120px;
}
.glance img {
  max-width: 120px;
  max-height: 120px;
  border-radius: 10px;
  background: repeating-conic-gradient(#d9d3cb 0 25%, #f4f0ea 0 50%) 0 0 / 14px 14px;
}
.shades {
  display: grid;
  gap: 0.2rem;
}
.shades input {
  accent-color: rgb(var(--v-theme-primary));
  min-height: 28px;
}
ul {
  padding-left: 1.1rem;
}
@media (max-width: 760px) {
  .seeing {
    flex-direction: column;
  }
}
</style>
