<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import type { Photos } from '../../api/types/answers'
import { api, type PhotoOf } from '../../api/client'
import type { ImpaPhotoCheck } from '../../api/types/photo-check'
import type { MendStart } from './MendPane.vue'
import { deviceCamera } from '../../devices/camera'
import RulerEnds from './RulerEnds.vue'
import ScaleForm from './ScaleForm.vue'
import PrintDialog from '../../shared/PrintDialog.vue'
import { useHotkeys } from '../../shared/useHotkeys'
import { useFigure } from '../../state/figure/figure'
import { inWords } from '../../shared/useAsyncAction'
import { dates, t } from '../../lang'

/** A photo with the plan laid over it: what deviates in words and mm, each with a pin on the photo. */
const emit = defineEmits<{ mend: [start: MendStart] }>()
const figure = useFigure()
const photos = ref<Photos['photos']>([])
const shown = ref(0)
const view = ref<ImpaPhotoCheck['view']>('front')
const views = [
  { value: 'front', title: t('check.photoPane.fromTheFront') },
  { value: 'side', title: t('check.photoPane.fromItsRight') },
  { value: 'back', title: t('check.photoPane.fromTheBack') },
  { value: 'top', title: t('check.photoPane.fromAbove') },
]
/** Key of the only part on the photo; empty: the whole figure. */
const alone = ref('')
const shows = computed(() => [
  { value: '', title: t('check.photoPane.allOfIt') },
  ...(figure.document?.parts ?? []).map((p) => ({ value: p.key, title: t('check.photoPane.alone', { name: p.name }) })),
])
const trouble = ref('')
const busy = ref('')
const lit = ref(-1)
const flipped = ref(false)
const upsideDown = ref(false)
const overPlan = ref(true)
const printing = ref(false)
const file = ref<HTMLInputElement>()
const video = ref<HTMLVideoElement>()
const looking = ref(false)
const camera = deviceCamera()

const now = computed(() => photos.value.find((p) => p.id === shown.value))
/** Of the photo, in pixels; huge until it is known. */
const size = ref({ w: 1e5, h: 1e5 })
const turn = computed(() => `scale(${flipped.value ? -1 : 1}, ${upsideDown.value ? -1 : 1})`)
/** The figure with some ground round it: what else lies on the photo is left out. */
const box = computed(() => {
  const points = now.value?.check.outline.flat() ?? []
  if (!points.length) return { x: 0, y: 0, ...size.value }
  const [xs, ys] = [points.map((p) => p[0]!), points.map((p) => p[1]!)]
  const [w, h] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)]
  const rim = 0.12 * Math.max(w, h)
  const [x, y] = [Math.max(0, Math.min(...xs) - rim), Math.max(0, Math.min(...ys) - rim)]
  return { x, y, w: Math.min(size.value.w - x, w + 2 * rim), h: Math.min(size.value.h - y, h + 2 * rim) }
})
const pinPx = computed(() => box.value.h * 0.021)
/** Where the pins stick: those of one place side by side, so that none hides another. */
const pins = computed(() => {
  const stuck: { x: number; y: number }[] = []
  for (const { atPx } of now.value?.check.deviations ?? []) {
    let x = atPx[0]!
    const y = atPx[1]!
    while (stuck.some((p) => Math.hypot(p.x - x, p.y - y) < 2.2 * pinPx.value)) x += 2.3 * pinPx.value
    stuck.push({ x, y })
  }
  return stuck
})
/** To set a ruler the whole photo is shown. */
const frame = computed(() =>
  ruling.value ? `0 0 ${size.value.w} ${size.value.h}` : `${box.value.x} ${box.value.y} ${box.value.w} ${box.value.h}`,
)
const path = (points: number[][]) => 'M' + points.map((p) => p.join(' ')).join('L')
const when = (ms: number) =>
  new Date(ms).toLocaleString(dates(), { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })

async function load(): Promise<void> {
  if (!figure.id) return
  photos.value = (await api.photos(figure.id)).photos
  shown.value = photos.value.at(-1)?.id ?? 0
}
onMounted(load)
watch(() => figure.id, load)
onBeforeUnmount(() => camera.close())
watch(now, () => (lit.value = -1))

const how = (): PhotoOf => ({ view: view.value, ...(alone.value ? { part: alone.value } : {}) })

