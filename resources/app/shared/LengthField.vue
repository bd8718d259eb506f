<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useUnits } from '../state/units'
import { t } from '../lang'

const props = defineProps<{ modelValue: number; label: string; min?: number; max?: number; suffix?: string }>()
const emit = defineEmits<{ 'update:modelValue': [mm: number] }>()

const units = useUnits()
const text = ref('')
const fault = ref('')
const unit = computed(() => props.suffix ?? units.lengthUnit.value)
const isAngle = computed(() => props.suffix !== undefined)
const show = (value: number) => (isAngle.value ? String(Math.round(value * 100) / 100) : units.typed(value))

watch(
  [() => props.modelValue, units.system],
  () => {
    text.value = show(props.modelValue)
    fault.value = ''
  },
  { immediate: true },
)

/** What was typed stays in the field, with a word on what is wrong, until it makes sense. */
function take(): void {
  if (text.value === show(props.modelValue)) return
  const value = isAngle.value ? Number(text.value.replace(',', '.')) : units.parseLength(text.value)
  const [min, max] = [props.min ?? 0.3, props.max ?? 2000]
  if (Number.isNaN(value)) fault.value = t('shared.lengthField.aNumberPlease')
  else if (value < min || value > max) fault.value = t('shared.lengthField.to', { min: show(min), show: show(max) })
  else {
    fault.value = ''
    emit('update:modelValue', Math.round(value * 100) / 100)
  }
}

function step(by: number): void {
  // A taper runs from -0.6 to 0.6: it goes by hundredths.
  const unitMm = (props.max ?? 2000) < 1 ? 0.05 : !isAngle.value && units.isImperial.value ? 25.4 / 16 : 1
  const next = Math.min(props.max ?? 2000, Math.max(props.min ?? 0.3, props.modelValue + by * unitMm))
  emit('update:modelValue', Math.round(next * 100) / 100)
}
</script>

<template>
  <v-text-field
    v-model="text"
    :label="label"
    :suffix="unit"
    :error-messages="fault || undefined"
    inputmode="decimal"
    @blur="take"
    @keydown.enter="take"
    @keydown.up.prevent="step(1)"
    @keydown.down.prevent="step(-1)"
  />
</template>
