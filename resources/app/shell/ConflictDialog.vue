<script setup lang="ts">
import { useFigure } from '../state/figure/figure'

const figure = useFigure()
</script>

<template>
  <v-dialog
    :aria-label="$t('shell.conflictDialog.thisFigureWasChangedIn')"
    :model-value="figure.saveState === 'conflict'"
    persistent
  >
    <v-card :title="$t('shell.conflictDialog.thisFigureWasChangedIn')">
      <v-card-text>
        {{ $t('shell.conflictDialog.nothingOfYoursIsLost') }}
      </v-card-text>
      <v-card-actions>
        <v-btn @click="figure.settle(false)">{{ $t('shell.conflictDialog.takeTheOther') }}</v-btn>
        <v-btn color="primary" variant="flat" @click="figure.settle(true)">{{
          $t('shell.conflictDialog.keepMine')
        }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>
