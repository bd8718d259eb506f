<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue'
import { api } from '../../api/client'
import { useAnswer } from '../../api/useAnswer'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** The colour of a wool from a photo of it: point at the wool, then at the grey card or white paper beside it. */
const show = defineModel<boolean>({ required: true })
const emit = defineEmits<{ take: [hex: string] }>()
const url = ref('')
const picture = ref(0)
const by = ref<'grey' | 'white' | 'none'>('grey')
const wool = ref<[number, number] | null>(null)
const card = ref<[number, number] | null>(null)
const refused = ref('')
const {
  answer,
  trouble: unread,
  waiting,
} = useAnswer([wool, card, by], () =>
  !wool.value || (!card.value && by.value !== 'none')
    ? null
    : api.woolColour(picture.value, {
        x: wool.value[0],
        y: wool.value[1],
        cardX: card.value?.[0] ?? 0,
        cardY: card.value?.[1] ?? 0,
        by: by.value,
      }),
)
const hex = computed(() => (waiting.value ? '' : (answer.value?.hex ?? '')))
const trouble = computed(() => refused.value || unread.value)
const wants = computed(() =>
  !wool.value
    ? t('stash.photoDialog.pointAtTheWool')
    : !card.value && by.value !== 'none'
      ? t('stash.photoDialog.pointAtThe', {
          what: by.value === 'grey' ? t('stash.photoDialog.greyCard') : t('stash.photoDialog.whitePaper'),
        })
      : t('stash.photoDialog.pointAgainToMoveEither'),
)

async function choose(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  refused.value = ''
  wool.value = card.value = null
  try {
    picture.value = (await api.picture(file)).id
    URL.revokeObjectURL(url.value)
    url.value = URL.createObjectURL(file)
  } catch (error) {
    refused.value = inWords(error)
  }
}

function point(event: MouseEvent): void {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  place((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height)
}
function place(x: number, y: number): void {
  const far = (p: [number, number] | null) => (p ? Math.hypot(p[0] - x, p[1] - y) : -1)
  if (!wool.value || (card.value && far(wool.value) <= far(card.value)) || by.value === 'none') wool.value = [x, y]
  else card.value = [x, y]
}

function take(): void {
  emit('take', hex.value)
  show.value = false
}
onBeforeUnmount(() => URL.revokeObjectURL(url.value))
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('stash.photoDialog.colourFromAPhoto')" max-width="640">
    <v-card :title="$t('stash.photoDialog.colourFromAPhoto')">
      <v-card-text class="fields">
        <p>{{ $t('stash.photoDialog.daylightNoFlashTheWool') }}</p>
        <input type="file" accept="image/*" :aria-label="$t('stash.photoDialog.photoOfTheWool')" @change="choose" />
        <v-btn-toggle v-model="by" density="compact" mandatory :aria-label="$t('stash.photoDialog.whatIsBesideIt')"
          ><v-btn value="grey" size="small">{{ $t('stash.photoDialog.greyCard') }}</v-btn
          ><v-btn value="white" size="small">{{ $t('stash.photoDialog.whitePaper') }}</v-btn
          ><v-btn value="none" size="small">{{ $t('stash.photoDialog.nothing') }}</v-btn></v-btn-toggle
        >
        <div
          v-if="url"
          class="photo"
          role="application"
          :aria-label="$t('stash.photoDialog.thePhotoClickOnThe')"
          @click="point"
        >
          <img :src="url" alt="" />
          <i v-if="wool" class="mark" :style="{ left: `${100 * wool[0]}%`, top: `${100 * wool[1]}%` }">{{
            $t('stash.photoDialog.wool')
          }}</i>
          <i
            v-if="card && by !== 'none'"
            class="mark"
            :style="{ left: `${100 * card[0]}%`, top: `${100 * card[1]}%` }"
            >{{ $t('stash.photoDialog.card') }}</i
          >
        </div>
        <p v-if="url" class="quiet" role="status">{{ wants }}</p>
        <p v-if="hex" class="row">
          <i class="swatch large" :style="{ background: hex }" /> <b>{{ hex }}</b>
        </p>
        <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('common.cancel') }}</v-btn
        ><v-btn color="primary" variant="flat" :disabled="!hex" @click="take">{{
          $t('stash.photoDialog.takeThisColour')
        }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 0.8rem;
}
.photo {
  position: relative;
  cursor: crosshair;
  justify-self: start;
}
.photo img {
  display: block;
  max-width: 100%;
  max-height: 340px;
  border-radius: 10px;
}
.mark {
  position: absolute;
  width: 26px;
  height: 26px;
  margin: -13px 0 0 -13px;
  border: 2px solid #fff;
  outline: 2px dashed #3b4c8c;
  border-radius: 50%;
  font:
    700 0.7rem 'Nunito Sans',
    sans-serif;
  color: #fff;
  text-shadow: 0 0 3px #000;
  display: grid;
  place-items: center;
  pointer-events: none;
}
.large {
  width: 2.2rem;
  height: 2.2rem;
}
</style>
