<script setup lang="ts">
import { mdiArrangeBringForward, mdiArrangeSendBackward, mdiContentCopy, mdiDeleteOutline } from '@mdi/js'
import { computed, ref } from 'vue'
import type { Trade } from '../../api/types/answers'
import { api, type PaperSize } from '../../api/client'
import type { FaceSchool, Part } from '../../api/types/figure'
import ColourPicker from '../../shared/ColourPicker.vue'
import LengthField from '../../shared/LengthField.vue'
import PrintDialog from '../../shared/PrintDialog.vue'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'
import CoveringFields from './CoveringFields.vue'
import SewingDialog from './dialogs/SewingDialog.vue'
import SizingDialog from './dialogs/SizingDialog.vue'
import StandingDialog from './dialogs/StandingDialog.vue'
import WiresDialog from './dialogs/WiresDialog.vue'
import ThingsDialog from './dialogs/ThingsDialog.vue'
import { trade } from '../../state/trade'
import { inWords } from '../../shared/useAsyncAction'

const figure = useFigure()
const units = useUnits()
const part = computed(() => (figure.selection?.kind === 'part' ? figure.selectedPart : null))
const plan = computed(() => figure.board?.plan.parts.find((p) => p.key === part.value?.key))
const drawing = computed(() => figure.board?.drawing.parts[part.value?.key ?? ''])
const option = (name: string) => drawing.value?.options[name] ?? 0
const isFlat = computed(() => trade.kinds.find((k) => k.value === part.value?.shape.kind)?.isFlat ?? false)
const outlines = computed(() =>
  Array.isArray(part.value?.shape.outline)
    ? [{ title: 'as drawn', value: 'drawn' as const }, ...trade.outlines]
    : trade.outlines,
)
const others = computed(() => [
  { title: 'nothing: it stands', value: '' },
  ...figure.parts.filter((p) => p.key !== part.value?.key).map((p) => ({ title: p.name ?? p.key, value: p.key })),
])
const set = (how: (p: Part) => void) => part.value && figure.changePart(part.value.key, how)
const download = computed(
  () => 'data:application/json;charset=utf-8,' + encodeURIComponent(JSON.stringify(figure.document, null, 2)),
)
const setOutline = (name: string) =>
  set((p) => {
    if (name !== 'drawn') p.shape.outline = name as Trade['outlines'][number]['value']
  })
const sizing = ref(false)
const standing = ref(false)
const wiring = ref(false)
const printing = ref(false)
const sewing = ref(false)
const having = ref(false)
const cards = (as: 'pdf' | 'svg', paper: PaperSize) => api.sizeCards(figure.document!, as, paper)
const sideFile = ref<HTMLInputElement>()
const facesLeft = ref(true)
const sideSays = ref<string[]>([])

/** A second drawing, from the side: PHP finds the parts in it and gives them their depths. */
async function takeSide(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  sideSays.value = ['Looking ...']
  try {
    const picture = await api.picture(file)
    const side = await figure.edit((now) => api.sideView(now, picture.id, facesLeft.value, file.name))
    sideSays.value = side?.notices ?? []
  } catch (error) {
    sideSays.value = [inWords(error)]
  }
}
/** What lies, hangs or is flat tips nowhere. */
const mustStand = computed(() => figure.board?.plan.balance.mustStand ?? false)
const balance = computed(() => figure.board?.plan.balance)
const notes = computed(() => {
  const at = `/parts/${figure.parts.findIndex((p) => p.key === part.value?.key)}`
  return figure.board?.plan.notes.filter((n) => n.at === at) ?? []
})
const isOtherHeight = computed(() => figure.board?.plan.notes.some((n) => n.code === 'height') ?? false)
const isBuried = computed(() => notes.value.some((n) => n.code.startsWith('buried')))
const goesRound = computed(
  () =>
    notes.value.some((n) => n.code === 'buried-roll') ||
    (drawing.value?.joinBy === 'wrap' && part.value?.shape.kind === 'sausage'),
)
/** What of a part lies within another is made or not: as its join and shape say, or as she does. */
const seats = computed(() => [
  {
    value: 'asked',
    title: plan.value?.seat.way === 'onto' ? 'left out, as usual' : 'made, as usual',
  },
  { value: 'onto', title: 'left out: it lies on it' },
  { value: 'in', title: 'made: it goes in' },
])
const sizes = [
  ['widthMm', 'Width'],
  ['heightMm', 'Height'],
  ['depthMm', 'Depth'],
] as const
</script>

