<script setup lang="ts">
import { mdiEyeOffOutline, mdiEyeOutline, mdiLockOpenVariantOutline, mdiLockOutline } from '@mdi/js'
import { computed } from 'vue'
import type { Part } from '../../api/types/figure'
import Silhouette from '../../drawing/ShapeSilhouette.vue'
import { useFigure } from '../../state/figure/figure'
import { kindWord } from '../../state/trade'

const figure = useFigure()

/** Parts under what they are joined to, each with how deep it hangs. */
const rows = computed(() => {
  const list: { part: Part; depth: number }[] = []
  const hang = (to: string | undefined, depth: number) => {
    for (const part of figure.parts) {
      if (part.join?.to === to && !list.some((r) => r.part.key === part.key)) {
        list.push({ part, depth })
        hang(part.key, depth + 1)
      }
    }
  }
  hang(undefined, 0)
  return list
})
</script>

<template>
  <p v-if="!rows.length" class="quiet">{{ $t('shapes.partTree.noPartsYetAddA') }}</p>
  <ul class="bare" :aria-label="$t('shapes.partTree.partsByWhatTheyAre')">
    <li v-for="{ part, depth } in rows" :key="part.key" class="line" :style="{ paddingLeft: `${depth * 14}px` }">
      <button
        class="plain part"
        :class="{
          selected: figure.selectedPart?.key === part.key || figure.chosen.includes(part.key),
          gone: figure.hidden.includes(part.key),
        }"
        :aria-pressed="figure.selectedPart?.key === part.key || figure.chosen.includes(part.key)"
        @click="figure.choose(part.key, $event.shiftKey)"
      >
        <Silhouette
          :loops="figure.board?.drawing.parts[part.key]?.pieces[0]?.front ?? []"
          :hex="figure.colourOf(part.colour)"
        />
        <span
          >{{ part.name ?? part.key }}<small class="quiet">{{ kindWord(part.shape.kind) }}</small></span
        >
        <b v-if="part.mirror" class="twins" :title="$t('shapes.partTree.aPair')">x 2</b>
      </button>
      <span class="marks" :class="{ kept: figure.hidden.includes(part.key) || figure.locked.includes(part.key) }">
        <v-btn
          :icon="figure.hidden.includes(part.key) ? mdiEyeOffOutline : mdiEyeOutline"
          size="x-small"
          variant="text"
          :aria-pressed="figure.hidden.includes(part.key)"
          :aria-label="$t('shapes.partTree.hide', { name: part.name ?? part.key })"
          @click="figure.hide(part.key)"
        />
        <v-btn
          :icon="figure.locked.includes(part.key) ? mdiLockOutline : mdiLockOpenVariantOutline"
          size="x-small"
          variant="text"
          :aria-pressed="figure.locked.includes(part.key)"
          :aria-label="$t('shapes.partTree.lock', { name: part.name ?? part.key })"
          @click="figure.lock(part.key)"
        />
      </span>
    </li>
  </ul>
</template>

<style scoped>
.part {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  width: 100%;
  padding: 0.2rem 0.45rem;
  border-radius: 10px;
  min-height: 44px;
}
.part:hover {
  background: rgb(var(--v-theme-table));
}
.part.selected {
  background: rgba(var(--v-theme-secondary), 0.14);
}
.part span {
  display: grid;
  line-height: 1.2;
  flex: 1;
}
.line {
  position: relative;
}
.marks {
  position: absolute;
  right: 0;
  top: 6px;
  display: flex;
  opacity: 0;
  background: rgb(var(--v-theme-surface));
  border-radius: 8px;
}
.line:hover .marks,
.marks:focus-within,
.marks.kept {
  opacity: 1;
}
.part.gone {
  opacity: 0.45;
}
.twins {
  font-size: 0.8rem;
  color: rgb(var(--v-theme-quiet));
}
</style>
