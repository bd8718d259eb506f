import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { Closing, Hand, PartCheck, Photos } from '../../api/types/answers'
import { api, Refusal } from '../../api/client'
import { late } from '../../../../tests/Support/late'
import { onTable, plain, type OnTable } from '../../../../tests/Support/onTable'
import HandStation from '../hand/HandStation.vue'
import BookletDialog from './BookletDialog.vue'
import CheckStation from './CheckStation.vue'
import FinishPane from './FinishPane.vue'
import MendPane from './MendPane.vue'
import PartsPane from './PartsPane.vue'
import PhotoPane from './PhotoPane.vue'
import ShowPane from './ShowPane.vue'

let table: OnTable
const text = () => table.wrapper.text().replace(/\s+/g, ' ')
const button = (words: string) => table.wrapper.findAll('button').find((b) => b.text().startsWith(words))!
const press = async (words: string) => {
  await button(words).trigger('click')
  await flushPromises()
}
const fill = async (label: string, value: string) => {
  const field = table.wrapper.findAllComponents({ name: 'VTextField' }).find((f) => f.props('label') === label)!
  await field.find('input').setValue(value)
}
afterEach(() => {
  table.wrapper.unmount()
  vi.restoreAllMocks()
})

const photo = (id: number, deviations: Photos['photos'][0]['check']['deviations']): Photos['photos'][0] => ({
  id,
  picture: 40 + id,
  at: Date.UTC(2026, 10, 27, 12, id),
  check: {
    format: 'impa-photo-check',
    version: 1,
    figure: 'Test',
    view: 'front',
    verdict: deviations.length
      ? { is: 'look', text: 'One thing to look at.' }
      : { is: 'as-planned', text: 'No visible difference from the plan.' },
    overlap: 0.9 + id / 100,
    mmPerPx: 0.1,
    tiltDeg: 1,
    scaledBy: id > 1 ? 'sheet' : 'figure',
    symmetry: [],
    deviations,
    unjudged: ['How deep it is: take a photo from the side.'],
    outline: [
      [
        [10, 10],
        [90, 10],
        [50, 80],
      ],
    ],
  },
})
const narrow = {
  part: 'head',
  twin: false,
  what: 'width' as const,
  mm: -3,
  text: 'Head 3.0 mm too narrow.',
  atPx: [50, 40],
  mend: null,
}