<template>
  <aside aria-label="The selected part">
    <template v-if="part">
      <v-alert v-for="n in notes" :key="n.code" type="warning" variant="tonal" density="compact" class="mb-2">{{
        n.text
      }}</v-alert>
      <v-text-field
        :model-value="part.name"
        label="Name"
        maxlength="120"
        @change="set((p) => (p.name = ($event.target as HTMLInputElement).value))"
      />
      <div class="top">
        <v-btn
          :icon="mdiArrangeBringForward"
          variant="text"
          size="small"
          aria-label="Bring forward"
          title="Bring forward (Page up)"
          @click="figure.reorder(part.key, true)"
        />
        <v-btn
          :icon="mdiArrangeSendBackward"
          variant="text"
          size="small"
          aria-label="Send back"
          title="Send back (Page down)"
          @click="figure.reorder(part.key, false)"
        />
        <v-btn
          :icon="mdiContentCopy"
          variant="text"
          size="small"
          aria-label="Double this part"
          @click="figure.doubleSelected()"
        />
        <v-btn
          :icon="mdiDeleteOutline"
          variant="text"
          size="small"
          color="error"
          aria-label="Take this part away"
          @click="figure.removeSelected()"
        />
      </div>
      <v-select
        :model-value="part.shape.kind"
        :items="trade.kinds"
        label="Shape"
        class="mt-3"
        @update:model-value="set((p) => (p.shape.kind = $event))"
      />
      <div class="three mt-3">
        <LengthField
          v-for="[name, label] in sizes"
          :key="name"
          :model-value="part.shape[name]"
          :label="label"
          @update:model-value="set((p) => (p.shape[name] = $event))"
        />
        <LengthField
          :model-value="part.turnDeg?.z ?? 0"
          label="Turn"
          suffix="°"
          :min="-360"
          :max="360"
          @update:model-value="set((p) => (p.turnDeg = { ...p.turnDeg, z: $event }))"
        />
        <LengthField
          :model-value="part.at.zMm ?? 0"
          label="Forwards"
          :min="-4000"
          :max="4000"
          @update:model-value="set((p) => (p.at.zMm = $event))"
        />
        <template v-if="part.shape.kind === 'drumstick' || part.shape.kind === 'cup'">
          <LengthField
            :model-value="option('topMm')"
            label="Upper end"
            @update:model-value="set((p) => (p.shape.topMm = $event))"
          />
          <LengthField
            :model-value="option('bottomMm')"
            label="Lower end"
            @update:model-value="set((p) => (p.shape.bottomMm = $event))"
          />
        </template>
        <LengthField
          v-if="part.shape.kind === 'block'"
          :model-value="option('cornerMm')"
          label="Corners"
          @update:model-value="set((p) => (p.shape.cornerMm = $event))"
        />
        <LengthField
          v-if="part.shape.kind === 'block' || part.shape.kind === 'cup'"
          :model-value="option('edgeMm')"
          :label="part.shape.kind === 'cup' ? 'Rims' : 'Edges'"
          @update:model-value="set((p) => (p.shape.edgeMm = $event))"
        />
        <LengthField
          v-if="part.shape.kind === 'egg'"
          :model-value="option('taper')"
          label="Taper"
          suffix=""
          :min="-0.6"
          :max="0.6"
          @update:model-value="set((p) => (p.shape.taper = $event))"
        />
        <v-select
          v-if="isFlat"
          :model-value="
            typeof part.shape.outline === 'string' ? part.shape.outline : part.shape.outline ? 'drawn' : 'disc'
          "
          :items="outlines"
          label="Outline"
          class="wide"
          @update:model-value="setOutline($event)"
        />
        <LengthField
          v-if="part.shape.kind === 'arc' || part.shape.kind === 'cord'"
          :model-value="option('bendDeg')"
          label="Bend"
          suffix="°"
          :min="0"
          :max="330"
          @update:model-value="set((p) => (p.shape.bendDeg = $event))"
        />
      </div>
      <v-switch
        :model-value="part.mirror ?? false"
        label="A pair, mirrored"
        class="my-1"
        @update:model-value="set((p) => (p.mirror = Boolean($event)))"
      />
      <ColourPicker :model-value="part.colour" @update:model-value="set((p) => (p.colour = $event))" />
      <v-select
        :model-value="drawing?.core"
        :items="trade.cores"
        label="Inside"
        class="mt-3"
        @update:model-value="set((p) => (p.core = $event))"
      />
      <div class="two first-wider mt-3">
        <v-select
          :model-value="drawing?.firmness"
          :items="trade.firmnesses"
          label="Firmness"
          @update:model-value="set((p) => (p.firmness = $event))"
        />
        <LengthField
          :model-value="drawing?.coverMm ?? 0"
          label="Cover"
          :min="0"
          :max="200"
          @update:model-value="set((p) => (p.coverMm = $event))"
        />
      </div>
      <CoveringFields :part="part" class="mt-3" />
      <div class="acts mt-3">
        <v-btn variant="tonal" @click="sewing = true">Cut and sew it</v-btn>
        <v-btn variant="tonal" @click="having = true">Make it a thing held or worn</v-btn>
      </div>
      <SewingDialog v-model="sewing" :part="part" />
      <div class="two mt-3">
        <v-select
          :model-value="part.join?.to ?? ''"
          :items="others"
          label="Joined to"
          @update:model-value="
            set((p) => {
              if ($event) p.join = { ...p.join, to: $event }
              else delete p.join
            })
          "
        />
        <v-select
          v-if="part.join"
          :model-value="drawing?.joinBy"
          :items="trade.joins"
          label="By"
          @update:model-value="
            set((p) => {
              if (p.join) p.join.by = $event
            })
          "
        />
      </div>
      <v-select
        v-if="part.join && plan && plan.seat.way !== 'apart'"
        :model-value="part.join.onto === undefined ? 'asked' : part.join.onto ? 'onto' : 'in'"
        :items="seats"
        label="Where it lies within"
        class="mt-3"
        @update:model-value="
          set((p) => {
            if (!p.join) return
            if ($event === 'asked') delete p.join.onto
            else p.join.onto = $event === 'onto'
          })
        "
      />
      <div v-if="isBuried || goesRound" class="acts mt-3">
        <v-btn v-if="isBuried" variant="tonal" @click="figure.apply('forwards', { key: part.key })"
          >Bring it forwards to show</v-btn
        >
        <v-btn v-if="goesRound" variant="tonal" @click="figure.apply('round', { key: part.key })"
          >Lay it round as a ring</v-btn
        >
      </div>
      <v-select
        v-if="figure.document?.details?.some((d) => d.on === part!.key)"
        :model-value="part.school?.face ?? ''"
        :items="[{ value: '', title: 'as the figure' }, ...trade.schools]"
        label="What lies on it is laid"
        class="mt-3"
        @update:model-value="
          set((p) => {
            if ($event) p.school = { ...p.school, face: $event as FaceSchool }
            else delete p.school
          })
        "
      />
      <details v-if="part.seen?.why" class="why">
        <summary>Why this shape?</summary>
        <p>{{ part.seen.why }}</p>
      </details>
      <dl v-if="plan" class="stitched sums">
        <dt>Volume</dt>
        <dd>{{ units.cm3(plan.volumeCm3) }}</dd>
        <dt>Core</dt>
        <dd>{{ plan.coreG ? units.g(plan.coreG) : 'none' }}</dd>
        <dt>Colour</dt>
        <dd data-fact="colourG">{{ units.g(plan.colourG) }}</dd>
        <dt>Time</dt>
        <dd>{{ units.minutes(plan.minutes) }}</dd>
      </dl>
    </template>
    <template v-else-if="figure.document">
      <h2>The figure</h2>
      <v-text-field
        :model-value="figure.document.name"
        label="Name"
        maxlength="120"
        class="mt-2"
        @change="figure.change((d) => (d.name = ($event.target as HTMLInputElement).value || d.name))"
      />
      <div v-if="isOtherHeight" class="acts">
        <v-btn variant="tonal" @click="figure.apply('height', {})">Say what it stands</v-btn>
        <v-btn variant="tonal" @click="figure.apply('height', { grow: true })">Make it as tall as it says</v-btn>
      </div>
      <dl class="sums mt-2">
        <dt>Weight</dt>
        <dd>{{ units.g(figure.board?.plan.balance.massG ?? 0) }}</dd>
        <template v-if="mustStand && balance">
          <dt>Stands</dt>
          <dd>
            <template v-if="balance.tipDeg <= 0">Falls over</template>
            <template v-else
              >{{ balance.stands ? (balance.touchy ? 'just' : 'firmly') : 'falls over easily'
              }}<span class="unit">tips at {{ units.degrees(balance.tipDeg) }}</span></template
            >
          </dd>
        </template>
        <dt>Hands</dt>
        <dd>{{ units.minutes(figure.board?.plan.minutes.hands ?? 0) }}</dd>
      </dl>
      <p class="quiet mt-4">
        Choose a part on the board or in the list to change it. Drag it, pull its corners, turn it by its knob; drag it
        in the strip at the right to bring it forwards or back.
      </p>
      <div class="acts mt-4">
        <v-btn v-if="!figure.document?.flat" variant="tonal" @click="standing = true">How it stands</v-btn>
        <v-btn variant="tonal" @click="wiring = true">Wires</v-btn>
        <v-btn variant="tonal" @click="sizing = true">Size by a part or an object</v-btn>
        <v-btn variant="tonal" @click="printing = true">Print size cards</v-btn>
        <v-btn variant="tonal" @click="having = true">Things it has with it</v-btn>
      </div>
      <h3 class="mt-4">A side picture</h3>
      <p class="quiet">Has it a drawing from the side as well? Depths are taken from it.</p>
      <div class="acts mt-2">
        <v-btn-toggle
          v-model="facesLeft"
          density="compact"
          mandatory
          aria-label="Which way it looks in the side picture"
          ><v-btn :value="true" size="small">looks left</v-btn
          ><v-btn :value="false" size="small">looks right</v-btn></v-btn-toggle
        >
        <v-btn variant="tonal" @click="sideFile?.click()">{{
          figure.document.sidePicture ? 'Another side picture' : 'Choose a side picture'
        }}</v-btn>
        <input ref="sideFile" type="file" accept="image/*" hidden aria-label="Side picture" @change="takeSide" />
      </div>
      <ul v-if="sideSays.length" class="bare mt-2" role="status">
        <li v-for="n in sideSays" :key="n">{{ n }}</li>
      </ul>
      <StandingDialog v-model="standing" />
      <WiresDialog v-model="wiring" />
      <SizingDialog v-model="sizing" />
      <PrintDialog v-model="printing" title="Size cards" :make="cards">
        <p>
          Every part from the front and from the side at true size, with its weight and colour. Hold the felt against
          the card until it fits.
        </p>
      </PrintDialog>
      <p class="mt-4">
        <a :href="download" :download="`${figure.document.name}.impa.json`">Take the figure as a file</a>
      </p>
    </template>
    <ThingsDialog v-model="having" />
  </aside>
</template>

<style scoped>
.top {
  display: flex;
  align-items: center;
  justify-content: flex-end;
}
.top .v-btn {
  flex: none;
}
aside > p,
aside > h3,
aside > .acts {
  margin-top: 0.8rem;
}
.acts {
  display: grid;
  gap: 0.5rem;
}
.why {
  margin-top: 0.8rem;
  font-size: 0.88rem;
}
.why summary {
  cursor: pointer;
  color: rgb(var(--v-theme-secondary));
  min-height: 28px;
}
.two,
.three {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
.wide {
  grid-column: 1 / -1;
}
.first-wider {
  grid-template-columns: 1.5fr 1fr;
}
</style>
