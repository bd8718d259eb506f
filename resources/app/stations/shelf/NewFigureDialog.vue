<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { Seen } from '../../api/types/answers'
import { api } from '../../api/client'
import SeeingDialog from '../../seeing/SeeingDialog.vue'

const props = defineProps<{ file: File | null }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const source = computed(() => props.file && { picture: props.file, name: props.file.name })

async function lay(seen: Seen, picture: number): Promise<void> {
  const saved = await api.lay(seen.document, picture)
  emit('close')
  await router.push(`/figures/${saved.id}/shapes`)
}
</script>

<template>
  <SeeingDialog
    :title="$t('shelf.newFigureDialog.aNewFigure')"
    :source="source"
    :onwards="$t('shelf.newFigureDialog.toTheShapes')"
    :take="lay"
    @close="emit('close')"
  />
</template>
