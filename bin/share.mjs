// The way in for tablets on the same network: ends TLS, and hands every request on to Impa on 127.0.0.1. Started by bin/demo --share.
//   node bin/share.mjs --listen=ADDRESS --port=8766 --to=8765 --folder=storage/share
import { readFileSync } from 'node:fs'
import { createServer } from 'node:https'
import { request } from 'node:http'

const said = Object.fromEntries(process.argv.slice(2).map((word) => word.replace(/^--/, '').split('=')))
/** So many connections at once, for so long without a word: a network is not only tablets. */
const MOST = 64
const SILENT_MS = 120_000
/** Larger bodies are not taken in: an archive of ten years is smaller. */
const MOST_BYTES = 2 ** 31

const server = createServer(
  {
    key: readFileSync(`${said.folder}/key.pem`),
    cert: readFileSync(`${said.folder}/certificate.pem`),
    minVersion: 'TLSv1.2',
    headersTimeout: 15_000,
    requestTimeout: 600_000,
  },
  (asked, answer) => {
    if (Number(asked.headers['content-length'] ?? 0) > MOST_BYTES) {
      answer.writeHead(413).end()
      return
    }
    const headers = { ...asked.headers }
    // What only this way in may say is not believed of anybody else.
    for (const name of Object.keys(headers)) if (/^(x-impa-|x-forwarded-|forwarded$)/.test(name)) delete headers[name]
    headers['x-impa-through'] = 'share'
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
    asked.pipe(onward)
  },
)
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
