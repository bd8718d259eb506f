<script setup lang="ts">
import { ref, watch } from 'vue'
import type { SheetRead } from '../../api/types/answers'
import { api } from '../../api/client'
import { base64 } from '../../shared/download'
import { inWords } from '../../shared/useAsyncAction'
import { useUnits } from '../../state/units'

const units = useUnits()
/** A table or palette read into the stash: first what would change, then the change. */
const show = defineModel<boolean>({ required: true })
const emit = defineEmits<{ done: [] }>()
const read = ref<SheetRead | null>(null)
const trouble = ref('')
const busy = ref(false)
let sent: { bytes: string; as: 'csv' | 'gpl' } | null = null
watch(show, (open) => {
  if (open) {
    read.value = null
    trouble.value = ''
  }
})

async function ask(apply: boolean): Promise<void> {
  if (!sent) return
  busy.value = true
  trouble.value = ''
  try {
    read.value = await api.readSheet(sent.bytes, sent.as, apply)
    if (apply) {
      emit('done')
      show.value = false
    }
  } catch (error) {
    trouble.value = inWords(error)
  }
  busy.value = false
}
async function choose(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  sent = { bytes: await base64(file), as: /\.gpl$/i.test(file.name) ? 'gpl' : 'csv' }
  read.value = null
  await ask(false)
}
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('stash.sheetDialog.woolsFromAFile')" max-width="640" scrollable>
    <v-card :title="$t('stash.sheetDialog.woolsFromAFile')">
      <v-card-text class="fields">
        <p>
          {{ $t('stash.sheetDialog.aCsvTableWithThe') }}
        </p>
        <input
          type="file"
          accept=".csv,.gpl,text/csv,text/plain"
          :aria-label="$t('stash.sheetDialog.tableOrPalette')"
          @change="choose"
        />
        <v-progress-linear v-if="busy" indeterminate color="primary" :aria-label="$t('stash.sheetDialog.reading')" />
        <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
        <template v-if="read">
          <p role="status">
            <b>{{
              $t('stash.sheetDialog.newChangedTheSameRefused', {
                added: read.added.length,
                changed: read.changed.length,
                same: read.same,
                refused: read.refused.length,
              })
            }}</b>
          </p>
          <p v-for="n in read.notices" :key="n" class="quiet">{{ n }}</p>
          <details v-if="read.added.length" open>
            <summary>{{ $t('stash.sheetDialog.new') }}</summary>
            <ul class="bare">
              <li v-for="a in read.added.slice(0, 60)" :key="a.name">
                <i class="swatch" :style="{ background: a.hex ?? '#efe6d2' }" /> {{ a.name }},
                {{ units.g(a.gramsLeft) }}
              </li>
            </ul>
            <p v-if="read.added.length > 60" class="quiet">
              {{ $t('stash.sheetDialog.andMore', { added: read.added.length - 60 }) }}
            </p>
          </details>
          <details v-if="read.changed.length" open>
            <summary>{{ $t('stash.sheetDialog.changed') }}</summary>
            <ul class="bare">
              <li v-for="c in read.changed.slice(0, 60)" :key="c.id">
                <b>{{ c.name }}</b>: {{ c.what.join(', ') }}
              </li>
            </ul>
          </details>
          <details v-if="read.refused.length" open>
            <summary class="wrong">{{ $t('stash.sheetDialog.refusedTheRestCanBe') }}</summary>
            <ul class="bare">
              <li v-for="(r, i) in read.refused.slice(0, 200)" :key="i">
                {{ $t('stash.sheetDialog.line', { line: r.line, column: r.column, why: r.why }) }}
              </li>
            </ul>
          </details>
        </template>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('common.cancel') }}</v-btn
        ><v-btn
          color="primary"
          variant="flat"
          :disabled="busy || !read || !(read.added.length + read.changed.length)"
          @click="ask(true)"
          >{{ $t('stash.sheetDialog.takeThemIn') }}</v-btn
        ></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 0.7rem;
}
.fields li {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  font-size: 0.92rem;
  padding: 0.1rem 0;
}
summary {
  cursor: pointer;
  font-weight: 700;
  min-height: 30px;
}
.wrong {
  color: rgb(var(--v-theme-error));
}
</style>
