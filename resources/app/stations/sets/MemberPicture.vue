<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue'
import type { SetMember } from '../../api/types/answers'
import { api } from '../../api/client'

/** A member of a set in its own colours. */
const props = defineProps<{ member: SetMember; name: string }>()
const url = ref('')
const drop = () => url.value && URL.revokeObjectURL(url.value)
watch(
  () => JSON.stringify([props.member.figure, props.member.colours, props.member.heightMm]),
  async (now) => {
    try {
      const picture = URL.createObjectURL(await api.memberPicture({ ...props.member, name: '' }))
      drop()
      url.value = picture
    } catch {
      // What is wrong with it is told by the plan, not by its picture.
      if (now) url.value = ''
    }
  },
  { immediate: true },
)
onBeforeUnmount(drop)
</script>

<template>
  <img v-if="url" :src="url" :alt="name" width="110" height="110" />
  <span v-else class="none" />
</template>

<style scoped>
img,
.none {
  display: block;
  width: 110px;
  height: 110px;
  object-fit: contain;
  margin: 0 auto;
}
</style>
