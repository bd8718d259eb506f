<script setup lang="ts">
import { computed } from 'vue'
import type { Wool } from '../../api/types/answers'
import { useUnits } from '../../state/units'
import { preparationWord } from '../../state/trade'

/** A wool as it lies in the drawer: a tuft as large as what is left of it, and under it how much of that figures have set aside. */
const props = defineProps<{ wool: Wool; largestG: number; chosen: boolean }>()
const units = useUnits()
// Loose wool is a heap: its volume goes with its weight, so its width with the cube root.
const size = computed(() => 30 + 64 * Math.cbrt(Math.max(0, props.wool.gramsLeft) / Math.max(1, props.largestG)))
const asideShare = computed(() => (props.wool.gramsLeft > 0 ? props.wool.asideG / props.wool.gramsLeft : 0))
const isRope = computed(() => ['sliver', 'tops', 'yarn'].includes(props.wool.preparation))
const hex = computed(() => props.wool.hex ?? '#efe6d2')
/** A cloud of soft lobes for batting, a coil for a rope. */
const cloud =
  'M50 12C58 2 74 8 74 20c13 0 20 12 13 22 11 6 9 24-4 27 1 13-15 19-25 11-8 9-24 6-27-5-13 3-23-9-17-20-11-6-9-23 4-26-2-13 14-22 32-17Z'
</script>

<template>
  <button
    class="plain tuft"
    :class="{ chosen }"
    :aria-pressed="chosen"
    :aria-label="$t('stash.woolTuft.left', { name: wool.name, gramsLeft: units.g(wool.gramsLeft) })"
  >
    <svg viewBox="0 0 100 100" :width="size" :height="size" aria-hidden="true">
      <g v-if="isRope" fill="none" stroke-linecap="round">
        <circle cx="50" cy="50" r="36" :stroke="hex" stroke-width="17" />
        <circle cx="50" cy="50" r="16" :stroke="hex" stroke-width="15" />
        <path d="M50 5.5a44.5 44.5 0 1 0 .1 0M50 23a27 27 0 1 0 .1 0" class="rim" />
      </g>
      <path v-else :d="cloud" :fill="hex" class="rim" />
    </svg>
    <i v-if="asideShare > 0.005" class="share" aria-hidden="true"
      ><i :style="{ width: `${Math.min(100, 100 * asideShare).toFixed(0)}%` }"
    /></i>
    <b>{{ wool.name }}</b>
    <small class="quiet"
      >{{ units.g(wool.gramsLeft)
      }}<template v-if="wool.asideG > 0.005">{{
        $t('stash.woolTuft.setAside', { asideG: units.g(wool.asideG) })
      }}</template></small
    >
    <small class="quiet">{{ preparationWord(wool.preparation) }}</small>
  </button>
</template>

<style scoped>
.tuft {
  display: grid;
  justify-items: center;
  align-content: end;
  gap: 0.1rem;
  padding: 0.7rem 0.4rem 0.6rem;
  border-radius: 16px;
  min-height: 150px;
  text-align: center;
}
.tuft:hover {
  background: rgb(var(--v-theme-table));
}
.tuft.chosen {
  background: rgba(var(--v-theme-secondary), 0.14);
}
.tuft b {
  line-height: 1.2;
}
.tuft small {
  line-height: 1.2;
  font-size: 0.82rem;
}
.rim {
  stroke: rgba(var(--v-theme-on-surface), 0.4);
  stroke-width: 1.6;
}
.share {
  display: block;
  width: 62px;
  height: 5px;
  border-radius: 3px;
  background: rgb(var(--v-theme-grid-strong));
  overflow: hidden;
  margin: 0.15rem 0;
}
.share i {
  display: block;
  height: 100%;
  background: repeating-linear-gradient(90deg, rgb(var(--v-theme-secondary)) 0 4px, transparent 4px 6px);
}
</style>
