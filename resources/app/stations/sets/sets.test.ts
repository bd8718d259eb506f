import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { SetKept, Shopping } from '../../api/types/answers'
import { api, Refusal } from '../../api/client'
import type { ImpaSetPlan } from '../../api/types/set-plan'
import { currency } from '../../state/money'
import { onTable, plain, type OnTable } from '../../../../tests/Support/onTable'
import TakenApart from './TakenApart.vue'
import SetStation from './SetStation.vue'

let table: OnTable
const text = () => table.wrapper.text().replace(/\s+/g, ' ')
const press = async (words: string) => {
  await table.wrapper
    .findAll('button')
    .find((b) => b.text().startsWith(words) || b.attributes('aria-label') === words)!
    .trigger('click')
  await flushPromises()
}
const kept = (members: SetKept['members'], revision = 1): SetKept => ({
  id: 3,
  name: 'Choir',
  revision,
  members,
  asideG: 0,
  asideRevision: 'r1',
})
const planned = (set: Pick<SetKept, 'members'>): ImpaSetPlan => ({
  format: 'impa-set-plan',
  version: 1,
  name: 'Choir',
  pieces: set.members.length,
  members: set.members.map((m, i) => ({
    name: m.name ?? `Voice ${i}`,
    count: m.count ?? 1,
    heightMm: m.heightMm ?? 80,
    g: 12,
    enoughFor: i === 0 ? 1 : 0,
    colours: [{ key: 'c1', name: 'Honey', hex: m.colours?.c1 ?? '#d0a040' }],
  })),
  wool: [
    {
      wool: 1,
      name: 'Honey',
      material: 'wool',
      hex: '#d0a040',
      g: 12,
      lowG: 9,
      highG: 16,
      wantG: 16,
      freeG: 10,
      lackG: 6,
      state: 'short',
    },
  ],
  totalG: 24,
  enough: { pieces: 1, text: 'The stash is enough for 1 of 2; short of 6.0 g honey.' },
  order: {
    oneByOneMinutes: 240,
    minutes: 200,
    savedMinutes: 40,
    rows: [
      { title: 'Core: Head', kind: 'core', hex: null, gauge: 36, minutes: 20, pieces: 2, members: [0, 1] },
      { title: 'Cover: Head', kind: 'cover', hex: '#d0a040', gauge: 40, minutes: 30, pieces: 1, members: [1] },
    ],
  },
  notes: ['Voice 0 and Voice 1 come out alike: make one of them, and say how many.'],
})

const bought: Shopping = {
  lines: [
    {
      name: 'Honey, shop',
      hex: '#d0a040',
      days: 3,
      for: ['Honey'],
      needG: 6,
      difference: 0,
      price: 4.5,
      g: 10,
      packs: [{ packG: 10, price: 4.5, count: 1 }],
    },
  ],
  missing: [],
  price: 4.5,
  sending: 3,
  days: 3,
  closed: '',
}

