// Records by the hundred thousand: reading a file against citation-js, telling records apart, and asking the list.
import { plugins } from '@citation-js/core'
import '@citation-js/plugin-ris'
import { truthOf } from '../src/core/records/duplicates/dirt.fixture'
import { buildIndex } from '../src/core/engine'
import {
  emptyRecord,
  layColumns,
  Matcher,
  readerFor,
  toDocument,
  WorkList,
  writeRis,
  type Rec,
} from '../src/core/records'
import { at, say } from './browser'

const COUNT = Number(process.env.RECORDS ?? 100_000)
const WORDS =
  'noise in rooms where children listen and read was measured before and after the change of the ceiling'.split(
    ' ',
  )
const record = (i: number): Rec => ({
  ...emptyRecord(`r${i}`, `Title ${i} on sound, reading and the rooms of schools`),
  abstract: Array.from({ length: 260 }, (_w, k) => WORDS[(i + k * 7) % WORDS.length]!).join(' '),
  authors: ['Ahola, R.', 'Prins, D.', `Quill, ${String.fromCharCode(65 + (i % 26))}.`],
  year: 2000 + (i % 26),
  journal: 'Journal of Learning Spaces',
  volume: String(i % 40),
  pages: `${i % 900}–${(i % 900) + 12}`,
  doi: `10.5555/jls.${i}`,
  keywords: ['noise', 'reading', 'classrooms'],
  type: 'journal article',
})
const megabytes = (bytes: number): string => (bytes / 1e6).toFixed(0)
const gc = (globalThis as { gc?: () => void }).gc

const part = writeRis(Array.from({ length: 1000 }, (_, i) => record(i)))
const bytes = new TextEncoder().encode(part)
const size = (bytes.length * COUNT) / 1000

/** Reads all of them as a file comes: in pieces, each a text of its own. */
function readThem(keep: (r: Rec) => void): { took: number; most: number } {
  gc?.()
  const before = process.memoryUsage().rss
  let most = 0
  const start = performance.now()
  const reader = readerFor(
    { format: 'ris' },
    { item: (i) => i.record && keep(i.record), stray: () => undefined },
  )
  const decoder = new TextDecoder()
  for (let n = 0; n < COUNT / 1000; n++) {
    reader.push(decoder.decode(bytes))
    if (n % 10 === 0) most = Math.max(most, process.memoryUsage().rss - before)
  }
  reader.end()
  return { took: performance.now() - start, most }
}

const THEIRS = Number(process.env.THEIRS ?? 20_000)

function reading(): void {
  const words = (took: number, most: number): string =>
    `${took.toFixed(0)} ms, ${(size / 1e3 / took).toFixed(0)} MB/s; memory at most ${megabytes(most)} MB, ${(most / size).toFixed(2)} of the file`
  const text = part.repeat(THEIRS / 1000)
  const rounds = Array.from({ length: 5 }, () => {
    let passed = 0
    const handed = readThem(() => passed++)
    const read: Rec[] = []
    const held = readThem((r) => read.push(r))
    gc?.()
    const from = performance.now()
    const theirs = plugins.input.chain(text, { generateGraph: false })
    return { passed, handed, held, theirs: ((performance.now() - from) / theirs.length) * COUNT }
  })
  const middle = (of: (round: (typeof rounds)[number]) => number): number => at(rounds.map(of), 0.5)
  const [first] = rounds
  console.log(
    `reading ${first!.passed} RIS records, ${megabytes(size)} MB (${(size / COUNT / 1000).toFixed(1)} kB each), each handed on as it comes: ${words(
      middle((r) => r.handed.took),
      first!.handed.most,
    )}`,
  )
  console.log(
    `the same, all held in memory: ${words(
      middle((r) => r.held.took),
      first!.held.most,
    )}`,
  )
  console.log(
    `citation-js, from ${THEIRS} of them: ${middle((r) => r.theirs).toFixed(0)} ms for as many; ${middle((r) => r.theirs / r.handed.took).toFixed(1)} times as long, ${middle((r) => r.theirs / r.held.took).toFixed(1)} times where all are held (medians of five rounds)`,
  )
}

function matching(): void {
  const times: number[] = []
  const sizes = [COUNT / 10, COUNT]
  let matcher = new Matcher()
  for (const size of sizes) {
    const { records } = truthOf(Math.ceil(size / 2.6), 5)
    const some = records.slice(0, size)
    gc?.()
    matcher = new Matcher()
    const start = performance.now()
    for (const _ of matcher.add(
      some.map((r) => r.name),
      some.map((r) => r.record),
    ));
    const { classes, toSettle } = matcher.found()
    times.push(performance.now() - start)
    console.log(
      `telling ${some.length} records apart: ${times[times.length - 1]!.toFixed(0)} ms, ${classes.length} works, ${toSettle.length} pairs to settle`,
    )
  }
  console.log(`ten times the records: n^${Math.log10(times[1]! / times[0]!).toFixed(2)}`)
  const { records } = truthOf(400, 77)
  const more = records.slice(0, 1000)
  const start = performance.now()
  for (const _ of matcher.add(
    more.map((r) => `new ${r.name}`),
    more.map((r) => r.record),
  ));
  matcher.found()
  console.log(`${more.length} more into ${COUNT}: ${(performance.now() - start).toFixed(0)} ms`)
}

function listing(): void {
  const works = Array.from({ length: COUNT }, (_, i) => ({
    record: record(i),
    sources: i % 3 ? ['a'] : ['a', 'b'],
  }))
  let start = performance.now()
  const columns = layColumns(works)
  console.log(`laying ${COUNT} works out: ${(performance.now() - start).toFixed(0)} ms`)
  start = performance.now()
  const index = buildIndex(works.map((w) => toDocument(w.record)))
  // They are read when the first is asked for.
  console.log(`${index.words.terms.length} words`)
  const list = new WorkList(columns, () => index)
  console.log(`making their words ready: ${(performance.now() - start).toFixed(0)} ms`)
  const still = { ruled: (n: number) => [n % 2 ? 'in' : 'not yet'], groups: () => [], isNew: () => false }
  const asks = [
    { chosen: { year: ['2019', '2020'] } },
    { order: 'year' as const },
    { words: 'noise AND reading' },
    { chosen: { source: ['b'] }, order: 'title' as const },
  ]
  const took: number[] = []
  for (let n = 0; n < 40; n++) {
    const from = performance.now()
    list.ask(asks[n % asks.length]!, still)
    took.push(performance.now() - from)
  }
  say('asking the list', took)
}

reading()
matching()
listing()
