// Many people at one Impa, on loopback: each plans, saves and builds at a figure of their own, one request every --pace seconds; somebody
// breaks a drawing down each minute. Prints percentiles by what was asked, faults, and whether any acknowledged save was lost.
//   node bench/load.mjs https://localhost:8843 --people=50 --pace=2 --seconds=60 [--breakdowns=10] [--accounts=/srv/impa]
// --accounts: the deployed folder, in which a felter is added for each of the people.
import autocannon from 'autocannon'
import { execFileSync } from 'node:child_process'
import { createServer, request } from 'node:http'
import { readFileSync } from 'node:fs'

process.env.NODE_TLS_REJECT_UNAUTHORIZED = '0'
const [base, ...words] = process.argv.slice(2)
const said = Object.fromEntries(words.map((word) => word.replace(/^--/, '').split('=')))
const people = Number(said.people ?? 50)
const seconds = Number(said.seconds ?? 60)
const pace = Number(said.pace ?? 2)
const PASSWORD = 'four balls of grey wool'
const NAMES = ['bobbin', 'wick', 'lanto', 'sorrel']
if (
  !/^https?:\/\/(127\.0\.0\.1|localhost|[a-z.]+\.localhost)(:|\/|$)/.test(base ?? '') ||
  !(people <= 200 && seconds <= 600)
)
  throw new Error('Loopback only, at most 200 people and 600 seconds.')

/** The embedded server ends every connection, which the load tool does not take for an answer: what stands between keeps them open. */
async function keptOpen(to) {
  const server = createServer((asked, answer) => {
    const onward = request(to + asked.url, { method: asked.method, headers: asked.headers }, (said) => {
      const parts = []
      said.on('data', (part) => parts.push(part))
      said.on('end', () => {
        const body = Buffer.concat(parts)
        answer.writeHead(said.statusCode, { ...said.headers, connection: 'keep-alive', 'content-length': body.length })
        answer.end(body)
      })
    })
    onward.on('error', () => answer.writeHead(599).end())
    asked.pipe(onward)
  })
  await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve))
  return server
}

/** A browser's jar, as far as it is needed. */
class Browser {
  cookies = new Map()
  async ask(method, path, body) {
    const response = await fetch(base + path, {
      method,
      headers: this.headers(),
      body: body === undefined ? undefined : body instanceof Uint8Array ? body : JSON.stringify(body),
    })
    for (const line of response.headers.getSetCookie()) {
      const [name, value] = line.split(';')[0].split(/=(.*)/s)
      this.cookies.set(name, value)
    }
    return { status: response.status, body: await response.json().catch(() => null) }
  }
  headers() {
    return {
      Accept: 'application/json',
      'Content-Type': 'application/json',
      Cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; '),
      'X-XSRF-TOKEN': decodeURIComponent(this.cookies.get('XSRF-TOKEN') ?? ''),
    }
  }
}

async function patiently(ask) {
  for (;;) {
    const answer = await ask()
    if (answer.status < 400) return answer
    if (answer.status !== 429) throw new Error(JSON.stringify(answer))
    await new Promise((resolve) => setTimeout(resolve, 1000))
  }
}