describe('a set', () => {
  beforeEach(() => {
    currency.value = 'USD'
    vi.spyOn(api, 'memberPicture').mockResolvedValue(new Blob())
    vi.spyOn(api, 'shelf').mockResolvedValue({ figures: [], page: 1, pages: 1 } as never)
    vi.spyOn(api, 'planSet').mockImplementation((set) => Promise.resolve(planned(set)))
    vi.spyOn(api, 'keepSet').mockImplementation((set) => Promise.resolve({ ...set, revision: set.revision + 1 }))
    vi.spyOn(api, 'set').mockResolvedValue(
      kept([
        { figure: 7, count: 1 },
        { figure: 7, count: 1 },
      ]),
    )
    vi.spyOn(api, 'shopForSet').mockResolvedValue(bought)
    URL.createObjectURL = vi.fn(() => 'blob:x')
    URL.revokeObjectURL = vi.fn()
  })
  afterEach(() => {
    table.wrapper.unmount()
    vi.restoreAllMocks()
  })
  const opened = async () => {
    table = await onTable(SetStation, {}, plain())
    await flushPromises()
  }

  it('shows its figures, for how many the stash is enough, and what is odd', async () => {
    await opened()
    expect(text()).toContain('2 figures')
    expect(text()).toContain('short of 6.0 g honey')
    expect(text()).toContain('come out alike')
    expect(table.wrapper.findAll('li.short')).toHaveLength(1)
  })

  it('makes colourways of one of them in its place, keeps them, and takes that back', async () => {
    await opened()
    const ways = vi
      .spyOn(api, 'colourways')
      .mockResolvedValue({ colourways: [{ c1: '#111111' }, { c1: '#222222' }, { c1: '#333333' }] })
    await table.wrapper.find('fieldset input').setValue(true)
    await press('Make colourways of it')
    expect(ways).toHaveBeenCalledWith(7, ['c1'], 'hue', 7)
    const sent = vi.mocked(api.keepSet).mock.lastCall![0]
    expect(sent.members.map((m) => m.colours?.c1)).toEqual(['#111111', '#222222', '#333333', undefined])
    expect(text()).toContain('4 figures')
    await press('Undo')
    expect(vi.mocked(api.keepSet).mock.lastCall![0].members).toHaveLength(2)
    expect(vi.mocked(api.keepSet).mock.lastCall![0].revision).toBe(2)
  })

  it('says where the stash has nothing for it, and keeps what is there', async () => {
    await opened()
    vi.spyOn(api, 'colourways').mockResolvedValue({ colourways: [] })
    await table.wrapper.find('fieldset input').setValue(true)
    await press('Make colourways of it')
    expect(text()).toContain('has not enough of any wool')
    expect(api.keepSet).not.toHaveBeenCalled()
  })

  it('does not keep a set of none, and says so', async () => {
    await opened()
    await press('Take Voice 1 out of the set')
    await press('Take Voice 0 out of the set')
    expect(text()).toContain('The set is empty')
    expect(vi.mocked(api.keepSet).mock.calls).toHaveLength(1)
    await press('Undo')
    expect(text()).toContain('1 figure')
  })

  it('has one ledger, and an order with what it saves, laid into sittings', async () => {
    await opened()
    await press('Wool')
    expect(text()).toContain('24.0 g in all')
    expect(text()).toContain('1 x 10 g Honey, shop, $4.50')
    expect(table.wrapper.find('tr.short').text()).toContain('6.0 g')
    vi.spyOn(api, 'setSittings').mockResolvedValue({
      sittings: [{ minutes: 90, rows: [{ title: 'Core: Head', minutes: 20 }] }],
    })
    await press('Order')
    expect(text()).toContain('40 min less laying ready')
    expect(text()).toContain('× 2 all')
    expect(table.wrapper.find('[aria-label=Sittings]').text()).toContain('1 h 30')
  })

  it('makes kits for a workshop: bags, what is packed and bought, how it runs; and tells what is out of number', async () => {
    await opened()
    const kit = vi.spyOn(api, 'kit').mockResolvedValue({
      shopping: bought,
      kit: {
        format: 'impa-kit',
        version: 1,
        figure: 'Voice 0',
        people: 12,
        bags: 13,
        beginners: 0.8,
        factor: 1.7,
        bag: [{ name: 'Honey', hex: '#d0a040', eachG: 2, clumpMm: 40, wools: [] }],
        mixes: [],
        needs: [{ name: 'Honey', hex: '#d0a040', g: 26, freeG: 20, lackG: 6 }],
        needle: 38,
        needles: 17,
        packing: [{ what: 'pads', count: 12, note: 'one for each' }],
        run: [{ from: 70, to: 75, what: 'Rest', note: '' }],
        minutes: 120,
        note: 'The organiser decides.',
      },
    })
    await press('Kits')
    expect(kit.mock.lastCall![0]).toMatchObject({ people: 12, spare: 1, beginners: 0.8, member: { figure: 7 } })
    expect(text()).toContain('70 % more than the plan')
    expect(text()).toContain('17 to bring')
    expect(text()).toContain('4.00 g left over')
    expect(text()).toContain('about $0.58 a kit')
    expect(table.wrapper.find('[aria-label="How it runs"]').text()).toContain('1:10')
    kit.mockRejectedValue(new Refusal(422, 'A workshop has 1 to 200 people: hold it twice.'))
    await table.wrapper.findAll('form input[type=number]')[0]!.setValue('1000')
    await flushPromises()
    expect(text()).toContain('hold it twice')
    expect(text()).toContain('17 to bring')
  })

  it('sets its wool aside as a whole, and gives it back', async () => {
    await opened()
    const aside = vi.spyOn(api, 'setAsideForSet').mockResolvedValue({ ...kept([]), asideG: 14 })
    vi.spyOn(api, 'giveBackForSet').mockResolvedValue(kept([]))
    await press('Wool')
    await press('Set the wool aside')
    expect(aside).toHaveBeenCalledWith(3, 'usual', 'r1')
    expect(text()).toContain('14.0 g lie aside for it')
    await press('Give it back')
    expect(text()).not.toContain('lie aside')
  })

  it('taken apart is put together again from the shelf', async () => {
    await opened()
    vi.spyOn(api, 'dropSet').mockResolvedValue({ sets: [] })
    await press('Take the set apart')
    // It is asked first.
    expect(api.dropSet).not.toHaveBeenCalled()
    ;[...document.querySelectorAll('button')].find((b) => b.textContent?.trim() === 'Take it apart')!.click()
    await flushPromises()
    expect(api.dropSet).toHaveBeenCalledTimes(1)
    table.wrapper.unmount()
    const lay = vi.spyOn(api, 'laySet').mockResolvedValue({ ...kept([]), id: 9 })
    table = await onTable(TakenApart, {}, plain())
    expect(text()).toContain('Choir was taken apart')
    await press('Put it together again')
    expect(lay.mock.lastCall![0]).toBe('Choir')
    expect(lay.mock.lastCall![1].length).toBeGreaterThan(0)
    expect(text()).not.toContain('taken apart')
  })

  it('tells a refusal, and loses nothing', async () => {
    await opened()
    vi.mocked(api.keepSet).mockRejectedValueOnce(
      new Refusal(409, 'This set was changed in another window meanwhile: open it anew.'),
    )
    await press('Take Voice 1 out of the set')
    expect(text()).toContain('changed in another window')
    expect(text()).toContain('1 figure')
  })
})