describe('photos', () => {
  const opened = async (photos: Photos['photos']) => {
    vi.spyOn(api, 'photos').mockResolvedValue({ photos })
    table = await onTable(PhotoPane, {}, plain())
    await flushPromises()
  }

  it('say what to do first where there is none', async () => {
    await opened([])
    expect(text()).toContain('Lay the figure on a plain sheet')
  })

  it('show the latest with the plan over it, every deviation with its pin, and what is not judged', async () => {
    await opened([photo(1, []), photo(2, [narrow])])
    expect(table.wrapper.find('image').attributes('href')).toBe('/api/pictures/42')
    expect(table.wrapper.find('.verdict').text()).toBe('One thing to look at.')
    expect(text()).toContain('92 % of it lies over the plan')
    expect(text()).toContain('measured by the marker sheet')
    expect(text()).toContain('Head 3.0 mm too narrow.')
    expect(text()).toContain('How deep it is')
    expect(table.wrapper.findAll('.pin')).toHaveLength(1)
    await table.wrapper.find('.pin').trigger('click')
    expect(table.wrapper.find('.found .lit').text()).toContain('Head')
    // One after the other: the one before had none.
    await table.wrapper.find('.strip button').trigger('click')
    expect(table.wrapper.find('.verdict').text()).toBe('No visible difference from the plan.')
    expect(text()).toContain('scale by the figure itself')
  })

  it('have pins beside each other where two deviations lie at one place', async () => {
    await opened([photo(1, [narrow, { ...narrow, what: 'height' }, { ...narrow, atPx: [51, 40] }])])
    const at = table.wrapper
      .findAll('.pin circle')
      .map((c) => ['cx', 'cy', 'r'].map((name) => Number(c.attributes(name))))
    expect(at).toHaveLength(3)
    for (const [i, [x, y, r]] of at.entries())
      for (const [ox, oy] of at.slice(0, i)) expect(Math.hypot(x! - ox!, y! - oy!)).toBeGreaterThan(2 * r!)
  })

  it('say first that one cannot tell, and why, instead of that nothing deviates', async () => {
    const unsure = photo(2, [])
    unsure.check.verdict = { is: 'cannot-tell', text: 'This photo cannot tell: a shadow looks like a part of it.' }
    await opened([photo(1, [narrow]), unsure])
    expect(table.wrapper.find('.verdict').text()).toBe('This photo cannot tell: a shadow looks like a part of it.')
    expect(text()).not.toContain('As planned')
    expect(table.wrapper.findAll('.strip small').map((s) => s.text())).toEqual([
      '1 to look at',
      'This photo cannot tell',
    ])
  })

  it('are turned in the mirror and upside down, each by a button and a key', async () => {
    await opened([photo(1, [narrow])])
    const turned = () => table.wrapper.find('svg g').attributes('transform')
    expect(turned()).toBe('scale(1, 1)')
    await press('Mirror')
    expect(turned()).toBe('scale(-1, 1)')
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'u', bubbles: true }))
    await flushPromises()
    expect(turned()).toBe('scale(-1, -1)')
    await press('Plan')
    expect(table.wrapper.find('.plan').exists()).toBe(false)
  })

  it('say what is being done while the stand-in takes its time, and while the photo is looked at', async () => {
    await opened([])
    const taken = late<{ id: number; widthPx: number; heightPx: number }>()
    const looked = late<{ photos: ReturnType<typeof photo>[] }>()
    vi.spyOn(api, 'benchCamera').mockReturnValue(taken.promise)
    vi.spyOn(api, 'checkPhoto').mockReturnValue(looked.promise)
    await press('Take a sample photo')
    expect(text()).toContain('The bench camera takes a picture')
    taken.come({ id: 7, widthPx: 100, heightPx: 100 })
    await flushPromises()
    expect(text()).toContain('Looking at the photo')
    looked.come({ photos: [photo(1, [narrow])] })
    await flushPromises()
    expect(text()).not.toContain('Looking at the photo')
  })

  it('are taken by the stand-in, or refused in words; nothing that was there is lost', async () => {
    await opened([photo(1, [narrow])])
    vi.spyOn(api, 'benchCamera').mockResolvedValue({ id: 7, widthPx: 100, heightPx: 100 })
    const held = vi.spyOn(api, 'checkPhoto').mockRejectedValueOnce(new Refusal(422, 'The photo is too dark.'))
    await press('Take a sample photo')
    expect(text()).toContain('The photo is too dark.')
    expect(text()).toContain('Head 3.0 mm too narrow.')
    held.mockResolvedValue({ photos: [photo(1, [narrow]), photo(2, [])] })
    await press('Take a sample photo')
    expect(held.mock.lastCall?.slice(2)).toEqual([7, { view: 'front' }])
    expect(text()).not.toContain('too dark')
    expect(text()).toContain('No visible difference')
    vi.spyOn(api, 'dropPhoto').mockResolvedValue({ photos: [] })
    await press('Take this photo out')
    expect(text()).toContain('No photo yet')
  })

  it('without a sheet are measured by two places on a ruler, moved from the keyboard, or by a part', async () => {
    const lopsided = photo(1, [narrow])
    lopsided.check.symmetry = [
      { part: 'ear', what: 'level', mm: 3, text: 'The left ear sits 3.0 mm higher than the right.' },
    ]
    await opened([lopsided])
    expect(table.wrapper.find('[aria-label="Left against right"]').text()).toContain('3.0 mm higher')
    const held = vi.spyOn(api, 'checkPhoto').mockResolvedValue({ photos: [photo(2, [])] })
    await press('Measure it by')
    expect(button('Measure').attributes('disabled')).toBeDefined()
    const plane = table.wrapper.find('.seen svg > g')
    const matrix = { inverse: () => matrix }
    Object.assign(plane.element, { getScreenCTM: () => matrix })
    vi.stubGlobal(
      'DOMPoint',
      class {
        constructor(
          public x: number,
          public y: number,
        ) {}
        matrixTransform = () => this
      },
    )
    await plane.trigger('click', { clientX: 10, clientY: 20 })
    await plane.trigger('click', { clientX: 110, clientY: 20 })
    await table.wrapper.findAll('circle[role=button]')[1]!.trigger('keydown', { key: 'ArrowRight', shiftKey: true })
    vi.unstubAllGlobals()
    await table.wrapper.find('form').trigger('submit')
    await flushPromises()
    // By a thousandth of the picture, which is 1e5 high as long as it is not loaded.
    expect(held.mock.lastCall?.slice(2)).toEqual([
      41,
      {
        view: 'front',
        ruler: [
          [10, 20],
          [210, 20],
        ],
        knownMm: 100,
      },
    ])
    expect(text()).toContain('measured by the marker sheet')
    expect(table.wrapper.find('form').exists()).toBe(false)
  })

  it('say how to go on where the camera is refused', async () => {
    await opened([])
    vi.stubGlobal('navigator', {
      ...navigator,
      mediaDevices: { getUserMedia: () => Promise.reject(new DOMException('no', 'NotAllowedError')) },
    })
    await press("This device's camera")
    expect(text()).toContain('The camera was not allowed: allow it in the browser, or choose a photo as a file.')
    expect(table.wrapper.find('video').exists()).toBe(false)
    vi.unstubAllGlobals()
  })
})

