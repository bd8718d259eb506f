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
import { t } from '../../lang'
import HowNumber from '../../help/HowNumber.vue'
import OnlyFull from '../../shared/OnlyFull.vue'

const figure = useFigure()
const units = useUnits()
const part = computed(() => (figure.selection?.kind === 'part' ? figure.selectedPart : null))
const plan = computed(() => figure.board?.plan.parts.find((p) => p.key === part.value?.key))
const drawing = computed(() => figure.board?.drawing.parts[part.value?.key ?? ''])
const option = (name: string) => drawing.value?.options[name] ?? 0
const isFlat = computed(() => trade.kinds.find((k) => k.value === part.value?.shape.kind)?.isFlat ?? false)
const outlines = computed(() =>
  Array.isArray(part.value?.shape.outline)
    ? [{ title: t('shapes.partPanel.asDrawn'), value: 'drawn' as const }, ...trade.outlines]
    : trade.outlines,
)
const others = computed(() => [
  { title: t('shapes.partPanel.nothingItStands'), value: '' },
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
const floats = computed(() => notes.value.some((n) => n.code === 'floats'))
const goesRound = computed(
  () =>
    notes.value.some((n) => n.code === 'buried-roll') ||
    (drawing.value?.joinBy === 'wrap' && part.value?.shape.kind === 'sausage'),
)
/** What of a part lies within another is made or not: as its join and shape say, or as she does. */
const seats = computed(() => [
  {
    value: 'asked',
    title: plan.value?.seat.way === 'onto' ? t('shapes.partPanel.leftOutAsUsual') : t('shapes.partPanel.madeAsUsual'),
  },
  { value: 'onto', title: t('shapes.partPanel.leftOutItLiesOn') },
  { value: 'in', title: t('shapes.partPanel.madeItGoesIn') },
])
const sizes = [
  ['widthMm', t('common.width')],
  ['heightMm', t('common.height')],
  ['depthMm', t('common.depth')],
] as const
</script>

<template>
  <aside :aria-label="$t('shapes.partPanel.theSelectedPart')">
    <template v-if="part">
      <v-alert v-for="n in notes" :key="n.code" type="warning" variant="tonal" density="compact" class="mb-2">{{
        n.text
      }}</v-alert>
      <v-text-field
        :model-value="part.name"
        :label="$t('common.name')"
        maxlength="120"
        @change="set((p) => (p.name = ($event.target as HTMLInputElement).value))"
      />
      <div class="top">
        <v-btn
          :icon="mdiArrangeBringForward"
          variant="text"
          size="small"
          :aria-label="$t('shapes.partPanel.bringForward')"
          :title="$t('shapes.partPanel.bringForwardPageUp')"
          @click="figure.reorder(part.key, true)"
        />
        <v-btn
          :icon="mdiArrangeSendBackward"
          variant="text"
          size="small"
          :aria-label="$t('shapes.partPanel.sendBack')"
          :title="$t('shapes.partPanel.sendBackPageDown')"
          @click="figure.reorder(part.key, false)"
        />
        <v-btn
          :icon="mdiContentCopy"
          variant="text"
          size="small"
          :aria-label="$t('shapes.partPanel.doubleThisPart')"
          @click="figure.doubleSelected()"
        />
        <v-btn
          :icon="mdiDeleteOutline"
          variant="text"
          size="small"
          color="error"
          :aria-label="$t('shapes.partPanel.takeThisPartAway')"
          @click="figure.removeSelected()"
        />
      </div>
      <v-select
        :model-value="part.shape.kind"
        :items="trade.kinds"
        :label="$t('shapes.partPanel.shape')"
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
          :label="$t('shapes.partPanel.turn')"
          suffix="°"
          :min="-360"
          :max="360"
          @update:model-value="set((p) => (p.turnDeg = { ...p.turnDeg, z: $event }))"
        />
        <LengthField
          :model-value="part.at.zMm ?? 0"
          :label="$t('shapes.partPanel.forwards')"
          :min="-4000"
          :max="4000"
          @update:model-value="set((p) => (p.at.zMm = $event))"
        />
        <template v-if="part.shape.kind === 'drumstick' || part.shape.kind === 'cup'">
          <LengthField
            :model-value="option('topMm')"
            :label="$t('shapes.partPanel.upperEnd')"
            @update:model-value="set((p) => (p.shape.topMm = $event))"
          />
          <LengthField
            :model-value="option('bottomMm')"
            :label="$t('shapes.partPanel.lowerEnd')"
            @update:model-value="set((p) => (p.shape.bottomMm = $event))"
          />
        </template>
        <LengthField
          v-if="part.shape.kind === 'block'"
          :model-value="option('cornerMm')"
          :label="$t('shapes.partPanel.corners')"
          @update:model-value="set((p) => (p.shape.cornerMm = $event))"
        />
        <LengthField
          v-if="part.shape.kind === 'block' || part.shape.kind === 'cup'"
          :model-value="option('edgeMm')"
          :label="part.shape.kind === 'cup' ? $t('shapes.partPanel.rims') : $t('shapes.partPanel.edges')"
          @update:model-value="set((p) => (p.shape.edgeMm = $event))"
        />
        <OnlyFull v-if="part.shape.kind === 'egg'" :what="$t('help.what.taper')">
          <LengthField
            :model-value="option('taper')"
            :label="$t('shapes.partPanel.taper')"
            suffix=""
            :min="-0.6"
            :max="0.6"
            @update:model-value="set((p) => (p.shape.taper = $event))"
          />
        </OnlyFull>
        <v-select
          v-if="isFlat"
          :model-value="
            typeof part.shape.outline === 'string' ? part.shape.outline : part.shape.outline ? 'drawn' : 'disc'
          "
          :items="outlines"
          :label="$t('shapes.partPanel.outline')"
          class="wide"
          @update:model-value="setOutline($event)"
        />
        <LengthField
          v-if="part.shape.kind === 'arc' || part.shape.kind === 'cord'"
          :model-value="option('bendDeg')"
          :label="$t('shapes.partPanel.bend')"
          suffix="°"
          :min="0"
          :max="330"
          @update:model-value="set((p) => (p.shape.bendDeg = $event))"
        />
      </div>
      <v-switch
        :model-value="part.mirror ?? false"
        :label="$t('shapes.partPanel.aPairMirrored')"
        class="my-1"
        @update:model-value="set((p) => (p.mirror = Boolean($event)))"
      />
      <ColourPicker :model-value="part.colour" @update:model-value="set((p) => (p.colour = $event))" />
      <v-select
        :model-value="drawing?.core"
        :items="trade.cores"
        :label="$t('common.inside')"
        class="mt-3"
        @update:model-value="set((p) => (p.core = $event))"
      />
      <div class="two first-wider mt-3">
        <v-select
          :model-value="drawing?.firmness"
          :items="trade.firmnesses"
          :label="$t('common.firmness')"
          @update:model-value="set((p) => (p.firmness = $event))"
        />
        <LengthField
          :model-value="drawing?.coverMm ?? 0"
          :label="$t('shapes.partPanel.cover')"
          :min="0"
          :max="200"
          @update:model-value="set((p) => (p.coverMm = $event))"
        />
      </div>
      <CoveringFields :part="part" class="mt-3" />
      <div class="acts mt-3">
        <v-btn variant="tonal" @click="sewing = true">{{ $t('shapes.partPanel.cutAndSewIt') }}</v-btn>
        <v-btn variant="tonal" @click="having = true">{{ $t('shapes.partPanel.makeItAThingHeld') }}</v-btn>
      </div>
      <SewingDialog v-model="sewing" :part="part" />
      <div class="two mt-3">
        <v-select
          :model-value="part.join?.to ?? ''"
          :items="others"
          :label="$t('shapes.partPanel.joinedTo')"
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
          :label="$t('shapes.partPanel.by')"
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
        :label="$t('shapes.partPanel.whereItLiesWithin')"
        class="mt-3"
        @update:model-value="
          set((p) => {
            if (!p.join) return
            if ($event === 'asked') delete p.join.onto
            else p.join.onto = $event === 'onto'
          })
        "
      />
      <div v-if="isBuried || goesRound || floats" class="acts mt-3">
        <v-btn v-if="floats" variant="tonal" @click="figure.apply('together', { key: part.key })">{{
          $t('common.bringTogether')
        }}</v-btn>
        <v-btn v-if="isBuried" variant="tonal" @click="figure.apply('forwards', { key: part.key })">{{
          $t('shapes.partPanel.bringItForwardsToShow')
        }}</v-btn>
        <v-btn v-if="goesRound" variant="tonal" @click="figure.apply('round', { key: part.key })">{{
          $t('shapes.partPanel.layItRoundAsA')
        }}</v-btn>
      </div>
      <v-select
        v-if="figure.document?.details?.some((d) => d.on === part!.key)"
        :model-value="part.school?.face ?? ''"
        :items="[{ value: '', title: $t('shapes.partPanel.asTheFigure') }, ...trade.schools]"
        :label="$t('shapes.partPanel.whatLiesOnItIs')"
        class="mt-3"
        @update:model-value="
          set((p) => {
            if ($event) p.school = { ...p.school, face: $event as FaceSchool }
            else delete p.school
          })
        "
      />
      <details v-if="part.seen?.why" class="why">
        <summary>{{ $t('shapes.partPanel.whyThisShape') }}</summary>
        <p>{{ part.seen.why }}</p>
      </details>
      <dl v-if="plan" class="stitched sums">
        <dt>{{ $t('shapes.partPanel.volume') }}</dt>
        <dd>{{ units.cm3(plan.volumeCm3) }}</dd>
        <dt>{{ $t('shapes.partPanel.core') }}</dt>
        <dd>
          <HowNumber v-if="plan.coreG" number="core" :of="plan.key">{{ units.g(plan.coreG) }}</HowNumber><template
            v-else
            >{{ $t('shapes.partPanel.none') }}</template
          >
        </dd>
        <dt>{{ $t('common.colour') }}</dt>
        <dd data-fact="colourG">
          <HowNumber number="colour" :of="plan.key">{{ units.g(plan.colourG) }}</HowNumber>
        </dd>
        <dt>{{ $t('common.time') }}</dt>
        <dd>
          <HowNumber number="making" :of="plan.key">{{ units.minutes(plan.minutes) }}</HowNumber>
        </dd>
      </dl>
    </template>
    <template v-else-if="figure.document">
      <h2>{{ $t('shapes.partPanel.theFigure') }}</h2>
      <v-text-field
        :model-value="figure.document.name"
        :label="$t('common.name')"
        maxlength="120"
        class="mt-2"
        @change="figure.change((d) => (d.name = ($event.target as HTMLInputElement).value || d.name))"
      />
      <div v-if="isOtherHeight" class="acts">
        <v-btn variant="tonal" @click="figure.apply('height', {})">{{ $t('shapes.partPanel.sayWhatItStands') }}</v-btn>
        <v-btn variant="tonal" @click="figure.apply('height', { grow: true })">{{
          $t('shapes.partPanel.makeItAsTallAs')
        }}</v-btn>
      </div>
      <dl class="sums mt-2">
        <dt>{{ $t('shapes.partPanel.weight') }}</dt>
        <dd>{{ units.g(figure.board?.plan.balance.massG ?? 0) }}</dd>
        <template v-if="mustStand && balance">
          <dt>{{ $t('shapes.partPanel.stands') }}</dt>
          <dd>
            <template v-if="balance.tipDeg <= 0">{{ $t('shapes.partPanel.fallsOver') }}</template>
            <template v-else
              >{{
                balance.stands
                  ? balance.touchy
                    ? $t('shapes.partPanel.just')
                    : $t('shapes.partPanel.firmly')
                  : $t('shapes.partPanel.fallsOverEasily')
              }}<HowNumber number="lean"
                ><span class="unit">{{
                  $t('shapes.partPanel.tipsAt', { tipDeg: units.degrees(balance.tipDeg) })
                }}</span></HowNumber
              ></template
            >
          </dd>
        </template>
        <dt>{{ $t('shapes.partPanel.hands') }}</dt>
        <dd>
          <HowNumber number="hands">{{ units.minutes(figure.board?.plan.minutes.hands ?? 0) }}</HowNumber>
        </dd>
      </dl>
      <p class="quiet mt-4">
        {{ $t('shapes.partPanel.chooseAPartOnThe') }}
      </p>
      <div class="acts mt-4">
        <v-btn v-if="!figure.document?.flat" variant="tonal" @click="standing = true">{{
          $t('shapes.partPanel.howItStands')
        }}</v-btn>
        <OnlyFull :what="$t('help.what.wires')">
          <v-btn variant="tonal" @click="wiring = true">{{ $t('common.wires') }}</v-btn>
        </OnlyFull>
        <v-btn variant="tonal" @click="sizing = true">{{ $t('shapes.partPanel.sizeByAPartOr') }}</v-btn>
        <v-btn variant="tonal" @click="printing = true">{{ $t('shapes.partPanel.printSizeCards') }}</v-btn>
        <v-btn variant="tonal" @click="having = true">{{ $t('shapes.partPanel.thingsItHasWithIt') }}</v-btn>
      </div>
      <h3 class="mt-4">{{ $t('shapes.partPanel.aSidePicture') }}</h3>
      <p class="quiet">{{ $t('shapes.partPanel.hasItADrawingFrom') }}</p>
      <div class="acts mt-2">
        <v-btn-toggle
          v-model="facesLeft"
          density="compact"
          mandatory
          :aria-label="$t('shapes.partPanel.whichWayItLooksIn')"
          ><v-btn :value="true" size="small">{{ $t('shapes.partPanel.looksLeft') }}</v-btn
          ><v-btn :value="false" size="small">{{ $t('shapes.partPanel.looksRight') }}</v-btn></v-btn-toggle
        >
        <v-btn variant="tonal" @click="sideFile?.click()">{{
          figure.document.sidePicture
            ? $t('shapes.partPanel.anotherSidePicture')
            : $t('shapes.partPanel.chooseASidePicture')
        }}</v-btn>
        <input
          ref="sideFile"
          type="file"
          accept="image/*"
          hidden
          :aria-label="$t('shapes.partPanel.sidePicture')"
          @change="takeSide"
        />
      </div>
      <ul v-if="sideSays.length" class="bare mt-2" role="status">
        <li v-for="n in sideSays" :key="n">{{ n }}</li>
      </ul>
      <StandingDialog v-model="standing" />
      <WiresDialog v-model="wiring" />
      <SizingDialog v-model="sizing" />
      <PrintDialog v-model="printing" :title="$t('shapes.partPanel.sizeCards')" :make="cards">
        <p>
          {{ $t('shapes.partPanel.everyPartFromTheFront') }}
        </p>
      </PrintDialog>
      <p class="mt-4">
        <a :href="download" :download="`${figure.document.name}.impa.json`">{{
          $t('shapes.partPanel.takeTheFigureAsA')
        }}</a>
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