async function hold(
  take: () => Promise<{ id: number }>,
  scale: Partial<PhotoOf> = {},
  first = t('check.photoPane.takingThePhotoIn'),
): Promise<void> {
  trouble.value = ''
  busy.value = first
  try {
    const { id } = await take()
    busy.value = t('check.photoPane.lookingAtThePhoto')
    const answer = await api.checkPhoto(figure.id, figure.document!, id, { ...how(), ...scale })
    photos.value = answer.photos
    shown.value = answer.photos.at(-1)!.id
    stopRuling()
  } catch (error) {
    trouble.value = inWords(error)
  } finally {
    busy.value = ''
  }
}
function choose(event: Event): void {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  input.value = ''
  if (chosen) void hold(() => api.picture(chosen))
}
async function look(): Promise<void> {
  trouble.value = ''
  looking.value = true
  await nextTick()
  try {
    await camera.open(video.value!)
  } catch (error) {
    trouble.value = inWords(error)
    close()
  }
}
function close(): void {
  camera.close()
  looking.value = false
}
async function shoot(): Promise<void> {
  await hold(async () => api.picture(await camera.take()))
  close()
}
const bench = () =>
  hold(
    () => api.benchCamera(figure.document!, how(), 1 + Math.floor(Math.random() * 9999), onSheet.value),
    {},
    t('check.photoPane.theBenchCameraTakesA'),
  )

/** Without a sheet the scale comes from two places on a ruler, or from a part that was measured. */
const onSheet = ref(true)
const ruling = ref(false)
const ends = ref<number[][]>([])
const lens = ref<SVGGElement>()
function rule(): void {
  ruling.value = true
  flipped.value = upsideDown.value = false
}
function stopRuling(): void {
  ruling.value = false
  ends.value = []
}
/** A tap on the photo is one end of what is known; a third begins anew. */
function tap(event: MouseEvent): void {
  const matrix = lens.value?.getScreenCTM()
  if (!ruling.value || !matrix) return
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  ends.value = [...(ends.value.length === 2 ? [] : ends.value), [at.x, at.y]]
}
function measureBy(scale: Partial<PhotoOf>): void {
  const picture = now.value!.picture
  void hold(() => Promise.resolve({ id: picture }), scale)
}
const scaledBy = {
  sheet: t('check.photoPane.measuredByTheMarkerSheet'),
  ruler: t('check.photoPane.measuredByARuler'),
  part: t('check.photoPane.measuredByAPart'),
  figure: t('check.photoPane.scaleByTheFigureItself'),
}
/** What is said first; a check that was kept before verdicts were has its number of deviations. */
const verdict = (check: ImpaPhotoCheck) =>
  check.verdict?.text ??
  (check.deviations.length
    ? t('check.photoPane.toLookAt', { deviations: check.deviations.length })
    : t('check.photoPane.asPlanned'))
async function drop(): Promise<void> {
  photos.value = (await api.dropPhoto(figure.id, shown.value)).photos
  shown.value = photos.value.at(-1)?.id ?? 0
}
useHotkeys(
  {
    f: () => (flipped.value = !flipped.value),
    u: () => (upsideDown.value = !upsideDown.value),
  },
  'station',
)
</script>

