import { expect, test } from './test'
import { spawn, type ChildProcess } from 'node:child_process'
import { createServer, type IncomingHttpHeaders, type Server } from 'node:http'
import { request } from 'node:https'
import { connect, type AddressInfo, type Socket } from 'node:net'

/** The way in for tablets, by itself: who holds it shuts nobody out, and nothing large is handed on for who is not paired. */
let impa: Server
let way: ChildProcess
let port = 0
let asked: { url: string; headers: IncomingHttpHeaders; bytes: number }[] = []
const sockets: Socket[] = []

test.beforeAll(async ({ store }) => {
  // In Impa's place: a paired device has its cookie.
  impa = createServer((request_, answer) => {
    let bytes = 0
    request_.on('data', (some: Buffer) => (bytes += some.length))
    request_.on('end', () => {
      asked.push({ url: request_.url ?? '', headers: request_.headers, bytes })
      answer.writeHead(request_.headers.cookie === 'impa-device=paired' ? 200 : 401).end('told')
    })
  })
  await new Promise<void>((done) => impa.listen(0, '127.0.0.1', done))
  const free = createServer()
  await new Promise<void>((done) => free.listen(0, '0.0.0.0', done))
  port = (free.address() as AddressInfo).port
  await new Promise((done) => free.close(done))
  const to = (impa.address() as AddressInfo).port
  way = spawn('node', [
    'bin/share.mjs',
    '--listen=127.0.0.1',
    `--port=${port}`,
    `--to=${to}`,
    `--folder=${store.home}/share`,
  ])
  await expect.poll(() => ask({}).catch(() => 0), { timeout: 30_000 }).toBe(401)
})
test.afterAll(() => {
  sockets.forEach((socket) => socket.destroy())
  way.kill()
  impa.close()
})
test.beforeEach(() => (asked = []))

const PAIRED = { cookie: 'impa-device=paired' }
function ask(headers: object, path = '/api/place', method = 'GET', chunks: Buffer[] = []): Promise<number> {
  return new Promise((done, fail) => {
    const asks = request(
      { host: '127.0.0.1', port, path, method, headers: { ...headers }, rejectUnauthorized: false, agent: false },
      (answer) => {
        answer.resume()
        done(answer.statusCode ?? 0)
      },
    )
    asks.on('error', fail)
    for (const chunk of chunks) asks.write(chunk)
    asks.end()
  })
}

/** Connections from one place that say nothing: how many of them are held. */
async function hold(from: string, count: number): Promise<() => number> {
  const mine = Array.from({ length: count }, () => connect({ host: '127.0.0.1', port, localAddress: from }))
  for (const socket of mine) socket.on('error', () => {})
  sockets.push(...mine)
  await Promise.all(mine.map((socket) => new Promise((done) => socket.once('connect', done).once('close', done))))
  return () => mine.filter((socket) => !socket.destroyed && !socket.readableEnded).length
}

test(
  'who holds many connections and says nothing shuts nobody else out, and is sent away',
  { tag: '@byTurns' },
  async () => {
    const held = await hold('127.0.0.2', 100)
    await expect.poll(held).toBeLessThanOrEqual(24)
    const others = await Promise.all(['127.0.0.3', '127.0.0.4', '127.0.0.5'].map((from) => hold(from, 40)))
    expect(await ask(PAIRED)).toBe(200)
    await expect.poll(() => held() + others.reduce((sum, one) => sum + one(), 0), { timeout: 60_000 }).toBe(0)
    // It may come again, and ask.
    expect(await ask(PAIRED)).toBe(200)
  },
)

test('a large body is refused by its length, and one that does not say how long it is, once it is', async () => {
  expect(await ask({ ...PAIRED, 'content-length': 41_000_000 }, '/api/pictures', 'POST')).toBe(413)
  expect(await ask({ ...PAIRED, 'content-length': 2_100_000_000 }, '/api/archive', 'POST')).toBe(413)
  expect(asked).toEqual([])
  const megabytes = Array.from({ length: 45 }, () => Buffer.alloc(1_000_000))
  await expect(ask(PAIRED, '/api/pictures', 'POST', megabytes)).rejects.toThrow()
  expect(asked).toEqual([])
  expect(await ask(PAIRED, '/api/archive?conflict=keep', 'POST', megabytes)).toBe(200)
  expect(asked.map(({ url, bytes }) => [url, bytes])).toEqual([
    ['/api/place', 0],
    ['/api/archive?conflict=keep', 45_000_000],
  ])
})

test('no archive is handed on for a device that is not paired, nor what a guest says of itself', async () => {
  expect(
    await ask({ 'x-impa-through': 'me', cookie: 'impa-device=made-up' }, '/api/archive', 'POST', [Buffer.from('PK')]),
  ).toBe(401)
  expect(asked.map(({ url, headers }) => [url, headers['x-impa-through']])).toEqual([['/api/place', 'share']])
})
