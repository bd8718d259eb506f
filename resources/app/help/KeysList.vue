<script setup lang="ts">
import { useUnits } from '../state/units'
import { t } from '../lang'

const units = useUnits()
const keys = [
  [t('shell.keysDialog.n1To6'), t('shell.keysDialog.goToAStationShelf')],
  ['S, Y', t('shell.keysDialog.theStashYourOwnHand')],
  ['arrows', t('shell.keysDialog.nudgeWhatIsSelectedBy', { mm: units.mm(1), mm2: units.mm(0.1) })],
  ['[ and ]', t('shell.keysDialog.turnBy5DegreesWith')],
  [t('shell.keysDialog.and'), t('shell.keysDialog.thinnerThickerBy', { mm: units.mm(1) })],
  ['M', t('shell.keysDialog.mirrorASecondPieceOn')],
  ['D', 'double'],
  [t('shell.keysDialog.delete'), t('shell.keysDialog.takeAway')],
  [t('shell.keysDialog.ctrlZCtrlShiftZ'), t('shell.keysDialog.undoRedo')],
  [t('shell.keysDialog.shiftAndAClick'), t('shell.keysDialog.chooseSeveralPartsOrDetails')],
  ['G', t('shell.keysDialog.makeOnePartOfThose')],
  ['X, L, P, V', t('shell.keysDialog.cutAPartAcrossDraw')],
  [t('shell.keysDialog.shiftX'), t('shell.keysDialog.cutTheChosenPartLevel')],
  ['R', t('shell.keysDialog.reviewWhatWasSeenEnter')],
  ['A', t('shell.keysDialog.lookAtTheDrawingAgain')],
  ['T', t('shell.keysDialog.theLayersOfAFlat')],
  [t('shell.keysDialog.pageUpPageDown'), t('shell.keysDialog.beforeBehindTheNextPart')],
  ['H, K', t('shell.keysDialog.hideLock')],
  ['+, -, 0', t('shell.keysDialog.nearerFartherAllOfIt')],
  [t('shell.keysDialog.altWhileDragging'), t('shell.keysDialog.withoutSnapping')],
  [t('shell.keysDialog.spaceEnter'), t('shell.keysDialog.doneNextStepBuildA')],
  [t('shell.keysDialog.pageUpPageDownO'), t('shell.keysDialog.theStepBeforeTheStep')],
  ['F, U', t('shell.keysDialog.flipTheFaceInThe')],
  ['Z, V, B', t('shell.keysDialog.nearToTheChosenDetail')],
  [t('shell.keysDialog.escape'), t('shell.keysDialog.letGoOfTheSelection')],
]
</script>

<template>
  <dl>
    <template v-for="[key, what] in keys" :key="key"
      ><dt>
        <kbd>{{ key }}</kbd>
      </dt>
      <dd>{{ what }}</dd></template
    >
  </dl>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 0.45rem 1.2rem;
  margin: 0;
}
dd {
  margin: 0;
}
kbd {
  font-weight: 700;
}
</style>
