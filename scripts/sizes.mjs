// How much of programs a page loads before it is shown, packed as it is sent (gzip), against what it may; a step of
// `npm test`. What comes behind the page is not counted: parts that are shown on demand, and workers.
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { gzipSync } from 'node:zlib'
import { root } from './lib.mjs'

const SHELF = 240
const QUESTION = 450
/** No stage may need so much more than the first one. */
const MORE = 130
const STAGES = ['terms', 'searches', 'records', 'selection', 'methods']

const packed = new Map()
const size = (file) => {
  if (!packed.has(file)) packed.set(file, gzipSync(readFileSync(path.join(root, '.next', file))).length)
  return packed.get(file)
}
/** The programs that pages name, without those for browsers of before. */
function programs(page) {
  const html = readFileSync(path.join(root, '.next', 'server', 'app', `${page}.html`), 'utf8')
  return [...html.matchAll(/<script\b[^>]*\bsrc="\/_next\/([^"?]+)[^"]*"[^>]*>/g)]
    .filter(([tag]) => !/nomodule/i.test(tag))
    .map(([, file]) => file)
}
const kilobytes = (...pages) => {
  const files = new Set(pages.flatMap(programs))
  return Math.round([...files].reduce((sum, file) => sum + size(file), 0) / 1024)
}

const question = kilobytes('demo', 'review/question')
const rows = [
  ['the shelf', kilobytes('index'), SHELF],
  ['the demo until its question', question, QUESTION],
  ...STAGES.map((stage) => [`the stage ${stage}`, kilobytes(`review/${stage}`), question + MORE]),
]
let over = 0
for (const [what, is, may] of rows) {
  if (is > may) over++
  console.log(`${String(is).padStart(4)} kB of ${may}  ${what}${is > may ? '  TOO MUCH' : ''}`)
}
process.exit(over ? 1 : 0)