const check = (more: Partial<PartCheck> = {}): PartCheck => ({
  part: 'body',
  name: 'Body',
  sizeMm: { w: 42, h: 40, d: 40 },
  plannedMm: { w: 40, h: 40, d: 40 },
  offMm: { w: 2, h: 0, d: 0 },
  g: 5,
  plannedG: 5,
  cm3: 34,
  gPerCm3: 0.148,
  plannedGPerCm3: 0.15,
  feltInMm: 0.3,
  addG: 0,
  says: ['2.0 mm too wide.', 'Firm it 0.3 mm more all round.'],
  ...more,
})

describe('parts against their cards', () => {
  const opened = async (parts: { uuid: string; twin: boolean; at: number; check: PartCheck }[] = []) => {
    vi.spyOn(api, 'measuredParts').mockResolvedValue({ parts })
    table = await onTable(PartsPane, {}, plain())
    await flushPromises()
  }
  const measure = async (w: string) => {
    for (const [label, value] of Object.entries({ Width: w, Height: '40', Depth: '40', Finished: '5' }))
      await fill(label, value)
    await table.wrapper.find('form').trigger('submit')
    await flushPromises()
  }

  it('list both of a pair, and what was measured', async () => {
    await opened([{ uuid: 'u', twin: false, at: 1, check: check() }])
    expect(text()).toContain('Ear, the other')
    expect(text()).toContain('2.0 mm too wide. Firm it 0.3 mm more all round.')
  })

  it('want every number, ask about a slipped digit, and say what is to be done', async () => {
    await opened()
    await press('Measure')
    await table.wrapper.find('form').trigger('submit')
    expect(text()).toContain('Width, height, depth and grams are needed')
    const held = vi
      .spyOn(api, 'checkPart')
      .mockResolvedValueOnce({ asks: '4.2 mm wide: is that right?', kept: false, check: check() })
      .mockResolvedValue({ asks: '', kept: true, check: check() })
    await measure('4,2')
    expect(held.mock.lastCall?.[2]).toMatchObject({
      part: 'body',
      twin: false,
      widthMm: 4.2,
      grams: 5,
      keep: true,
      sure: false,
    })
    expect(text()).toContain('4.2 mm wide: is that right?')
    expect(text()).not.toContain('Firm it')
    await press('Yes, it is')
    expect(held.mock.lastCall?.[2]).toMatchObject({ sure: true })
    expect(text()).toContain('Firm it 0.3 mm more all round.')
    const followed = vi.spyOn(api, 'followPart').mockImplementation((sent) => Promise.resolve({ document: sent }))
    await press('Change the plan to this size')
    expect(followed.mock.lastCall?.[2]).toMatchObject({ widthMm: 4.2, heightMm: 40 })
  })
})

