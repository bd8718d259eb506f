import { mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import type { Component } from 'vue'
import { createRouter, createMemoryHistory, type Router } from 'vue-router'
import * as vuetify from 'vuetify'
import type { VuetifyOptions } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import type { Board } from '../../resources/app/api/types/answers'
import { api } from '../../resources/app/api/client'
import type { Figure } from '../../resources/app/api/types/figure'
import { useFigure } from '../../resources/app/state/figure/figure'
import { trade } from '../../resources/app/state/trade'
import words from './trade.json'

/** Screens name components as they are built in; here, where nothing is built, they are all there (vitest.config.ts). */
const { components, directives } = vuetify as unknown as Required<Pick<VuetifyOptions, 'components' | 'directives'>>
export const withComponents = (options: VuetifyOptions = {}) =>
  vuetify.createVuetify({ components, directives, ...options })

/** A small figure of our own: a body, a head on it with two ears and an eye. */
export const plain = (): Figure => ({
  format: 'impa-figure',
  version: 2,
  name: 'Test',
  heightMm: 80,
  colours: [
    { key: 'fur', name: 'Fur', hex: '#8a5f9f' },
    { key: 'ink', name: 'Ink', hex: '#221c22' },
  ],
  parts: [
    {
      key: 'body',
      name: 'Body',
      shape: { kind: 'ball', widthMm: 40, heightMm: 40, depthMm: 40 },
      at: { xMm: 0, yMm: 20, zMm: 0 },
      colour: 'fur',
      seen: { confidence: 0.9, why: 'A patch of one colour.' },
    },
    {
      key: 'head',
      name: 'Head',
      shape: { kind: 'ball', widthMm: 30, heightMm: 30, depthMm: 30 },
      at: { xMm: 0, yMm: 50, zMm: 4 },
      colour: 'fur',
      join: { to: 'body' },
      seen: { confidence: 0.6, why: 'Cut from the body at a neck 14 mm wide.' },
    },
    {
      key: 'ear',
      name: 'Ear',
      shape: { kind: 'cone', widthMm: 8, heightMm: 12, depthMm: 8 },
      at: { xMm: 9, yMm: 66, zMm: -2 },
      colour: 'fur',
      mirror: true,
      join: { to: 'head' },
    },
  ],
  details: [
    {
      key: 'eye',
      name: 'Eye',
      role: 'eye',
      on: 'head',
      kind: 'disc',
      widthMm: 4,
      heightMm: 4,
      colour: 'ink',
      xMm: 5,
      yMm: 0,
      mirror: true,
      seen: { confidence: 0.9, why: 'A disc covers it.' },
    },
  ],
})

export interface OnTable {
  wrapper: VueWrapper
  figure: ReturnType<typeof useFigure>
  router: Router
}

/** Mounts a component with the small figure on the table; the server is a stand-in that answers with the same board. */
export async function onTable(
  component: Component,
  props: Record<string, unknown> = {},
  document: Figure = plain(),
  board: Partial<Board> | null = null,
): Promise<OnTable> {
  localStorage.clear()
  // As PHP sends them: tests/Feature/Shelf/ReckoningTest.php holds the two against each other.
  Object.assign(trade, words)
  // Dialogs ask where the window stands; the stand-in for a browser does not know.
  vi.stubGlobal('visualViewport', new EventTarget())
  setActivePinia(createPinia())
  vi.spyOn(api, 'figure').mockResolvedValue({ id: 7, revision: 3, picture: null, document })
  vi.spyOn(api, 'steps').mockResolvedValue({ done: [], present: '' })
  vi.spyOn(api, 'board').mockResolvedValue(board as Board)
  vi.spyOn(api, 'save').mockImplementation((_id, revision, sent) =>
    Promise.resolve({ id: 7, revision: revision + 1, picture: null, document: sent }),
  )
  vi.spyOn(api, 'turning').mockResolvedValue({ parts: {}, details: {}, openings: {} })
  vi.spyOn(api, 'edit')
    .mockClear()
    .mockImplementation((sent, _act, more: { kind?: 'part' | 'detail'; key?: string }) =>
      Promise.resolve({ document: sent, kind: more.kind ?? 'detail', key: more.key ?? '' }),
    )
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', name: 'shelf', component: { template: '<i />' } },
      ...['shapes', 'wool', 'face', 'build', 'check'].map((name) => ({
        path: `/figures/:id/${name}`,
        name,
        component: { template: '<i />' },
      })),
    ],
  })
  await router.push('/figures/7/shapes')
  const figure = useFigure()
  await figure.open(7)
  const wrapper = mount(component, {
    props,
    attachTo: window.document.body,
    global: { plugins: [router, withComponents({ icons: { defaultSet: 'mdi', aliases, sets: { mdi } } })] },
  })

  return { wrapper, figure, router }
}
