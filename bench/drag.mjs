// How much script a frame takes while a detail is dragged over a head with a face of 40 details, by the browser's own trace:
//   node bench/drag.mjs http://127.0.0.1:8765
import { chromium } from '@playwright/test'
import { launch } from '../tests/browser/launch.mjs'

const [base = 'http://127.0.0.1:8765'] = process.argv.slice(2)
const FRAMES = 120
const browser = await chromium.launch(launch)
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(base)
const token = decodeURIComponent((await page.context().cookies()).find((c) => c.name === 'XSRF-TOKEN').value)
const details = Array.from({ length: 40 }, (_, i) => ({
  key: `d${i}`,
  name: `Spot ${i}`,
  on: 'head',
  colour: i % 2 ? 'light' : 'dark',
  layer: 1 + Math.floor(i / 16),
  xMm: 3 + 3.1 * (i % 8),
  yMm: -14 + 6 * Math.floor(i / 8),
  mirror: i % 3 === 0,
  ...(i % 4 < 2
    ? { kind: 'disc', widthMm: 4, heightMm: 3 }
    : i % 4 === 2
      ? {
          kind: 'line',
          widthMm: 1.2,
          pointsMm: [
            [-3, 0],
            [-1, -1.5],
            [1, -1.5],
            [3, 0],
          ],
          smooth: true,
        }
      : {
          kind: 'patch',
          pointsMm: [
            [-2, -2],
            [2, -2],
            [2.5, 1],
            [0, 2.5],
            [-2.5, 1],
          ],
          smooth: true,
        }),
}))
const document = {
  format: 'impa-figure',
  version: 1,
  name: 'Drag bench',
  heightMm: 66,
  colours: [
    { key: 'fur', name: 'Fur', hex: '#8fa36a' },
    { key: 'dark', name: 'Dark', hex: '#2a2422' },
    { key: 'light', name: 'Light', hex: '#f7f2e8' },
  ],
  parts: [
    {
      key: 'head',
      name: 'Head',
      shape: { kind: 'egg', widthMm: 60, heightMm: 66, depthMm: 56 },
      at: { xMm: 0, yMm: 33, zMm: 0 },
      colour: 'fur',
    },
  ],
  details,
}
const headers = { 'X-XSRF-TOKEN': token, Accept: 'application/json' }
const { id } = await (await page.request.post(`${base}/api/figures`, { data: { document }, headers })).json()
await page.goto(`${base}/figures/${id}/face`)
await page.waitForLoadState('networkidle')
await page.waitForTimeout(800)

const box = await page.locator('[data-detail=d0]').first().boundingBox()
const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
await page.mouse.move(x, y)
await page.mouse.down()
const client = await page.context().newCDPSession(page)
const events = []
client.on('Tracing.dataCollected', ({ value }) => events.push(...value))
await client.send('Tracing.start', {
  transferMode: 'ReportEvents',
  traceConfig: { includedCategories: ['devtools.timeline', 'blink.user_timing', 'v8.execute'] },
})
for (let i = 1; i <= FRAMES; i++) {
  await page.mouse.move(x + 90 * Math.sin(i / 12), y + 60 * (1 - Math.cos(i / 9)))
  await page.waitForTimeout(16)
}
const ended = new Promise((resolve) => client.once('Tracing.tracingComplete', resolve))
await client.send('Tracing.end')
await ended
await page.mouse.up()
await page.request.delete(`${base}/api/figures/${id}`, { headers })
await browser.close()

// The renderer's main thread is the one that runs the page's script; what is nested in a call is part of it.
const scripts = events.filter(
  (e) =>
    e.ph === 'X' &&
    ['FunctionCall', 'RunMicrotasks', 'EvaluateScript', 'v8.callFunction', 'V8.GCScavenger'].includes(e.name),
)
const frames = events
  .filter((e) => e.name === 'AnimationFrame' && e.ph === 'e')
  .map((e) => e.ts)
  .sort((a, b) => a - b)
const threads = {}
for (const e of scripts) (threads[`${e.pid} ${e.tid}`] ??= []).push(e)
const busiest = Object.values(threads).sort((a, b) => b.length - a.length)[0] ?? []
const outer = []
for (const e of busiest.sort((a, b) => a.ts - b.ts))
  if (!outer.length || e.ts >= outer.at(-1).ts + outer.at(-1).dur) outer.push(e)
const first = outer[0]?.ts ?? 0
const last = (outer.at(-1)?.ts ?? 0) + 1
const edges = [...new Set(frames.filter((t) => t >= first && t <= last))]
const spent = edges
  .slice(1)
  .map((to, i) => outer.filter((e) => e.ts >= edges[i] && e.ts < to).reduce((sum, e) => sum + e.dur / 1000, 0))
  .filter((ms) => ms > 0)
  .sort((a, b) => a - b)
const at = (share) => spent[Math.min(spent.length - 1, Math.floor(spent.length * share))]?.toFixed(1)
console.log(
  `${spent.length} frames with script while dragging one of 40 details: median ${at(0.5)} ms, 95 % ${at(0.95)} ms, longest ${spent.at(-1)?.toFixed(1)} ms; the budget is 8 ms, of which the median is ${((spent[Math.floor(spent.length / 2)] ?? 0) / 0.08).toFixed(0)} %.`,
)
