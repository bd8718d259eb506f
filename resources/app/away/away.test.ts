import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { isKept, keepAnswer, keptAnswer } from './kept'
import { canWait, count, handOver, refusedLater, wait, waiting } from './outbox'

const tick = (step: string, method = 'PUT') => ({ method, path: `figures/3/steps/${step}`, body: undefined })
beforeEach(async () => {
  await handOver(async () => ({ status: 200, detail: '' }))
  refusedLater.value = []
  await count()
})

describe('what is kept for work without the network', () => {
  it('is what Build asks for, and no file, no search, nothing of others', () => {
    for (const asked of [
      'GET figures/3',
      'GET figures/3/steps',
      'GET figures/3/log',
      'GET trade',
      'POST build/picture',
    ])
      expect(isKept(...(asked.split(' ') as [string, string])), asked).toBe(true)
    for (const asked of ['GET figures', 'POST figures', 'DELETE figures/3', 'POST breakdown', 'PUT figures/3'])
      expect(isKept(...(asked.split(' ') as [string, string])), asked).toBe(false)
  })

  it('is told apart by all that was asked', async () => {
    await keepAnswer('POST', 'build/picture', { step: 'a' }, { svg: 'A' })
    await keepAnswer('POST', 'build/picture', { step: 'b' }, { svg: 'B' })
    expect(await keptAnswer('POST', 'build/picture', { step: 'a' })).toEqual({ svg: 'A' })
    expect(await keptAnswer('POST', 'build/picture', { step: 'c' })).toBeUndefined()
  })
})

describe('what waits to be handed over', () => {
  it('is ticks and notes, nothing that told twice would happen twice', () => {
    expect(canWait('PUT', 'figures/3/steps/core:head')).toBe(true)
    expect(canWait('POST', 'figures/3/log')).toBe(true)
    expect(canWait('POST', 'figures/3/wool/finish')).toBe(false)
    expect(canWait('POST', 'wools/3/weighings')).toBe(false)
    expect(canWait('PUT', 'figures/3')).toBe(false)
  })

  it('shows at once as it will be: ticked, unticked, laid open', async () => {
    await keepAnswer('GET', 'figures/3/steps', undefined, { done: ['portion'], present: '' })
    expect(await wait(tick('core%3Ahead'))).toEqual({ done: ['portion', 'core:head'], present: '' })
    expect(await wait(tick('portion', 'DELETE'))).toEqual({ done: ['core:head'], present: '' })
    expect(await wait({ method: 'PUT', path: 'figures/3/present', body: { step: 'felt:head' } })).toEqual({
      done: ['core:head'],
      present: 'felt:head',
    })
    expect(waiting.value).toBe(3)
  })

  it('warns at once of a tip that may be in the figure, and no more once it is found', async () => {
    await keepAnswer('GET', 'figures/3/log', undefined, { tipsMissing: 0, sittings: [], steps: [] })
    const note = (uuid: string, kind: string) => ({
      method: 'POST',
      path: 'figures/3/log',
      body: { uuid, kind, at: 5 },
    })
    expect(await wait(note('one', 'broken'))).toMatchObject({
      tipsMissing: 1,
      sittings: [{ entries: [{ uuid: 'one' }] }],
    })
    expect(await wait(note('two', 'found'))).toMatchObject({ tipsMissing: 0 })
  })

  it('goes over in the order in which it was done, each once', async () => {
    for (const step of ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i', 'j', 'k']) await wait(tick(step))
    const sent: string[] = []
    const send = async ({ path }: { path: string }) => {
      sent.push(path.at(-1)!)
      return { status: 200, detail: '' }
    }
    // Two at once, as when the network comes back and something is asked: they are one.
    await Promise.all([handOver(send), handOver(send)])
    expect(sent.join('')).toBe('abcdefghijk')
    await handOver(send)
    expect(sent).toHaveLength(11)
    expect(waiting.value).toBe(0)
  })

  it.each([0, 401, 419, 429, 500, 503])(
    'waits on where the answer is %i, and nothing after it overtakes it',
    async (status) => {
      for (const step of ['a', 'b', 'c']) await wait(tick(step))
      const sent: string[] = []
      await handOver(async ({ path }) => {
        sent.push(path.at(-1)!)
        return { status: path.endsWith('b') ? status : 200, detail: '' }
      })
      expect(sent.join('')).toBe('ab')
      expect(waiting.value).toBe(2)
      await handOver(async ({ path }) => (sent.push(path.at(-1)!), { status: 200, detail: '' }))
      expect(sent.join('')).toBe('abbc')
    },
  )

  it('tells what was refused for good, and lets the rest through', async () => {
    for (const step of ['a', 'b']) await wait(tick(step))
    await handOver(async ({ path }) =>
      path.endsWith('a') ? { status: 422, detail: 'There is no such step.' } : { status: 200, detail: '' },
    )
    expect(refusedLater.value).toEqual(['There is no such step.'])
    expect(waiting.value).toBe(0)
  })
})
