<script setup lang="ts">
import { choice } from '../state/figure/stale'

/** Something small was changed in another window meanwhile: which of the two is to stand. Nothing of either is lost before that. */
</script>

<template>
  <v-dialog
    :model-value="choice !== null"
    :aria-label="$t('shell.staleDialog.changedInAnotherWindow')"
    max-width="520"
    @update:model-value="choice?.choose(false)"
  >
    <v-card :title="$t('shell.staleDialog.changedInAnotherWindow')">
      <v-card-text>{{ choice?.words }}</v-card-text>
      <v-card-actions>
        <v-btn @click="choice?.choose(false)">{{ $t('shell.staleDialog.takeTheOther') }}</v-btn>
        <v-btn color="primary" variant="flat" @click="choice?.choose(true)">{{
          $t('shell.staleDialog.keepMine')
        }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>
