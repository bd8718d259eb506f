<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ArchivePreview } from '../../api/types/answers'
import { api, type ArchiveConflict } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'

/** Everything out as one file, and in again with a look at it first. */
const { trouble, busy, tell } = useAsyncAction()
const picker = ref<HTMLInputElement>()
const archive = ref<File | null>(null)
const preview = ref<ArchivePreview | null>(null)
const conflict = ref<ArchiveConflict>('keep')
const each = ref<Record<string, ArchiveConflict>>({})
const doing = ref('')
const share = ref(0)
const told = ref('')

const choices = [
  { value: 'keep', title: 'keep what is here' },
  { value: 'replace', title: 'take the archive’s' },
  { value: 'both', title: 'keep both' },
]
const counted = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`
const of = (state: string) => preview.value?.figures.filter((f) => f.state === state) ?? []
const conflicts = computed(() => of('conflict'))
const refused = computed(() => of('refused'))
const summary = computed(() => {
  const p = preview.value
  if (!p) return ''
  const others = p.wools.conflict + p.sets.conflict
  return [
    `${counted(of('new').length, 'figure')} new, ${of('same').length} the same`,
    `${counted(p.wools.new, 'wool')} and ${counted(p.sets.new, 'set')} new`,
    `${counted(p.pictures, 'picture')}, ${counted(p.pieces, 'weighed piece')}`,
    ...(others ? [`${counted(others, 'wool or set')} otherwise than here`] : []),
  ].join('; ')
})

function look(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0] ?? null
  // The same file can be chosen again afterwards.
  input.value = ''
  preview.value = null
  told.value = ''
  each.value = {}
  return tell(async () => {
    if (!file) return
    archive.value = file
    preview.value = await api.lookInto(file)
  })
}
const takeIn = () =>
  tell(async () => {
    if (!archive.value) return
    const taken = await api
      .takeIn(
        archive.value,
        conflict.value,
        each.value,
        (what, how) => ([doing.value, share.value] = [what, how]),
        new AbortController().signal,
      )
      .finally(() => (doing.value = ''))
    told.value = `${counted(taken.taken, 'figure')} taken in, ${taken.same} the same, ${taken.kept} kept as they were.`
    preview.value = null
  })
</script>

<template>
  <section class="sheet pane" aria-label="Everything out and in">
    <h2>Everything out, everything in</h2>
    <p class="quiet">
      Figures with their history and log, drawings and photos, stash, sets, your hand: one ZIP of files that any program
      reads, for another Impa or for a drawer in ten years.
    </p>
    <div class="row">
      <v-btn color="primary" variant="flat" href="/api/archive" download>Take everything out</v-btn>
      <v-btn variant="tonal" :disabled="busy" @click="picker?.click()">Take an archive in</v-btn>
      <input
        ref="picker"
        class="offscreen"
        type="file"
        accept=".zip,application/zip"
        aria-label="An archive of Impa"
        tabindex="-1"
        @change="look"
      />
    </div>
    <template v-if="preview">
      <p>
        <b>{{ archive?.name }}</b>: {{ summary }}.
      </p>
      <ul v-if="refused.length" class="bare small">
        <li v-for="f in refused" :key="f.uuid" class="wrong">{{ f.name }} stays out: {{ f.why }}</li>
      </ul>
      <template v-if="conflicts.length || preview.wools.conflict || preview.sets.conflict">
        <v-select v-model="conflict" :items="choices" label="What is here already, and otherwise" />
        <ul v-if="conflicts.length" class="bare" aria-label="Figures that are otherwise here">
          <li v-for="f in conflicts" :key="f.uuid" class="row stitched">
            <span class="name">{{ f.name }}</span>
            <v-select
              :model-value="each[f.uuid] ?? conflict"
              :items="choices"
              :aria-label="`${f.name}: what is done`"
              class="choice"
              @update:model-value="each[f.uuid] = $event"
            />
          </li>
        </ul>
      </template>
      <v-btn color="primary" variant="flat" :disabled="busy" @click="takeIn">Take it in</v-btn>
    </template>
    <v-progress-linear
      v-if="busy"
      :model-value="100 * share"
      :indeterminate="!doing"
      color="primary"
      height="8"
      rounded
      :aria-label="doing || 'Looking into it'"
    />
    <p v-if="doing" class="small quiet" role="status">{{ doing }}</p>
    <p v-if="told" role="status">{{ told }}</p>
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.pane {
  display: grid;
  gap: 0.8rem;
  align-content: start;
}
.name {
  flex: 1 1 8rem;
}
.choice {
  flex: 0 1 13rem;
}
</style>
