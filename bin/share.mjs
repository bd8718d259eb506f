// The way in for tablets on the same network: ends TLS, and hands every request on to Impa on 127.0.0.1. Started by bin/demo --share.
//   node bin/share.mjs --listen=ADDRESS --port=8766 --to=8765 --folder=storage/share
import { readFileSync } from 'node:fs'
import { createServer } from 'node:https'
import { request } from 'node:http'

const said = Object.fromEntries(process.argv.slice(2).map((word) => word.replace(/^--/, '').split('=')))
/**
 * So many connections at once, of one guest so many (a browser opens six), and so long without a word: a network is not only tablets,
 * and who only holds the door shuts nobody else out.
 */
const MOST = 256
const MOST_OF_GUEST = 24
const SILENT_MS = 120_000
/** A guest that has not said by then who it is, or what it asks, is sent away. */
const HANDSHAKE_MS = 8_000
const HEADERS_MS = 15_000
/** Larger bodies are not handed on: a picture is smaller; an archive of ten years, of a paired device alone. */
const MOST_BYTES = 40_000_000
const MOST_ARCHIVE_BYTES = 2_000_000_000
const ARCHIVE = /^\/api\/archive(\/preview)?(\?|$)/

const server = createServer(
  {
    key: readFileSync(`${said.folder}/key.pem`),
    cert: readFileSync(`${said.folder}/certificate.pem`),
    minVersion: 'TLSv1.2',
    handshakeTimeout: HANDSHAKE_MS,
    headersTimeout: HEADERS_MS,
    connectionsCheckingInterval: 2_000,
    requestTimeout: 600_000,
  },
  async (asked, answer) => {
    const isArchive = asked.method === 'POST' && ARCHIVE.test(asked.url ?? '')
    const most = isArchive ? MOST_ARCHIVE_BYTES : MOST_BYTES
    if (Number(asked.headers['content-length'] ?? 0) > most) {
      answer.writeHead(413, { connection: 'close' }).end()
      return
    }
    const headers = { ...asked.headers }
    // What only this way in may say is not believed of anybody else.
    for (const name of Object.keys(headers)) if (/^(x-impa-|x-forwarded-|forwarded$)/.test(name)) delete headers[name]
    headers['x-impa-through'] = 'share'
    // Impa's own server keeps a body before it looks whose it is: of an archive that is asked first.
    if (isArchive && !(await isPaired(headers))) {
      answer.writeHead(401, { 'Content-Type': 'text/plain', connection: 'close' }).end('This device is not paired.\n')
      return
    }
    const onward = request(
      { host: '127.0.0.1', port: Number(said.to), method: asked.method, path: asked.url, headers },
      (said) => {
        answer.writeHead(said.statusCode ?? 502, { ...said.headers, 'strict-transport-security': 'max-age=86400' })
        said.pipe(answer)
      },
    )
    onward.on('error', () => {
      if (!answer.headersSent) answer.writeHead(502, { 'Content-Type': 'text/plain' })
      answer.end('Impa does not answer.\n')
    })
    asked.on('aborted', () => onward.destroy())
    answer.on('close', () => onward.destroy())
    let bytes = 0
    asked.on('data', (some) => {
      // One that does not say how much it sends is counted.
      if ((bytes += some.length) > most) asked.destroy()
    })
    asked.pipe(onward)
  },
)

/** Whether Impa answers this device at all. */
function isPaired({ cookie, host, 'x-impa-through': through }) {
  const headers = { cookie: cookie ?? '', host, 'x-impa-through': through, accept: 'application/json' }
  return new Promise((tell) => {
    const asks = request({ host: '127.0.0.1', port: Number(said.to), path: '/api/place', headers }, (answer) => {
      answer.resume()
      tell(answer.statusCode === 200)
    })
    asks.on('error', () => tell(false))
    asks.end()
  })
}

/** @type {Map<string, number>} connections by where they come from */
const guests = new Map()
server.on('connection', (socket) => {
  const from = socket.remoteAddress ?? ''
  const count = (guests.get(from) ?? 0) + 1
  if (count > MOST_OF_GUEST) {
    socket.destroy()
    return
  }
  guests.set(from, count)
  socket.on('close', () => {
    const left = (guests.get(from) ?? 1) - 1
    if (left > 0) guests.set(from, left)
    else guests.delete(from)
  })
})
server.maxConnections = MOST
server.setTimeout(SILENT_MS)
server.on('tlsClientError', () => {})
server.on('error', (error) => {
  console.error(`The way in cannot be opened: ${error.message}`)
  process.exit(2)
})
server.listen(Number(said.port), said.listen)

// When Impa ends, so does the way in.
const impa = process.ppid
setInterval(() => process.ppid === impa || process.exit(0), 1000)
