<script setup lang="ts">
import { ref, watch } from 'vue'
import type { NeedlesAtHand } from '../../api/types/answers'
import { api } from '../../api/client'
import { inWords } from '../../shared/useAsyncAction'

/** The box of needles: so many of each gauge and kind. What is advised hangs on it; a broken one is taken out by itself. */
const show = defineModel<boolean>({ required: true })
const emit = defineEmits<{ changed: [] }>()
const needles = ref<NeedlesAtHand | null>(null)
const trouble = ref('')

async function take(ask: () => Promise<NeedlesAtHand>): Promise<void> {
  trouble.value = ''
  try {
    needles.value = await ask()
  } catch (error) {
    trouble.value = inWords(error)
  }
}
watch(show, (now) => now && void take(() => api.needles()))
const left = (gauge: number, kind: string) =>
  needles.value?.box.find((n) => n.gauge === gauge && n.kind === kind)?.left ?? 0
async function set(gauge: number, kind: string, count: number): Promise<void> {
  const others = (needles.value?.box ?? []).filter((n) => n.gauge !== gauge || n.kind !== kind)
  const kept = Math.max(0, Math.min(999, Math.round(count) || 0))
  const box = kept > 0 ? [...others, { gauge, kind, left: kept }] : others
  await take(() => api.keepBox(box, needles.value!.revision))
  emit('changed')
}
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('build.needleBox.needles')" max-width="620">
    <v-card :title="$t('build.needleBox.needles')">
      <v-card-text>
        <p class="quiet">
          {{ $t('build.needleBox.howManyOfEachAre') }}
        </p>
        <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
        <table v-if="needles">
          <thead>
            <tr>
              <th scope="col">{{ $t('build.needleBox.gauge') }}</th>
              <th v-for="k in needles.kinds" :key="k" scope="col">{{ k }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="g in needles.sold" :key="g">
              <th scope="row">{{ g }}</th>
              <td v-for="k in needles.kinds" :key="k">
                <input
                  type="number"
                  min="0"
                  max="999"
                  :value="left(g, k)"
                  :aria-label="$t('build.needleBox.left', { g, k })"
                  :class="{ none: !left(g, k), last: left(g, k) === 1 }"
                  @change="set(g, k, Number(($event.target as HTMLInputElement).value))"
                />
              </td>
            </tr>
          </tbody>
        </table>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('common.close') }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  margin-top: 0.8rem;
}
th,
td {
  text-align: center;
  padding: 0.2rem;
}
input {
  width: 4.4rem;
  min-height: 44px;
  text-align: center;
  border: 1px solid rgb(var(--v-theme-thread));
  border-radius: 10px;
  color: inherit;
}
.none {
  color: rgb(var(--v-theme-quiet));
}
.last {
  border: 2px solid rgb(var(--v-theme-warning));
}
</style>