<template>
  <div class="photo">
    <section class="board">
      <div v-if="busy" class="busy" role="status">
        <p>{{ busy }} …</p>
        <v-progress-linear indeterminate color="primary" :aria-label="busy" />
      </div>
      <div v-if="looking" class="look">
        <video ref="video" muted playsinline :aria-label="$t('check.photoPane.whatTheCameraSees')" />
        <div class="row">
          <v-btn color="primary" variant="flat" :loading="!!busy" @click="shoot">{{
            $t('check.photoPane.takeThePhoto')
          }}</v-btn>
          <v-btn variant="text" @click="close">{{ $t('check.photoPane.closeTheCamera') }}</v-btn>
        </div>
      </div>
      <figure v-else-if="now" class="seen">
        <svg
          :viewBox="frame"
          :class="{ ruling }"
          role="img"
          :aria-label="$t('check.photoPane.photoOfThePlanLaid', { name: figure.document?.name })"
        >
          <g ref="lens" :transform="turn" :transform-origin="`${box.x + box.w / 2} ${box.y + box.h / 2}`" @click="tap">
            <image :href="`/api/pictures/${now.picture}`" :width="size.w" :height="size.h" />
            <g v-if="overPlan" class="plan">
              <path v-for="(o, i) in now.check.outline" :key="i" :d="path(o)" />
            </g>
            <g
              v-for="(p, i) in ruling ? [] : pins"
              :key="i"
              class="pin"
              :class="{ lit: lit === i }"
              @click="lit = lit === i ? -1 : i"
            >
              <circle :cx="p.x" :cy="p.y" :r="pinPx" />
              <text
                :x="p.x"
                :y="p.y + box.h * 0.009"
                :font-size="box.h * 0.027"
                text-anchor="middle"
                :transform="turn"
                :transform-origin="`${p.x} ${p.y}`"
              >
                {{ i + 1 }}
              </text>
            </g>
            <RulerEnds v-if="ruling" v-model="ends" :size="size" />
          </g>
        </svg>
        <!-- Loaded once more to know how large it is; the browser has it already. -->
        <img
          :src="`/api/pictures/${now.picture}`"
          alt=""
          hidden
          @load="
            size = {
              w: ($event.target as HTMLImageElement).naturalWidth,
              h: ($event.target as HTMLImageElement).naturalHeight,
            }
          "
        />
      </figure>
      <div v-else class="empty">
        <h2>{{ $t('check.photoPane.noPhotoYet') }}</h2>
        <p>
          {{ $t('check.photoPane.layTheFigureOnA') }}
        </p>
      </div>
    </section>
    <aside class="side">
      <div class="row two">
        <v-select v-model="alone" :items="shows" :label="$t('check.photoPane.shows')" hide-details />
        <v-select v-model="view" :items="views" :label="$t('check.photoPane.seen')" hide-details />
      </div>
      <div class="acts">
        <v-btn data-photo color="primary" variant="flat" :disabled="!!busy" @click="file?.click()">{{
          $t('check.photoPane.chooseAPhoto')
        }}</v-btn>
        <v-btn variant="tonal" :disabled="!!busy || looking" @click="look">{{
          $t('check.photoPane.thisDevicesCamera')
        }}</v-btn>
        <v-btn variant="tonal" :disabled="!!busy" @click="bench">{{ $t('check.photoPane.takeASamplePhoto') }}</v-btn>
        <v-checkbox v-model="onSheet" :label="$t('check.photoPane.onTheMarkerSheet')" density="compact" hide-details />
        <v-btn variant="text" @click="printing = true">{{ $t('check.photoPane.printTheMarkerSheet') }}</v-btn>
        <input
          ref="file"
          type="file"
          accept="image/*"
          hidden
          :aria-label="$t('check.photoPane.photoOfTheFigure')"
          @change="choose"
        />
      </div>
      <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
      <template v-if="now && !looking">
        <div class="row">
          <v-btn size="small" variant="text" :aria-pressed="flipped" @click="flipped = !flipped"
            >{{ $t('check.photoPane.mirror') }} <kbd>F</kbd></v-btn
          >
          <v-btn size="small" variant="text" :aria-pressed="upsideDown" @click="upsideDown = !upsideDown"
            >{{ $t('check.photoPane.upsideDown') }} <kbd>U</kbd></v-btn
          >
          <v-btn size="small" variant="text" :aria-pressed="overPlan" @click="overPlan = !overPlan">{{
            $t('check.photoPane.plan')
          }}</v-btn>
        </div>
        <h3 class="verdict">{{ verdict(now.check) }}</h3>
        <p>
          <span class="quiet small">{{
            $t('check.photoPane.ofItLiesOverThe', {
              overlap: Math.round(now.check.overlap * 100),
              scaledBy: scaledBy[now.check.scaledBy],
            })
          }}</span>
          <v-btn v-if="now.check.scaledBy !== 'sheet' && !ruling" size="small" variant="text" @click="rule">{{
            $t('check.photoPane.measureItBy')
          }}</v-btn>
        </p>
        <ScaleForm v-if="ruling" :ends="ends" :busy="!!busy" @measure="measureBy" @leave="stopRuling" />
        <ol v-if="now.check.deviations.length" class="bare found" :aria-label="$t('check.photoPane.whatDeviates')">
          <li v-for="(d, i) in now.check.deviations" :key="i">
            <button class="plain" :class="{ lit: lit === i }" @click="lit = lit === i ? -1 : i">
              <b>{{ i + 1 }}</b> {{ d.text }}
            </button>
            <v-btn v-if="d.mend" size="small" variant="text" @click="emit('mend', d.mend)">{{
              $t('check.photoPane.mend')
            }}</v-btn>
          </li>
        </ol>
        <template v-if="now.check.symmetry.length">
          <h3>{{ $t('check.photoPane.leftAgainstRight') }}</h3>
          <ul class="bare" :aria-label="$t('check.photoPane.leftAgainstRight')">
            <li v-for="s in now.check.symmetry" :key="s.text">{{ s.text }}</li>
          </ul>
        </template>
        <details>
          <summary>{{ $t('check.photoPane.whatThisPhotoDoesNot') }}</summary>
          <ul>
            <li v-for="u in now.check.unjudged" :key="u">{{ u }}</li>
          </ul>
        </details>
        <h3 v-if="photos.length > 1">{{ $t('check.photoPane.oneAfterTheOther') }}</h3>
        <div class="row strip">
          <button
            v-for="p in photos"
            :key="p.id"
            class="plain"
            :aria-pressed="p.id === shown"
            :aria-label="$t('check.photoPane.photoOf', { at: when(p.at), check: verdict(p.check) })"
            @click="shown = p.id"
          >
            <img :src="`/api/pictures/${p.picture}`" alt="" loading="lazy" />
            <small>{{
              p.check.deviations.length
                ? $t('check.photoPane.toLookAt2', { deviations: p.check.deviations.length })
                : verdict(p.check).split(/[,:]/)[0]
            }}</small>
          </button>
        </div>
        <v-btn size="small" variant="text" @click="drop">{{ $t('check.photoPane.takeThisPhotoOut') }}</v-btn>
      </template>
    </aside>
    <PrintDialog
      v-model="printing"
      :title="$t('check.photoPane.markerSheet')"
      only-pdf
      :make="(_as, paper) => api.markerSheet(figure.document!, paper)"
    >
      <p>{{ $t('check.photoPane.fourMarksTellScaleAnd') }}</p>
    </PrintDialog>
  </div>
