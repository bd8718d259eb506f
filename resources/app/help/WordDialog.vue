<script setup lang="ts">
import { computed } from 'vue'
import { trade } from '../state/trade'
import { askedWord } from './asked'
import WordCard from './WordCard.vue'

const word = computed(() => trade.words.find((w) => w.code === askedWord.value))
const show = computed({ get: () => word.value !== undefined, set: (is) => !is && (askedWord.value = '') })
</script>

<template>
  <v-dialog v-model="show" :aria-label="word?.is" max-width="520">
    <v-card v-if="word">
      <v-card-text><WordCard :word="word" /></v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('common.close') }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>