it('goes from what a photo told to the mend desk, which knows already what would be asked', async () => {
  const high = {
    ...narrow,
    detail: 'eye',
    mend: { sign: 'wrong-place', about: 'eye', answers: { up: -2.54, right: 0 } },
  }
  vi.spyOn(api, 'photos').mockResolvedValue({ photos: [photo(1, [high])] })
  const ask = (name: string) => ({ name, label: name, unit: 'mm', usual: 1, most: 100 })
  vi.spyOn(api, 'signs').mockResolvedValue({
    signs: [{ sign: 'wrong-place', title: 'In the wrong place', about: 'detail', asks: [ask('up'), ask('right')] }],
  })
  const helped = vi.spyOn(api, 'remedies').mockResolvedValue({ remedies: [] })
  table = await onTable(CheckStation, {}, plain())
  await flushPromises()
  expect(text()).toContain('Head 3.0 mm too narrow.')
  await table.wrapper.find('.found .v-btn').trigger('click')
  await flushPromises()
  expect(helped.mock.lastCall?.slice(1)).toEqual(['wrong-place', 'eye', { up: -2.5, right: 0 }])
})

it('shows where it may stand: a jar by its measures, what does not fit and what helps, other places with what they ask', async () => {
  const show = vi.spyOn(api, 'show').mockResolvedValue({
    fits: false,
    says: ['It is too broad for the belly by 5.5 mm.'],
    cures: ['Make it 86 mm high instead of 110: then it fits as it is.'],
    roundMm: 95.5,
    discMm: 56,
  })
  table = await onTable(ShowPane, {}, plain())
  await flushPromises()
  expect(show.mock.lastCall![1]).toEqual({ place: 'jar', mouthMm: 70, bellyMm: 95, heightMm: 150 })
  expect(text()).toContain('It does not fit.')
  expect(text()).toContain('Make it 86 mm high')
  expect(text()).toContain('56 mm across')
  expect(table.wrapper.find('line').classes()).toContain('no')
  show.mockResolvedValue({ says: ['At 1:24 it stands for somebody 1.92 m tall.'], cures: [] })
  table.wrapper.findAllComponents({ name: 'VSelect' })[0]!.vm.$emit('update:modelValue', 'house')
  await flushPromises()
  await fill('Built 1 to', '24')
  await fill('In life so tall', '160')
  await flushPromises()
  expect(show.mock.lastCall![1]).toEqual({ place: 'house', scale: 24, lifeMm: 1600 })
  expect(table.wrapper.find('[aria-label$="in the jar"]').exists()).toBe(false)
  show.mockRejectedValue(new Refusal(422, 'A house is built to a scale of 1:1 to 1:200.'))
  await fill('Built 1 to', '0')
  await flushPromises()
  expect(text()).toContain('1:1 to 1:200')
})

it('stands after Build: a photo first, then the parts', async () => {
  vi.spyOn(api, 'photos').mockResolvedValue({ photos: [] })
  vi.spyOn(api, 'measuredParts').mockResolvedValue({ parts: [] })
  table = await onTable(CheckStation, {}, plain())
  await flushPromises()
  expect(text()).toContain('No photo yet')
  await press('Parts')
  expect(text()).toContain('Measure a finished part')
})