</template>

<style scoped>
.photo {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  gap: 1.2rem;
}
.busy {
  padding: 0.4rem 0.8rem;
}
.busy p {
  margin: 0 0 0.3rem;
}
.board {
  min-height: 420px;
  display: grid;
  align-content: start;
}
.seen {
  margin: 0;
}
.seen svg {
  width: 100%;
  max-height: calc(100vh - 190px);
  display: block;
}
.look video {
  width: 100%;
  max-height: calc(100vh - 260px);
  background: #000;
  border-radius: 12px;
}
.plan path {
  fill: none;
  stroke: #ffffff;
  stroke-width: 0.35%;
  stroke-dasharray: 1% 0.5%;
  mix-blend-mode: difference;
}
.seen svg.ruling {
  cursor: crosshair;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
}
.pin circle {
  fill: rgb(var(--v-theme-primary));
  stroke: #ffffff;
  stroke-width: 0.3%;
}
.pin {
  cursor: pointer;
}
.pin text {
  fill: rgb(var(--v-theme-on-primary));
  font-weight: 700;
}
.pin.lit circle {
  fill: rgb(var(--v-theme-warning));
}
.side,
.acts {
  display: grid;
  gap: 0.7rem;
  align-content: start;
}
.acts {
  gap: 0.4rem;
}
.found li {
  display: flex;
  align-items: center;
}
.found li button.plain {
  flex: 1;
  text-align: left;
  min-height: 44px;
  padding: 0.2rem 0.6rem;
  border-radius: 10px;
  border-left: 4px solid rgb(var(--v-theme-primary));
}
.found li button.plain.lit {
  background: rgba(var(--v-theme-warning), 0.18);
}
.strip {
  flex-wrap: wrap;
  gap: 0.4rem;
}
.strip img {
  height: 64px;
  display: block;
  border-radius: 8px;
}
.strip [aria-pressed='true'] {
  outline: 2px dashed rgb(var(--v-theme-secondary));
}
.empty {
  align-self: center;
  justify-self: center;
  max-width: 440px;
}
@media (max-width: 900px) {
  .photo {
    grid-template-columns: 1fr;
  }
}
</style>
