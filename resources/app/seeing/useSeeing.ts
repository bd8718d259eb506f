import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import type { Seen } from '../api/types/answers'
import { api, Refusal, type View } from '../api/client'
import type { Brush, Figure } from '../api/types/figure'
import { useAnswer } from '../api/useAnswer'
import { inWords } from '../shared/useAsyncAction'
import { t } from '../lang'

/** A drawing to be looked at: a file that is not sent yet, or a picture that is here, with the figure that was made of it. */
export interface Source {
  picture: File | number
  name: string
  document?: Figure
}

/** A brush lies no oftener than this on one drawing; PHP says so too. */
export const MOST_STROKES = 40

/** Looks at a drawing: at a glance whenever a wish changes, and closely when asked. */
export function useSeeing(source: () => Source | null) {
  const name = ref('')
  const heightMm = ref(110)
  const shades = ref(0.2)
  const rounded = ref(false)
  const flat = ref<'' | 'sheet' | 'batting'>('')
  const keepsUnsure = ref(false)
  const which = ref(0)
  const views = shallowRef<View[]>([])
  const strokes = shallowRef<Brush[]>([])
  const doing = ref('')
  const share = ref(0)
  const refused = ref('')
  const made = ref<Seen | null>(null)
  let abort: AbortController | null = null

  const sent = useAnswer(
    [source],
    () => {
      const now = source()
      if (!now) return null
      return now.picture instanceof File ? api.picture(now.picture).then((p) => p.id) : Promise.resolve(now.picture)
    },
    true,
  )
  const picture = sent.answer
  // Only of a photo that is not in a figure yet: what was made of it lies in its own pixels.
  const sheet = useAnswer([picture], () =>
    picture.value === null || source()?.document ? null : api.sheet(picture.value),
  )
  const glance = useAnswer([picture, shades, which, strokes, keepsUnsure], () =>
    picture.value === null
      ? null
      : api.glance(picture.value, {
          shades: shades.value,
          figure: which.value,
          brushes: strokes.value,
          keepsUnsure: keepsUnsure.value,
        }),
  )

  watch(
    source,
    (now) => {
      abort?.abort()
      const wishes = now?.document?.picture?.wishes
      name.value = now?.name.replace(/\.[^.]+$/, '') ?? ''
      heightMm.value = now?.document?.heightMm ?? heightMm.value
      shades.value = wishes?.shades ?? 0.2
      rounded.value = (wishes?.roundToMm ?? 0) > 0
      flat.value = wishes?.flat ?? ''
      keepsUnsure.value = wishes?.keepsUnsure ?? false
      which.value = wishes?.figure ?? 0
      views.value = wishes?.views ?? []
      strokes.value = wishes?.brushes ?? []
      doing.value = refused.value = ''
      made.value = null
    },
    { immediate: true },
  )
  onBeforeUnmount(() => abort?.abort())

  /** What is seen, or null where it was stopped or refused; who asks again stops what was asked before. */
  async function look(): Promise<Seen | null> {
    const now = source()
    if (!now) return null
    abort?.abort()
    const mine = (abort = new AbortController())
    refused.value = ''
    doing.value = t('seeing.useSeeing.sendingThePicture')
    share.value = 0
    try {
      const id = picture.value ?? (now.picture instanceof File ? (await api.picture(now.picture)).id : now.picture)
      const seen = await api.breakDown(
        id,
        {
          heightMm: heightMm.value,
          shades: shades.value,
          figure: which.value,
          roundToMm: rounded.value ? 1 : 0,
          brushes: strokes.value,
          views: views.value,
          flat: flat.value,
          keepsUnsure: keepsUnsure.value,
        },
        name.value,
        now.name,
        (what, done) => {
          if (mine === abort) [doing.value, share.value] = [what, done]
        },
        mine.signal,
        now.document,
      )
      if (source() !== now || mine !== abort) return null
      picture.value = id
      made.value = seen
      return seen
    } catch (error) {
      if (!mine.signal.aborted)
        refused.value = error instanceof Refusal ? error.message : t('seeing.useSeeing.thePictureCouldNotBe')
      return null
    } finally {
      if (mine === abort) doing.value = ''
    }
  }

  /** Stops looking; what was seen before stays. */
  function stop(): void {
    abort?.abort()
    doing.value = ''
  }

  /** A stroke is looked at at once, closely where the drawing was looked at closely before. */
  async function brush(stroke: Brush): Promise<void> {
    if (strokes.value.length >= MOST_STROKES) return
    strokes.value = [...strokes.value, stroke]
    if (made.value) await look()
  }

  async function unbrush(): Promise<void> {
    strokes.value = strokes.value.slice(0, -1)
    if (made.value) await look()
  }

  /** Whether what may belong to the figure does; looked at closely where the drawing was before. */
  async function read(keeps: boolean): Promise<void> {
    keepsUnsure.value = keeps
    if (made.value) await look()
  }

  /** One figure alone, or 0 for all: then Impa tells the views of a sheet apart once more. */
  async function choose(figure: number): Promise<Seen | null> {
    which.value = figure
    views.value = []
    return look()
  }

  /** What one figure of a sheet shows. Of each side there is one: who had it before shows nothing of use. */
  async function setView(figure: number, view: View): Promise<void> {
    const isSide = (v: View) => v === 'left' || v === 'right'
    const now = views.value.length ? views.value : (made.value?.views ?? [])
    views.value = (made.value?.figures ?? []).map((_, i) => {
      const was = now[i] ?? 'none'
      return i === figure ? view : was === view || (isSide(was) && isSide(view)) ? 'none' : was
    })
    which.value = 0
    if (views.value.includes('front')) await look()
  }

  /** The sheet alone takes the place of the photo. */
  async function straighten(corners: [number, number][]): Promise<boolean> {
    const [now, photo] = [source(), picture.value]
    if (!now || photo === null) return false
    doing.value = t('seeing.useSeeing.straighteningTheSheet')
    share.value = 0.5
    refused.value = ''
    try {
      const flat = await api.straighten(photo, corners)
      if (source() !== now) return false
      picture.value = flat.id
      strokes.value = []
      views.value = []
      made.value = null
      return true
    } catch (error) {
      refused.value = inWords(error)
      return false
    } finally {
      if (source() === now) doing.value = ''
    }
  }

  const trouble = computed(() => refused.value || sent.trouble.value)

  return {
    name,
    heightMm,
    shades,
    rounded,
    flat,
    keepsUnsure,
    which,
    views,
    strokes,
    doing,
    share,
    refused,
    trouble,
    made,
    picture,
    sheet: sheet.answer,
    finding: sheet.waiting,
    straighten,
    glance: glance.answer,
    glanceTrouble: glance.trouble,
    look,
    stop,
    brush,
    unbrush,
    read,
    choose,
    setView,
  }
}