async function person(i) {
  const browser = new Browser()
  if (said.accounts) {
    const email = `load-${Date.now()}-${i}@example.org`
    const told = execFileSync(
      'setpriv',
      ['--reuid=impa', '--regid=impa', '--clear-groups', 'php', 'artisan', 'impa:felter', 'add', email],
      { cwd: said.accounts },
    ).toString()
    const token = new URLSearchParams(told.match(/#(\S+)/)[1]).get('token')
    const door = await browser.ask('GET', '/api/session')
    if (door.status !== 200) throw new Error(`No door: ${door.status}`)
    await patiently(() => browser.ask('PUT', '/api/password', { email, token, password: PASSWORD }))
    await patiently(() => browser.ask('POST', '/api/session', { email, password: PASSWORD }))
  } else await browser.ask('GET', '/api/session')
  const name = NAMES[i % NAMES.length]
  const document = JSON.parse(readFileSync(`demo/${name}.impa.json`, 'utf8'))
  const laid = await browser.ask('POST', '/api/figures', { document })
  if (laid.status !== 201)
    throw new Error(`Person ${i} cannot lay a figure: ${laid.status} ${JSON.stringify(laid.body)}`)
  const built = await browser.ask('POST', '/api/build', { document })
  return {
    browser,
    id: laid.body.id,
    revision: 1,
    document,
    steps: built.body.sheet.steps.map((s) => s.key),
    saves: 0,
    ticked: 0,
  }
}

const took = {}
const statuses = {}
/** Some of the people for so long, by turns, one a second: what is asked comes from what each does next, as they know their figure. */
function work(some) {
  let turn = 0
  let one = some[0]
  const json = (body) => JSON.stringify(body)
  const kinds = {
    board: () => ['POST', '/api/board', json({ document: one.document })],
    plan: () => ['POST', '/api/plan', json({ document: one.document })],
    save: () => {
      one.document.name = `Saved ${one.saves + 1}`
      return ['PUT', `/api/figures/${one.id}`, json({ document: one.document, revision: one.revision })]
    },
    supply: () => ['POST', '/api/supply', json({ document: one.document, figure: one.id, reserve: 'usual' })],
    build: () => ['POST', '/api/build', json({ document: one.document })],
    tick: () => ['PUT', `/api/figures/${one.id}/steps/${one.steps[one.ticked % one.steps.length]}`, '{}'],
    log: () => ['GET', `/api/figures/${one.id}/log`, undefined],
    shelf: () => ['GET', '/api/figures', undefined],
  }
  const order = ['board', 'plan', 'save', 'board', 'supply', 'save', 'build', 'tick', 'log', 'shelf']
  for (const person of some) person.at = Math.floor(Math.random() * order.length)
  const setupRequest = (request) => {
    one = some[turn++ % some.length]
    const kind = order[one.at++ % order.length]
    const [method, path, body] = kinds[kind]()
    one.now = kind
    return { ...request, method, path, body, headers: { ...one.browser.headers() } }
  }
  const onResponse = (status, body) => {
    if (one.now === 'save') {
      if (status === 200) {
        one.saves++
        one.revision = JSON.parse(body).revision
      }
    }
    if (one.now === 'tick' && status === 200) one.ticked++
  }
  const run = autocannon({
    url: through ? `http://127.0.0.1:${through.address().port}` : base,
    connections: 1,
    connectionRate: 1,
    duration: seconds,
    timeout: 30,
    requests: [{ setupRequest, onResponse }],
  })
  run.on('response', (_client, status, _bytes, ms) => {
    ;(took[one.now] ??= []).push(ms)
    statuses[status] = (statuses[status] ?? 0) + 1
  })
  return run
}

async function seen(one) {
  await one.browser.ask('GET', '/api/session')
  const jar = one.browser
  const picture = await (
    await fetch(base + '/api/pictures', {
      method: 'POST',
      headers: { ...jar.headers(), 'Content-Type': 'application/octet-stream' },
      body: readFileSync('demo/lanto.png'),
    })
  ).json()
  const began = Date.now()
  const asked = await jar.ask('POST', '/api/breakdown', { picture: picture.id, heightMm: 120, name: 'Seen' })
  let answer = asked
  while (asked.status === 202 && (answer.status === 202 || answer.body?.doing !== undefined)) {
    await new Promise((resolve) => setTimeout(resolve, 400))
    answer = await jar.ask('GET', `/api/breakdown/${asked.body.breakdown}`)
  }
  return { ms: Date.now() - began, ok: Boolean(answer.body?.document) }
}

const through = base.startsWith('http:') ? await keptOpen(base) : null
const all = []
for (let i = 0; i < people; i++) all.push(await person(i))
console.log(`${people} people are in; ${seconds} s.`)
// Not all of them press at the same moment of every second.
const runs = []
for (let i = 0; i < people; i += pace) {
  runs.push(work(all.slice(i, i + pace)))
  await new Promise((resolve) => setTimeout(resolve, (1000 * pace) / people))
}
const breakdowns = []
/** So many drawings are broken down at once, at first. */
const atOnce = Number(said.breakdowns ?? 1)
const minutely = setInterval(() => seen(all[0]).then((b) => breakdowns.push(b)), 60_000)
breakdowns.push(...(await Promise.all(all.slice(0, atOnce).map(seen))))
await Promise.all(runs)
clearInterval(minutely)

const at = (list, share) => list[Math.min(list.length - 1, Math.floor(share * list.length))]
const rows = Object.entries(took).map(([kind, list]) => {
  list.sort((a, b) => a - b)
  return {
    kind,
    count: list.length,
    'p50 ms': Math.round(at(list, 0.5)),
    'p95 ms': Math.round(at(list, 0.95)),
    'p99 ms': Math.round(at(list, 0.99)),
  }
})
console.table(rows)
console.log('statuses', statuses, 'break-downs', breakdowns)
let lost = 0
for (const one of all) {
  const kept = (await one.browser.ask('GET', `/api/figures/${one.id}`)).body
  // The last save may still have been on its way when time was up.
  const far = kept.revision - (1 + one.saves)
  if (far < 0 || far > 1 || (one.saves && far === 0 && kept.document.name !== `Saved ${one.saves}`)) lost++
}
console.log(`lost updates: ${lost} of ${all.reduce((n, one) => n + one.saves, 0)} acknowledged saves`)
through?.close()
through?.closeAllConnections()
process.exitCode = lost || Object.keys(statuses).some((s) => Number(s) >= 500) ? 1 : 0