describe('my hand', () => {
  const hand = (observations: Hand['observations'] = []): Hand => ({
    revision: 'r1',
    sheet: {
      format: 'impa-hand',
      version: 1,
      records: observations.length,
      effects: [],
      spread: [],
      next: {} as never,
    },
    observations,
    quantities: [
      {
        quantity: 'density',
        group: 'springy',
        usual: 0.15,
        text: 'Felted springy, your pieces come out 12 % denser.',
        curve: [
          [0.5, 0, 0],
          [1, 1.5, 3],
          [2, 0, 0],
        ],
        shrank: [0.27, 0.14],
      },
    ],
    figures: [],
    practice: [
      {
        key: 'ball',
        name: 'Springy ball',
        kind: 'ball',
        firmness: 'springy',
        widthMm: 32,
        heightMm: 32,
        depthMm: 32,
        cm3: 17,
        weighG: 2.8,
        minutes: 9,
        text: 'Stop when it springs back.',
      },
    ],
    since: null,
  })
  const record = {
    id: 'part:1',
    quantity: 'density' as const,
    group: 'springy',
    what: 'Head, Test',
    expected: 9,
    found: 10,
    factor: 1.11,
    aside: false,
    doubtful: false,
  }
  const opened = async (of: Hand) => {
    vi.spyOn(api, 'hand').mockResolvedValue(of)
    table = await onTable(HandStation, {}, plain())
    await flushPromises()
  }

  it('draws what was known and what is known, and every record as a dot that can be looked into and set aside', async () => {
    await opened(hand([record]))
    expect(text()).toContain('your pieces come out 12 % denser')
    expect(text()).toContain('within 41 % at first, within 20 % now')
    expect(table.wrapper.findAll('circle')).toHaveLength(1)
    await table.wrapper.find('circle').trigger('click')
    expect(text()).toContain('10.0 g, where the house reckons 9.0 g: springy.')
    const aside = vi.spyOn(api, 'handAside').mockResolvedValue(hand([{ ...record, aside: true }]))
    await press('Leave it out')
    expect(aside).toHaveBeenCalledWith('part:1', true, 'r1')
    expect(table.wrapper.find('circle').classes()).toContain('aside')
    const drop = vi.spyOn(api, 'handDrop').mockResolvedValue(hand())
    await press('Remove it for good')
    expect(drop).toHaveBeenCalledWith('part:1')
    expect(table.wrapper.findAll('circle')).toHaveLength(0)
  })

  it('shows plan against done, figure by figure, by weight and by time', async () => {
    const row = { figure: 'Test', quantity: 'density' as const, planned: 10, low: 8, high: 12.5, done: 11, records: 3 }
    const figures = [row, { ...row, figure: 'Other', done: 15 }, { ...row, quantity: 'pace' as const, done: 90 }]
    await opened({ ...hand([record]), figures })
    const rows = () => table.wrapper.findAll('[role=listitem]')
    expect(rows().map((r) => r.attributes('aria-label'))).toEqual([
      'Test: planned 10.0 g (8.0 g to 12.5 g), done 11.0 g, 3 records',
      'Other: planned 10.0 g (8.0 g to 12.5 g), done 15.0 g, 3 records',
    ])
    expect(rows().map((r) => r.find('circle').classes('out'))).toEqual([false, true])
    await press('time')
    expect(rows()).toHaveLength(1)
    expect(rows()[0]!.attributes('aria-label')).toContain('done 1 h 30 min')
  })

  it('learns from a practice piece, and asks back before it learns from a slipped digit', async () => {
    await opened(hand())
    await press('It is done')
    for (const [label, value] of Object.entries({ Width: '32', Height: '32', Depth: '32', Finished: '30' }))
      await fill(label, value)
    const kept = vi
      .spyOn(api, 'handPiece')
      .mockResolvedValueOnce({ ...hand(), asks: '30 g, where about 2.6 g: is that right?', kept: false })
    await table.wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(kept.mock.lastCall?.[0]).toMatchObject({ kind: 'ball', firmness: 'springy', grams: 30, sure: false })
    expect(text()).toContain('is that right?')
    kept.mockResolvedValue({ ...hand([{ ...record, what: 'Springy ball' }]), asks: '', kept: true })
    await press('Yes, it is')
    expect(kept.mock.lastCall?.[0]).toMatchObject({ sure: true })
    expect(text()).toContain('Springy ball made')
  })

  it('is started over only after a word, and that is taken back', async () => {
    await opened(hand([record]))
    await press('Start over')
    const over = vi.spyOn(api, 'handOver').mockResolvedValue({ ...hand(), since: Date.UTC(2026, 10, 27) })
    const dialog = [...document.querySelectorAll<HTMLElement>('.v-overlay button')].find(
      (b) => b.textContent === 'Start over',
    )!
    dialog.click()
    await flushPromises()
    expect(over).toHaveBeenLastCalledWith(false)
    over.mockResolvedValue(hand([record]))
    await press('Take back')
    expect(over).toHaveBeenLastCalledWith(true)
  })
})

