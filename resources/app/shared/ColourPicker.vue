<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { useFigure } from '../state/figure/figure'
import { t } from '../lang'

defineProps<{ modelValue: string }>()
const emit = defineEmits<{ 'update:modelValue': [key: string] }>()
const figure = useFigure()

function addColour(event: Event): void {
  const hex = (event.target as HTMLInputElement).value
  void figure.paint(hex, t('shared.colourPicker.colour', { colours: (figure.document?.colours.length ?? 0) + 1 }))
}
</script>

<template>
  <div class="picker" role="radiogroup" :aria-label="$t('common.colour')">
    <button
      v-for="c in figure.document?.colours"
      :key="c.key"
      class="plain"
      role="radio"
      :aria-checked="c.key === modelValue"
      :aria-label="c.name ?? c.key"
      :title="c.name ?? c.key"
      @click="emit('update:modelValue', c.key)"
    >
      <i class="swatch" :style="{ background: c.hex }" />
    </button>
    <label class="add" :title="$t('shared.colourPicker.anotherColour')"
      ><v-icon :icon="mdiPlus" size="18" /><span class="offscreen">{{ $t('shared.colourPicker.anotherColour') }}</span
      ><input type="color" class="offscreen" value="#8a5fa0" @change="addColour"
    /></label>
    <span class="name"
      >{{ figure.colourName(modelValue) }} <span class="unit">{{ figure.colourOf(modelValue) }}</span></span
    >
  </div>
</template>

<style scoped>
.picker {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.1rem;
}
.picker button {
  padding: 0.3rem;
  border-radius: 50%;
  display: grid;
}
.picker button[aria-checked='true'] {
  outline: 2px dashed rgb(var(--v-theme-secondary));
  outline-offset: -1px;
}
.swatch {
  width: 1.5rem;
  height: 1.5rem;
}
.add {
  padding: 0.4rem;
  cursor: pointer;
  border-radius: 50%;
  position: relative;
}
.add:focus-within {
  outline: 2px dashed rgb(var(--v-theme-secondary));
}
.name {
  flex-basis: 100%;
  font-size: 0.86rem;
}
</style>
