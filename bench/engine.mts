// npm run bench: the index beside SQLite FTS5 (WebAssembly) and MiniSearch on the same records and queries, in one
// process. Prints ratios; a ratio below 1 means that ours is faster. RECORDS=… sets the size (100000 by default).
import sqlite3InitModule from '@sqlite.org/sqlite-wasm'
import MiniSearch from 'minisearch'
import { Builder, evaluate, type Document, type Index } from '../src/core/engine'
import { parse, print, type Expr } from '../src/core/query'
import { drawWorks } from '../src/standins/corpus/corpus'
import { Random } from '../src/standins/corpus/random'

const RECORDS = Number(process.env.RECORDS ?? 100_000)
const ROUNDS = 3

const clock = (): number => performance.now()
const mb = (bytes: number): string => `${Math.round(bytes / 1e6)} MB`
const collect = (): void => (globalThis as { gc?: () => void }).gc?.()
/** Arrays that nobody holds are given back a moment after they were collected. */
const heap = async (): Promise<number> => {
  for (let times = 0; times < 3; times++) {
    collect()
    await new Promise((done) => setTimeout(done, 50))
  }
  const { heapUsed, arrayBuffers } = process.memoryUsage()
  return heapUsed + arrayBuffers
}

/** About 200 words a record: abstracts of two studies, with the words of a long tail mixed in. */
function texts(count: number): { title: string; abstract: string }[] {
  const pool = drawWorks(4000, 'bench', { year: 2026, month: 6 }).map((w) => w.prose)
  const random = new Random('bench texts')
  return Array.from({ length: count }, () => {
    const [a, b] = [random.pick(pool), random.pick(pool)]
    const rare = Array.from(
      { length: 12 },
      () => `w${Math.floor(random.next() ** 3 * 60_000).toString(36)}`,
    ).join(' ')
    // In one piece, as a file gives it: whoever reads a text put together of parts first lays it out, and it stays so.
    const abstract = Buffer.from(`${a.abstract} ${b.abstract} ${rare}`).toString()
    return { title: a.title, abstract }
  })
}

const toDocument = (t: { title: string; abstract: string }): Document => ({
  fields: { title: [t.title], abstract: [t.abstract] },
  headings: [],
  classes: [],
  facets: {},
})

function buildOurs(rows: ReturnType<typeof texts>): Index {
  const builder = new Builder()
  for (const row of rows) builder.add(toDocument(row))
  return builder.finish()
}

interface Sqlite {
  ask: (query: string) => number
  close: () => void
}
async function buildSqlite(rows: ReturnType<typeof texts>): Promise<Sqlite> {
  const sqlite = await sqlite3InitModule()
  const db = new sqlite.oo1.DB(':memory:')
  db.exec('CREATE VIRTUAL TABLE r USING fts5(title, abstract, tokenize = "unicode61 remove_diacritics 2")')
  db.exec('BEGIN')
  const insert = db.prepare('INSERT INTO r(rowid, title, abstract) VALUES (?, ?, ?)')
  rows.forEach((r, i) => insert.bind([i + 1, r.title, r.abstract]).stepReset())
  insert.finalize()
  db.exec('COMMIT')
  return {
    ask: (query) => (db.selectValues('SELECT rowid FROM r WHERE r MATCH ?', [query]) as number[]).length,
    close: () => db.close(),
  }
}

function fts5(e: Expr): string {
  if (e.kind === 'word') return e.text.endsWith('*') ? `"${e.text.slice(0, -1)}"*` : `"${e.text}"`
  if (e.kind === 'phrase') return `"${e.words.join(' ')}"`
  if (e.kind === 'near') return `NEAR(${fts5(e.left)} ${fts5(e.right)}, ${e.distance})`
  if (e.kind === 'and' || e.kind === 'or' || e.kind === 'not')
    return `(${e.parts.map(fts5).join(` ${e.kind.toUpperCase()} `)})`
  throw new Error(print(e))
}

