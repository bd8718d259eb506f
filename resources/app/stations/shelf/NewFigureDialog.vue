<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Box, Seen } from '../../api/answers'
import { api, Refusal } from '../../api/client'
import LengthField from '../../shell/LengthField.vue'
import SeenOverlay from './SeenOverlay.vue'

const props = defineProps<{ file: File | null }>()
const emit = defineEmits<{ close: [] }>()

const router = useRouter()
const name = ref('')
const heightMm = ref(110)
const shades = ref(0.2)
const rounded = ref(false)
const which = ref(0)
const at = ref('')
const share = ref(0)
const trouble = ref('')
const made = ref<(Seen & { picture: number }) | null>(null)
const preview = ref('')
const open = computed(() => props.file !== null)
let abort: AbortController | null = null

watch(
  () => props.file,
  (file) => {
    abort?.abort()
    if (preview.value) URL.revokeObjectURL(preview.value)
    preview.value = file ? URL.createObjectURL(file) : ''
    name.value = file?.name.replace(/\.[^.]+$/, '') ?? ''
    at.value = trouble.value = ''
    which.value = 0
    made.value = null
  },
)

async function breakDown(): Promise<void> {
  const file = props.file
  if (!file) return
  trouble.value = ''
  abort = new AbortController()
  try {
    at.value = 'Sending the picture'
    share.value = 0
    const picture = await api.picture(file)
    const wishes = {
      heightMm: heightMm.value,
      shades: shades.value,
      figure: which.value,
      roundToMm: rounded.value ? 1 : 0,
    }
    const seen = await api.breakDown(
      picture.id,
      wishes,
      name.value,
      file.name,
      (doing, done) => {
        at.value = doing
        share.value = done
      },
      abort.signal,
    )
    if (props.file !== file) return
    made.value = { ...seen, picture: picture.id }
    if (!seen.notices.length) await lay()
  } catch (error) {
    if (!abort.signal.aborted)
      trouble.value = error instanceof Refusal ? error.message : 'The picture could not be used.'
  }
  at.value = ''
}

function leave(): void {
  if (at.value) abort?.abort()
  else emit('close')
}

function choose(figure: number): void {
  which.value = figure
  void breakDown()
}

async function lay(): Promise<void> {
  if (!made.value) return
  const saved = await api.lay(made.value.document, made.value.picture)
  emit('close')
  await router.push(`/figures/${saved.id}/shapes`)
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
  <v-dialog aria-label="A new figure" :model-value="open" :persistent="at !== ''" @update:model-value="emit('close')">
    <v-card title="A new figure">
      <v-card-text class="new">
        <div v-if="preview" class="sight">
          <img :src="preview" alt="The picture you chose" @error="preview = ''" />
          <SeenOverlay v-if="made && !at" :figure="made.document" />
          <template v-if="made && made.figures.length > 1">
            <button
              v-for="(box, i) in made.figures"
              :key="i"
              class="plain which"
              :class="{ on: which === i + 1 }"
              :style="frame(box)"
              :aria-label="`Only figure ${i + 1} from the left`"
              @click="choose(i + 1)"
            >
              {{ i + 1 }}
            </button>
          </template>
        </div>
        <div class="fields">
          <v-text-field v-model="name" label="Name" maxlength="120" />
          <LengthField v-model="heightMm" label="Finished height" :min="10" :max="2000" />
          <p class="quiet">How tall the finished figure is to stand. You can change it at any time.</p>
          <label class="shades"
            >Near shades are
            <input
              v-model.number="shades"
              type="range"
              min="0"
              max="1"
              step="0.1"
              :disabled="at !== ''"
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
            :disabled="at !== ''"
            density="compact"
            hide-details
          />
          <v-progress-linear v-if="at" :model-value="share * 100" color="primary" height="8" rounded :aria-label="at" />
          <p v-if="at" role="status">{{ at }} ...</p>
          <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
          <v-alert v-if="made && !at" type="info" variant="tonal">
            <p v-if="made.figures.length > 1 && !which">
              <b>Which one is meant?</b> Choose it on the picture, or take all as one figure.
            </p>
            <p>{{ made.document.parts.length }} parts and {{ made.document.details?.length }} details were seen.</p>
            <ul>
              <li v-for="n in made.notices" :key="n">{{ n }}</li>
            </ul>
          </v-alert>
        </div>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="leave">{{ at ? 'Stop' : 'Leave it' }}</v-btn>
        <v-btn v-if="made" :disabled="at !== ''" @click="breakDown">Look again</v-btn>
        <v-btn v-if="made" color="primary" variant="flat" :disabled="at !== ''" @click="lay">{{
          made.figures.length > 1 && !which ? 'All as one' : 'To the shapes'
        }}</v-btn>
        <v-btn v-else color="primary" variant="flat" :disabled="at !== ''" @click="breakDown">See its shapes</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.new {
  display: flex;
  gap: 1.2rem;
  align-items: flex-start;
}
.sight {
  position: relative;
  flex: none;
}
.sight img {
  display: block;
  max-width: 220px;
  max-height: 300px;
  background: #fff;
  border-radius: 12px;
}
.which {
  position: absolute;
  border: 2px dashed rgb(var(--v-theme-secondary));
  border-radius: 10px;
  display: grid;
  place-items: center;
  font:
    600 1.3rem 'Fredoka',
    sans-serif;
  color: rgb(var(--v-theme-secondary));
}
.which:hover,
.which.on {
  background: rgba(var(--v-theme-secondary), 0.22);
}
.fields {
  flex: 1;
  display: grid;
  gap: 0.8rem;
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
</style>
