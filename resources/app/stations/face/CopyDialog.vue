<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Card } from '../../api/types/answers'
import { api } from '../../api/client'
import type { Figure } from '../../api/types/figure'
import { useFigure } from '../../state/figure/figure'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** A face taken over from another figure, or from another head of this one, with its proportions. */
const show = defineModel<boolean>({ required: true })
const props = defineProps<{ part: string }>()
const figure = useFigure()
const cards = ref<Card[]>([])
const from = ref<{ id: number; document: Figure } | null>(null)
const fromPart = ref('')
const instead = ref(true)
const trouble = ref('')
const page = ref(1)
const pages = ref(1)

watch([show, page], async ([shown]) => {
  if (!shown) return
  from.value = null
  trouble.value = ''
  try {
    const shelf = await api.shelf(page.value)
    cards.value = shelf.figures
    pages.value = shelf.pages
  } catch (error) {
    trouble.value = inWords(error)
  }
})
/** Parts that carry something in front. */
const parts = computed(() =>
  (from.value?.document.parts ?? [])
    .map((p) => ({
      title: p.name ?? p.key,
      value: p.key,
      count: (from.value?.document.details ?? []).filter((d) => d.on === p.key && (d.side ?? 'front') === 'front')
        .length,
    }))
    .filter((p) => p.count > 0 && !(from.value?.id === figure.id && p.value === props.part)),
)

async function choose(card: Card): Promise<void> {
  try {
    from.value = await api.figure(card.id)
    fromPart.value = [...parts.value].sort((a, b) => b.count - a.count)[0]?.value ?? ''
    trouble.value = parts.value.length ? '' : t('face.copyDialog.thereIsNoOtherFace')
  } catch (error) {
    trouble.value = inWords(error)
  }
}
async function copy(): Promise<void> {
  const other = from.value
  if (!other) return
  try {
    await figure.edit((now) => api.copyFace(now, props.part, other.id, fromPart.value, instead.value))
    figure.selection = null
    show.value = false
  } catch (error) {
    trouble.value = inWords(error)
  }
}
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('face.copyDialog.copyAFace')" max-width="620">
    <v-card :title="$t('face.copyDialog.copyAFaceOntoThis')">
      <v-card-text class="fields">
        <p class="quiet">
          {{ $t('face.copyDialog.everythingSitsAsHighAnd') }}
        </p>
        <ul class="bare cards" :aria-label="$t('face.copyDialog.fromWhichFigure')">
          <li v-for="c in cards" :key="c.id">
            <button
              class="plain card"
              :aria-pressed="from?.id === c.id"
              :class="{ taken: from?.id === c.id }"
              @click="choose(c)"
            >
              <img :src="`/api/figures/${c.id}/render?px=120`" alt="" width="84" height="84" />{{ c.name }}
            </button>
          </li>
        </ul>
        <div v-if="pages > 1" class="row">
          <v-btn size="small" :disabled="page === 1" @click="page--">{{ $t('face.copyDialog.before') }}</v-btn><span
            class="quiet"
            >{{ $t('face.copyDialog.of', { page, pages }) }}</span
          ><v-btn size="small" :disabled="page === pages" @click="page++">{{ $t('face.copyDialog.after') }}</v-btn>
        </div>
        <v-select v-if="parts.length" v-model="fromPart" :items="parts" :label="$t('face.copyDialog.theFaceOf')" />
        <v-switch v-model="instead" :label="$t('face.copyDialog.insteadOfWhatIsOn')" />
        <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('common.close') }}</v-btn
        ><v-btn color="primary" variant="flat" :disabled="!from || !fromPart" @click="copy">{{
          $t('face.copyDialog.copyIt')
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
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
  gap: 0.4rem;
  max-height: 260px;
  overflow: auto;
}
.card {
  display: grid;
  justify-items: center;
  gap: 0.2rem;
  padding: 0.5rem;
  border-radius: 12px;
  width: 100%;
  text-align: center;
  font-size: 0.86rem;
  font-weight: 600;
}
.card:hover {
  background: rgb(var(--v-theme-table));
}
.taken {
  outline: 2px dashed rgb(var(--v-theme-secondary));
  outline-offset: -2px;
}
</style>
