<script setup lang="ts">
import { askedNumber } from './asked'

/** A number that is pressed to see how it came about. */
const props = withDefaults(defineProps<{ number: string; of?: string; figure?: number }>(), { of: '', figure: 0 })
</script>

<template>
  <button
    type="button"
    class="asked how"
    aria-haspopup="dialog"
    :title="$t('help.howNumber.how')"
    @click.stop="askedNumber = { ...props }"
  >
    <slot />
  </button>
</template>

<style scoped>
.how {
  text-decoration: underline dashed 1px rgb(var(--v-theme-quiet));
  text-underline-offset: 0.22em;
}
.how:hover {
  text-decoration-color: rgb(var(--v-theme-primary));
}
</style>
