import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { createRouter, createMemoryHistory, type Router } from 'vue-router'
import { begin, end, isToured, TOUR, tour } from '../../state/tour'
import { withComponents } from '../../../../tests/Support/onTable'
import TourBubble from './TourBubble.vue'

let router: Router
beforeEach(async () => {
  localStorage.removeItem('impa:toured')
  isToured.value = false
  router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)*', component: { template: '<i />' } }],
  })
  await router.push('/')
  begin(7)
})
afterEach(() => {
  end()
  document.body.innerHTML = ''
})
async function opened() {
  const bubble = mount(TourBubble, { attachTo: document.body, global: { plugins: [router, withComponents()] } })
  await flushPromises()
  return bubble
}

describe('the tour', () => {
  it('goes from station to station of its figure, and ends at the shelf', async () => {
    const bubble = await opened()
    for (const [i, { station, says }] of TOUR.entries()) {
      expect(router.currentRoute.value.path).toBe(`/figures/7/${station}`)
      expect(bubble.text()).toContain(says)
      expect(bubble.text()).toContain(`${i + 1} of ${TOUR.length}`)
      await bubble.findAll('button').at(-1)!.trigger('click')
      await flushPromises()
    }
    expect(router.currentRoute.value.path).toBe('/')
    expect(tour.value).toBeNull()
  })
  it('is skipped by its button or Escape, and not offered again', async () => {
    const bubble = await opened()
    await bubble.find('[role=dialog]').trigger('keydown', { key: 'Escape' })
    expect(tour.value).toBeNull()
    expect(isToured.value).toBe(true)
    expect(localStorage.getItem('impa:toured')).not.toBeNull()
    begin(7)
    await bubble.findAll('button')[0]!.trigger('click')
    expect(tour.value).toBeNull()
  })
  it('stands beside what it is about, wherever that comes to stand, and never off the screen', async () => {
    vi.useFakeTimers()
    const thing = document.createElement('div')
    thing.dataset.part = 'head'
    let top = 100
    thing.getBoundingClientRect = () => new DOMRect(40, top, 60, 50)
    document.body.append(thing)
    const bubble = await opened()
    const place = () => Number.parseFloat((bubble.find('[role=dialog]').element as HTMLElement).style.top)
    expect(place()).toBeCloseTo(162, 0)
    expect((bubble.find('.tour-ring').element as HTMLElement).style.top).toBe('96px')
    top = innerHeight - 60
    await vi.advanceTimersByTimeAsync(300)
    expect(place()).toBeLessThan(top)
    thing.remove()
    await vi.advanceTimersByTimeAsync(300)
    expect(bubble.find('.tour-ring').exists()).toBe(false)
    expect(place()).toBeGreaterThan(0)
  })
})
