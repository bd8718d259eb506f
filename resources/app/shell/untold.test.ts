import { afterEach, describe, expect, it, vi } from 'vitest'
import { createApp, h } from 'vue'
import { Refusal } from '../api/client'
import { listen, untold } from './untold'

const refused = () => Promise.reject(new Refusal(409, 'This was changed in another window meanwhile.'))
afterEach(() => {
  untold.value = ''
  vi.restoreAllMocks()
})

describe('a refusal that no page tells', () => {
  const pressed = async (onClick: () => unknown) => {
    const app = createApp({ render: () => h('button', { onClick }) })
    listen(app)
    const host = document.body.appendChild(document.createElement('div'))
    app.mount(host)
    host.querySelector('button')!.click()
    await new Promise((done) => setTimeout(done))
    app.unmount()
  }

  it('is told in its own words, whatever was pressed', async () => {
    const log = vi.spyOn(console, 'error').mockImplementation(() => {})
    await pressed(refused)
    expect(untold.value).toBe('This was changed in another window meanwhile.')
    expect(log).not.toHaveBeenCalled()
  })

  it('is told also where nobody waits for the answer', () => {
    listen(createApp({}))
    const event = Object.assign(new Event('unhandledrejection', { cancelable: true }), {
      reason: new Refusal(404, 'There is nothing here.'),
    })
    window.dispatchEvent(event)
    expect(untold.value).toBe('There is nothing here.')
    expect(event.defaultPrevented).toBe(true)
  })

  it('is no other fault: that goes to the console', async () => {
    const log = vi.spyOn(console, 'error').mockImplementation(() => {})
    await pressed(() => Promise.reject(new TypeError('broken')))
    expect(untold.value).toBe('')
    expect(log).toHaveBeenCalledOnce()
  })
})
