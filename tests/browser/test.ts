import { test as base, type TestInfo } from '@playwright/test'
import { execFileSync, spawn } from 'node:child_process'
import { copyFileSync, cpSync, mkdtempSync, renameSync, rmSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

export { expect } from '@playwright/test'
export type { APIRequestContext, BrowserContext, Page } from '@playwright/test'

/** A server of a worker's own, and the folder of its store. */
interface Store {
  address: string
  home: string
}

/** Two ports side by side that nobody listens at: the next one is the tablets' way in. */
export async function freePort(): Promise<number> {
  const listens = (port: number) =>
    new Promise<number>((done, fail) => {
      const server = createServer()
      server.once('error', fail)
      server.listen(port, '127.0.0.1', () => {
        const { port: found } = server.address() as AddressInfo
        server.close(() => done(found))
      })
    })
  for (;;) {
    const port = await listens(0)
    if (await listens(port + 1).catch(() => 0)) return port
  }
}

export const answers = async (address: string) => (await fetch(address).catch(() => null))?.ok === true

/** One run of so many asks what has the tag @byTurns: the longest tests. */
const IN_ALL = 16

/**
 * Whether a test is asked in this run. Where all suites are asked for (bin/test) the longest go by turns, and the seed says which;
 * elsewhere they always run.
 */
function isOn({ title, tags }: TestInfo): boolean {
  const { IMPA_TEST_TURN: turn } = process.env
  const sum = [...title].reduce((n, letter) => n + letter.charCodeAt(0), Number(turn))
  return turn === undefined || !tags.includes('@byTurns') || sum % IN_ALL === 0
}

/** The store as it was laid out: in one move, whatever a request that is still on its way has opened. */
function laidOut(home: string): void {
  const template = join(process.env.IMPA_TEST_DEMO!, 'impa.sqlite')
  const aside = join(home, 'impa.sqlite.new')
  copyFileSync(template, aside)
  rmSync(join(home, 'impa.sqlite-wal'), { force: true })
  rmSync(join(home, 'impa.sqlite-shm'), { force: true })
  renameSync(aside, join(home, 'impa.sqlite'))
}

/**
 * Each worker has a server and a store of its own, and each test finds the demo as it was laid out: no test knows what another one
 * made, threw away or taught the hand.
 */
export const test = base.extend<{ laidOut: void }, { store: Store }>({
  store: [
    async ({}, use) => {
      const home = mkdtempSync(join(tmpdir(), 'impa-browser-'))
      cpSync(process.env.IMPA_TEST_DEMO!, home, { recursive: true })
      const port = await freePort()
      const address = `http://127.0.0.1:${port}`
      // In a group of its own, so that it ends with all that it started.
      const server = spawn('tests/browser/serve.sh', ['serve', home, String(port)], { detached: true, stdio: 'ignore' })
      while (!(await answers(address))) await new Promise((done) => setTimeout(done, 100))
      await use({ address, home })
      const ended = new Promise((done) => server.once('exit', done))
      process.kill(server.pid!, 'SIGTERM')
      await ended
      rmSync(home, { recursive: true, force: true, maxRetries: 5 })
      rmSync(`storage/framework/served-${port}`, { recursive: true, force: true })
    },
    { scope: 'worker', auto: true, timeout: 120_000 },
  ],
  baseURL: ({ store }, use) => use(store.address),
  laidOut: [
    async ({ store }, use, info) => {
      // Before any page is made for it.
      info.skip(!isOn(info), 'It is not its turn; bin/test all asks everything.')
      laidOut(store.home)
      await use()
    },
    { auto: true },
  ],
})

/** Once for a run: the demo laid out, to be copied by each worker; let go at its end. */
export default function layOnce(): () => void {
  const home = mkdtempSync(join(tmpdir(), 'impa-demo-'))
  execFileSync('tests/browser/serve.sh', ['lay', home], { stdio: 'inherit' })
  process.env.IMPA_TEST_DEMO = home
  return () => rmSync(home, { recursive: true, force: true })
}
