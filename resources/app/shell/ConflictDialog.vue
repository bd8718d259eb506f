<script setup lang="ts">
import { useFigure } from '../state/figure/figure'

const figure = useFigure()
</script>

<template>
  <v-dialog
    aria-label="This figure was changed in another window"
    :model-value="figure.saveState === 'conflict'"
    persistent
  >
    <v-card title="This figure was changed in another window">
      <v-card-text>
        Nothing of yours is lost. Keep this window's figure, or take the other one; yours then lies one undo away.
      </v-card-text>
      <v-card-actions>
        <v-btn @click="figure.settle(false)">Take the other</v-btn>
        <v-btn color="primary" variant="flat" @click="figure.settle(true)">Keep mine</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>
