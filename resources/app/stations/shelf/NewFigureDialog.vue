<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, Refusal } from '../../api/client'
import type { Figure } from '../../api/figure'
import LengthField from '../../shell/LengthField.vue'

const props = defineProps<{ file: File | null }>()
const emit = defineEmits<{ close: [] }>()

const router = useRouter()
const name = ref('')
const heightMm = ref(110)
const at = ref('')
const trouble = ref('')
const made = ref<{ document: Figure; picture: number; notices: string[] } | null>(null)
const preview = ref('')
const open = computed(() => props.file !== null)

watch(() => props.file, (file) => {
  if (preview.value) URL.revokeObjectURL(preview.value)
  preview.value = file ? URL.createObjectURL(file) : ''
  name.value = file?.name.replace(/\.[^.]+$/, '') ?? ''
  at.value = trouble.value = ''
  made.value = null
})

async function breakDown(): Promise<void> {
  const file = props.file
  if (!file) return
  trouble.value = ''
  try {
    at.value = 'Reading the picture'
    const picture = await api.picture(file)
    at.value = 'Looking for shapes'
    const { document, notices } = await api.breakDown(picture.id, heightMm.value, name.value, file.name)
    if (props.file !== file) return
    made.value = { document, picture: picture.id, notices }
    if (!notices.length) await lay()
  } catch (error) {
    trouble.value = error instanceof Refusal ? error.message : 'The picture could not be used.'
  }
  at.value = ''
}

async function lay(): Promise<void> {
  if (!made.value) return
  const saved = await api.lay(made.value.document, made.value.picture)
  emit('close')
  await router.push(`/figures/${saved.id}/shapes`)
}
</script>

<template>
  <v-dialog :model-value="open" @update:model-value="emit('close')">
    <v-card title="A new figure">
      <v-card-text class="new">
        <img v-if="preview" :src="preview" alt="The picture you chose" @error="preview = ''">
        <div class="fields">
          <v-text-field v-model="name" label="Name" maxlength="120" :disabled="made !== null" />
          <LengthField v-model="heightMm" label="Finished height" :min="10" :max="2000" :disabled="made !== null" />
          <p class="quiet">How tall the finished figure is to stand. You can change it at any time.</p>
          <v-progress-linear v-if="at" indeterminate color="primary" :aria-label="at" />
          <p v-if="at" role="status">{{ at }} ...</p>
          <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
          <v-alert v-if="made" type="info" variant="tonal">
            <p>{{ made.document.parts.length }} parts and {{ made.document.details?.length }} details were seen.</p>
            <ul><li v-for="n in made.notices" :key="n">{{ n }}</li></ul>
          </v-alert>
        </div>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="emit('close')">Leave it</v-btn>
        <v-btn v-if="made" color="primary" variant="flat" @click="lay">To the shapes</v-btn>
        <v-btn v-else color="primary" variant="flat" :disabled="at !== ''" @click="breakDown">See its shapes</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.new { display: flex; gap: 1.2rem; align-items: flex-start; }
.new img { width: 170px; max-height: 260px; object-fit: contain; background: #fff; border-radius: 12px; }
.fields { flex: 1; display: grid; gap: .8rem; }
ul { padding-left: 1.1rem; }
</style>
