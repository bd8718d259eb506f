<script setup lang="ts">
import { computed, watch } from 'vue'
import { ring } from '../../../shared/ring'

/** The clock of the present step, and of the rest that is due. */
const props = defineProps<{
  running: boolean
  stepMinutes: number
  planned: number
  workedMinutes: number
  restAfter: number
  due: boolean
  why: string
}>()
const emit = defineEmits<{ begin: []; pause: []; rested: [] }>()

const share = computed(() => (props.planned > 0 ? Math.min(1, props.stepMinutes / props.planned) : 0))
const clock = (minutes: number) => {
  const seconds = Math.floor(minutes * 60)
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}
watch(
  () => props.due,
  (now) => now && ring(),
)
</script>

<template>
  <div class="sheet clock" :class="{ due }" role="group" :aria-label="$t('build.workClocks.clocks')">
    <template v-if="due"
      ><b class="display" role="status">{{ $t('build.workClocks.rest') }}</b>
      <p>
        {{
          $t('build.workClocks.ofStabbingPutTheNeedle', {
            what: restAfter === 30 ? $t('build.workClocks.halfAnHour') : $t('build.workClocks.minutes', { restAfter }),
          })
        }}
      </p>
      <p v-if="why" class="small" role="status">{{ why }}</p>
      <v-btn color="warning" variant="flat" @click="emit('rested')">{{
        $t('build.workClocks.iHaveRested')
      }}</v-btn></template
    >
    <template v-else>
      <div class="face">
        <svg viewBox="-22 -22 44 44" aria-hidden="true">
          <circle r="18" class="ring" />
          <circle r="18" class="gone" pathLength="1" :stroke-dasharray="`${share} 1`" transform="rotate(-90)" />
        </svg>
        <div>
          <b class="display" data-step-clock>{{ clock(stepMinutes) }}</b>
          <p class="quiet small">{{ $t('build.workClocks.atThisStepOfAbout', { planned: clock(planned) }) }}</p>
        </div>
      </div>
      <p class="quiet small">
        {{
          running || workedMinutes
            ? $t('build.workClocks.minAtWorkARest', { workedMinutes, restAfter })
            : $t('build.workClocks.theClockStartsWithYour')
        }}
      </p>
      <p v-if="why" class="small" role="status">{{ why }}</p>
      <v-btn v-if="running" size="small" @click="emit('pause')">{{ $t('build.workClocks.pause') }}</v-btn>
      <v-btn v-else size="small" @click="emit('begin')">{{ $t('build.workClocks.begin') }}</v-btn>
    </template>
  </div>
</template>

<style scoped>
.clock {
  padding: 0.8rem 1rem;
  display: grid;
  gap: 0.3rem;
  align-content: start;
}
.clock p {
  margin: 0;
}
.clock.due {
  border: 3px solid rgb(var(--v-theme-warning));
}
.face {
  display: flex;
  align-items: center;
  gap: 0.8rem;
}
.face svg {
  width: 58px;
  flex: none;
}
.face b {
  font-size: 1.6rem;
}
circle {
  fill: none;
  stroke-width: 4;
}
.ring {
  stroke: rgb(var(--v-theme-grid));
}
.gone {
  stroke: rgb(var(--v-theme-primary));
}
</style>
