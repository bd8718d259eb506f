import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { forgetAnswers, keepAnswer, keptAnswer } from '../away/kept'
import { forget } from '../stations/house/enter'
import { own, storeOf, whose } from './own'

/** The page as the server makes it for one felter. */
function pageOf(felter: string): void {
  document.querySelector('meta[name=felter]')?.remove()
  if (!felter) return
  const meta = document.createElement('meta')
  Object.assign(meta, { name: 'felter', content: felter })
  document.head.append(meta)
}
beforeEach(() => localStorage.clear())
afterEach(() => {
  pageOf('')
  localStorage.clear()
  vi.restoreAllMocks()
})

describe('what a browser keeps', () => {
  it('is hers alone: another one who signs in sees none of it, and loses none of it', () => {
    pageOf('2')
    own.write('draft:7', 'of ada')
    pageOf('3')
    expect([whose(), own.read('draft:7'), storeOf('impa-outbox')]).toEqual(['3', null, 'impa-outbox-3'])
    own.write('draft:7', 'of bo')
    own.remove('draft:7')
    pageOf('2')
    expect([own.read('draft:7'), storeOf('impa-outbox')]).toEqual(['of ada', 'impa-outbox-2'])
  })

  it('is kept under plain names where nobody signs in', () => {
    own.write('draft:7', 'here')
    expect([localStorage.getItem('impa:draft:7'), storeOf('impa-kept')]).toEqual(['here', 'impa-kept'])
  })

  it("is forgotten when she leaves, but for what has not reached the server, and for what is the device's", async () => {
    pageOf('2')
    for (const key of ['draft:7', 'work:7', 'evenings', 'drying']) own.write(key, '1')
    localStorage.setItem('impa:light', 'lamp')
    await keepAnswer('GET', 'figures/7', undefined, { name: 'Bobbin' })
    pageOf('22')
    own.write('evenings', "another's")
    pageOf('2')
    await forget()
    expect(Object.keys(localStorage).sort()).toEqual(
      ['impa:light', 'impa:of-22:evenings', 'impa:of-2:draft:7', 'impa:of-2:work:7'].sort(),
    )
    expect(await keptAnswer('GET', 'figures/7')).toBeUndefined()
    await forgetAnswers()
  })

  it('says that there is no room, and breaks nothing', () => {
    const real = localStorage
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => real.getItem(key),
      removeItem: (key: string) => real.removeItem(key),
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError')
      },
    })
    expect(own.write('draft:7', 'x')).toBe(false)
    vi.unstubAllGlobals()
  })
})
