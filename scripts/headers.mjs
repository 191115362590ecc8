// What every answer says of itself: which programs may run on a page and what it may reach. Pages are made when Luvren is
// built, so the few scripts that stand in them are known by their digests.
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'

/** The digests of the scripts that stand in a page, as a policy names them. */
export function scriptHashes(html) {
  const scripts = [...html.matchAll(/<script\b([^>]*)>([\s\S]*?)<\/script>/g)]
  return [
    ...new Set(
      scripts
        .filter(([, attributes, inside]) => !/\bsrc=/.test(attributes) && inside)
        .map(([, , inside]) => `'sha256-${createHash('sha256').update(inside).digest('base64')}'`),
    ),
  ].sort()
}

/** All files below a folder, by their paths from it; none where it is not there. */
export function filesIn(folder, at = folder) {
  if (!existsSync(at)) return []
  return readdirSync(at, { withFileTypes: true }).flatMap((entry) => {
    const file = path.join(at, entry.name)
    return entry.isDirectory()
      ? filesIn(folder, file)
      : [path.relative(folder, file).replaceAll(path.sep, '/')]
  })
}
/** The address of a page by the path of its file without its ending. */
export const addressOf = (name) => (name === 'index' ? '/' : `/${name}`)

/** All pages of a folder with their hashes: "/review/terms" and what stands in it. */
const pagesIn = (folder) =>
  filesIn(folder)
    .filter((f) => f.endsWith('.html'))
    .map((f) => [
      addressOf(f.replace(/\.html$/, '')),
      scriptHashes(readFileSync(path.join(folder, f), 'utf8')),
    ])

/** Writes the list of what stands in each page that was built in `folder`, to `file`. */
export function listHashes(folder, file) {
  writeFileSync(file, JSON.stringify(Object.fromEntries(pagesIn(folder)), undefined, 1))
}

const policy = (scripts) =>
  [
    "default-src 'none'",
    `script-src 'self'${scripts.map((s) => ` ${s}`).join('')}`,
    "worker-src 'self'",
    "connect-src 'self'",
    "font-src 'self'",
    "manifest-src 'self'",
    "img-src 'self' data: blob:",
    // The library of controls writes its styles into the page.
    "style-src 'self' 'unsafe-inline'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
  ].join('; ')

/** Figures are drawn by a program of their own in a worker: it may be compiled there, and nowhere else. */
const isWorker = (url) => /^\/_next\/static\/.*worker[^/]*\.js$/.test(url)

/** The headers of an answer to a path, by the list that was made after the build. */
export function headersFor(url, pages) {
  const own = pages[url.replace(/\/$/, '') || '/'] ?? pages['/_not-found'] ?? []
  return {
    'Content-Security-Policy': policy(isWorker(url) ? ["'wasm-unsafe-eval'"] : own),
    'X-Content-Type-Options': 'nosniff',
    'Referrer-Policy': 'no-referrer',
    'Cross-Origin-Opener-Policy': 'same-origin',
  }
}
