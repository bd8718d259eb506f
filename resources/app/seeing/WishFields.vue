<script setup lang="ts">
import type { Glance } from '../api/types/answers'
import { computed } from 'vue'
import { t } from '../lang'

/** What a drawing is asked for before it is looked at closely, and at a glance what each wish does to it. */
const props = defineProps<{ keepsUnsure: boolean; glance: Glance | null; trouble: string; disabled: boolean }>()
const emit = defineEmits<{ read: [keepsUnsure: boolean] }>()
const shades = defineModel<number>('shades', { required: true })
const rounded = defineModel<boolean>('rounded', { required: true })
const flat = defineModel<'' | 'sheet' | 'batting'>('flat', { required: true })
const WAYS = [
  { value: '', title: t('seeing.wishFields.inTheRound') },
  { value: 'sheet', title: t('seeing.wishFields.flatLayersOfFeltSheet') },
  { value: 'batting', title: t('seeing.wishFields.flatLayersOfBatting') },
] as const
/** Without what is unsure, and with it. */
const readings = computed(() =>
  props.glance?.other
    ? [false, true].map((keeps) => ({
        keeps,
        image: keeps === props.keepsUnsure ? props.glance!.image : props.glance!.other!,
        label: t(keeps ? 'seeing.wishFields.withIt' : 'seeing.wishFields.withoutIt'),
      }))
    : [],
)
</script>

<template>
  <div class="wishes">
    <div v-if="readings.length" class="readings">
      <p id="which-reading">{{ $t('seeing.wishFields.notSureWhatBelongsTo') }}</p>
      <div role="radiogroup" aria-labelledby="which-reading">
        <button
          v-for="r in readings"
          :key="r.label"
          class="plain"
          role="radio"
          :aria-checked="r.keeps === keepsUnsure"
          :disabled="disabled"
          @click="emit('read', r.keeps)"
        >
          <img :src="r.image" alt="" />
          {{ r.label }}
        </button>
      </div>
    </div>
    <figure class="glance" :class="{ told: readings.length }">
      <img
        v-if="glance && !readings.length"
        :src="glance.image"
        :alt="$t('seeing.wishFields.theColoursToldApartChequered')"
      />
      <figcaption class="quiet">
        <template v-if="glance"
          ><b>{{ $t('seeing.wishFields.colours', glance.colours) }}</b>
          {{ $t('seeing.wishFields.toldApartChequersArePaper') }}</template
        >
        <template v-else-if="trouble">{{ trouble }}</template>
      </figcaption>
    </figure>
    <label class="shades"
      >{{ $t('seeing.wishFields.mergeSimilarColoursALittle') }}
      <input
        v-model.number="shades"
        type="range"
        min="0"
        max="1"
        step="0.1"
        :disabled="disabled"
        :aria-label="$t('seeing.wishFields.mergeSimilarColoursALittle2')"
      />
      {{ $t('seeing.wishFields.aLot') }}
      <span v-if="shades > 0.6" class="quiet">{{ $t('seeing.wishFields.forShadedDrawings') }}</span>
    </label>
    <v-select v-model="flat" :items="WAYS" :label="$t('seeing.wishFields.made')" :disabled="disabled" hide-details />
    <v-checkbox
      v-if="!flat"
      v-model="rounded"
      :label="$t('seeing.wishFields.sizesInWholeMillimetres')"
      :disabled="disabled"
      density="compact"
      hide-details
    />
  </div>
</template>

<style scoped>
.wishes {
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
.readings [role='radiogroup'] {
  display: flex;
  gap: 0.6rem;
}
.readings button {
  display: grid;
  gap: 0.3rem;
  justify-items: center;
  padding: 0.4rem;
  border: 2px solid transparent;
  border-radius: 12px;
}
.readings button[aria-checked='true'] {
  border-color: rgb(var(--v-theme-primary));
}
.glance.told {
  min-height: 0;
}
.glance img,
.readings img {
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
</style>
