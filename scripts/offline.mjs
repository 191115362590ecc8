// After the build: the service worker with the list of what it keeps.
import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { build } from 'esbuild'
import { addressOf, filesIn } from './headers.mjs'
import { root } from './lib.mjs'

const digest = (bytes) => createHash('sha256').update(bytes).digest('hex').slice(0, 16)

/** No maps, no source of workers that the bundler copied beside what it made of it. */
const isShipped = (file) => !/\.(?:map|ts)$/.test(file)

async function bundle(kept, to) {
  await build({
    entryPoints: [path.join(root, 'src', 'offline', 'service-worker.ts')],
    outfile: to,
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: { KEPT_BUILD: JSON.stringify(kept), 'process.env.NODE_ENV': '"production"' },
  })
}

/** For the app as it is served: pages, what the framework asks of them, and everything that they load. */
export async function writeServiceWorker() {
  const next = path.join(root, '.next')
  const pages = path.join(next, 'server', 'app')
  const names = filesIn(pages)
    .filter((f) => f.endsWith('.html') && !f.startsWith('_'))
    .map((f) => f.replace(/\.html$/, ''))
  const read = (file) => readFileSync(path.join(pages, file), 'utf8')
  const files = [
    ...names.map((name) => ({ url: addressOf(name), revision: digest(read(`${name}.html`)) })),
    ...filesIn(path.join(next, 'static'))
      .filter(isShipped)
      .map((f) => ({ url: `/_next/static/${f}`, revision: null })),
  ]
  const payloads = Object.fromEntries(
    names.map((name) => [
      addressOf(name),
      {
        '': read(`${name}.rsc`),
        ...Object.fromEntries(
          filesIn(path.join(pages, `${name}.segments`)).map((f) => [
            `/${f.replace(/\.segment\.rsc$/, '')}`,
            read(`${name}.segments/${f}`),
          ]),
        ),
      },
    ]),
  )
  await bundle({ files, payloads }, path.join(next, 'sw.js'))
}

/** For the app as files: everything in the folder but the data. */
export async function writeServiceWorkerOf(out) {
  const files = filesIn(out)
    .filter((f) => isShipped(f) && !/^(?:data\/|headers\.json|script-hashes\.json|sw\.js)/.test(f))
    .map((f) => ({
      url: `/${f}`,
      revision: f.startsWith('_next/static/') ? null : digest(readFileSync(path.join(out, f))),
    }))
  await bundle({ files, payloads: {} }, path.join(out, 'sw.js'))
}
