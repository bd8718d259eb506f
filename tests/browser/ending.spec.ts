import { execFileSync, spawn } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { answers, expect, freePort, test } from './test'

/** The served Impa ends with the script that started it: no worker, no way in for tablets is left. */
const processes = (port: number) =>
  execFileSync('ps', ['-eo', 'pid,args'], { encoding: 'utf8' })
    .split('\n')
    .filter((line) => line.includes(`127.0.0.1:${port}`) || line.includes(`--to=${port}`))

for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP', 'SIGKILL'] as const) {
  const tag = signal === 'SIGKILL' ? [] : ['@byTurns']
  test(`nothing of it is left when it is ended by ${signal}`, { tag }, async () => {
    const home = mkdtempSync(join(tmpdir(), 'impa-ending-'))
    cpSync(process.env.IMPA_TEST_DEMO!, home, { recursive: true })
    const port = await freePort()
    const served = spawn('tests/browser/serve.sh', ['serve', home, String(port)], { stdio: 'ignore', detached: true })
    await expect.poll(() => answers(`http://127.0.0.1:${port}`), { timeout: 60_000 }).toBe(true)
    // PHP and its four workers, and the way in.
    expect(processes(port).length).toBeGreaterThanOrEqual(6)
    process.kill(served.pid!, signal)
    await expect.poll(() => processes(port), { timeout: 15_000 }).toEqual([])
    rmSync(home, { recursive: true, force: true, maxRetries: 5 })
    rmSync(`storage/framework/served-${port}`, { recursive: true, force: true })
  })
}
