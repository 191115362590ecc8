// npm run demo: installs what is needed, builds if stale, and starts Luvren with the demo review on its shelf.
import { spawn } from 'node:child_process'
import { buildApp, install } from './lib.mjs'

install()
await buildApp()
const port = process.env.PORT ?? '4310'
const server = spawn(process.execPath, ['scripts/serve.mjs'], {
  env: { ...process.env, PORT: port },
  stdio: ['inherit', 'pipe', 'inherit'],
})
let told = false
server.stdout.on('data', (chunk) => {
  if (!told && /ready/i.test(String(chunk))) {
    told = true
    console.log(
      `\nLuvren is at http://localhost:${port}\nThe demo review: http://localhost:${port}/demo\nCtrl+C ends it.\n`,
    )
  }
})
server.on('exit', (code) => {
  if (!told)
    console.error(`Luvren did not start. Is port ${port} taken? Choose another: PORT=4311 npm run demo`)
  process.exit(code ?? 1)
})
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
