<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Card, SetKept } from '../../api/types/answers'
import { api } from '../../api/client'
import MemberPicture from './MemberPicture.vue'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** Sets below the figures: each a row of its first figures; a new one from figures of the shelf. */
const props = defineProps<{ cards: Card[] }>()
const router = useRouter()
const sets = ref<SetKept[]>([])
const making = ref(false)
const chosen = ref<number[]>([])
const trouble = ref('')
const pieces = (set: SetKept) => set.members.reduce((sum, m) => sum + (m.count ?? 1), 0)
onMounted(async () => {
  try {
    sets.value = (await api.sets()).sets
  } catch (error) {
    trouble.value = inWords(error)
  }
})
async function make(): Promise<void> {
  trouble.value = ''
  try {
    const first = props.cards.find((c) => c.id === chosen.value[0])
    const { id } = await api.laySet(
      chosen.value.length === 1 ? t('sets.setShelf.aSet', { name: first?.name }) : t('sets.setShelf.aSet2'),
      chosen.value.map((figure) => ({ figure, count: 1 })),
    )
    await router.push(`/sets/${id}`)
  } catch (error) {
    trouble.value = inWords(error)
  }
}
</script>

<template>
  <section class="sets" :aria-label="$t('sets.setShelf.sets')">
    <div class="row">
      <h2>{{ $t('sets.setShelf.sets') }}</h2>
      <v-spacer />
      <v-btn variant="text" :prepend-icon="mdiPlus" @click="making = true">{{ $t('sets.setShelf.newSet') }}</v-btn>
    </div>
    <p v-if="!sets.length" class="quiet">
      {{ $t('sets.setShelf.aChoirInSevenColours') }}
    </p>
    <div class="list">
      <router-link v-for="s in sets" :key="s.id" :to="`/sets/${s.id}`" class="sheet set">
        <span class="row pictures"
          ><MemberPicture v-for="(m, i) in s.members.slice(0, 4)" :key="i" :member="m" :name="m.name ?? ''"
        /></span>
        <b>{{ s.name }}</b>
        <span class="quiet">{{ $t('sets.setStation.pieces', pieces(s)) }}</span>
      </router-link>
    </div>
    <v-dialog v-model="making" :aria-label="$t('sets.setShelf.aNewSet')" max-width="460">
      <v-card :title="$t('sets.setShelf.aNewSet')">
        <v-card-text>
          <p>{{ $t('sets.setShelf.whichFiguresAreInIt') }}</p>
          <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
          <v-checkbox
            v-for="c in cards"
            :key="c.id"
            v-model="chosen"
            :value="c.id"
            :label="c.name"
            density="compact"
            hide-details
          />
        </v-card-text>
        <v-card-actions>
          <v-btn @click="making = false">{{ $t('common.cancel') }}</v-btn>
          <v-btn color="primary" variant="flat" :disabled="!chosen.length" @click="make">{{
            $t('sets.setShelf.makeTheSet')
          }}</v-btn>
        </v-card-actions>
      </v-card>
    </v-dialog>
  </section>
</template>

<style scoped>
.sets {
  margin-top: 1.6rem;
}
.list {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(380px, 1fr));
  gap: 1.2rem;
}
.set {
  display: grid;
  gap: 0.2rem;
  padding: 0.8rem 1rem 1rem;
  color: inherit;
  text-decoration: none;
}
.pictures {
  flex-wrap: nowrap;
  overflow: hidden;
}
</style>