describe('the mend desk', () => {
  const opened = async () => {
    vi.spyOn(api, 'signs').mockResolvedValue({
      signs: [
        {
          sign: 'dent',
          title: 'A dent',
          about: 'part',
          asks: [{ name: 'across', label: 'How broad', unit: 'mm', usual: 6, most: 100 }],
        },
        { sign: 'tips', title: 'It tips over', about: 'figure', asks: [] },
      ],
    })
    table = await onTable(MendPane, {}, plain())
    await flushPromises()
  }
  const fillIt = {
    way: 'Fill it',
    steps: ['Tease out 8 mg.', 'Lay it over.'],
    dont: 'Do not stab into it.',
    minutes: 5,
    mg: 8,
    colour: 'fur',
    needle: { gauge: 40, stabs: 'shallow' },
  }

  it('asks little, says what helps, and notes that it was done', async () => {
    await opened()
    expect(text()).toContain('What do you see?')
    const helped = vi.spyOn(api, 'remedies').mockResolvedValue({ remedies: [fillIt] })
    await press('A dent')
    expect(helped.mock.lastCall?.slice(1)).toEqual(['dent', 'body', { across: 6 }])
    expect(text()).toContain('10 mg Fur')
    expect(text()).toContain('Do not stab into it.')
    await fill('How broad', '9,5')
    await flushPromises()
    expect(helped.mock.lastCall?.[3]).toEqual({ across: 9.5 })
    const noted = vi.spyOn(api, 'mended').mockResolvedValue({ noted: true, takenFromStash: true })
    await press('I did this')
    expect(noted.mock.lastCall?.[1]).toMatchObject({ text: 'A dent, Body: fill it', mg: 8, colour: 'fur' })
    expect(text()).toContain('its wool taken from the stash')
  })

  it('says what is no number, and what is refused', async () => {
    await opened()
    vi.spyOn(api, 'remedies').mockRejectedValue(new Refusal(422, 'How broad: a number above 0.'))
    await press('A dent')
    expect(text()).toContain('How broad: a number above 0.')
    await fill('How broad', 'six')
    await flushPromises()
    expect(text()).toContain('A number, please.')
  })
})