/** The query sets by kind, the same for both. */
function querySets(rows: ReturnType<typeof texts>): Record<string, string[]> {
  const random = new Random('bench queries')
  const words = (): string[] =>
    random
      .pick(rows)
      .abstract.toLowerCase()
      .match(/[a-z]{3,}/g)!
      .filter((w) => !['and', 'not', 'near', 'then'].includes(w))
  const times = (n: number, make: () => string): string[] => Array.from({ length: n }, make)
  const joined = (op: string) => (): string => random.some(words(), random.int(3, 12)).join(` ${op} `)
  return {
    word: times(60, () => random.pick(words())),
    AND: times(60, joined('AND')),
    OR: times(60, joined('OR')),
    NOT: times(60, joined('NOT')),
    phrase: times(60, () => {
      const w = random
        .pick(rows)
        .abstract.toLowerCase()
        .match(/[a-z]{3,} [a-z]{3,}/g)!
      return `"${random.pick(w)}"`
    }),
    truncation: times(60, () => `${random.pick(words()).slice(0, random.int(3, 6))}*`),
    nearness: times(60, () => {
      const [a, b] = random.some([...new Set(words())], 2)
      return `${a} NEAR/${random.int(1, 9)} ${b}`
    }),
  }
}

function quantile(times: number[], q: number): number {
  const sorted = [...times].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!
}

async function main(): Promise<void> {
  console.log(
    `${RECORDS.toLocaleString('en')} records, ${ROUNDS} rounds of queries, Node ${process.versions.node}`,
  )
  const rows = texts(RECORDS)
  const wordsEach =
    rows.slice(0, 500).reduce((n, r) => n + r.abstract.split(' ').length + r.title.split(' ').length, 0) / 500
  console.log(`about ${Math.round(wordsEach)} words a record\n`)

  const small = rows.slice(0, RECORDS / 10)
  buildOurs(small.slice(0, 2000))
  let t = clock()
  buildOurs(small)
  const smallTime = clock() - t
  const before = await heap()
  t = clock()
  const ours = buildOurs(rows)
  const oursTime = clock() - t
  const oursMemory = (await heap()) - before

  t = clock()
  const sqlite = await buildSqlite(rows)
  const sqliteTime = clock() - t

  console.log('Building             ours      FTS5      MiniSearch')
  let miniTime = NaN
  let miniMemory = NaN
  if (!process.env.NO_MINISEARCH) {
    const beforeMini = await heap()
    t = clock()
    const mini = new MiniSearch<{ id: number; title: string; abstract: string }>({
      fields: ['title', 'abstract'],
    })
    mini.addAll(rows.map((r, id) => ({ id, ...r })))
    miniTime = clock() - t
    miniMemory = (await heap()) - beforeMini
    if (mini.documentCount !== rows.length) throw new Error('MiniSearch lost documents')
  }
  const s = (ms: number): string => (ms / 1000).toFixed(2).padStart(7)
  console.log(`seconds           ${s(oursTime)}   ${s(sqliteTime)}   ${s(miniTime)}`)
  console.log(
    `time ratio                  ${(oursTime / sqliteTime).toFixed(2).padStart(7)}   ${(oursTime / miniTime).toFixed(2).padStart(7)}`,
  )
  console.log(
    `memory            ${mb(oursMemory).padStart(7)}             ${mb(miniMemory).padStart(7)}   ratio ${(oursMemory / miniMemory).toFixed(2)}`,
  )
  console.log(
    `growth ×10        ${(oursTime / smallTime).toFixed(1).padStart(7)} times the time of a tenth of the records\n`,
  )

  console.log('Queries        ours median   p95    FTS5 median   p95    ratio median   p95   (ms)')
  for (const [kind, queries] of Object.entries(querySets(rows))) {
    const trees = queries.map((q) => parse(q).tree!)
    const theirs = trees.map(fts5)
    const mine: number[] = []
    const other: number[] = []
    for (let round = 0; round < ROUNDS; round++)
      trees.forEach((tree, i) => {
        const a = clock()
        const hits = evaluate(ours, tree).docs.length
        const b = clock()
        const expected = sqlite.ask(theirs[i]!)
        const c = clock()
        if (hits !== expected) throw new Error(`${print(tree)}: ${hits} here, ${expected} in FTS5`)
        if (round) {
          mine.push(b - a)
          other.push(c - b)
        }
      })
    const f = (n: number): string => n.toFixed(3).padStart(9)
    const [m50, m95, o50, o95] = [
      quantile(mine, 0.5),
      quantile(mine, 0.95),
      quantile(other, 0.5),
      quantile(other, 0.95),
    ]
    console.log(
      `${kind.padEnd(12)}${f(m50)}${f(m95)}  ${f(o50)}${f(o95)}     ${(m50 / o50).toFixed(3).padStart(7)}${(m95 / o95).toFixed(3).padStart(9)}`,
    )
  }
  sqlite.close()
}

await main()
