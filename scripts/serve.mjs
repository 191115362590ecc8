// npm start: the built app, on this machine alone unless it is told otherwise (HOST), on PORT. Every answer has the headers
// of `headers.mjs`; what an address gives is the framework's business.
import { createServer } from 'node:http'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import next from 'next'
import { headersFor } from './headers.mjs'
import { brotli, sendPacked, takesBrotli } from './packed.mjs'

const root = path.join(import.meta.dirname, '..')
process.env.NODE_ENV = 'production'
const port = Number(process.env.PORT ?? 4310)
const hostname = process.env.HOST ?? '127.0.0.1'
const pages = JSON.parse(readFileSync(path.join(root, '.next', 'script-hashes.json'), 'utf8'))
const serviceWorker = readFileSync(path.join(root, '.next', 'sw.js'))
const serviceWorkerPacked = brotli(serviceWorker)
const app = next({ dev: false, dir: root, hostname, port })
const handle = app.getRequestHandler()
await app.prepare()
const server = createServer((request, response) => {
  const { pathname } = new URL(request.url ?? '/', 'http://here')
  for (const [name, value] of Object.entries(headersFor(pathname, pages))) response.setHeader(name, value)
  if (sendPacked(pathname, request, response)) return
  if (pathname === '/sw.js') {
    response.setHeader('Content-Type', 'text/javascript; charset=utf-8')
    // Whether there is a newer one is asked each time.
    response.setHeader('Cache-Control', 'no-cache')
    response.setHeader('Vary', 'Accept-Encoding')
    if (takesBrotli(request)) {
      response.setHeader('Content-Encoding', 'br')
      response.end(serviceWorkerPacked)
    } else response.end(serviceWorker)
    return
  }
  handle(request, response).catch((error) => {
    console.error(error)
    response.statusCode = 500
    response.end('Something went wrong here.')
  })
})
server.on('error', (error) => {
  console.error(error.message)
  process.exit(1)
})
// "localhost" may be the one or the other address of this machine: both lead here.
server.listen(port, hostname === '127.0.0.1' ? 'localhost' : hostname, () =>
  console.log(`Ready on port ${port}`),
)
if (hostname === '127.0.0.1') {
  const other = createServer((request, response) => server.emit('request', request, response))
  other.on('error', () => undefined)
  server.on('listening', () => {
    const address = server.address()
    other.listen(port, address.family === 'IPv6' ? '127.0.0.1' : '::1')
  })
}
