<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../../api/client'
import { inWords } from '../../shared/useAsyncAction'
import { takenApart } from './apart'

/** The set that was taken apart last: told at the top of the shelf, where she comes to. */
const router = useRouter()
const trouble = ref('')
/** As it was, and opened. */
async function again(): Promise<void> {
  trouble.value = ''
  try {
    const { id } = await api.laySet(takenApart.value!.name, takenApart.value!.members)
    takenApart.value = null
    await router.push(`/sets/${id}`)
  } catch (error) {
    trouble.value = inWords(error)
  }
}
</script>

<template>
  <p v-if="takenApart" class="row" role="status">
    {{ $t('sets.takenApart.wasTakenApartItsFigures', { name: takenApart.name }) }}
    <v-btn size="small" variant="tonal" @click="again">{{ $t('sets.takenApart.putItTogetherAgain') }}</v-btn>
    <span v-if="trouble" class="wrong" role="alert">{{ trouble }}</span>
  </p>
</template>
