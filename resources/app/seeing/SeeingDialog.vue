<script setup lang="ts">
import { mdiBrush, mdiPen, mdiPerspectiveMore, mdiScriptOutline, mdiUndoVariant } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import type { Seen } from '../api/types/answers'
import type { Brush } from '../api/types/figure'
import LengthField from '../shared/LengthField.vue'
import BrushBoard from './BrushBoard.vue'
import FigureFrames from './FigureFrames.vue'
import SeenOverlay from './SeenOverlay.vue'
import SheetCorners, { type Corners } from './SheetCorners.vue'
import { MOST_STROKES, useSeeing, type Source } from './useSeeing'
import ViewChoices from './ViewChoices.vue'
import WishFields from './WishFields.vue'
import { inWords } from '../shared/useAsyncAction'
import { t } from '../lang'

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
  flat,
  keepsUnsure,
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
  read,
  choose,
  setView,
} = useSeeing(() => props.source)

const BRUSHES = [
  { as: 'paper', label: t('seeing.seeingDialog.thisIsPaper'), icon: mdiScriptOutline },
  { as: 'figure', label: t('seeing.seeingDialog.thisBelongsToIt'), icon: mdiBrush },
  { as: 'ink', label: t('seeing.seeingDialog.thisIsInk'), icon: mdiPen },
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

/** A new figure with nothing to say of goes on by itself. */
async function thenOn(looked: Promise<Seen | null>): Promise<void> {
  const seen = await looked
  if (seen && !seen.notices.length && !strokes.value.length && isNew.value) await goOn()
}
const first = () => thenOn(look())
const only = (figure: number) => thenOn(choose(figure))
async function goOn(): Promise<void> {
  if (!made.value || picture.value === null) return
  doing.value = t('seeing.seeingDialog.layingItOnTheTable')
  try {
    await props.take(made.value, picture.value)
  } catch (error) {
    refused.value = inWords(error)
  }
  doing.value = ''
}
/** On a picture with more figures than this each is asked about alone. */
const MOST_VIEWS = 5
const shown = computed(() => (views.value.length ? views.value : (made.value?.views ?? [])))
function leave(): void {
  if (doing.value) stop()
  else emit('close')
}
</script>

<template>
  <v-dialog
    :aria-label="title"
    :model-value="isOpen"
    :persistent="doing !== ''"
    max-width="940"
    scrollable
    @update:model-value="emit('close')"
    @keydown.ctrl.z.prevent.stop="unbrush"
  >
    <v-card :title="title">
      <v-card-text class="seeing">
        <div v-if="url" class="sight">
          <div class="row brushes">
            <div class="set" role="radiogroup" :aria-label="$t('seeing.seeingDialog.whatAStrokeOverThe')">
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
              :aria-label="$t('seeing.seeingDialog.straightenASheetOnThe')"
              :title="$t('seeing.seeingDialog.straightenASheetOnThe')"
              @click="setCorners"
            />
            <v-btn
              v-if="strokes.length"
              size="small"
              variant="text"
              :icon="mdiUndoVariant"
              :aria-label="$t('seeing.seeingDialog.takeBackTheLastStroke')"
              :title="$t('seeing.seeingDialog.takeBackTheLastStroke')"
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
            <FigureFrames
              v-if="made && made.figures.length > 1 && !as && !corners"
              :boxes="made.figures"
              :views="shown"
              :chosen="which"
              @choose="only"
            />
          </BrushBoard>
          <ViewChoices
            v-if="made && made.figures.length > 1 && made.figures.length <= MOST_VIEWS"
            :count="made.figures.length"
            :views="shown"
            :disabled="doing !== ''"
            @choose="setView"
          />
          <div class="row under">
            <div v-if="as" class="set" role="radiogroup" :aria-label="$t('seeing.seeingDialog.howWideTheBrushIs')">
              <button
                v-for="w in WIDTHS"
                :key="w"
                class="plain dab"
                role="radio"
                :aria-checked="width === w"
                :aria-label="
                  [
                    $t('seeing.seeingDialog.aThinBrush'),
                    $t('seeing.seeingDialog.aMiddlingBrush'),
                    $t('seeing.seeingDialog.aWideBrush'),
                  ][WIDTHS.indexOf(w)]
                "
                @click="width = w"
              >
                <i :style="{ width: `${8 + w * 200}px`, height: `${8 + w * 200}px` }" />
              </button>
            </div>
            <template v-if="corners">
              <v-btn size="small" color="primary" variant="flat" :disabled="doing !== ''" @click="undoPerspective">{{
                $t('seeing.seeingDialog.straightenIt')
              }}</v-btn>
              <v-btn size="small" variant="text" :disabled="doing !== ''" @click="corners = null">{{
                $t('seeing.seeingDialog.leaveItAskew')
              }}</v-btn>
              <span class="quiet">{{ $t('seeing.seeingDialog.dragTheFourCornersOnto') }}</span>
            </template>
            <span v-else class="quiet">{{
              strokes.length >= MOST_STROKES
                ? $t('seeing.seeingDialog.strokesLieOnItTake', { mostStrokes: MOST_STROKES })
                : as === 'paper'
                  ? $t('seeing.seeingDialog.oneDabOnWhatIs')
                  : as === 'figure'
                    ? $t('seeing.seeingDialog.brushWhatWasLostWhat')
                    : as === 'ink'
                      ? $t('seeing.seeingDialog.brushAlongAnOutlineThat')
                      : sheet?.askew
                        ? $t('seeing.seeingDialog.aSheetLiesAskewOn')
                        : $t('seeing.seeingDialog.somethingTakenWronglyChooseA')
            }}</span>
          </div>
        </div>
        <div class="fields">
          <template v-if="isNew">
            <v-text-field v-model="name" :label="$t('common.name')" maxlength="120" hide-details />
            <LengthField v-model="heightMm" :label="$t('common.finishedHeight')" :min="10" :max="2000" />
          </template>
          <WishFields
            v-model:shades="shades"
            v-model:rounded="rounded"
            v-model:flat="flat"
            :keeps-unsure="keepsUnsure"
            :glance="glance"
            :trouble="glanceTrouble"
            :disabled="doing !== ''"
            @read="read"
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
              <b>{{ $t('seeing.seeingDialog.whichOneIsMeant') }}</b>
              {{ $t('seeing.seeingDialog.chooseItOnThePicture') }}
            </p>
            <p>
              {{
                $t('seeing.seeingDialog.partsAndDetailsWereSeen', {
                  parts: made.document.parts.length,
                  details: made.document.details?.length,
                })
              }}
            </p>
            <ul>
              <li v-for="n in made.notices" :key="n">{{ n }}</li>
            </ul>
          </v-alert>
        </div>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="leave">{{ doing ? $t('seeing.seeingDialog.stop') : $t('common.cancel') }}</v-btn>
        <v-btn v-if="made" :disabled="doing !== ''" @click="look">{{ $t('seeing.seeingDialog.lookAgain') }}</v-btn>
        <v-btn v-if="made" color="primary" variant="flat" :disabled="doing !== ''" @click="goOn">{{
          several ? $t('seeing.seeingDialog.allAsOne') : onwards
        }}</v-btn>
        <v-btn v-else color="primary" variant="flat" :disabled="doing !== ''" @click="first">{{
          $t('seeing.seeingDialog.seeItsShapes')
        }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.seeing {
  /* Room for the label on the first field's rim, where this is scrolled. */
  padding-top: 10px;
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
.fields {
  flex: 1 1 300px;
  min-width: 0;
  display: grid;
  gap: 0.8rem;
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
