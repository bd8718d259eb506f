<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue'
import type { Reading, Scale } from '../../devices/scale'
import { browserPorts, SerialScale } from '../../devices/serialScale'
import { SimulatedScale } from '../../devices/simulatedScale'
import { useUnits } from '../../state/units'
import { inWords } from '../../shared/useAsyncAction'
import { decimals, t } from '../../lang'

/** A pocket scale: the stand-in, or one on a cable. A weight is taken only when the scale has come to rest. */
const emit = defineEmits<{ take: [grams: number] }>()
const units = useUnits()
const reading = ref<Reading | null>(null)
const trouble = ref('')
const onPan = ref(0)
let device: Scale | null = null
const simulated = ref<SimulatedScale | null>(null)
const isOn = ref(false)
const ports = browserPorts()

async function connect(next: Scale): Promise<void> {
  await device?.close()
  device = next
  trouble.value = ''
  reading.value = null
  simulated.value = next instanceof SimulatedScale ? next : null
  try {
    await next.connect(
      (r) => (reading.value = r),
      (why) => {
        trouble.value = why
        isOn.value = false
        reading.value = null
      },
    )
    isOn.value = true
    simulated.value?.put(onPan.value)
  } catch (error) {
    trouble.value = inWords(error)
    isOn.value = false
  }
}
const word = computed(() => {
  if (!reading.value) return isOn.value ? t('stash.scalePanel.wakingUp') : 'off'
  if (reading.value.state === 'overload') return t('stash.scalePanel.tooHeavyForItTake')
  return reading.value.steady ? t('stash.scalePanel.atRest') : 'settling'
})
const takes = computed(
  () => reading.value?.state !== 'overload' && reading.value?.steady === true && reading.value.grams >= 0,
)
function put(grams: number): void {
  onPan.value = grams
  simulated.value?.put(Number.isFinite(grams) ? grams : 0)
}
const tare = () => device?.tare()
onBeforeUnmount(() => void device?.close())
</script>

<template>
  <div class="scale" role="group" :aria-label="$t('stash.scalePanel.scale')">
    <div class="pan" :class="{ steady: reading?.steady }">
      <b class="display" data-reading>{{
        reading && reading.state !== 'overload' ? decimals(reading.grams, 2) : '- -'
      }}</b><span class="unit">g</span>
      <small role="status"
        >{{ word
        }}<template v-if="reading?.state === 'low-battery'">{{ $t('stash.scalePanel.batteryLow') }}</template></small
      >
    </div>
    <div class="row">
      <template v-if="!isOn">
        <v-btn size="small" @click="connect(new SimulatedScale())">{{
          $t('stash.scalePanel.useAPracticeScale')
        }}</v-btn>
        <v-btn v-if="ports" size="small" variant="text" @click="connect(new SerialScale(ports))">{{
          $t('stash.scalePanel.scaleOnACable')
        }}</v-btn>
      </template>
      <template v-else>
        <v-btn size="small" variant="text" @click="tare">{{ $t('stash.scalePanel.tareTheBowl') }}</v-btn>
        <v-btn
          size="small"
          color="primary"
          variant="flat"
          :disabled="!takes"
          @click="reading && emit('take', reading.grams)"
          >{{
            $t('stash.scalePanel.take', {
              what: takes && reading ? units.g(reading.grams) : $t('stash.scalePanel.theWeight'),
            })
          }}</v-btn
        >
      </template>
    </div>
    <v-text-field
      v-if="simulated && isOn"
      :model-value="onPan"
      type="number"
      min="0"
      step="0.1"
      :label="$t('stash.scalePanel.onThePracticeScale')"
      suffix="g"
      @update:model-value="put(Number($event))"
    />
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.scale {
  display: grid;
  gap: 0.7rem;
}
.pan {
  background: rgb(var(--v-theme-table));
  border-radius: 12px;
  padding: 0.5rem 0.9rem;
  text-align: right;
  border: 2px solid transparent;
}
.pan.steady {
  border-color: rgb(var(--v-theme-success));
}
.pan b {
  font-size: 1.9rem;
}
.pan small {
  display: block;
  color: rgb(var(--v-theme-quiet));
}
.wrong {
  color: rgb(var(--v-theme-error));
  font-size: 0.88rem;
}
</style>
