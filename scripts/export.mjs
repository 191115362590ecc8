// npm run export: the same pages as files, in `out`, for whoever hosts files alone. `headers.json` beside them says which
// headers each page should be answered with; addresses that are no file are led on by 404.html.
import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { bin, buildData, install, root, run } from './lib.mjs'
import { headersFor, listHashes } from './headers.mjs'
import { writeServiceWorkerOf } from './offline.mjs'

install()
buildData()
const status = run(bin('next'), ['build'], { env: { ...process.env, LUVREN_EXPORT: '1' } })
if (status !== 0) process.exit(status)
const out = path.join(root, 'out')
listHashes(out, path.join(out, 'script-hashes.json'))
const pages = JSON.parse(readFileSync(path.join(out, 'script-hashes.json'), 'utf8'))
pages['/_not-found'] = pages['/404'] ?? []
const headers = Object.fromEntries(Object.keys(pages).map((page) => [page, headersFor(page, pages)]))
headers['(worker scripts)'] = headersFor('/_next/static/x.worker.js', pages)
writeFileSync(path.join(out, 'headers.json'), JSON.stringify(headers, undefined, 1))
rmSync(path.join(out, 'script-hashes.json'))
await writeServiceWorkerOf(out)
console.log(`\nThe pages lie in ${out}.`)
