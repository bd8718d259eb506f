import { expect, test, type APIRequestContext } from './test'
import { readdirSync } from 'node:fs'
import { request as post } from 'node:http'
import { asker } from './lay'

/** Many requests at the same moment, on a server of several workers: none breaks, and what they leave agrees with itself. */
const sender = async (request: APIRequestContext) => {
  const ask = await asker(request)
  return async (method: string, path: string, data?: unknown) => (await ask(method, path, data)).status()
}
/** A figure of one ball, of a wool that is no other test's. */
const ball = (name: string) => ({
  format: 'impa-figure',
  version: 2,
  name,
  heightMm: 30,
  colours: [{ key: 'own', hex: '#123456', mix: [{ wool: 'Together', percent: 100 }] }],
  parts: [
    {
      key: 'ball',
      shape: { kind: 'ball', widthMm: 30, heightMm: 30, depthMm: 30 },
      at: { xMm: 0, yMm: 15 },
      colour: 'own',
      core: 'none',
    },
  ],
})

test('setting aside and finishing at the same moment: one takes the wool, the others are told, none breaks', async ({
  request,
}) => {
  const send = await sender(request)
  const wools = async () =>
    ((await (await request.get('/api/wools')).json()) as { wools: { name: string; gramsLeft: number }[] }).wools
  await send('POST', 'wools', { name: 'Together', hex: '#123456', gramsLeft: 100 })
  for (let round = 0; round < 4; round++) {
    await send('POST', 'figures', { document: ball(`Together ${round}`) })
    const shelf = (await (await request.get('/api/figures')).json()) as { figures: { id: number; name: string }[] }
    const id = shelf.figures.find((f) => f.name === `Together ${round}`)!.id
    const before = await wools()
    const { revision } = (await (await request.get(`/api/figures/${id}/wool`)).json()) as { revision: string }
    const asked = Array.from({ length: 8 }, (_, i) =>
      i % 2
        ? send('POST', `figures/${id}/wool/finish`, {})
        : send('PUT', `figures/${id}/wool`, { reserve: 'usual', revision }),
    )
    const said = await Promise.all(asked)
    expect(said.filter((s) => ![200, 201, 409, 422].includes(s))).toEqual([])
    expect(said.filter((s) => s === 201)).toHaveLength(1)
    const state = (await (await request.get(`/api/figures/${id}/wool`)).json()) as {
      state: string
      used: { name: string; usedG: number }[]
    }
    expect(state.state).toBe('used')
    const after = await wools()
    for (const u of state.used) {
      const left = (list: typeof after) => list.find((w) => w.name === u.name)!.gramsLeft
      expect(left(before) - left(after)).toBeCloseTo(Math.min(left(before), u.usedG), 6)
    }
    await send('DELETE', `figures/${id}`)
  }
})

test('the same wool posted many times at once is there once', async ({ request }) => {
  const send = await sender(request)
  const wool = { name: 'Posted at once', hex: '#654321', gramsLeft: 5 }
  const said = await Promise.all(Array.from({ length: 8 }, () => send('POST', 'wools', wool)))
  expect(said.sort()).toEqual([201, ...Array<number>(7).fill(422)])
})

test('an archive whose sender hangs up leaves no file, no picture and no figure behind', async ({ request, store }) => {
  const ask = await asker(request)
  const archive = await (await request.get('/api/archive')).body()
  const shelf = async () => ((await (await request.get('/api/figures')).json()) as { count: number }).count
  for (const { id } of ((await (await request.get('/api/figures')).json()) as { figures: { id: number }[] }).figures)
    await ask('DELETE', `figures/${id}`)
  await ask('DELETE', 'bin')
  const { cookies } = await request.storageState()
  const cookie = cookies.map(({ name, value }) => `${name}=${value}`).join('; ')
  const token = decodeURIComponent(cookies.find((c) => c.name === 'XSRF-TOKEN')!.value)
  const pictures = () => readdirSync(`${store.home}/pictures`).length
  const before = pictures()
  const hungUp = new Promise((done) => {
    const sent = post(`${store.address}/api/archive?conflict=keep`, {
      method: 'POST',
      headers: { cookie, 'X-XSRF-TOKEN': token, Accept: 'application/x-ndjson', 'Content-Length': archive.length },
    })
    // After its first line.
    sent.on('response', (answer) => answer.once('data', () => sent.destroy()))
    sent.on('error', () => undefined).on('close', done)
    sent.end(archive)
  })
  await hungUp
  const left = () => readdirSync(`${store.home}/framework`).filter((name) => name.startsWith('in-'))
  await expect.poll(left).toEqual([])
  // It was ended in the middle, or it was quicker than the hanging up: all of it is there, or nothing.
  const count = await shelf()
  expect([0, 5]).toContain(count)
  if (count === 0) expect(pictures()).toBe(before)
})
