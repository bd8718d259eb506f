import { chromium } from '@playwright/test'
import { launch } from './launch.mjs'
const browser = await chromium.launch(launch)
const [base, script] = [process.argv[2], process.argv[3]]
const page = await browser.newPage({
  viewport: { width: Number(process.argv[4] ?? 1280), height: Number(process.argv[5] ?? 800) },
})
page.on(
  'console',
  (m) =>
    ['error', 'warning'].includes(m.type()) &&
    !m.text().includes('GPU') &&
    console.log(m.type(), m.text().slice(0, 300)),
)
page.on('pageerror', (e) => console.log('pageerror', e.message))
const { figures } = await (await page.request.get(`${base}/api/figures`)).json()
const id = (n) => figures.find((f) => f.name.startsWith(n)).id
const shot = (n) => page.screenshot({ path: `/tmp/pics/${n}.png` })
await new Function('page', 'base', 'id', 'shot', `return (async()=>{${script}})()`)(page, base, id, shot)
await browser.close()
