<script setup lang="ts">
import { useUnits } from '../state/units'

const units = useUnits()
const show = defineModel<boolean>({ required: true })
const keys = [
  ['1 to 6', 'go to a station: Shelf, Shapes, Wool, Face, Build, Check'],
  ['S, Y', 'the stash; your own hand'],
  ['arrows', `nudge what is selected by ${units.mm(1)}, with Shift by ${units.mm(0.1)}`],
  ['[ and ]', 'turn by 5 degrees, with Shift by 1'],
  [', and .', `thinner, thicker by ${units.mm(1)}`],
  ['M', 'mirror: a second piece on the other side'],
  ['D', 'double'],
  ['Delete', 'take away'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['Shift and a click', 'choose several parts, or details of a face'],
  ['G', 'make one part of those chosen'],
  ['X, L, P, V', 'cut a part across, draw round a new one, pick a colour, back to choosing (Shapes)'],
  ['Shift X', 'cut the chosen part level through its middle'],
  ['R', 'review what was seen: Enter takes, Delete leaves out'],
  ['A', 'look at the drawing again, with other wishes or brushes (Shapes)'],
  ['T', 'the layers of a flat figure, or its drawing (Shapes)'],
  ['Page up, Page down', 'before, behind the next part'],
  ['H, K', 'hide, lock'],
  ['+, -, 0', 'nearer, farther, all of it; the wheel does the same'],
  ['Alt while dragging', 'without snapping'],
  ['Space, Enter', 'done, next step (Build); a foot switch sends one of them'],
  ['Page up, Page down, O', 'the step before, the step after, fold the order away (Build)'],
  ['F, U', 'flip the face in the mirror, turn it upside down (Face)'],
  ['Z, V, B', 'near to the chosen detail; front, three-quarter, side; as it was before, while held (Face)'],
  ['Escape', 'let go of the selection'],
]
</script>

<template>
  <v-dialog aria-label="Keys" v-model="show">
    <v-card title="Keys">
      <v-card-text>
        <dl>
          <template v-for="[key, what] in keys" :key="key"
            ><dt>
              <kbd>{{ key }}</kbd>
            </dt>
            <dd>{{ what }}</dd></template
          >
        </dl>
      </v-card-text>
      <v-card-actions><v-btn @click="show = false">Close</v-btn></v-card-actions>
    </v-card>
  </v-dialog>
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