describe('a booklet', () => {
  it('is shared only once it is said whose it is; its drawing stays out; a refusal is told', async () => {
    table = await onTable(BookletDialog, { modelValue: true }, plain())
    await flushPromises()
    const share = (words: string) =>
      [...document.querySelectorAll<HTMLButtonElement>('.v-overlay button')].find((b) => b.textContent === words)!
    expect(share('As PDF').disabled).toBe(true)
    table.wrapper.findAllComponents({ name: 'VSelect' })[0]!.vm.$emit('update:modelValue', 'mine')
    await flushPromises()
    const made = vi.spyOn(api, 'booklet').mockRejectedValueOnce(new Refusal(422, 'Name who made the design.'))
    share('As PDF').click()
    await flushPromises()
    expect(document.body.textContent).toContain('Name who made the design.')
    made.mockResolvedValue(new Blob())
    URL.createObjectURL = vi.fn(() => 'blob:x')
    URL.revokeObjectURL = vi.fn()
    share('As a file for Impa').click()
    await flushPromises()
    expect(made.mock.lastCall![2]).toMatchObject({ whose: 'mine', drawing: false, as: 'file' })
  })
})

describe('finishing', () => {
  const closing = (next = ''): Closing => ({
    revision: 'r1',
    left: [
      { kind: 'needles', text: 'The tip of a broken needle was not found.', done: false, safety: true, look: false },
      { kind: 'trim', text: 'Trim fuzz.', done: false, safety: false, look: true },
      { kind: 'steps', text: 'Every step is done.', done: true, safety: false, look: false },
    ],
    next,
  })
  const opened = async () => {
    vi.spyOn(api, 'closing').mockResolvedValue(closing('A larger head.'))
    table = await onTable(FinishPane, {}, plain())
    await flushPromises()
  }

  it('names what is left, what is not safe, and keeps what to change next time', async () => {
    await opened()
    const items = table.wrapper.findAll('li')
    expect(items[0]!.classes()).toContain('safety')
    const boxes = table.wrapper.findAll<HTMLInputElement>('input[type=checkbox]').map((b) => b.element)
    expect(boxes.map((b) => [b.checked, b.disabled])).toEqual([
      [false, true],
      [false, false],
      [true, true],
    ])
    const looked = closing()
    looked.left[1]!.done = true
    const ticked = vi.spyOn(api, 'lookAt').mockResolvedValue(looked)
    await table.wrapper.findAll('input[type=checkbox]')[1]!.trigger('change')
    await flushPromises()
    expect(ticked).toHaveBeenCalledWith(7, 'trim', true)
    expect(boxes[1]!.checked).toBe(true)
    const field = table.wrapper.find('textarea')
    expect(field.element.value).toBe('A larger head.')
    const kept = vi.spyOn(api, 'keepNext').mockResolvedValue(closing('A smaller head.'))
    await field.setValue('A smaller head.')
    await field.trigger('change')
    await flushPromises()
    expect(kept).toHaveBeenCalledWith(7, 'A smaller head.', 'r1')
    expect(text()).toContain('Kept.')
  })

  it('takes the wool from the stash, or says why it cannot', async () => {
    const supply = { needs: [{ wool: 3, name: 'Amber', g: 2.5 }], matches: [], insides: [] } as never
    vi.spyOn(api, 'supply').mockResolvedValue(supply)
    vi.spyOn(api, 'figureWool').mockResolvedValue({ state: 'open', elsewhere: [], aside: [], used: [], revision: 'r' })
    await opened()
    await press('Take its wool')
    await vi.waitFor(() => expect(document.body.textContent).toContain('Amber, used'))
    const taken = vi.spyOn(api, 'finishWool')
    taken.mockRejectedValue(new Refusal(422, 'This figure has taken its wool already.'))
    const out = () => [...document.querySelectorAll('button')].find((b) => b.textContent?.includes('Take it out'))!
    out().click()
    await vi.waitFor(() => expect(document.body.textContent).toContain('This figure has taken its wool already.'))
    taken.mockResolvedValue({ state: 'used', elsewhere: [], aside: [], used: [], revision: 's' })
    out().click()
    await vi.waitFor(() => expect(text()).toContain('Its wool is taken from the stash'))
    expect(taken.mock.lastCall).toEqual([7, { 3: 2.5 }])
  })
})
